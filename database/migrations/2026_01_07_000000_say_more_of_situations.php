<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Defaults that move in a situation, automatic mutes that are off, selectors that switch several routes, and one lead a socket. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('situations', fn (Blueprint $table) => $table->json('defaults')->nullable());
        Schema::table('unit_point_settings', fn (Blueprint $table) => $table->boolean('auto_mute')->nullable());
        Schema::table('situation_changes', fn (Blueprint $table) => $table->boolean('auto_mute')->nullable());
        Schema::table('model_routes', fn (Blueprint $table) => $table->string('choice', 64)->nullable());
    }
};
