<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/** A step of a way as a person follows it: a cable, a device, or a whole unit with what happens inside it. */
final readonly class WayStep
{
    /**
     * @param  list<array{name: string, fader: string|null}>  $inside  the points passed inside a unit; those whose fader governs the way
     *     with its setting
     * @param  string|null  $select  what to select on a click: `unit:…` or `cable:…`
     */
    public function __construct(
        public string $title,
        public array $inside,
        public Realm $realm,
        public string $level,
        public string $time,
        public bool $changes,
        public ?string $select,
    ) {
    }

    /** Level and time where they differ from those of the step before: "−6.0 dB · 10.0 ms"; empty where neither does. */
    public function figures(?self $before): string
    {
        return implode(' · ', array_filter([
            $this->level === $before?->level ? '' : "{$this->level} dB",
            $this->time === ($before->time ?? '0.0') ? '' : "{$this->time} ms",
        ]));
    }

    /**
     * @param  non-empty-list<Hop>  $hops  of one step
     * @param  string  $unit  name of the unit where they are inside one, else empty
     */
    public static function of(array $hops, string $unit): self
    {
        $first = $hops[0];
        $last = $hops[count($hops) - 1];
        /** @var list<array{name: string, fader: string|null}> $inside */
        $inside = [];
        $gain = 0.0;
        foreach ($hops as $hop) {
            $gain += $hop->kind === HopKind::Origin ? 0 : $hop->gain->value();
            foreach ($unit === '' || $hop->kind === HopKind::Origin ? [] : explode(' → ', $hop->label) as $name) {
                if ($inside === [] || $inside[count($inside) - 1]['name'] !== $name) {
                    $inside[] = ['name' => $name, 'fader' => null];
                }
            }
            if ($hop->kind === HopKind::Fader && $inside !== []) {
                $inside[] = ['name' => array_pop($inside)['name'], 'fader' => $hop->gain->text()];
            }
        }

        return new self(
            $unit === '' ? $first->label : $unit,
            $inside,
            $last->realm,
            $last->level->text(),
            $last->time->text(),
            abs($gain) >= 0.05,
            match ($first->kind) {
                HopKind::Cable => "cable:{$first->ref}",
                HopKind::Device => $first->pick === null ? null : "unit:{$first->pick->unit}",
                HopKind::Hub => "unit:{$first->ref}",
                default => $first->at instanceof PointRef || $first->at instanceof RouteRef ? "unit:{$first->at->unit}" : null,
            },
        );
    }
}
