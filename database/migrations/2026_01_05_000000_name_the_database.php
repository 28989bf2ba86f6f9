<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/* What is kept ready outside of the database is named after the database that it was made from: another one, or this one made afresh,
    has another name. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('identity', fn (Blueprint $table) => $table->uuid('id')->primary());
        DB::table('identity')->insert(['id' => (string) Str::uuid()]);
    }

    public function down(): void
    {
        Schema::drop('identity');
    }
};
