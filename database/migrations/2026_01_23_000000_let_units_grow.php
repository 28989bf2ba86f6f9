<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Of what a model can have more or fewer. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('equipment_models', fn (Blueprint $table) => $table->json('grows')->nullable());
    }

    public function down(): void
    {
        Schema::table('equipment_models', fn (Blueprint $table) => $table->dropColumn('grows'));
    }
};
