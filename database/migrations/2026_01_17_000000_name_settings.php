<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Named settings of models and units, where settings are made and how long they hold, and the scales that are printed at knobs. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('equipment_models', function (Blueprint $table) {
            $table->json('settings')->nullable();
            $table->json('made_at')->nullable();
            $table->string('holds', 16)->nullable();
        });
        Schema::table('model_points', function (Blueprint $table) {
            $table->json('gain_scale')->nullable();
            $table->json('fader_scale')->nullable();
        });
        Schema::table('units', fn (Blueprint $table) => $table->json('values')->nullable());
        Schema::table('situations', fn (Blueprint $table) => $table->json('settings')->nullable());
    }

    public function down(): void
    {
        Schema::table('equipment_models', fn (Blueprint $table) => $table->dropColumn(['settings', 'made_at', 'holds']));
        Schema::table('model_points', fn (Blueprint $table) => $table->dropColumn(['gain_scale', 'fader_scale']));
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn('values'));
        Schema::table('situations', fn (Blueprint $table) => $table->dropColumn('settings'));
    }
};
