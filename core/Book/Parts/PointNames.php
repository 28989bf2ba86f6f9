<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Signal\FeedNames;
use HiddenWire\Core\Signal\Misnomer;
use HiddenWire\Core\Signal\Misnomers;

/** What somebody has called strips, buses, sources and tracks, what one feed is called at each stage, and names that mislead. */
final class PointNames implements Part
{
    public function key(): string
    {
        return 'names';
    }

    public function title(): string
    {
        return 'Names';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        $own = [];
        foreach ($of->rig->units as $unit) {
            foreach ($unit->names as $point => $name) {
                $own[] = [$unit->name, $of->rig->models[$unit->model]->points[$point]->label, $name];
            }
        }
        if ($own !== []) {
            $blocks[] = new Table(['Unit', 'What it calls it', 'Called'], $own, [1.4, 1, 1.4]);
        }
        $feeds = array_map(fn (array $row) => [
            $of->rig->units[$row['at']->unit]->name.', '.$of->rig->point($row['at'])->label,
            self::told($row),
        ], (new FeedNames($of->hearing()->graph()))->rows());
        if ($feeds !== []) {
            $blocks[] = new Heading('Stage by stage');
            $blocks[] = new Table(['Program', 'One feed, by the names that it has on its way'], $feeds, [1, 3.4]);
        }
        $graphs = array_map(fn ($situation) => $of->hearing($situation->id)->graph(), array_values($of->rig->situations));
        $misnomers = Misnomers::in($of->rig, $graphs);
        if ($misnomers !== []) {
            $blocks[] = new Heading('Names that mislead');
            $blocks[] = new Table(
                ['What is wrong', 'From its content'],
                array_map(fn (Misnomer $one) => ["{$one->sentence}.", $one->offer], $misnomers),
                [3, 1],
            );
        }

        return $blocks;
    }

    /** @param  array{direction: Direction, stages: list<array{where: string, name: string}>, beyond: string, ...}  $row */
    private static function told(array $row): string
    {
        $stages = array_map(fn (array $stage) => "{$stage['where']}: {$stage['name']}", $row['stages']);
        $all = $row['direction'] === Direction::Playback ? [...$stages, $row['beyond']] : [$row['beyond'], ...$stages];

        return implode(' → ', array_filter($all, fn (string $one) => $one !== ''));
    }
}
