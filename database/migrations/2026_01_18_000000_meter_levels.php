<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* The meters and lamps of a model. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('equipment_models', function (Blueprint $table) {
            $table->json('meters')->nullable();
            $table->json('lamps')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('equipment_models', fn (Blueprint $table) => $table->dropColumn(['meters', 'lamps']));
    }
};
