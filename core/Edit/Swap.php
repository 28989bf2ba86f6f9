<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationDefault;
use HiddenWire\Core\Rig\SituationRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;

/** The rig after a unit has changed its model, and what could not be carried over. */
final class Swap
{
    public readonly Rig $rig;

    /** @var list<string> in words */
    public readonly array $losses;

    private readonly EquipmentModel $old;

    private readonly EquipmentModel $new;

    private readonly Counterparts $with;

    private readonly SwappedUnit $made;

    private readonly Losses $lost;

    public function __construct(private readonly Rig $before, private readonly Unit $unit, EquipmentModel $model)
    {
        $this->old = $before->modelOf($unit);
        // The rig may have a model of this id that is another: both stay, under ids of their own.
        $model = $model->unnamed();
        $held = $before->models[$model->id] ?? $model;
        $this->new = $held == $model ? $model : $model->with(id: Naming::id($model->id, array_keys($before->models)));
        $this->lost = new Losses;
        $this->with = new Counterparts($unit->id, $this->old, $this->new);
        $this->made = new SwappedUnit($unit, $this->old, $this->new, $this->with, $this->lost);
        $this->rig = $this->swapped();
        foreach (count($before->papers->reasons) === count($this->rig->papers->reasons) ? [] : $before->papers->reasons as $reason) {
            if ($this->rig->papers->reasonFor($reason->about) === null) {
                $this->lost->add("the reason for {$reason->about->words($before)}");
            }
        }
        $this->losses = $this->lost->all();
    }

    private function swapped(): Rig
    {
        $parts = $this->before->parts();
        $cables = array_values(array_filter(array_map($this->cable(...), $parts->cables)));
        $unit = $this->made->unit();
        $models = $parts->models + [$this->new->id => $this->new];
        if (count(array_filter(
            $parts->units,
            fn (Unit $one) => $one->model === $this->old->id,
        )) === 1 && $this->old->id !== $this->new->id) {
            unset($models[$this->old->id]);
        }

        $kept = array_map(fn (Cable $cable) => $cable->id, $cables);
        $gone = array_values(array_diff(array_map(fn (Cable $cable) => $cable->id, $parts->cables), $kept));

        $swapped = $parts->changing('units', $unit->id, fn () => $unit)->with(
            models: $models,
            cables: $cables,
            devices: array_values(array_filter(array_map($this->deviceSettings(...), $parts->devices))),
            picks: array_values(array_filter(array_map($this->pick(...), $parts->picks))),
            air: array_values(array_filter(array_map($this->air(...), $parts->air))),
            sources: array_map(
                fn (Source $source) => $source->with(origins: array_values(array_filter(array_map($this->origin(...), $source->origins)))),
                $parts->sources,
            ),
            listeners: array_map(
                fn (Listener $listener) => $listener->with(at: array_values(array_filter(array_map(
                    fn (PointRef $at) => $this->point($at, "{$listener->name} listening"),
                    $listener->at,
                )))),
                $parts->listeners,
            ),
            situations: array_map(
                fn (Situation $situation) => $this->situation($situation)->without($gone),
                $parts->situations,
            ),
            controls: array_map(
                fn (Control $control) => $control->with(moves: array_values(array_filter(array_map(
                    fn (Move $move) => $this->move($control, $move),
                    $control->moves,
                )))),
                $parts->controls,
            ),
        );
        $held = Hands::held($swapped);
        foreach ($swapped->controls as $i => $control) {
            if ($held->controls[$i] !== $control) {
                $this->lost->add("what {$control->words()} moves while another one is held");
            }
        }

        return new Rig($held);
    }

