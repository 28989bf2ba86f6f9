<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whoever wants to signs in with a code of their phone beside the password. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->text('two_step_secret')->nullable();
            // The time step of the code that was taken last: no code is taken twice.
            $table->unsignedBigInteger('two_step_last')->default(0);
            $table->json('recovery_codes')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn(['two_step_secret', 'two_step_last', 'recovery_codes']);
        });
    }
};
