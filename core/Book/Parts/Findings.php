<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Quantity\Count;

/** What is not as wished, why, and what would mend it. */
final class Findings implements Part
{
    public function key(): string
    {
        return 'findings';
    }

    public function title(): string
    {
        return 'What is open';
    }

    public function blocks(Source $of): array
    {
        if ($of->rig->wishes === []) {
            return [new Text('No wishes yet, so nothing can be open.')];
        }
        $causes = $of->causes();
        if ($causes === null) {
            return [new Text('The causes have not been looked for since the last change. Open the wishes, then write the book again.')];
        }

        return $causes === [] ? [new Text('All as wished, in every situation.')] : [new Table(
            ['Cause', 'Touches', 'What mends it'],
            array_map(fn (Cause $cause) => [
                $cause->sentence,
                Count::of(count($cause->cells), 'cell'),
                $cause->cures === [] ? ($cause->why ?? '') : $cause->cures[0]->sentence,
            ], $causes),
            [2.2, 0.7, 2.2],
        )];
    }
}
