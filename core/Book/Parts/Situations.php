<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\See;
use HiddenWire\Core\Book\Steps;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Signal\SituationDifference;
use HiddenWire\Core\Situations\SituationRow;
use HiddenWire\Core\Situations\SituationTable;

/** From the base to each situation, and back: what hands do, in order. */
final class Situations implements Part
{
    public function key(): string
    {
        return 'situations';
    }

    public function title(): string
    {
        return 'Situations, step by step';
    }

    public function blocks(BookInput $of): array
    {
        $base = $of->rig->base();
        $table = new SituationTable($of->rig);
        $own = array_filter($table->rows, fn (SituationRow $row) => in_array($base->id, $row->saidBy, true));
        $blocks = count($of->rig->situations) < 2 && $own === [] ? [] : [
            new See(new Mixes, "For {$base->name}, the default, set all as in"),
        ];
        array_push($blocks, ...$own === [] ? [] : [
            new Heading("{$base->name}, the default"),
            new Steps(array_values(array_map(fn (SituationRow $row) => $row->of->told($table->states[$base->id]), $own))),
        ]);
        foreach ($of->rig->situations as $situation) {
            if ($situation->id === $base->id) {
                continue;
            }
            foreach ([[$base, $situation], [$situation, $base]] as [$from, $to]) {
                $steps = (new SituationDifference($of->hearing($from->id), $of->hearing($to->id)))->changes;
                if ($steps === []) {
                    $blocks[] = new Heading("{$base->name} and {$situation->name}");
                    $blocks[] = new Text('Nothing to do: no differences from the default.');

                    break;
                }
                $blocks[] = new Heading(($to === $base ? 'Back from' : 'From')." {$from->name} to {$to->name}");
                $blocks[] = new Steps($steps);
            }
        }

        return $blocks;
    }
}
