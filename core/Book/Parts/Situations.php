<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Steps;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Signal\SituationDifference;

/** From the base to each situation: what hands do, in order. */
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
        $blocks = [];
        foreach ($of->rig->situations as $situation) {
            if ($situation->id === $base->id) {
                continue;
            }
            $steps = (new SituationDifference($of->hearing($base->id), $of->hearing($situation->id)))->changes;
            $blocks[] = new Heading("From {$base->name} to {$situation->name}");
            $blocks[] = $steps === [] ? new Text('Nothing to do: no differences from the default.') : new Steps($steps);
        }

        return $blocks;
    }
}
