<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/**
 * Something after which a rig that was tested may be otherwise: an update of a computer, which can reset what its programs pick and its
 * system's defaults and levels; or a unit that was plugged in again, after which the computer may list it as another.
 */
final readonly class Event
{
    private const UPDATE = 'update';

    private const PLUG = 'plug';

    private function __construct(public string $key, public string $unit, private bool $isUpdate)
    {
    }

    /** @return array<string, self> all that can happen to a rig, by key: "update:tower", "plug:mixer" */
    public static function all(Rig $rig): array
    {
        $events = [];
        foreach ((new DeviceLists($rig, new Wiring($rig)))->all() as $computer => $devices) {
            $events[self::UPDATE.":{$computer}"] = new self(self::UPDATE.":{$computer}", (string) $computer, true);
            foreach ($devices as $device) {
                if ($device->ref->pickFrom() === PickFrom::Plugged) {
                    $key = self::PLUG.":{$device->ref->unit}";
                    $events[$key] ??= new self($key, $device->ref->unit, false);
                }
            }
        }

        return $events;
    }

    /** "An update of Tower computer". */
    public function words(Rig $rig): string
    {
        $name = $rig->units[$this->unit]->name;

        return $this->isUpdate ? "an update of {$name}" : "{$name} plugged in again";
    }

    /**
     * What can be reset on the ways of a sound.
     *
     * @return array<string, true> keys of events
     */
    public static function resetting(Rig $rig, HeardPair $pair): array
    {
        $keys = [];
        foreach ($pair->arrivals() as $arrival) {
            foreach ($arrival->hops as $hop) {
                foreach (self::at($rig, $hop) as $key) {
                    $keys[$key] = true;
                }
            }
        }

        return $keys;
    }

    /** @return list<string> */
    private static function at(Rig $rig, Hop $hop): array
    {
        $host = fn (string $unit): ?string => $rig->hostOf($rig->units[$unit]->place)?->id;
        $keys = [];
        if ($hop->pick !== null) {
            $keys[] = $host($hop->pick->unit);
        }
        if ($hop->kind === HopKind::System && $hop->at instanceof PointRef) {
            $keys[] = $host($hop->at->unit);
        }
        $updates = array_map(fn (string $one) => self::UPDATE.":{$one}", array_filter($keys));

        return [...array_values($updates), ...($hop->at instanceof DeviceRef ? [self::PLUG.":{$hop->at->unit}"] : [])];
    }
}
