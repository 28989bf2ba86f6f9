<?php

declare(strict_types=1);

use App\Models\Revision;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Revisions are kept packed: a whole document now and then, and between those what makes the others of it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', function (Blueprint $table) {
            $table->longText('document')->nullable()->change();
            $table->unsignedInteger('base')->nullable();
            $table->unsignedSmallInteger('place')->default(0);
            $table->char('sum', 16)->nullable();
        });
        DB::statement('ALTER TABLE revisions ADD packed LONGBLOB NULL');
    }

    public function down(): void
    {
        Revision::query()->whereNull('document')->eachById(
            fn (Revision $one) => DB::table('revisions')->where('id', $one->id)->update(['document' => $one->document]),
        );
        Schema::table('revisions', function (Blueprint $table) {
            $table->longText('document')->nullable(false)->change();
            $table->dropColumn(['base', 'place', 'sum', 'packed']);
        });
    }
};
