<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\Recordings;

/** What is on which track afterwards, situation by situation; where each sound is found best, what to keep, what never to sum. */
final class Files implements Part
{
    public function key(): string
    {
        return 'files';
    }

    public function title(): string
    {
        return 'Recordings afterwards';
    }

    public function blocks(BookInput $of): array
    {
        $rows = $best = [];
        foreach ($of->rig->situations as $situation) {
            $recordings = new Recordings($of->hearing($situation->id));
            foreach ($recordings->tracks as $row) {
                $units = array_unique(array_map(fn ($ear) => $of->rig->units[$ear->unit]->name, $row['track']->at));
                $sounds = array_map(fn (string|int $id) => $of->rig->sources[$id]->name, array_keys($row['sounds']));
                $rows[] = [
                    $row['track']->name, implode(', ', $units) ?: 'nowhere yet', $situation->name, implode(', ', $sounds) ?: 'silence',
                    match (count($sounds)) {
                        0 => '', 1 => 'yes', default => 'no',
                    },
                ];
            }
        }
        if ($rows === []) {
            return [];
        }
        $base = $of->rig->base();
        $recordings = new Recordings($of->hearing($base->id));
        foreach ($of->rig->sources as $sound) {
            $found = $recordings->best($sound);
            $others = implode(', ', array_map(fn ($one) => $one->name, $found->others ?? []));
            $best[] = [$sound->name, $found === null ? 'on no track' : $found->track->name, $found?->words() ?? '', $others];
        }
        $names = fn (array $all): string => implode(', ', array_map(fn ($one) => $one->name, $all));

        return [
            new Table(['Track', 'Recorded by', 'Situation', 'Sounds on it', 'Alone'], $rows, [1, 1.3, 1, 2.4, 0.6]),
            new Table(["Sound, in {$base->name}", 'Best found on', 'There', 'Together with'], $best, [1.2, 1.2, 1.4, 2]),
            new Text('Can be parted later: '.($names($recordings->partable()) ?: 'nothing').'.'),
            new Text('Keep at least: '.($names($recordings->toKeep()) ?: 'nothing was recorded').'.'),
            ...array_map(self::warning(...), $recordings->neverSummed()),
            ...array_map(
                fn (string|int $unit, string $keeps) => new Text("{$unit}: {$keeps}"),
                array_keys($recordings->containers()),
                array_values($recordings->containers()),
            ),
        ];
    }

    /**
     * @param  array{one: Listener, other: Listener, sounds: list<array{source: Source, apart: float|null, notch: float|null}>}  $pair
     */
    private static function warning(array $pair): Text
    {
        return new Text("Never sum {$pair['one']->name} and {$pair['other']->name}: ".Recordings::doubled($pair['sounds']).'.');
    }
}
