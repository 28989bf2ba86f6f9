<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Crews: a rig is an account's or a crew's, so that it outlives an account. Whoever could look could also test, until testing became a
 * role: they go on as they did.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('crews', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60);
            $table->unsignedInteger('locks')->default(0);
            $table->timestamps();
        });
        Schema::create('crew_members', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->timestamp('accepted_at')->nullable();
            $table->timestamps();
            $table->unique(['user_id', 'crew_id']);
        });
        Schema::table('rigs', function (Blueprint $table): void {
            $table->unsignedBigInteger('user_id')->nullable()->change();
            $table->foreignId('crew_id')->nullable()->after('user_id')->constrained();
            $table->index(['crew_id', 'updated_at']);
        });
        DB::statement('alter table rigs add constraint rigs_one_owner check ((user_id is null) <> (crew_id is null))');
        Schema::table('deeds', fn (Blueprint $table) => $table->unsignedBigInteger('crew_id')->nullable()->after('rig_id')->index());
        DB::table('members')->where('role', 'view')->update(['role' => 'test']);
    }

    /** @throws RuntimeException where a crew has rigs: nobody else is their owner */
    public function down(): void
    {
        if (DB::table('rigs')->whereNotNull('crew_id')->exists()) {
            throw new RuntimeException('Crews own rigs. Hand them over to accounts first.');
        }
        DB::table('members')->where('role', 'test')->update(['role' => 'view']);
        DB::table('members')->where('role', 'manage')->update(['role' => 'edit']);
        DB::statement('alter table rigs drop constraint rigs_one_owner');
        Schema::table('deeds', fn (Blueprint $table) => $table->dropColumn('crew_id'));
        Schema::table('rigs', function (Blueprint $table): void {
            $table->dropForeign(['crew_id']);
            $table->dropIndex(['crew_id', 'updated_at']);
            $table->dropColumn('crew_id');
            $table->unsignedBigInteger('user_id')->nullable(false)->change();
        });
        Schema::dropIfExists('crew_members');
        Schema::dropIfExists('crews');
    }
};
