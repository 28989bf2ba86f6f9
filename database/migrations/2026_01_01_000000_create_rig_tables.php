<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/*
 * A rig's content by its own names. Every table of content has `rig_id`, the element's `key` (its id in the document) and its `position`;
 * references are the same names as in
 * the document, held by composite foreign keys within one rig. Where a reference goes into a unit's model (a socket, a point, a route),
 * the row carries the unit's model too,
 * so that the database itself refuses a cable into a socket that the model does not have.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rigs', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->text('summary');
            // `revision` counts every change of state, undoing too, so that a stale page is told apart; `at` is the revision whose state
            // the rig is in.
            $table->unsignedInteger('revision')->default(0);
            $table->unsignedInteger('at')->default(0);
            $table->timestamps();
        });
        Schema::create('revisions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->unsignedInteger('parent')->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('what', 400);
            $table->longText('document');
            $table->timestamp('created_at')->useCurrent();
            $table->unique(['rig_id', 'number']);
        });
        Schema::create('layouts', function (Blueprint $table) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->string('depth', 12);
            $table->char('structure', 40)->charset('ascii');
            $table->json('geometry');
            $table->timestamp('created_at')->useCurrent();
            $table->unique(['rig_id', 'depth']);
        });

        $this->content('places', function (Blueprint $table) {
            $table->string('kind', 12);
            $table->string('name', 120);
        });
        $this->content('equipment_models', function (Blueprint $table) {
            $table->string('name', 120);
            $table->string('family', 24);
            $table->text('summary');
            $table->string('supply', 20);
            $table->json('auto_mutes');
            foreach (['channels_read', 'devices_at_once', 'sources', 'tracks'] as $limit) {
                $table->unsignedSmallInteger($limit)->nullable();
            }
        });
        $this->content('model_points', function (Blueprint $table) {
            $this->reference($table, 'model', 'equipment_models');
            $table->string('kind', 8);
            $table->string('label', 60);
            $table->unsignedTinyInteger('channels');
            foreach (['gain', 'fader'] as $span) {
                $table->decimal("{$span}_from", 5, 2)->nullable();
                $table->decimal("{$span}_to", 5, 2)->nullable();
                $table->decimal("{$span}_db", 5, 2)->nullable();
            }
            $table->boolean('mute')->nullable();
            $table->boolean('mono')->nullable();
            $table->string('picks', 10)->nullable();
            $this->device($table);
        }, ['model', 'key']);
        $this->content('model_sockets', function (Blueprint $table) {
            $this->reference($table, 'model', 'equipment_models');
            $table->string('label', 60);
            $table->string('connector', 16);
            $table->string('signal', 20);
            $table->boolean('balanced');
            $table->string('phantom', 8)->nullable();
            $table->decimal('nominal_dbu', 8, 3)->nullable();
            $table->decimal('max_dbu', 8, 3)->nullable();
            $table->decimal('impedance_ohm', 12, 3)->nullable();
            $table->string('colour', 20)->nullable();
            $table->boolean('isolated');
            $table->string('link', 12)->nullable();
        }, ['model', 'key']);
        $this->content('model_lanes', function (Blueprint $table) {
            $this->key($table, 'model');
            $this->key($table, 'socket');
            $this->key($table, 'point');
            $table->string('way', 4);
            $table->string('signal', 20);
            $table->json('channels')->nullable();
            $this->device($table);
            $table->foreign(['rig_id', 'model', 'socket'], 'lane_socket')->references(['rig_id', 'model', 'key'])->on('model_sockets')
                ->cascadeOnDelete();
            $table->foreign(['rig_id', 'model', 'point'], 'lane_point')->references(['rig_id', 'model', 'key'])->on('model_points')
                ->cascadeOnDelete();
        }, ['model', 'socket', 'key']);
        $this->content('model_routes', function (Blueprint $table) {
            $this->key($table, 'model');
            $this->key($table, 'from');
            $this->key($table, 'to');
            $table->boolean('on');
            $table->decimal('db', 5, 2);
            $table->string('tap', 12);
            $table->json('map')->nullable();
            $this->key($table, 'group', nullable: true);
            $table->decimal('delay_ms', 9, 3)->nullable();
            $table->json('can');
            foreach (['from', 'to'] as $end) {
                $table->foreign(['rig_id', 'model', $end], "route_{$end}")->references(['rig_id', 'model', 'key'])->on('model_points')
                    ->cascadeOnDelete();
            }
        }, ['model', 'key'], keyLength: 131);

        $this->content('units', function (Blueprint $table) {
            $this->reference($table, 'model', 'equipment_models');
            $this->reference($table, 'place', 'places');
            $table->string('name', 120);
            $table->string('firmware', 60);
            $table->string('serial', 60);
            $table->text('notes');
            $table->unsignedSmallInteger('start')->nullable();
            $table->boolean('at_login');
            $table->unique(['rig_id', 'key', 'model'], 'unit_model');
        });
        $this->content('unit_needs', function (Blueprint $table) {
            $this->reference($table, 'unit', 'units');
            $this->reference($table, 'needs', 'units');
        }, ['unit', 'needs'], hasKey: false);
        $this->content('unit_point_settings', function (Blueprint $table) {
            $this->intoModel($table, 'unit', 'point', 'model_points');
            $this->pointControls($table);
        }, ['unit', 'point'], hasKey: false);
        $this->content('unit_route_settings', function (Blueprint $table) {
            $this->intoModel($table, 'unit', 'route', 'model_routes', 131);
            $this->routeControls($table);
        }, ['unit', 'route'], hasKey: false);

        $this->content('cables', function (Blueprint $table) {
            $table->string('label', 20);
            $table->string('type', 16);
            $this->intoModel($table, 'from_unit', 'from_socket', 'model_sockets');
            $this->intoModel($table, 'to_unit', 'to_socket', 'model_sockets');
            $table->decimal('length_m', 9, 3)->nullable();
            $table->string('colour', 30);
            $table->boolean('owned');
            $table->json('lanes')->nullable();
        });
        $this->content('device_settings', function (Blueprint $table) {
            $this->reference($table, 'computer', 'units');
            $this->deviceReference($table);
            $table->string('name', 120);
            $table->boolean('enabled');
            $table->json('roles');
            $table->unsignedInteger('rate_hz')->nullable();
            $table->unsignedTinyInteger('bits')->nullable();
            $table->string('driver_mode', 12)->nullable();
        }, ['computer', 'device'], hasKey: false);
        $this->content('picks', function (Blueprint $table) {
            $this->intoModel($table, 'unit', 'point', 'model_points');
            $this->pickColumns($table);
        }, ['unit', 'point'], hasKey: false);
        $this->content('air_paths', function (Blueprint $table) {
            $this->intoModel($table, 'from_unit', 'from_point', 'model_points');
            $this->intoModel($table, 'to_unit', 'to_point', 'model_points');
            $table->decimal('db', 5, 2);
        }, null, hasKey: false);
        $this->content('sources', function (Blueprint $table) {
            $table->string('name', 60);
            $table->string('kind', 12);
        });
        $this->content('source_origins', function (Blueprint $table) {
            $this->reference($table, 'source', 'sources');
            $this->intoModel($table, 'unit', 'point', 'model_points');
            $table->decimal('db', 5, 2);
        }, null, hasKey: false);
        $this->content('listeners', function (Blueprint $table) {
            $table->string('name', 60);
            $table->string('kind', 12);
        });
        $this->content('listener_ears', function (Blueprint $table) {
            $this->reference($table, 'listener', 'listeners');
            $this->intoModel($table, 'unit', 'point', 'model_points');
        }, null, hasKey: false);
        $this->content('situations', function (Blueprint $table) {
            $table->string('name', 60);
        });
        $this->content('situation_changes', function (Blueprint $table) {
            $this->reference($table, 'situation', 'situations');
            $this->intoModel($table, 'unit', 'point', 'model_points', nullable: true);
            $this->key($table, 'route', length: 131, nullable: true);
            $table->foreign(['rig_id', 'unit_model', 'route'], 'change_route')->references(['rig_id', 'model', 'key'])->on('model_routes')
                ->cascadeOnDelete();
            $table->boolean('is_pick');
            $this->pointControls($table);
            $this->routeControls($table);
            $this->pickColumns($table);
        }, ['situation', 'unit', 'point', 'route', 'is_pick'], hasKey: false);
        $this->content('wishes', function (Blueprint $table) {
            $this->reference($table, 'source', 'sources');
            $this->reference($table, 'listener', 'listeners');
            $table->string('want', 10);
            $table->boolean('own_level');
            $table->boolean('alone');
        }, null, hasKey: false);
        $this->content('wish_situations', function (Blueprint $table) {
            $table->unsignedInteger('wish_position');
            $this->key($table, 'source');
            $this->key($table, 'listener');
            $this->reference($table, 'situation', 'situations');
            $table->foreign(['rig_id', 'wish_position'], 'wish')->references(['rig_id', 'position'])->on('wishes')->cascadeOnDelete();
        }, ['source', 'listener', 'situation'], hasKey: false);
    }

    /**
     * A table of a rig's content.
     *
     * @param  list<string>|null  $unique  what is unique within a rig; null where only the position is
     */
    private function content(string $name, Closure $columns, ?array $unique = ['key'], bool $hasKey = true, int $keyLength = 64): void
    {
        Schema::create($name, function (Blueprint $table) use ($name, $columns, $unique, $hasKey, $keyLength) {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            if ($hasKey) {
                $this->key($table, 'key', $keyLength);
            }
            $columns($table);
            if ($unique !== null) {
                $table->unique(['rig_id', ...$unique], "{$name}_key");
            }
            // What belongs to one parent is counted there; positions in a rig's own lists are unique.
            if (in_array($name, ['places', 'units', 'cables', 'wishes', 'situations', 'sources', 'listeners', 'equipment_models'], true)) {
                $table->unique(['rig_id', 'position'], "{$name}_position");
            }
        });
    }

    private function key(Blueprint $table, string $name, int $length = 64, bool $nullable = false): void
    {
        $table->string($name, $length)->charset('ascii')->collation('ascii_bin')->nullable($nullable);
    }

    private function reference(Blueprint $table, string $column, string $to): void
    {
        $this->key($table, $column);
        $table->foreign(['rig_id', $column], "{$table->getTable()}_{$column}")->references(['rig_id', 'key'])->on($to)->cascadeOnDelete();
    }

    /** A unit with its model, and a thing that the model has. */
    private function intoModel(Blueprint $table, string $unit, string $thing, string $to, int $length = 64, bool $nullable = false): void
    {
        $this->key($table, $unit);
        $this->key($table, "{$unit}_model");
        $this->key($table, $thing, $length, $nullable);
        $table->foreign(['rig_id', $unit, "{$unit}_model"], "{$table->getTable()}_{$unit}")->references(['rig_id', 'key', 'model'])
            ->on('units')->cascadeOnDelete()->cascadeOnUpdate();
        $table->foreign(['rig_id', "{$unit}_model", $thing], "{$table->getTable()}_{$thing}")->references(['rig_id', 'model', 'key'])
            ->on($to)->cascadeOnDelete();
    }

    private function device(Blueprint $table): void
    {
        $table->string('device_direction', 10)->nullable();
        $table->string('device_name', 120)->nullable();
        $table->decimal('device_latency_ms', 9, 3)->nullable();
    }

    /** The device by its reference, and the unit that gives it. */
    private function deviceReference(Blueprint $table, bool $nullable = false): void
    {
        $this->key($table, 'device', 200, $nullable);
        $this->key($table, 'device_unit', nullable: $nullable);
        $table->foreign(['rig_id', 'device_unit'], "{$table->getTable()}_device_unit")->references(['rig_id', 'key'])->on('units')
            ->cascadeOnDelete();
    }

    private function pickColumns(Blueprint $table): void
    {
        $this->deviceReference($table, nullable: true);
        $table->string('follows', 10)->nullable();
        $table->json('channels')->nullable();
        $table->string('device_tap', 10)->nullable();
    }

    private function pointControls(Blueprint $table): void
    {
        $table->decimal('gain', 5, 2)->nullable();
        $table->decimal('fader', 5, 2)->nullable();
        $table->boolean('mute')->nullable();
        $table->boolean('mono')->nullable();
    }

    private function routeControls(Blueprint $table): void
    {
        $table->boolean('on')->nullable();
        $table->decimal('db', 5, 2)->nullable();
        $table->string('tap', 12)->nullable();
    }
};
