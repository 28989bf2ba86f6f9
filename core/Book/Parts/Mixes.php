<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Book\UnitSettings;
use HiddenWire\Core\Controls\Acting;

/** Unit by unit what each mix takes and the setting of every knob and switch that acts, in any situation. */
final class Mixes implements Part
{
    public function key(): string
    {
        return 'mixes';
    }

    public function title(): string
    {
        return 'Mixes and settings';
    }

    public function blocks(BookInput $of): array
    {
        $hearings = array_map(fn ($situation) => $of->hearing($situation->id), $of->rig->situations);
        $acting = new Acting($of->rig, $hearings);
        $hands = UnitSettings::hands($of);
        $blocks = [];
        foreach ($of->rig->units as $unit) {
            array_push($blocks, ...(new UnitSettings($of, $unit, $acting, $hands))->blocks());
        }

        return $blocks === [] ? [] : [
            new Text('As all stands in the default. What is not named here stands as it comes and changes nothing that anybody hears.'),
            ...$blocks,
        ];
    }
}
