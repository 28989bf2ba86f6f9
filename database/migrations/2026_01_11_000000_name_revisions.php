<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* A revision can have a name: "as shown on the night". */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', fn (Blueprint $table) => $table->string('name', 60)->default(''));
    }

    public function down(): void
    {
        Schema::table('revisions', fn (Blueprint $table) => $table->dropColumn('name'));
    }
};
