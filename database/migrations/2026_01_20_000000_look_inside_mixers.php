<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Solo switches, outputs that follow others, linked levels, the rules of units, effects, and wishes for dry or processed. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['unit_point_settings', 'situation_changes'] as $name) {
            Schema::table($name, fn (Blueprint $table) => $table->boolean('solo')->nullable());
        }
        Schema::table('units', function (Blueprint $table) {
            $table->json('follows')->nullable();
            $table->json('linked')->nullable();
            $table->json('effects')->nullable();
        });
        Schema::table('equipment_models', fn (Blueprint $table) => $table->json('rules')->nullable());
        Schema::table('model_points', function (Blueprint $table) {
            $table->string('solo', 64)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->string('solo_tap', 20)->default('pre-fader');
            $table->json('can_follow')->nullable();
            $table->json('effects')->nullable();
        });
        Schema::table('situations', fn (Blueprint $table) => $table->json('effects')->nullable());
        Schema::table('wishes', fn (Blueprint $table) => $table->string('treatment', 12)->nullable());
    }

    public function down(): void
    {
        foreach (['unit_point_settings', 'situation_changes'] as $name) {
            Schema::table($name, fn (Blueprint $table) => $table->dropColumn('solo'));
        }
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn(['follows', 'linked', 'effects']));
        Schema::table('situations', fn (Blueprint $table) => $table->dropColumn('effects'));
        Schema::table('wishes', fn (Blueprint $table) => $table->dropColumn('treatment'));
        Schema::table('equipment_models', fn (Blueprint $table) => $table->dropColumn('rules'));
        Schema::table('model_points', fn (Blueprint $table) => $table->dropColumn(['solo', 'solo_tap', 'can_follow', 'effects']));
    }
};