    private function cable(Cable $cable): ?Cable
    {
        foreach (['from' => $cable->to, 'to' => $cable->from] as $end => $other) {
            $here = $cable->{$end};
            if ($here->unit !== $this->unit->id) {
                continue;
            }
            $there = $other->unit === $this->unit->id ? null : $this->before->socket($other);
            $socket = $this->with->socket($here->socket, $there);
            if ($socket === null) {
                return $this->lost->add($cable->label);
            }
            $type = $there === null ? $cable->type : (Mating::cable($this->new->sockets[$socket], $there) ?? $cable->type);
            $isSameType = $there !== null && Mating::cable($this->old->sockets[$here->socket], $there) === $type;
            $cable = $cable->with(...[
                $end => new SocketRef($this->unit->id, $socket),
                'type' => $isSameType ? $cable->type : $type,
                'lanes' => null,
            ]);
        }

        return $cable;
    }

    private function deviceSettings(DeviceSettings $set): ?DeviceSettings
    {
        $ref = $this->with->device($set->device);
        $called = $set->name === '' ? (string) $set->device : $set->name;
        if ($ref === null || ($set->computer === $this->unit->id && ! $this->new->family->isHost())) {
            return $this->lost->add('the settings of the device '.$called);
        }

        $playsTo = $set->playsTo === null ? null : $this->with->device($set->playsTo);
        if ($set->playsTo !== null && $playsTo === null) {
            $this->lost->add('what the system plays '.$called.' to');
        }

        $takesLast = $set->computer === $this->unit->id && $this->new->takes === Takes::LastPlugged;
        if ($takesLast && $set->roles !== []) {
            $this->lost->add('the default '.$called);
        }

        return $set->with(device: $ref, playsTo: $playsTo, roles: $takesLast ? [] : $set->roles);
    }

    private function pick(Pick $pick): ?Pick
    {
        $at = $this->point($pick->at, 'a pick');
        $device = $pick->device === null ? null : $this->with->device($pick->device);
        if ($at === null) {
            return null;
        }
        if ($pick->device !== null && $device === null) {
            return $this->lost->add("the pick of {$this->before->units[$pick->at->unit]->name}: {$this->before->point($pick->at)->label}");
        }
        $isTooWide = $device?->unit === $this->unit->id && array_filter(
            $pick->channels ?? [],
            fn (int $channel) => $channel > $this->width($device),
        ) !== [];

        return $this->taken($pick->with(
            at: $at,
            device: $device,
            channels: $isTooWide ? $this->lost->add("the channels of {$this->before->point($pick->at)->label}") : $pick->channels,
            also: array_values(array_filter(array_map(
                fn (DeviceRef $also) => $this->with->device($also) ?? $this->lost->add('a further device of a pick'),
                $pick->also,
            ))),
        ));
    }

    /** A pick as the program takes it: with the device of another point, of what it offers, of as many devices. */
    private function taken(Pick $pick): ?Pick
    {
        $program = $this->before->units[$pick->at->unit];
        $point = $program->id === $this->unit->id ? $this->new->points[$pick->at->point] : $this->before->point($pick->at);
        $words = "the pick of {$program->name}: {$point->label}";
        if ($point->deviceOf !== null) {
            return $pick->channels === null
                ? $this->lost->add($words)
                : $pick->with(device: null, default: null, tap: null, also: []);
        }
        $from = $pick->device === null ? PickFrom::Defaults : $pick->device->pickFrom($pick->tap !== null);
        if (($pick->device === null && $pick->default === null) || ! $point->offers($from)) {
            return $this->lost->add($words);
        }
        if (count($pick->also) >= $point->several) {
            $pick->also === [] || $this->lost->add("further devices of {$point->label}");
            $pick = $pick->with(also: array_slice($pick->also, 0, $point->several - 1));
        }

        return $pick;
    }

    private function width(DeviceRef $ref): int
    {
        $lane = $ref->lane === null ? null : $this->new->sockets[$ref->givenBy]->lanes[$ref->lane];

        return $lane?->channels === null
            ? $this->new->points[$lane === null ? $ref->givenBy : $lane->point]->channels
            : count($lane->channels);
    }

    private function air(AirPath $path): ?AirPath
    {
        [$from, $to] = [$this->point($path->from, 'sound through the air'), $this->point($path->to, 'sound through the air')];

        return $from === null || $to === null ? null : new AirPath($from, $to, $path->db, $path->delay);
    }

