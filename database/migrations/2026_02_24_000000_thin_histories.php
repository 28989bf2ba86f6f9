<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** An owner can have a rig's history thinned out; what stays says how many are gone before it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('rigs', fn (Blueprint $table) => $table->boolean('thins')->default(false));
        Schema::table('revisions', fn (Blueprint $table) => $table->unsignedInteger('gone')->default(0));
    }

    public function down(): void
    {
        Schema::table('rigs', fn (Blueprint $table) => $table->dropColumn('thins'));
        Schema::table('revisions', fn (Blueprint $table) => $table->dropColumn('gone'));
    }
};
