<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What hands move. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('controls', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('key', 64)->charset('ascii')->collation('ascii_bin');
            $table->string('name', 60);
            $table->string('legend', 60)->nullable();
            $table->string('kind', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('at', 300)->charset('ascii')->collation('ascii_bin');
            $table->decimal('stands', 6, 3)->nullable();
            $table->boolean('learned')->default(false);
            $table->string('bank', 60)->nullable();
            $table->json('moves')->nullable();
            $table->unique(['rig_id', 'key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('controls');
    }
};
