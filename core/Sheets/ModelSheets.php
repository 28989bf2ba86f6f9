<?php

declare(strict_types=1);

namespace HiddenWire\Core\Sheets;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\ModelMove;
use HiddenWire\Core\Rig\Consistency;
use HiddenWire\Core\Rig\Format\Things\Controls;
use HiddenWire\Core\Rig\Format\Things\Models;
use HiddenWire\Core\Rig\Format\Things\NamedSettings;
use HiddenWire\Core\Rig\Format\Things\Points;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;

/**
 * An equipment model as a person writes it down: in sheets of rows, all that the format can say. Rows name points, sockets and settings by
 * their labels; ids follow from labels where none is given.
 *
 * @phpstan-import-type Row from Sheet
 */
final class ModelSheets
{
    private const MOST_ROWS = 600;

    /** @var array<string, list<Row>> */
    private readonly array $rows;

    /** @var array<string, array{list<int>, list<array<string, list<int>>>}> first rows of things and rows of their parts, by sheet */
    private array $places = [];

    /** @var array<string, array<string, string>> ids by label, by list; labels that two things have are left out */
    private array $ids = [];

    /**
     * @param  array<string, string>  $texts  sheets as text, by key: a line of headings, then a line a row, tabs between cells
     * @param  array{name: string, family: string, summary: string}  $head
     */
    public function __construct(array $texts, private readonly array $head)
    {
        $rows = [];
        foreach (self::all() as $key => $sheet) {
            $rows[$key] = self::parse($sheet, $texts[$key] ?? '');
        }
        $this->rows = $rows;
    }

    /** @return array<string, Sheet> in the order in which one looks at a box */
    public static function all(): array
    {
        static $all;

        return $all ??= [
            'model' => new Sheet('', 'What it is', Models::model(), without: [
                'name', 'family', 'summary', 'sockets', 'points', 'routes', 'auto_mutes', 'settings', 'meters', 'lamps', 'rules', 'grows',
                'controls',
            ]),
            'sockets' => new Sheet('sockets', 'Sockets', Models::socket(), ['lanes[].point' => 'points']),
            'points' => new Sheet('points', 'Points', Points::point(), [
                'device_of' => 'points', 'solo' => 'points', 'can_follow' => 'points',
            ]),
            'routes' => new Sheet('routes', 'Routes', Models::route(), ['from' => 'points', 'to' => 'points']),
            'settings' => new Sheet('settings', 'Named settings', NamedSettings::setting(), [
                'effects[].route' => 'routes', 'effects[].point' => 'points', 'effects[].socket' => 'sockets',
            ]),
            'rules' => new Sheet('rules', 'Rules', NamedSettings::rule(), ['when[].point' => 'points', 'routes{}.key' => 'routes']),
            'auto_mutes' => new Sheet('auto_mutes', 'Automatic mutes', Models::autoMute(), ['mutes' => 'points', 'while_open' => 'points']),
            'grows' => new Sheet('grows', 'Parts that there may be more of', NamedSettings::growth(), [
                'between[].from' => 'points', 'between[].to' => 'points',
            ]),
            'meters' => new Sheet('meters', 'Meters', Points::meter(), ['point' => 'points']),
            'lamps' => new Sheet('lamps', 'Lamps', Points::lamp(), ['point' => 'points', 'setting' => 'settings']),
            'controls' => new Sheet('controls', 'Controls', Controls::ofModel(), [
                'moves[].at' => 'routes', 'moves[].with' => 'controls',
            ]),
        ];
    }

    /** @return array<string, string> the sheets of a model, by key, without its head; empty for what it has nothing of */
    public static function of(EquipmentModel $model): array
    {
        /** @var array<string, list<array<string, mixed>>> $document */
        $document = (array) json_decode((string) json_encode((new DocumentWriter)->model($model)), true);
        $labels = [];
        foreach (['points', 'sockets', 'settings', 'controls'] as $list) {
            $count = array_count_values(array_map(self::label(...), $document[$list] ?? []));
            foreach ($document[$list] ?? [] as $thing) {
                $label = self::label($thing);
                $isPlain = ($count[$label] ?? 0) === 1 && preg_match('/[,>]/', $label) !== 1;
                $labels[$list][(string) $thing['id']] = $isPlain ? $label : (string) $thing['id'];
            }
        }
        $texts = [];
        foreach (self::all() as $key => $sheet) {
            $rows = $sheet->rows($sheet->list === '' ? [$document] : $document[$sheet->list] ?? []);
            $texts[$key] = self::write($sheet, array_map(
                fn (array $row) => self::renamed($sheet, $row, fn (string $list, string $id) => $labels[$list][$id] ?? $id),
                $rows,
            ));
        }

        return $texts;
    }

