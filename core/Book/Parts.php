<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** The parts of the book, in their order. A new one is a class and a line here. */
final class Parts
{
    private const ALL = [
        Parts\Cover::class,
        Parts\Findings::class,
        Parts\WhoHearsWhat::class,
        Parts\Maps::class,
        Parts\Ends::class,
        Parts\Cabling::class,
        Parts\CableSchedule::class,
        Parts\Computers::class,
        Parts\Mixes::class,
        Parts\Effects::class,
        Parts\Scenes::class,
        Parts\Controls::class,
        Parts\Situations::class,
        Parts\RunDown::class,
        Parts\Tracks::class,
        Parts\Files::class,
        Parts\Guests::class,
        Parts\Feeds::class,
        Parts\Delays::class,
        Parts\Units::class,
        Parts\Shopping::class,
        Parts\PointNames::class,
        Parts\MetersToExpect::class,
        Parts\OwnReturns::class,
        Parts\Reasons::class,
        Parts\Facts::class,
        Parts\Manuals::class,
        Parts\Photos::class,
        Parts\ChangeLog::class,
        Parts\Models::class,
        Parts\WallSheet::class,
    ];

    /** Those that a book has only where they are asked for. */
    private const BESIDE = [Parts\ChangeLog::class, Parts\Models::class, Parts\WallSheet::class];

    /** @return array<string, Part> by key */
    public static function all(): array
    {
        $parts = array_map(fn (string $class): Part => new $class, self::ALL);

        return array_combine(array_map(fn (Part $part) => $part->key(), $parts), $parts);
    }

    /** @return list<string> keys of the parts of the usual book */
    public static function usual(): array
    {
        return array_keys(array_filter(self::all(), fn (Part $part) => ! in_array($part::class, self::BESIDE, true)));
    }

    /**
     * @param  list<string>|null  $keys  null for the usual book; what is no part is passed over
     * @return array<string, Part>
     */
    public static function of(?array $keys): array
    {
        return array_intersect_key(self::all(), array_flip($keys ?? self::usual()));
    }
}
