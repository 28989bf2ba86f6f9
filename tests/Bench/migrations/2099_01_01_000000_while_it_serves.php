<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What an update may do while the version before it goes on serving: a table more, a column more with a default. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('added_while_serving', function (Blueprint $table) {
            $table->id();
            $table->string('note');
        });
        Schema::table('rigs', fn (Blueprint $table) => $table->unsignedInteger('added_while_serving')->default(7));
    }

    public function down(): void
    {
        Schema::dropIfExists('added_while_serving');
        Schema::table('rigs', fn (Blueprint $table) => $table->dropColumn('added_while_serving'));
    }
};
