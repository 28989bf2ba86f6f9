<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Mails that would have been sent where the server has no mailer. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('outbox_mails', function (Blueprint $table) {
            $table->id();
            $table->text('to');
            $table->text('subject');
            $table->mediumText('text');
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::drop('outbox_mails');
    }
};
