<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* A point can hold its sound back: by how much at most is its model's, by how much now is a setting. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('model_points', fn (Blueprint $table) => $table->decimal('delay_to_ms', 9, 3)->nullable());
        foreach (['unit_point_settings', 'situation_changes'] as $settings) {
            Schema::table($settings, fn (Blueprint $table) => $table->decimal('delay_ms', 9, 3)->nullable());
        }
    }
};