    private function origin(Origin $origin): ?Origin
    {
        $at = $this->point($origin->at, "a sound beginning at {$this->before->point($origin->at)->label}");

        return $at === null ? null : $origin->with(at: $at);
    }

    private function point(PointRef $at, string $loss): ?PointRef
    {
        if ($at->unit !== $this->unit->id) {
            return $at;
        }
        $point = $this->with->point($at->point);

        return $point === null ? $this->lost->add($loss) : new PointRef($at->unit, $point->id);
    }

    private function situation(Situation $situation): Situation
    {
        return $situation->with(
            changes: array_values(array_filter(array_map(fn (Change $change) => $this->change($situation, $change), $situation->changes))),
            defaults: array_values(array_filter(array_map(function (SituationDefault $default) use ($situation): ?SituationDefault {
                $device = $this->with->device($default->device);
                $isLost = $device === null || ($default->computer === $this->unit->id
                    && (! $this->new->family->isHost() || $this->new->takes === Takes::LastPlugged));

                return $isLost ? $this->lost->add("{$default->what()} in {$situation->name}") : $default->with(device: $device);
            }, $situation->defaults))),
            effects: array_values(array_filter(
                $situation->effects,
                fn (EffectSwitch $one) => $one->unit !== $this->unit->id || in_array($one->effect, $this->made->effectsKept(), true),
            )),
            settings: array_values(array_filter($situation->settings, function (SettingValue $set) use ($situation): bool {
                $new = $this->new->settings[$set->setting] ?? null;
                if ($set->unit !== $this->unit->id || ($new !== null && $new->whyNot($set->value) === null)) {
                    return true;
                }
                $this->lost->add("the setting {$this->old->settings[$set->setting]->label} in {$situation->name}");

                return false;
            })),
            levels: array_values(array_filter(array_map(function (SystemLevel $level) use ($situation): ?SystemLevel {
                $device = $this->with->device($level->device);
                $isLost = $device === null || ($level->computer === $this->unit->id && ! $this->new->family->isHost());

                return $isLost ? $this->lost->add("the system's level of a device in {$situation->name}") : $level->with(device: $device);
            }, $situation->levels))),
        );
    }

    private function change(Situation $situation, Change $change): ?Change
    {
        if ($change->set instanceof Pick) {
            $pick = $this->pick($change->set);

            return $pick === null ? null : new Change($pick->at, $pick);
        }
        if ($change->at->unit !== $this->unit->id) {
            return $change;
        }
        $loss = "what {$situation->name} changes";
        if ($change->at instanceof RouteRef && $change->set instanceof RouteSettings) {
            $key = $this->with->route($change->at->key);
            $kept = $key === null ? null : $this->made->fittingRoute($change->set, $key, $change->at->key);

            return $key === null || $kept === null ? $this->lost->add($loss) : new Change(new RouteRef($this->unit->id, $key), $kept);
        }
        $at = $change->at instanceof PointRef ? $this->with->point($change->at->point) : null;
        $kept = $at === null || ! $change->set instanceof PointSettings ? null : $this->made->fitting($change->set, $at, $at->label);

        return $at === null || $kept === null ? $this->lost->add($loss) : new Change(new PointRef($this->unit->id, $at->id), $kept);
    }

    private function move(Control $control, Move $move): ?Move
    {
        $at = $move->at;
        if ($at instanceof SituationRef || $at->unit !== $this->unit->id) {
            return $move;
        }
        $there = match (true) {
            $at instanceof PointRef => $this->with->point($at->point)?->id,
            $at instanceof RouteRef => $this->with->route($at->key),
            default => $at->setting,
        };
        $moved = $there === null ? null : $move->with(at: new ($at::class)($at->unit, $there));

        return $moved?->whyNot($this->new) === null && $moved !== null ? $moved : $this->lost->add("what {$control->words()} moves");
    }
}
