<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Cards;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\CardKind;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Book\Plugs;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;

/**
 * The cabling, place by place in the order of the work: supply, the buses of computers, pictures, light, then what is analog. Each end of a
 * lead is a step of its own where it is plugged, and what stays empty is said. A step that says the same after a change stays done.
 */
final class Cabling implements CardKind
{
    public const KEY = 'cabling';

    public static function name(): string
    {
        return 'Cabling';
    }

    public static function titles(BookInput $of): array
    {
        return $of->rig->cables === [] ? [] : [self::KEY => 'Cabling'];
    }

    public static function card(BookInput $of, string $key): Card
    {
        $sections = [];
        foreach ($of->rig->places as $place) {
            $sections[$place->name] = array_map(
                fn (array $end): CardStep => new CardStep("{$end['unit']}: {$end['what']}", $end['note']),
                [...self::supply($of, $place), ...self::ends($of, $place), ...self::empty($of, $place)],
            );
        }

        return Card::of(self::KEY, 'Cabling', $of->rig->name, $sections);
    }

    /** @return list<array{unit: string, what: string, note: string, label: string, socket: string, cable: string, other: string}> */
    public static function ends(BookInput $of, Place $place): array
    {
        $plugs = new Plugs($of->rig);
        $order = array_flip(array_keys($of->rig->units));
        $ends = [];
        foreach ($of->rig->cables as $cable) {
            foreach ([[$cable->from, $cable->to], [$cable->to, $cable->from]] as [$here, $there]) {
                if ($of->rig->units[$here->unit]->place === $place->id) {
                    $ends[] = [[self::turn($cable), $order[$here->unit]], self::end($of, $cable, $plugs->of($cable), $here, $there)];
                }
            }
        }
        usort($ends, fn (array $a, array $b) => $a[0] <=> $b[0] ?: strnatcasecmp($a[1]['label'], $b[1]['label']));

        return array_column($ends, 1);
    }

    /** @return array{unit: string, what: string, note: string, label: string, socket: string, cable: string, other: string} */
    private static function end(BookInput $of, Cable $cable, string $type, SocketRef $here, SocketRef $there): array
    {
        $socket = $of->rig->socket($here);
        $isOwn = (string) $of->wiring->leadOf($cable) === (string) $here;
        $colour = ($socket->colour ?? '') === '' || str_contains(mb_strtolower($socket->label), mb_strtolower((string) $socket->colour))
            ? '' : ", {$socket->colour}";
        $far = $of->rig->units[$there->unit];
        $where = $of->rig->units[$here->unit]->place === $far->place ? '' : " at {$of->rig->places[$far->place]->name}";
        $other = "{$of->names->of($there)}{$where}";
        $length = $cable->lengthM === null ? '' : ", {$of->lengths->words($cable->lengthM)}";

        return [
            'unit' => $of->rig->units[$here->unit]->name,
            'what' => $isOwn ? "its own lead {$cable->label} goes to {$other}" : "{$cable->label} in {$socket->label}{$colour}",
            'note' => $isOwn ? '' : "{$type}{$length}; the other end in {$other}",
            'label' => $cable->label,
            'socket' => $isOwn ? 'its own lead' : "{$socket->label}{$colour}",
            'cable' => "{$type}{$length}",
            'other' => $other,
        ];
    }

    /** @return list<array{unit: string, what: string, note: string}> what hangs on the mains */
    private static function supply(BookInput $of, Place $place): array
    {
        return array_values(array_map(
            fn (Unit $unit): array => ['unit' => $unit->name, 'what' => 'into the mains', 'note' => ''],
            array_filter($of->rig->units, fn (Unit $unit) => $unit->place === $place->id && in_array(
                $of->rig->modelOf($unit)->supply,
                [Supply::MainsEarthed, Supply::MainsUnearthed],
                true,
            )),
        ));
    }

    /** @return list<array{unit: string, what: string, note: string}> sockets of cabled units into which nothing goes, a unit a step */
    private static function empty(BookInput $of, Place $place): array
    {
        $steps = [];
        foreach ($of->rig->units as $unit) {
            $free = $used = [];
            foreach ($unit->place === $place->id ? $of->rig->modelOf($unit)->sockets : [] as $socket) {
                if ($of->wiring->at("{$unit->id}/{$socket->id}") === []) {
                    $free[] = $socket->label;
                } else {
                    $used[] = $socket->label;
                }
            }
            if ($free !== [] && $used !== []) {
                $steps[] = ['unit' => $unit->name, 'what' => 'nothing goes in '.implode(', ', $free), 'note' => ''];
            }
        }

        return $steps;
    }

    private static function turn(Cable $cable): int
    {
        return match ($cable->type) {
            CableType::Usb, CableType::Network => 0,
            CableType::Hdmi, CableType::DisplayPort => 1,
            CableType::Optical, CableType::Coaxial => 2,
            CableType::Wireless => 4,
            default => 3,
        };
    }
}
