<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** The cards that a rig has. A new kind is a class and a line here. */
final class Cards
{
    /** @var list<class-string<CardKind>> */
    private const KINDS = [
        Cards\RunDown::class, Cards\Cabling::class, Cards\GuestCard::class, Cards\ComputerCard::class, Cards\UnitCard::class,
    ];

    /** @return array<string, array<string, string>> what there is a card for, by key, by the name of the kind */
    public static function titles(BookInput $of): array
    {
        $titles = [];
        foreach (self::KINDS as $kind) {
            $titles[$kind::name()] = $kind::titles($of);
        }

        return array_filter($titles);
    }

    /** Null where the rig has none of that key. */
    public static function card(BookInput $of, string $key): ?Card
    {
        foreach (self::KINDS as $kind) {
            if (isset($kind::titles($of)[$key])) {
                return $kind::card($of, $key);
            }
        }

        return null;
    }
}
