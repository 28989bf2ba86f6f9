<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * A sound that parts and meets again in stages: three inputs to three strips to three buses, each with a delay of its own, so that no two ways
 * come at one time. The number of ways to a place grows by nine a stage.
 */
final class Stages
{
    private const WIDE = 3;

    public static function text(int $stages, int $sources): string
    {
        $points = [['id' => 'ear', 'kind' => 'ear', 'channels' => 2]];
        $routes = [];
        $number = 0;
        // Microseconds that have nothing to do with each other, so that no two sums are the same.
        $join = function (string $from, string $to, float $db) use (&$routes, &$number): void {
            $routes[] = ['from' => $from, 'to' => $to, 'db' => $db, 'delay_ms' => round(0.3 + (crc32('lead '.$number++) % 90007) / 1000, 3)];
        };
        for ($stage = 1; $stage <= $stages; $stage++) {
            foreach (range(1, self::WIDE) as $i) {
                foreach (['in' => 'in', 'strip' => 'strip', 'bus' => 'bus'] as $id => $kind) {
                    $points[] = ['id' => "{$id}-{$stage}-{$i}", 'kind' => $kind, 'channels' => 2];
                }
                foreach (range(1, self::WIDE) as $j) {
                    $join("in-{$stage}-{$i}", "strip-{$stage}-{$j}", -3);
                    $join("strip-{$stage}-{$i}", "bus-{$stage}-{$j}", -3);
                }
                $join("bus-{$stage}-{$i}", $stage === $stages ? 'ear' : 'in-'.($stage + 1)."-{$i}", 0);
            }
        }
        foreach (range(1, $sources) as $source) {
            $points[] = ['id' => "tone-{$source}", 'kind' => 'origin', 'channels' => 2];
            foreach (range(1, self::WIDE) as $i) {
                $join("tone-{$source}", "in-1-{$i}", 0);
            }
        }
        $draft = Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->listener('l', 'u/ear');
        foreach (range(1, $sources) as $source) {
            $draft = $draft->source("s-{$source}", "u/tone-{$source}")->wish("s-{$source}", 'l', 'must');
        }

        return $draft->text();
    }
}
