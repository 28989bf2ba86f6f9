<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/** A step of a way as a person follows it: a cable, a device, or a whole unit with what happens inside it. */
final readonly class WayStep
{
    /**
     * @param  list<string>  $faders  points whose faders govern the way here
     * @param  string|null  $select  what to select on a click: `unit:…` or `cable:…`
     */
    public function __construct(public string $title, public string $detail, public Realm $realm, public string $level, public string $time, public string $change, public array $faders, public ?string $select) {}

    /**
     * @param  non-empty-list<Hop>  $hops  of one step
     * @param  string  $unit  name of the unit where they are inside one, else empty
     */
    public static function of(array $hops, string $unit): self
    {
        $first = $hops[0];
        $last = $hops[count($hops) - 1];
        $inside = [];
        $faders = [];
        $gain = 0.0;
        foreach ($hops as $hop) {
            $gain += $hop->kind === HopKind::Origin ? 0 : $hop->gain->value();
            foreach ($hop->kind === HopKind::Origin ? [] : explode(' → ', $hop->label) as $name) {
                if (end($inside) !== $name) {
                    $inside[] = $name;
                }
            }
            if ($hop->kind === HopKind::Fader) {
                $faders[] = $hop->label.' '.$hop->gain->text();
            }
        }
        $change = number_format(abs($gain), 1);

        return new self(
            $unit === '' ? $first->label : $unit,
            $unit === '' ? ['cable' => 'cable', 'hub' => 'hub', 'device' => 'device', 'air' => 'air'][$first->kind->value] ?? '' : implode(' → ', $inside),
            $last->realm,
            $last->level->text(),
            $last->time->text(),
            $change === '0.0' ? '' : ($gain < 0 ? '−' : '+').$change,
            $faders,
            match ($first->kind) {
                HopKind::Cable => "cable:{$first->ref}",
                HopKind::Device => $first->pick === null ? null : 'unit:'.strstr($first->pick, '/', true),
                HopKind::Hub => "unit:{$first->ref}",
                default => 'unit:'.strstr($first->ref, '/', true),
            },
        );
    }
}
