<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\Starters;
use Illuminate\Support\Facades\Cache;

/** A starter on the Rigs page. */
final readonly class StarterCard
{
    private const SECONDS = 86400;

    /** @param  array<string, mixed>|null  $drawing  geometry of its map */
    public function __construct(
        public string $id,
        public string $name,
        public string $summary,
        public int $units,
        public int $cables,
        public ?array $drawing,
    ) {
    }

    /** @return list<self> */
    public static function all(Starters $starters): array
    {
        return Cache::remember("starters:{$starters->stamp()}", self::SECONDS, fn () => self::read($starters));
    }

    /** @return list<self> */
    private static function read(Starters $starters): array
    {
        $cards = array_map(function (string $id) use ($starters): self {
            // Of a shipped document, which tests read as a whole, its head is enough here.
            $document = json_decode($starters->text($id), true, flags: JSON_THROW_ON_ERROR);

            return new self(
                $id,
                $document['name'],
                $document['summary'],
                count($document['units']),
                count($document['cables']),
                $starters->layout($id)['geometry'] ?? null,
            );
        }, $starters->ids());
        // The simplest first.
        usort($cards, fn (self $one, self $other) => [$one->units, $one->name] <=> [$other->units, $other->name]);

        return $cards;
    }
}
