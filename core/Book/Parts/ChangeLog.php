<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;

/** What was changed, by whom and when. */
final class ChangeLog implements Part
{
    public function key(): string
    {
        return 'changes';
    }

    public function title(): string
    {
        return 'Change log';
    }

    public function blocks(BookInput $of): array
    {
        if ($of->changes === [] || $of->sinceLast === null) {
            return $of->changes === [] ? [] : [$this->table($of->changes)];
        }
        $new = array_slice($of->changes, 0, $of->sinceLast);
        $old = array_slice($of->changes, $of->sinceLast);

        return [
            new Heading('Since the last book'),
            $new === [] ? new Text('Nothing.') : $this->table($new),
            ...($old === [] ? [] : [new Heading('Before'), $this->table($old)]),
        ];
    }

    /** @param  list<array{string, string, string}>  $changes */
    private function table(array $changes): Table
    {
        return new Table(['When', 'Who', 'What'], $changes, [1.1, 0.9, 4]);
    }
}
