<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\OwnModel;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Sheets\Column;
use HiddenWire\Core\Sheets\ModelSheets;
use HiddenWire\Core\Sheets\Sheet;

/** The form in which a person makes a model: with what it begins from, or with what was sent and is wrong. */
final readonly class OwnModelForm
{
    /** The sheets in the order in which one looks at a box. */
    private const STEPS = [
        'Which sockets' => ['sockets'],
        'What goes where inside' => ['points', 'routes'],
        'What can be turned and chosen' => ['settings', 'rules', 'auto_mutes', 'controls'],
        'What a computer sees' => [],
        'What it shows' => ['meters', 'lamps'],
        'What else is known of it' => ['model', 'grows'],
    ];

    /** What of a sheet a computer sees: words, columns, and what is said where there is nothing. */
    private const SEEN = [
        'sockets' => [
            'Devices that it gives',
            ['lanes[].device.direction', 'lanes[].device.system_name', 'lanes[].device.latency_ms', 'lanes[].channels'],
            'None: no socket of it has a link to a computer. Say “device” under “link” of its USB socket.',
        ],
        'points' => [
            'Devices that it chooses and brings, as a program or a computer',
            ['picks', 'pick_from', 'several', 'picked_in', 'device.direction', 'device.system_name', 'device.latency_ms', 'device_of'],
            'Only programs choose devices, or bring some along.',
        ],
    ];

    /** What a row of a sheet is about. */
    private const THINGS = [
        'sockets' => 'socket', 'points' => 'point', 'routes' => 'route', 'settings' => 'setting', 'rules' => 'rule',
        'auto_mutes' => 'automatic mute', 'meters' => 'meter', 'lamps' => 'lamp', 'model' => 'the model', 'grows' => 'kind of part',
        'controls' => 'control',
    ];

    /** A sentence at each sheet that needs one. */
    private const HINTS = [
        'sockets' => 'A row for each signal that a socket carries: the second row of a socket needs no label. A point is named by its '
            .'label below.',
        'points' => 'Where a signal enters, is set, is summed, or leaves. A gain or fader has a range; a mute that is “off” is there and '
            .'open.',
        'routes' => 'What leads where. What can be switched, set or tapped by hand stands under “can”: on, db, tap.',
        'settings' => 'Switches, choices and numbers by name; a row for each of their effects.',
        'rules' => 'What it does by itself: when points are open or shut, which routes are on or off.',
        'auto_mutes' => 'What is muted while another point is open.',
        'controls' => 'What a hand moves: a knob, a key, a shortcut of a program. A row for each thing that it moves: a point, a route '
            .'(from>to), or a named setting (settings/ and its name).',
    ];

    /** Columns that are there from the start; others come when they are used or asked for. */
    private const BASIC = [
        'sockets' => ['label', 'connector', 'lanes[].way', 'lanes[].point', 'link'],
        'points' => ['label', 'kind', 'channels', 'gain.from', 'gain.to', 'fader.from', 'fader.to', 'mute'],
        'routes' => ['from', 'to', 'on', 'db', 'can'],
        'settings' => ['label', 'kind', 'choices', 'factory', 'effects[].value', 'effects[].route', 'effects[].on'],
        'rules' => ['label', 'when[].point', 'when[].is', 'routes{}.key', 'routes{}.value'],
        'auto_mutes' => ['mutes', 'while_open'],
        'meters' => ['label', 'point', 'zones[].name', 'zones[].from_db'],
        'lamps' => ['label', 'point', 'setting', 'value'],
        'model' => ['supply', 'draws_ma', 'runs_on[].system', 'asks'],
        'grows' => ['label', 'least', 'most', 'parts'],
        'controls' => ['name', 'legend', 'kind', 'moves[].at', 'moves[].set', 'moves[].from', 'moves[].to', 'moves[].law', 'moves[].by'],
    ];

    /**
     * @param  OwnModel|null  $own  null for a new one
     * @param  array{name: string, family: string, summary: string}  $head
     * @param  array<string, string>  $texts  its sheets
     * @param  list<ModelProblem>  $problems
     */
    public function __construct(
        public ?OwnModel $own,
        public array $head,
        private array $texts,
        public array $problems = [],
        public ?ModelLook $look = null,
    ) {
    }

    /** The form of a model that is kept, or of a new one that begins as another. */
    public static function of(?OwnModel $own, ?EquipmentModel $from): self
    {
        return $from === null ? new self($own, ['name' => '', 'family' => 'adapter', 'summary' => ''], []) : new self(
            $own,
            ['name' => $from->name.($own === null ? ', own' : ''), 'family' => $from->family->value, 'summary' => $from->summary],
            ModelSheets::of($from),
            look: new ModelLook($from),
        );
    }

    public function title(): string
    {
        return $this->own === null ? 'New model' : $this->head['name'];
    }

    /** Where the form is sent. */
    public function action(): string
    {
        return $this->own === null ? route('models.store') : route('models.update', $this->own->id);
    }

    /** @return array<string, list<array{key: string, sheet: Sheet, text: string, thing: string, hint: string, isFolded: bool}>> by step */
    public function steps(): array
    {
        return array_map(fn (array $keys) => array_map(fn (string $key) => [
            'key' => $key, 'sheet' => ModelSheets::all()[$key], 'text' => $this->texts[$key] ?? '', 'thing' => self::THINGS[$key],
            'hint' => self::HINTS[$key] ?? '',
            'isFolded' => ! in_array($key, ['sockets', 'points', 'routes'], true) && ($this->texts[$key] ?? '') === '',
        ], $keys), self::STEPS);
    }

    /** The step that shows once more what a computer sees. */
    public static function isOfComputers(string $step): bool
    {
        return $step === 'What a computer sees';
    }

    /**
     * @return list<array{of: string, words: string, columns: string, nothing: string, families: string}> tables of what a computer sees;
     *     `families` those of whose points it sees any, as JSON
     */
    public static function seen(): array
    {
        $families = array_filter(Family::cases(), fn (Family $one) => $one->isProgram() || $one->isHost());

        return array_map(fn (string $key, array $part) => [
            'of' => $key, 'words' => $part[0], 'columns' => self::asJson(array_values(array_filter(
                ModelSheets::all()[$key]->columns,
                fn (Column $one) => in_array($one->key, $part[1], true),
            )), $part[1]),
            'nothing' => $part[2],
            'families' => (string) json_encode(array_values(array_map(fn (Family $one) => $one->value, $families))),
        ], array_keys(self::SEEN), self::SEEN);
    }

    /** @return string the columns of a sheet for the script that draws it as a table, as JSON, those that are there from the start first */
    public static function columns(string $key): string
    {
        $basic = self::BASIC[$key] ?? [];
        $order = fn (Column $one): int => in_array($one->key, $basic, true) ? (int) array_search($one->key, $basic, true) : count($basic);
        $columns = ModelSheets::all()[$key]->columns;
        usort($columns, fn (Column $one, Column $other) => $order($one) <=> $order($other));

        return self::asJson($columns, $basic);
    }

    /**
     * @param  list<Column>  $columns
     * @param  list<string>  $basic
     */
    private static function asJson(array $columns, array $basic): string
    {
        return (string) json_encode(array_map(fn (Column $one) => [
            'words' => $one->words, 'choices' => $one->choices, 'kind' => $one->cell->value, 'refers' => $one->refers,
            'isBasic' => in_array($one->key, $basic, true),
        ], $columns), JSON_UNESCAPED_UNICODE);
    }
}
