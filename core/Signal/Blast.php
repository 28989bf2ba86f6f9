<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** A sound that is much louder at a listener than any other there. */
final readonly class Blast
{
    /** From so many dB over the next loudest sound on. */
    private const OVER_DB = 10.0;

    /** @param  float  $over  dB over the next loudest */
    private function __construct(public HeardPair $pair, public float $over)
    {
    }

    /** @return list<self> the worst first; of sounds whose loudness is known only, and where there is another to compare with */
    public static function all(Hearing $hearing): array
    {
        $blasts = [];
        foreach ($hearing->rig->listeners as $listener) {
            $levels = [];
            foreach ($hearing->rig->sources as $source) {
                if ($source->loudness === null) {
                    continue;
                }
                $level = $hearing->pair($source->id, $listener->id)->level();
                if ($level !== null) {
                    $levels[$source->id] = $level->value() + $source->loudness->value();
                }
            }
            arsort($levels);
            $loudest = array_slice($levels, 0, 2, true);
            if (count($loudest) === 2) {
                $over = round(array_values($loudest)[0] - array_values($loudest)[1], 2);
                if ($over >= self::OVER_DB) {
                    $blasts[] = new self($hearing->pair((string) array_key_first($loudest), $listener->id), $over);
                }
            }
        }
        usort($blasts, fn (self $a, self $b) => $b->over <=> $a->over);

        return $blasts;
    }

    public function words(): string
    {
        return "{$this->pair->source->name} is ".number_format($this->over, 1).' dB louder than any other sound';
    }
}
