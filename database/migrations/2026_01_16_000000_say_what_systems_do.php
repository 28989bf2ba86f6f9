<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What an operating system is and does by itself: its name and version, levels and mutes of its own, devices that it plays to others. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('device_settings', function (Blueprint $table) {
            $table->decimal('db', 5, 2)->nullable();
            $table->boolean('mute')->default(false);
            $table->string('plays_to', 200)->charset('ascii')->collation('ascii_bin')->nullable();
        });
        foreach (['picks', 'situation_changes'] as $name) {
            Schema::table($name, function (Blueprint $table) {
                $table->decimal('pick_db', 5, 2)->nullable();
                $table->boolean('pick_mute')->default(false);
            });
        }
        Schema::table('situations', fn (Blueprint $table) => $table->json('levels')->nullable());
        Schema::table('units', function (Blueprint $table) {
            $table->json('system')->nullable();
            $table->string('licence', 120)->default('');
            $table->string('edition', 60)->default('');
        });
        Schema::table('equipment_models', function (Blueprint $table) {
            $table->json('runs_on')->nullable();
            $table->json('asks')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('device_settings', fn (Blueprint $table) => $table->dropColumn(['db', 'mute', 'plays_to']));
        foreach (['picks', 'situation_changes'] as $name) {
            Schema::table($name, fn (Blueprint $table) => $table->dropColumn(['pick_db', 'pick_mute']));
        }
        Schema::table('situations', fn (Blueprint $table) => $table->dropColumn('levels'));
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn(['system', 'licence', 'edition']));
        Schema::table('equipment_models', fn (Blueprint $table) => $table->dropColumn(['runs_on', 'asks']));
    }
};
