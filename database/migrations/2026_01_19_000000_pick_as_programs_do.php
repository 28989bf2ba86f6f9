<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What programs offer and open, what systems hide and do to sounds, the order of plugs, names of points, the life of single controls. */
return new class extends Migration
{
    private const COLUMNS = [
        'units' => ['names'],
        'device_settings' => ['unlisted', 'processing'],
        'picks' => ['pick_mode', 'also'],
        'situation_changes' => ['pick_mode', 'also'],
        'situations' => ['plugged'],
        'equipment_models' => ['takes'],
        'model_points' => ['pick_from', 'several', 'device_of', 'made_at', 'holds'],
        'model_routes' => ['made_at', 'holds'],
    ];

    public function up(): void
    {
        Schema::table('units', fn (Blueprint $table) => $table->json('names')->nullable());
        Schema::table('device_settings', function (Blueprint $table) {
            $table->string('unlisted', 20)->nullable();
            $table->json('processing')->nullable();
        });
        foreach (['picks', 'situation_changes'] as $name) {
            Schema::table($name, function (Blueprint $table) {
                $table->string('pick_mode', 20)->nullable();
                $table->json('also')->nullable();
            });
        }
        Schema::table('situations', fn (Blueprint $table) => $table->json('plugged')->nullable());
        Schema::table('equipment_models', fn (Blueprint $table) => $table->string('takes', 20)->default('chosen'));
        Schema::table('model_points', function (Blueprint $table) {
            $table->json('pick_from')->nullable();
            $table->unsignedTinyInteger('several')->default(1);
            $table->string('device_of', 64)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->json('made_at')->nullable();
            $table->string('holds', 20)->nullable();
        });
        Schema::table('model_routes', function (Blueprint $table) {
            $table->json('made_at')->nullable();
            $table->string('holds', 20)->nullable();
        });
    }

    public function down(): void
    {
        foreach (self::COLUMNS as $name => $columns) {
            Schema::table($name, fn (Blueprint $table) => $table->dropColumn($columns));
        }
    }
};
