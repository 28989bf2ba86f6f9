<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/*
 * What surrounds a rig's content and is no part of its document: who may work on it, who is looking now, pictures of how things are set;
 * and a person's own equipment models.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('members', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->timestamps();
            $table->unique(['rig_id', 'user_id']);
        });
        Schema::create('presences', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('view', 20);
            $table->timestamp('seen_at');
            $table->unique(['rig_id', 'user_id']);
        });
        // A picture stays when its unit is removed, so that undoing brings it back too.
        Schema::create('pictures', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->string('unit', 64)->charset('ascii')->collation('ascii_bin');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('caption', 120);
            $table->char('file', 40)->charset('ascii');
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
            $table->timestamp('created_at')->useCurrent();
            $table->index(['rig_id', 'unit']);
        });
        Schema::create('own_models', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('key', 64)->charset('ascii')->collation('ascii_bin');
            $table->json('document');
            $table->timestamps();
            $table->unique(['user_id', 'key']);
        });
    }
};