    /**
     * The model, as a catalogue keeps it.
     *
     * @throws InvalidDocument with every offence; {@see self::placeOf()} tells the cell
     */
    public function model(string $id): EquipmentModel
    {
        $model = (new DocumentReader)->model(json_decode((string) json_encode($this->document())), $id, []);
        $alone = new RigParts('sketch', models: [$id => $model], situations: [new Situation('base', 'Base')]);
        $found = array_map(
            fn (Problem $one) => new Problem((string) preg_replace('~^/models/[^/]+~', '', $one->pointer), $one->message),
            (new Consistency($alone))->problems(),
        );
        if ($found !== []) {
            throw new InvalidDocument($found);
        }

        return $model;
    }

    /** @return array<string, mixed> as a document holds it */
    public function document(): array
    {
        $things = [];
        foreach (self::all() as $key => $sheet) {
            [$things[$key], $first, $parts] = $sheet->things($this->rows[$key]);
            $this->places[$key] = [$first, $parts];
        }
        foreach (['points', 'sockets', 'settings', 'rules', 'grows', 'meters', 'lamps', 'controls'] as $list) {
            $things[$list] = $this->identified($list, $things[$list]);
        }
        foreach ($things['sockets'] as $i => $socket) {
            /** @var list<array<string, mixed>> $lanes */
            $lanes = $socket['lanes'] ?? [];
            $things['sockets'][$i]['lanes'] = self::lanes($lanes);
        }
        $said = array_filter($this->head, fn (string $text, string $key) => $text !== '' || $key === 'name', ARRAY_FILTER_USE_BOTH);
        $document = [...$said, ...$things['model'][0] ?? []];
        foreach (self::all() as $key => $sheet) {
            if ($sheet->list !== '') {
                $document[$key] = array_map(fn (array $thing) => $this->resolved($sheet, $thing), $things[$key]);
            }
        }

        return array_map(self::asObjects(...), $document);
    }

    /** @return array{string, int, string}|null sheet, row counted from 0, key of the column where one is known; null where it is of none */
    public function placeOf(string $pointer): ?array
    {
        $steps = explode('/', ltrim($pointer, '/'));
        $sheet = self::all()[$steps[0]] ?? null;
        if ($sheet === null || $sheet->list === '' || ! isset($steps[1])) {
            return isset($this->places['model']) ? ['model', 0, $steps[0]] : null;
        }
        [$first, $parts] = $this->places[$steps[0]] ?? [[], []];
        $row = $first[(int) $steps[1]] ?? null;
        $rest = array_slice($steps, 2);
        $key = implode('.', $rest);
        // Parts of a map are named, not counted: there the thing's own row is reported.
        if (ctype_digit($rest[1] ?? '') && isset($parts[(int) $steps[1]][$rest[0]][(int) $rest[1]])) {
            $row = $parts[(int) $steps[1]][$rest[0]][(int) $rest[1]];
            $key = "{$rest[0]}[].".implode('.', array_slice($rest, 2));
        }

        return $row === null ? null : [$steps[0], $row, $key];
    }

    /**
     * Ids for what has none, and the labels by which others name things.
     *
     * @param  list<array<string, mixed>>  $things
     * @return list<array<string, mixed>>
     */
    private function identified(string $list, array $things): array
    {
        $taken = array_map(strval(...), array_column($things, 'id'));
        $labels = array_count_values(array_map(self::label(...), $things));
        foreach ($things as $i => $thing) {
            $label = self::label($thing);
            if (($thing['id'] ?? '') === '') {
                $things[$i] = ['id' => $taken[] = Naming::id($label, $taken), ...$thing];
            }
            if (($labels[$label] ?? 0) === 1) {
                $this->ids[$list][$label] = (string) $things[$i]['id'];
            }
        }

        return $things;
    }

    /**
     * What a thing is called by others: its label, or of a control its name; else its id.
     *
     * @param  array<string, mixed>  $thing
     */
    private static function label(array $thing): string
    {
        return (string) ($thing['label'] ?? $thing['name'] ?? $thing['id'] ?? '');
    }

