<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Wishes for one side of the ears, and for the balance of another listener. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('wishes', fn (Blueprint $table) => $table->string('side', 8)->nullable());
        Schema::create('balances', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('listener', 64)->charset('ascii')->collation('ascii_bin');
            $table->string('like', 64)->charset('ascii')->collation('ascii_bin');
            $table->decimal('within_db', 6, 3);
            $table->unique(['rig_id', 'listener', 'like']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('balances');
        Schema::table('wishes', fn (Blueprint $table) => $table->dropColumn('side'));
    }
};
