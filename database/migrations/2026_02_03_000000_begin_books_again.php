<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* A book knows who makes it, and which try that is: when its worker dies, the next one begins it again. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('books', function (Blueprint $table) {
            $table->unsignedTinyInteger('run')->default(1);
            $table->char('worker', 16)->nullable();
            $table->index(['state', 'worker']);
        });
    }

    public function down(): void
    {
        Schema::table('books', function (Blueprint $table) {
            $table->dropIndex(['state', 'worker']);
            $table->dropColumn(['run', 'worker']);
        });
    }
};
