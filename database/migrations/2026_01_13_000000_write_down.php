<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What is written down with a rig and sounds nowhere: prices, manuals, reasons, steps of the run-down, accepted findings. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['units', 'cables'] as $name) {
            Schema::table($name, function (Blueprint $table) {
                $table->string('price', 40)->default('');
                $table->string('supplier', 120)->default('');
            });
        }
        Schema::table('units', function (Blueprint $table) {
            $table->json('links')->nullable();
            $table->unsignedSmallInteger('ready_s')->nullable();
        });
        $this->content('reasons', function (Blueprint $table) {
            $table->string('about', 300)->charset('ascii')->collation('ascii_bin');
            $table->text('why');
            $table->boolean('leave_alone');
            $table->unique(['rig_id', 'about']);
        });
        $this->content('show_steps', function (Blueprint $table) {
            $table->string('key', 64)->charset('ascii')->collation('ascii_bin');
            $table->string('phase', 10);
            $table->string('text', 300);
            $table->smallInteger('at_min')->nullable();
            $table->unsignedSmallInteger('wait_s');
            $table->unique(['rig_id', 'key']);
        });
        $this->content('acceptances', function (Blueprint $table) {
            $table->char('evidence', 16)->charset('ascii')->collation('ascii_bin');
            $table->text('says');
            $table->text('why');
            $table->unique(['rig_id', 'evidence']);
        });
    }

    private function content(string $name, Closure $columns): void
    {
        Schema::create($name, function (Blueprint $table) use ($columns) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $columns($table);
        });
    }

    public function down(): void
    {
        foreach (['reasons', 'show_steps', 'acceptances'] as $name) {
            Schema::dropIfExists($name);
        }
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn(['price', 'supplier', 'links', 'ready_s']));
        Schema::table('cables', fn (Blueprint $table) => $table->dropColumn(['price', 'supplier']));
    }
};
