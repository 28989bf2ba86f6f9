<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Tests of the real rig beside its plan: when, of which revision, and what was found at each step, by its last answer. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('test_runs', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedBigInteger('revision');
            $table->timestamp('started_at');
        });
        Schema::create('test_answers', function (Blueprint $table) {
            $table->id();
            $table->foreignId('run_id')->constrained('test_runs')->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->char('step', 12)->charset('ascii')->collation('ascii_bin');
            $table->char('state', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('heard', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('note', 300);
            $table->unsignedBigInteger('at_ms');
            $table->unique(['run_id', 'step']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('test_answers');
        Schema::dropIfExists('test_runs');
    }
};
