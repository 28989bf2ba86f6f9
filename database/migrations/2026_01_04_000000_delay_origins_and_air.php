<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* A voice is later at a second microphone, and the room is as long as it is. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['source_origins', 'air_paths'] as $table) {
            Schema::table($table, fn (Blueprint $columns) => $columns->decimal('delay_ms', 9, 3)->nullable());
        }
    }
};
