<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\Starters;
use HiddenWire\Core\Equipment\Family;
use Illuminate\Support\Facades\Cache;

/** A starter on the Rigs page. */
final readonly class StarterCard
{
    private const SECONDS = 86400;

    /**
     * @param  array<string, mixed>|null  $drawing  geometry of its map
     * @param  array<string, int>  $has  how many of each {@see Having}
     * @param  string  $about  what its units are called and are
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $summary,
        public int $units,
        public int $cables,
        public ?array $drawing,
        public array $has = [],
        public string $about = '',
    ) {
    }

    /** @return list<self> */
    public static function all(Starters $starters): array
    {
        return Cache::remember("starters-counted:{$starters->stamp()}", self::SECONDS, fn () => self::read($starters));
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
                $starters->layouts($id)[MapDepth::Cables->value]['geometry'] ?? null,
                self::has($document),
                implode(' ', array_map(
                    fn (array $unit): string => "{$unit['name']} ".($document['models'][$unit['model']]['name'] ?? ''),
                    $document['units'],
                )),
            );
        }, $starters->ids());
        // The simplest first.
        usort($cards, fn (self $one, self $other) => [$one->units, $one->name] <=> [$other->units, $other->name]);

        return $cards;
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, int>
     */
    private static function has(array $document): array
    {
        $has = [Having::Guests->value => count(array_filter($document['sources'], fn (array $one): bool => $one['kind'] === 'caller'))];
        foreach ($document['units'] as $unit) {
            $having = Having::of(Family::from($document['models'][$unit['model']]['family']));
            if ($having !== null) {
                $has[$having->value] = ($has[$having->value] ?? 0) + 1;
            }
        }

        return $has;
    }
}
