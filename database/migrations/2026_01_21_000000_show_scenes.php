<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Scenes of broadcast programs. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('units', function (Blueprint $table) {
            $table->json('scenes')->nullable();
            $table->json('always')->nullable();
        });
        Schema::table('situations', fn (Blueprint $table) => $table->json('scenes')->nullable());
        Schema::table('model_points', fn (Blueprint $table) => $table->boolean('in_scenes')->default(false));
    }

    public function down(): void
    {
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn(['scenes', 'always']));
        Schema::table('situations', fn (Blueprint $table) => $table->dropColumn('scenes'));
        Schema::table('model_points', fn (Blueprint $table) => $table->dropColumn('in_scenes'));
    }
};
