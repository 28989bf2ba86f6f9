<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/**
 * What each line of a list of equipment is taken for: "2 dynamic microphones", "Presenter mic = dynamic microphone". A line that ends with
 * a colon names the place of those after it, up to an empty line.
 *
 * @phpstan-type Line array{text: string, count: int, name: string, model: string, near: array<string, string>, place: string}
 */
final readonly class EquipmentList
{
    /** Lines that are read, and units that a line can stand for. */
    public const MOST = 60;

    public const COUNT = 24;

    /** Characters of a list. */
    public const LENGTH = 2000;

    /** Models that a line is offered. */
    private const OFFERED = 6;

    private const NUMBERS = ['a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6];

    /** What the value of a place that is not there yet begins with; then its kind, a colon and its name. */
    public const NEW = 'new:';

    /** @var list<Line> `near` by id, the likeliest first; `model` is empty where none answers */
    public array $lines;

    /** @var array<string, string> where something can stand, by what a form sends; new places among them */
    public array $places;

    private ModelSearch $search;

    /** @param  array<string, EquipmentModel>  $models  by id */
    public function __construct(public string $text, private Rig $rig, private array $models)
    {
        $this->search = new ModelSearch($models);
        $this->lines = $this->placed($this->read());
        $places = array_map(fn (Place $place): string => $place->name, $rig->places);
        foreach ($this->lines as $line) {
            if (str_starts_with($line['place'], self::NEW)) {
                $places[$line['place']] = explode(':', $line['place'], 3)[2].' (new)';
            }
        }
        $this->places = $places;
    }

    /** @return list<array{text: string, count: int, name: string, model: string, near: array<string, string>, heading: string}> */
    private function read(): array
    {
        $lines = [];
        $heading = '';
        foreach (array_slice((array) preg_split('/\R/u', mb_scrub($this->text)), 0, self::MOST) as $line) {
            $text = trim((string) preg_replace('/^\s*[-*•]\s*/u', '', (string) $line));
            if ($text === '' || str_ends_with($text, ':')) {
                $heading = trim(rtrim($text, ':'));

                continue;
            }
            $lines[] = [...$this->line($text), 'heading' => $heading];
        }

        return $lines;
    }

    /** @return array{text: string, count: int, name: string, model: string, near: array<string, string>} */
    private function line(string $text): array
    {
        [$name, $what] = str_contains($text, '=') ? array_map(trim(...), explode('=', $text, 2)) : ['', $text];
        $count = 1;
        if (preg_match('/^(\d{1,2}|'.implode('|', array_keys(self::NUMBERS)).')\s*[x×]?\s+(.+)$/iu', $what, $found) === 1) {
            $count = self::NUMBERS[mb_strtolower($found[1])] ?? max(1, min(self::COUNT, (int) $found[1]));
            $what = trim($found[2]);
        }
        $near = array_map(
            fn (EquipmentModel $model): string => $model->name,
            array_slice($this->search->find($what), 0, self::OFFERED, true),
        );
        $model = (string) (array_key_first($near) ?? '');

        return ['text' => $text, 'count' => $count, 'name' => $name, 'model' => $model, 'near' => $near];
    }

    /**
     * Each line with its place: under its heading; a computer or a console at a place of its own; a program where the computer is;
     * all else at the desk.
     *
     * @param  list<array{text: string, count: int, name: string, model: string, near: array<string, string>, heading: string}>  $lines
     * @return list<Line>
     */
    private function placed(array $lines): array
    {
        $headings = $this->headings($lines);
        $computer = $this->placeWith(fn (Family $family): bool => $family->isHost());
        $made = [];
        $taken = array_map(fn (Place $place): string => $place->name, array_values($this->rig->places));
        foreach ($lines as $line) {
            $family = isset($this->models[$line['model']]) ? $this->models[$line['model']]->family : null;
            $place = match (true) {
                $line['heading'] !== '' => $headings[$line['heading']],
                $family === null => $this->desk(),
                $this->kindOf($family) !== PlaceKind::Desk => $this->own($line, $family, $taken),
                $family->isProgram() => $computer ?? $this->desk(),
                default => $this->desk(),
            };
            $computer = $family?->isHost() === true ? $place : $computer;
            $taken[] = explode(':', $place, 3)[2] ?? '';
            unset($line['heading']);
            $made[] = [...$line, 'place' => $place];
        }

        return $made;
    }

    /**
     * The places that headings name: existing ones by name, else new ones of the kind of what is listed under them.
     *
     * @param  list<array{model: string, heading: string}>  $lines
     * @return array<string, string>
     */
    private function headings(array $lines): array
    {
        $places = [];
        foreach ($lines as $line) {
            $known = $this->placeCalled($line['heading']);
            $family = isset($this->models[$line['model']]) ? $this->models[$line['model']]->family : null;
            $kind = $family === null ? PlaceKind::Desk : $this->kindOf($family);
            if ($known !== null) {
                $places[$line['heading']] = $known;
            } elseif (! isset($places[$line['heading']]) || $kind !== PlaceKind::Desk) {
                $places[$line['heading']] = self::new($kind, $line['heading']);
            }
        }

        return $places;
    }

    private function kindOf(Family $family): PlaceKind
    {
        return match (true) {
            $family === Family::Tablet => PlaceKind::Tablet,
            $family->isHost() => PlaceKind::Computer,
            $family === Family::Console => PlaceKind::Console,
            $family->isRemote() => PlaceKind::Remote,
            default => PlaceKind::Desk,
        };
    }

    /**
     * @param  array{name: string, model: string}  $line
     * @param  list<string>  $taken  names of places
     */
    private function own(array $line, Family $family, array $taken): string
    {
        $kind = $this->kindOf($family);
        $known = $kind === PlaceKind::Remote ? $this->placeOf($kind) : null;
        $name = $line['name'] !== '' ? $line['name'] : $this->models[$line['model']]->name;

        return $known ?? self::new($kind, in_array($name, $taken, true) ? Naming::next($name, $taken) : $name);
    }

    private function desk(): string
    {
        return $this->placeOf(PlaceKind::Desk) ?? self::new(PlaceKind::Desk, 'Desk');
    }

    private function placeOf(PlaceKind $kind): ?string
    {
        foreach ($this->rig->places as $id => $place) {
            if ($place->kind === $kind) {
                return (string) $id;
            }
        }

        return null;
    }

    private function placeCalled(string $name): ?string
    {
        foreach ($this->rig->places as $id => $place) {
            if (mb_strtolower($place->name) === mb_strtolower($name)) {
                return (string) $id;
            }
        }

        return null;
    }

    /** @param  \Closure(Family): bool  $is */
    private function placeWith(\Closure $is): ?string
    {
        $units = array_filter($this->rig->units, fn (Unit $unit): bool => $is($this->rig->modelOf($unit)->family));

        return $units === [] ? null : $units[array_key_last($units)]->place;
    }

    private static function new(PlaceKind $kind, string $name): string
    {
        return self::NEW."{$kind->value}:{$name}";
    }
}
