<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;

/** What callers, teams and guests get back, and what they do not: their own voice must be left out. */
final class OwnReturns implements Part
{
    public function key(): string
    {
        return 'returns';
    }

    public function title(): string
    {
        return 'Return feeds (mix-minus)';
    }

    public function blocks(BookInput $of): array
    {
        $far = array_filter(
            $of->rig->listeners,
            fn (Listener $one) => in_array($one->kind, [ListenerKind::Caller, ListenerKind::Team], true),
        );
        $rows = [];
        foreach ($far as $listener) {
            foreach ($of->rig->situations as $situation) {
                $gets = $left = [];
                foreach ($of->rig->sources as $sound) {
                    if ($of->hearing($situation->id)->pair($sound->id, $listener->id)->isHeard()) {
                        $gets[] = $sound->name;
                    } else {
                        $left[] = $sound->name;
                    }
                }
                $rows[] = [$listener->name, $situation->name, implode(', ', $gets) ?: 'nothing', implode(', ', $left) ?: 'nothing'];
            }
        }

        return $rows === [] ? [] : [new Table(['Listener', 'Situation', 'Gets', 'Left out'], $rows, [1, 1, 2, 2])];
    }
}
