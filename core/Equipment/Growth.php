<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Of what a unit has more or fewer, as its owner sets it up: guests of a call, strips, tracks, sources. */
final readonly class Growth
{
    /** More members than this no unit has. */
    public const MOST = 64;

    /** So many a model has. */
    public const MOST_OF_MODEL = 8;

    /**
     * @param  string  $label  one of them, in words: "guest"
     * @param  non-empty-list<string>  $parts  beginnings of the ids that each member has: "voice" for the points voice-1, voice-2
     * @param  list<array{string, string}>  $between  routes from a part of each member to a part of every other
     * @param  list<string>  $widens  points of which each member has channels of its own, next to each other, by the maps of its routes
     */
    public function __construct(
        public string $id,
        public string $label,
        public int $least,
        public int $most,
        public array $parts,
        public array $between = [],
        public array $widens = [],
    ) {
    }

    /** @return list<string> ids that the member of a number has, from 1 */
    public function member(int $number): array
    {
        return array_map(fn (string $part) => "{$part}-{$number}", $this->parts);
    }

    /**
     * The channels that a member has of a point that it widens, the first and the last; null where it has none.
     *
     * @return array{int, int}|null
     */
    public function channelsOf(EquipmentModel $model, int $number, string $wide): ?array
    {
        $parts = array_flip($this->member($number));
        $channels = [];
        foreach ($model->routes as $route) {
            foreach (is_array($route->map?->form) ? $route->map->form : [] as [$from, $to]) {
                if ($route->to === $wide && isset($parts[$route->from])) {
                    $channels[] = $to;
                } elseif ($route->from === $wide && isset($parts[$route->to])) {
                    $channels[] = $from;
                }
            }
        }

        return $channels === [] ? null : [min($channels), max($channels)];
    }

    /** How many members a model has now. */
    public function count(EquipmentModel $model): int
    {
        for ($number = 0; $number < self::MOST; $number++) {
            foreach ($this->member($number + 1) as $id) {
                if (! isset($model->points[$id]) && ! isset($model->sockets[$id]) && ! isset($model->settings[$id])) {
                    return $number;
                }
            }
        }

        return $number;
    }
}
