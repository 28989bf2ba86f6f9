<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/*
 * One lead a socket and one cable a label, held by the database. `twin` is 0; a socket that takes several (a radio, a network session)
 * counts
 * them, and so does a rig that was stored with such a fault before it was refused.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cable_ends', function (Blueprint $table) {
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            foreach (['cable', 'unit', 'socket'] as $key) {
                $table->string($key, 64)->charset('ascii')->collation('ascii_bin');
            }
            $table->string('end', 4);
            $table->unsignedInteger('position');
            $table->unsignedInteger('twin');
            $table->primary(['rig_id', 'cable', 'end']);
            $table->unique(['rig_id', 'unit', 'socket', 'twin'], 'one_lead_a_socket');
        });
        DB::statement(<<<'SQL'
            INSERT INTO cable_ends (rig_id, cable, unit, socket, `end`, position, twin)
            SELECT rig_id, cable, unit, socket, `end`, position, ROW_NUMBER() OVER (PARTITION BY rig_id, unit, socket ORDER BY position) - 1
            FROM (
                SELECT rig_id, `key` AS cable, from_unit AS unit, from_socket AS socket, 'from' AS `end`,
                    position * 2 AS position FROM cables
                UNION ALL
                SELECT rig_id, `key`, to_unit, to_socket, 'to', position * 2 + 1 FROM cables
            ) AS ends
            SQL);
        Schema::table('cables', function (Blueprint $table) {
            $table->string('label', 20)->charset('utf8mb4')->collation('utf8mb4_nopad_bin')->change();
            $table->unsignedInteger('label_twin')->default(0);
        });
        DB::statement(<<<'SQL'
            UPDATE cables JOIN (
                SELECT id, ROW_NUMBER() OVER (PARTITION BY rig_id, label ORDER BY position) - 1 AS twin FROM cables
            ) AS counted USING (id) SET label_twin = twin
            SQL);
        Schema::table('cables', fn (Blueprint $table) => $table->unique(['rig_id', 'label', 'label_twin'], 'one_cable_a_label'));
    }
};
