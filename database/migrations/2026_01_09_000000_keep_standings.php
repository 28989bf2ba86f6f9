<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/*
 * How a revision stands, so that a list of rigs reads none of them; a name for each state, so that nothing kept ready is taken for another;
 * invitations that wait; addresses compared letter by letter; tokens for a new password.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', function (Blueprint $table) {
            $table->json('counts')->nullable();
            $table->unsignedInteger('units')->nullable();
            $table->unsignedInteger('cables')->nullable();
            $table->char('build', 32)->charset('ascii')->nullable();
            $table->index(['rig_id', 'parent']);
        });
        Schema::table('rigs', function (Blueprint $table) {
            $table->char('state', 32)->charset('ascii')->default('');
            $table->text('trouble')->nullable();
            $table->unsignedInteger('readable')->nullable();
            $table->index(['user_id', 'updated_at']);
        });
        Schema::table('members', fn (Blueprint $table) => $table->timestamp('accepted_at')->nullable());
        DB::table('members')->update(['accepted_at' => DB::raw('created_at')]);
        Schema::table('users', fn (Blueprint $table) => $table->string('email')->charset('utf8mb4')->collation('utf8mb4_bin')->change());
        Schema::create('password_reset_tokens', function (Blueprint $table) {
            $table->string('email')->charset('utf8mb4')->collation('utf8mb4_bin')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
    }
};
