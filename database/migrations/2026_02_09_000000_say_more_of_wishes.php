<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('wishes', function (Blueprint $table): void {
            $table->string('own_level', 20)->nullable()->change();
            $table->boolean('stereo')->default(false);
            $table->decimal('up_to_db', 12, 3)->nullable();
        });
        DB::table('wishes')->where('own_level', '1')->update(['own_level' => 'listeners']);
        DB::table('wishes')->where('own_level', '0')->update(['own_level' => null]);
    }

    public function down(): void
    {
        DB::table('wishes')->update(['own_level' => DB::raw("own_level is not null and own_level <> ''")]);
        Schema::table('wishes', function (Blueprint $table): void {
            $table->boolean('own_level')->default(false)->change();
            $table->dropColumn(['stereo', 'up_to_db']);
        });
    }
};
