<?php

declare(strict_types=1);

namespace HiddenWire\Core\History;

use HiddenWire\Core\Rig\Rig;

/** The elements of a map, by what became of them from one revision to another. */
final class Marks
{
    /** @return array<string, Mark> by `unit:…`, `cable:…` or `pick:…`; what is as it was is left out */
    public static function between(Rig $before, Rig $after): array
    {
        $marks = [];
        foreach (['unit' => 'units', 'cable' => 'cables', 'pick' => 'picks'] as $word => $collection) {
            foreach (array_diff_key($before->{$collection}, $after->{$collection}) as $id => $_) {
                $marks["{$word}:{$id}"] = Mark::Removed;
            }
            foreach (array_diff_key($after->{$collection}, $before->{$collection}) as $id => $_) {
                $marks["{$word}:{$id}"] = Mark::Added;
            }
        }
        foreach (Elements::changed($before, $after) as $element) {
            [$collection, $rest] = [...explode('/', $element, 2), ''];
            $key = match ($collection) {
                'units' => 'unit:'.explode('/', $rest)[0],
                'cables' => "cable:{$rest}",
                'picks' => "pick:{$rest}",
                // A device is listed by its computer.
                'devices' => 'unit:'.explode(' ', $rest)[0],
                default => null,
            };
            if ($key !== null) {
                $marks[$key] ??= Mark::Changed;
            }
        }

        return $marks;
    }
}
