<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Facts that a plan relies on: stated, assumed, proven, or known not to work. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('facts', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('about', 300)->charset('ascii')->collation('ascii_bin');
            $table->string('with', 300)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->string('certainty', 10);
            $table->string('what', 300);
            $table->string('by', 60);
            $table->string('on', 10);
            $table->string('firmware', 60);
            $table->text('proof');
            $table->unsignedSmallInteger('minutes')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('facts');
    }
};
