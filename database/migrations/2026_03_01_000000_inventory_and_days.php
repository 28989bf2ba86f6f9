<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Numbers on things, and the days of rigs: what is in two places at once is found by them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('units', function (Blueprint $table): void {
            $table->string('inventory', 60)->default('')->index();
        });
        Schema::table('rigs', function (Blueprint $table): void {
            $table->date('first_day')->nullable();
            $table->date('last_day')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn('inventory'));
        Schema::table('rigs', fn (Blueprint $table) => $table->dropColumn(['first_day', 'last_day']));
    }
};
