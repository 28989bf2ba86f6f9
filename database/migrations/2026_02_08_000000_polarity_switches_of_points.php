<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('model_points', function (Blueprint $table): void {
            $table->boolean('inverted')->nullable();
        });
        Schema::table('unit_point_settings', function (Blueprint $table): void {
            $table->boolean('inverted')->nullable();
        });
        Schema::table('situation_changes', function (Blueprint $table): void {
            $table->boolean('inverted')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('model_points', function (Blueprint $table): void {
            $table->dropColumn(['inverted']);
        });
        Schema::table('unit_point_settings', function (Blueprint $table): void {
            $table->dropColumn(['inverted']);
        });
        Schema::table('situation_changes', function (Blueprint $table): void {
            $table->dropColumn(['inverted']);
        });
    }
};
