<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Recordings of tone tests: what was played, on which tracks it was recorded, how far it is read, and what was read. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('tone_takes', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedBigInteger('revision');
            $table->string('situation', 60)->collation('utf8mb4_bin');
            $table->string('unit', 60)->collation('utf8mb4_bin');
            $table->json('played');
            $table->json('files');
            $table->json('marks');
            $table->json('hidden')->nullable();
            $table->string('state', 10);
            $table->string('trouble', 400)->default('');
            $table->unsignedSmallInteger('done')->default(0);
            $table->longText('read')->nullable();
            $table->boolean('is_kept')->default(false);
            $table->timestamps();
            $table->index(['rig_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('tone_takes');
    }
};
