<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What was measured, and what models say of capsules, preamps, digital sockets and the current on a bus. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('measures', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('about', 300)->charset('ascii')->collation('ascii_bin');
            $table->string('kind', 16);
            $table->decimal('value', 10, 3);
        });
        Schema::table('equipment_models', fn (Blueprint $table) => $table->unsignedSmallInteger('draws_ma')->nullable());
        Schema::table('model_points', fn (Blueprint $table) => $table->json('capsule')->nullable());
        Schema::table('model_sockets', function (Blueprint $table) {
            $table->decimal('ein_dbu', 6, 3)->nullable();
            $table->unsignedSmallInteger('gives_ma')->nullable();
            $table->json('rates_hz')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('measures');
        Schema::table('equipment_models', fn (Blueprint $table) => $table->dropColumn('draws_ma'));
        Schema::table('model_points', fn (Blueprint $table) => $table->dropColumn('capsule'));
        Schema::table('model_sockets', fn (Blueprint $table) => $table->dropColumn(['ein_dbu', 'gives_ma', 'rates_hz']));
    }
};
