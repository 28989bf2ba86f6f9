<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards\GuestCard;
use HiddenWire\Core\Book\Part;

/** For everybody at the far end of a call: what to do, and what they will hear. */
final class Guests implements Part
{
    public function key(): string
    {
        return 'guests';
    }

    public function title(): string
    {
        return 'For guests';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach (GuestCard::titles($of) as $key => $title) {
            $blocks = [...$blocks, ...GuestCard::card($of, $key)->blocks($title)];
        }

        return $blocks;
    }
}
