<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Signal\SoundField;

/** Every track of programs that stream and record: which sounds are on it in each situation. */
final class Tracks implements Part
{
    public function key(): string
    {
        return 'tracks';
    }

    public function title(): string
    {
        return 'Tracks';
    }

    public function blocks(BookInput $of): array
    {
        $rig = $of->rig;
        $units = array_filter(
            $rig->units,
            fn ($unit) => in_array($rig->modelOf($unit)->family, [Family::Broadcast, Family::Recorder], true),
        );
        if ($units === []) {
            return [];
        }
        $fields = array_map(fn ($situation) => $of->hearing($situation->id)->field(), $rig->situations);
        $blocks = [];
        foreach ($units as $unit) {
            $tracks = array_filter(
                $rig->modelOf($unit)->points,
                fn ($point) => in_array($point->kind, [PointKind::Bus, PointKind::Ear], true),
            );
            $rows = array_values(array_map(fn ($point) => [$point->label, ...array_values(array_map(
                fn (SoundField $field) => implode(', ', array_map(
                    fn ($sound) => $sound->name,
                    $field->sourcesAt("{$unit->id}/{$point->id}"),
                )) ?: 'silence',
                $fields,
            ))], $tracks));
            if ($rows !== []) {
                $blocks[] = new Heading($unit->name);
                $blocks[] = new Table(
                    ['Track', ...array_values(array_map(fn ($one) => $one->name, $rig->situations))],
                    $rows,
                );
            }
        }

        return $blocks;
    }
}
