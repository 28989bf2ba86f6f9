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
        foreach ($of->rig->sources as $sound) {
            foreach ($sound->origins === [] ? [null] : $sound->origins as $origin) {
                $sounds[] = [
                    $sound->name, $sound->kind->value, $origin === null ? '' : $of->names->of($origin->at),
                    $origin === null ? '' : "{$origin->db->exactText()} dB", self::notes($sound, $origin),
                ];
            }
        }
        foreach ($of->rig->listeners as $listener) {
            $at = array_map(fn ($ear) => $of->names->of($ear), $listener->at);
            $listeners[] = [$listener->name, $listener->kind->value, implode('; ', $at)];
        }
        $air = array_map(fn (AirPath $path) => [
            $of->names->of($path->from), $of->names->of($path->to), "{$path->db->exactText()} dB",
            $path->delay === null ? '' : "{$path->delay->text()} ms",
        ], $of->rig->air);

        return [
            ...($sounds === [] ? [] : [
                new Table(['Sound', 'Kind', 'Begins at', 'Level', 'Notes'], $sounds, [1.3, 0.9, 2.3, 0.8, 1.7]),
            ]),
            ...($listeners === [] ? [] : [new Table(['Listener', 'Kind', 'Listens at'], $listeners, [1.5, 1, 3.3])]),
            ...($air === [] ? [] : [new Heading('Through the air'), new Table(['From', 'To', 'Level', 'Delay'], $air, [2, 2, 1, 1])]),
        ];
    }

    /** "0.4 m away; later by 3.0 ms; 18.0 dB over nominal, measured; touched often" */
    private static function notes(Source $sound, ?Origin $origin): string
    {
        return implode('; ', array_filter([
            $origin?->distanceM === null ? '' : "{$origin->distanceM} m away",
            $origin?->delay === null ? '' : "later by {$origin->delay->text()} ms",
            $sound->loudnessWords(),
            $sound->touched === null ? '' : "touched {$sound->touched->value}",
        ]));
    }
}
