<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Books that are made in the background, and the work that waits. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table) {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('books', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->json('asked');
            $table->string('edition', 120)->default('');
            $table->string('state', 10);
            $table->string('trouble', 400)->default('');
            $table->unsignedSmallInteger('done')->default(0);
            $table->unsignedSmallInteger('of')->default(0);
            $table->unsignedInteger('bytes')->default(0);
            $table->timestamps();
            $table->index(['rig_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('books');
        Schema::dropIfExists('jobs');
    }
};
