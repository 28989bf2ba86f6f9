<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* In a situation a unit may not be there, a program may not run, a cable may be out. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('situations', function (Blueprint $table) {
            $table->json('absent')->nullable();
            $table->json('pulled')->nullable();
        });
    }
};
