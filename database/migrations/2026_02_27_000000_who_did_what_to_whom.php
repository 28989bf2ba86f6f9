<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who let whom in, or did something to an account. Names stand as they were: what they named may be gone. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('deeds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('by', 60);
            $table->foreignId('whom_id')->nullable()->constrained('users')->nullOnDelete();
            $table->unsignedBigInteger('rig_id')->nullable()->index();
            $table->string('what', 400);
            $table->string('ip_address', 45)->nullable();
            $table->timestamp('created_at')->useCurrent()->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('deeds');
    }
};
