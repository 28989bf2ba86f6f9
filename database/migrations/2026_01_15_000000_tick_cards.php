<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What is ticked on the cards of a rig, each step by its last change. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('card_ticks', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('card', 80)->charset('ascii')->collation('ascii_bin');
            $table->char('step', 12)->charset('ascii')->collation('ascii_bin');
            $table->boolean('is_on');
            $table->unsignedBigInteger('at_ms');
            $table->unique(['rig_id', 'card', 'step']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('card_ticks');
    }
};
