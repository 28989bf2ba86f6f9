<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Edits that were made, by the id that they were sent with: one that is sent again is known. What is locked is written too, so that the
 * nodes of a cluster see it. Throttles, and locks that hold everywhere, can be kept in the database.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sent_edits', function (Blueprint $table) {
            $table->char('id', 32)->charset('ascii')->collation('ascii_bin')->primary();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->text('said');
            $table->text('more')->nullable();
            $table->timestamp('created_at')->useCurrent()->index();
        });
        foreach (['rigs', 'test_runs'] as $locked) {
            Schema::table($locked, fn (Blueprint $table) => $table->unsignedInteger('locks')->default(0));
        }
        Schema::create('cache', function (Blueprint $table) {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration')->index();
        });
        Schema::create('cache_locks', function (Blueprint $table) {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration')->index();
        });
    }

    public function down(): void
    {
        foreach (['sent_edits', 'cache', 'cache_locks'] as $made) {
            Schema::dropIfExists($made);
        }
        foreach (['rigs', 'test_runs'] as $locked) {
            Schema::table($locked, fn (Blueprint $table) => $table->dropColumn('locks'));
        }
    }
};
