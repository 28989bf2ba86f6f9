<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Want;

/** Two listeners compared sound by sound: how loud each hears it, and how far that is off the balance of the other. */
final readonly class Compared
{
    /** Softer than the loudest by so much, a sound is bleed and says nothing of a balance. */
    private const BESIDE_DB = 40.0;

    /**
     * @var list<array{source: Source, here: float|null, there: float|null, off: float|null}> dB at the one and the other listener, null
     *     where it is not heard; `off` how far the sound is from the balance, null where one of the two does not hear it or must not
     */
    public array $rows;

    /** By how much all sounds together are louder at the first listener than at the other, in dB: the median; null where none is common. */
    public ?float $offset;

    public function __construct(Hearing $hearing, string $listener, string $like)
    {
        $rows = $differences = [];
        foreach ($hearing->rig->sources as $source) {
            [$here, $there] = [$hearing->pair($source->id, $listener), $hearing->pair($source->id, $like)];
            $isWanted = $here->wish?->want !== Want::MustNot && $there->wish?->want !== Want::MustNot;
            $rows[$source->id] = [
                'source' => $source, 'here' => $here->level()?->value(), 'there' => $there->level()?->value(), 'isWanted' => $isWanted,
            ];
        }
        $loudest = fn (string $key): float => max([-INF, ...array_filter(array_column($rows, $key), is_float(...))]);
        [$atOne, $atOther] = [$loudest('here') - self::BESIDE_DB, $loudest('there') - self::BESIDE_DB];
        foreach ($rows as $id => $row) {
            if ($row['isWanted'] && $row['here'] !== null && $row['there'] !== null && $row['here'] > $atOne && $row['there'] > $atOther) {
                $differences[$id] = $row['here'] - $row['there'];
            }
        }
        $sorted = array_values($differences);
        sort($sorted);
        $middle = intdiv(count($sorted), 2);
        $this->offset = match (true) {
            $sorted === [] => null,
            count($sorted) % 2 === 1 => $sorted[$middle],
            default => ($sorted[$middle - 1] + $sorted[$middle]) / 2,
        };
        $this->rows = array_values(array_map(fn (array $row) => [
            'source' => $row['source'], 'here' => $row['here'], 'there' => $row['there'],
            'off' => isset($differences[$row['source']->id]) ? round($differences[$row['source']->id] - (float) $this->offset, 2) : null,
        ], $rows));
    }

    /** @return array<string, float> dB by which sounds are off by more than that, by source, those farthest off first */
    public function beyond(float $withinDb): array
    {
        $off = [];
        foreach ($this->rows as $row) {
            if ($row['off'] !== null && abs($row['off']) > $withinDb) {
                $off[$row['source']->id] = $row['off'];
            }
        }
        uasort($off, fn (float $a, float $b) => abs($b) <=> abs($a));

        return $off;
    }
}