    /**
     * @param  list<array<string, mixed>>  $lanes
     * @return list<array<string, mixed>> with ids
     */
    private static function lanes(array $lanes): array
    {
        $taken = array_map(strval(...), array_column($lanes, 'id'));

        return array_map(function (array $lane) use (&$taken): array {
            return isset($lane['id']) ? $lane : ['id' => $taken[] = Naming::id((string) ($lane['way'] ?? 'lane'), $taken), ...$lane];
        }, $lanes);
    }

    /**
     * A thing with ids where its rows have labels.
     *
     * @param  array<string, mixed>  $thing
     * @return array<string, mixed>
     */
    private function resolved(Sheet $sheet, array $thing): array
    {
        $rows = $sheet->rows([$thing]);
        $named = array_map(fn (array $row) => self::renamed($sheet, $row, $this->idOf(...)), $rows);

        return $sheet->things($named)[0][0] ?? $thing;
    }

    /** The id of what a label names; a name that nothing has becomes an id all the same, so that its absence is reported. */
    private function idOf(string $list, string $name): string
    {
        return $this->ids[$list][$name] ?? (preg_match('/^[a-z0-9][a-z0-9._-]*$/D', $name) === 1 ? $name : Naming::id($name, []));
    }

    /**
     * A row in which what it refers to is named otherwise.
     *
     * @param  Row  $row
     * @param  \Closure(string, string): string  $name  gets a list and how a thing of it is named
     * @return Row
     */
    private static function renamed(Sheet $sheet, array $row, \Closure $name): array
    {
        foreach ($sheet->columns as $column) {
            if ($column->refers === '' || ! isset($row[$column->key])) {
                continue;
            }
            $ends = fn (string $text): string => implode('>', array_map(
                fn (string $end) => $name('points', trim($end)),
                explode('>', $text),
            ));
            $one = fn (string $text): string => match (true) {
                str_starts_with($text, ModelMove::SETTINGS) => ModelMove::SETTINGS
                    .$name('settings', trim(substr($text, strlen(ModelMove::SETTINGS)))),
                $column->refers === 'routes' => $ends($text),
                default => $name($column->refers, trim($text)),
            };
            $row[$column->key] = $column->cell === Cell::Words
                ? implode(', ', array_map($one, explode(',', $row[$column->key])))
                : $one($row[$column->key]);
        }

        return $row;
    }

    /** Maps are objects also where they are empty or have keys of digits. */
    private static function asObjects(mixed $list): mixed
    {
        if (! is_array($list) || ! array_is_list($list)) {
            return $list;
        }

        return array_map(function (mixed $thing): mixed {
            foreach (['says', 'routes'] as $map) {
                if (is_array($thing) && isset($thing[$map])) {
                    $thing[$map] = (object) $thing[$map];
                }
            }

            return $thing;
        }, $list);
    }

    /** @return list<Row> */
    private static function parse(Sheet $sheet, string $text): array
    {
        $lines = array_values(array_filter(preg_split('/\R/', $text) ?: [], fn (string $line) => trim($line) !== ''));
        if ($lines === []) {
            return [];
        }
        $keys = [];
        foreach ($sheet->columns as $column) {
            $keys[$column->key] = $keys[mb_strtolower($column->words)] = $column->key;
        }
        $heads = array_map(fn (string $head) => $keys[mb_strtolower(trim($head))] ?? '', explode("\t", array_shift($lines)));

        return array_map(function (string $line) use ($heads): array {
            $row = [];
            foreach (explode("\t", $line) as $i => $cell) {
                if (($heads[$i] ?? '') !== '' && trim($cell) !== '') {
                    $row[$heads[$i]] = trim($cell);
                }
            }

            return $row;
        }, array_slice($lines, 0, self::MOST_ROWS));
    }

    /** @param  list<Row>  $rows */
    private static function write(Sheet $sheet, array $rows): string
    {
        $used = array_values(array_filter($sheet->columns, fn (Column $one) => array_filter(array_column($rows, $one->key)) !== []
            || array_filter($rows, fn (array $row) => isset($row[$one->key])) !== []));
        if ($rows === [] || $used === []) {
            return '';
        }
        $plain = fn (string $cell): string => trim((string) preg_replace('/\s+/u', ' ', $cell));
        $lines = [implode("\t", array_map(fn (Column $one) => $one->words, $used))];
        foreach ($rows as $row) {
            $lines[] = implode("\t", array_map(fn (Column $one) => $plain($row[$one->key] ?? ''), $used));
        }

        return implode("\n", $lines);
    }
}
