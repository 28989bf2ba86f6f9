<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Source;

/** Where each sound begins and each listener listens, and what goes through the air. */
final class Ends implements Part
{
    public function key(): string
    {
        return 'ends';
    }

    public function title(): string
    {
        return 'Sounds and listeners';
    }

    public function blocks(BookInput $of): array
    {
        $sounds = $listeners = [];
        $isFar = array_filter($of->rig->sources, fn (Source $one) => array_filter(
            $one->origins,
            fn (Origin $origin) => $origin->distanceM !== null,
        ) !== []) !== [];
        foreach ($of->rig->sources as $sound) {
            foreach ($sound->origins === [] ? [null] : $sound->origins as $origin) {
                $sounds[] = [
                    $sound->name, $sound->kind->value, $origin === null ? '' : $of->names->of($origin->at),
                    $origin === null ? '' : "{$origin->db->text()} dB",
                    ...($isFar ? [$origin?->distanceM === null ? '' : "{$origin->distanceM} m"] : []),
                ];
            }
        }
        foreach ($of->rig->listeners as $listener) {
            $at = array_map(fn ($ear) => $of->names->of($ear), $listener->at);
            $listeners[] = [$listener->name, $listener->kind->value, implode('; ', $at)];
        }
        $air = array_map(fn (AirPath $path) => [
            $of->names->of($path->from), $of->names->of($path->to), "{$path->db->text()} dB",
        ], $of->rig->air);

        return [
            ...($sounds === [] ? [] : [
                new Table(['Sound', 'Kind', 'Begins at', 'Level', ...($isFar ? ['Away'] : [])], $sounds, $isFar
                    ? [1.5, 1, 2.5, 0.8, 0.6] : [1.5, 1, 2.5, 0.8]),
            ]),
            ...($listeners === [] ? [] : [new Table(['Listener', 'Kind', 'Listens at'], $listeners, [1.5, 1, 3.3])]),
            ...($air === [] ? [] : [new Heading('Through the air'), new Table(['From', 'To', 'Level'], $air, [2, 2, 1])]),
        ];
    }
}
