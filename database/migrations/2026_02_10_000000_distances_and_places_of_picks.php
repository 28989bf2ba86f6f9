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
            $table->string('picked_in', 20)->default('program');
        });
        Schema::table('source_origins', function (Blueprint $table): void {
            $table->decimal('distance_m', 12, 3)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('model_points', function (Blueprint $table): void {
            $table->dropColumn(['picked_in']);
        });
        Schema::table('source_origins', function (Blueprint $table): void {
            $table->dropColumn(['distance_m']);
        });
    }
};
