<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\SituationDefault;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\SystemLevel;

/** From one situation to another: what a hand would have to do, and for whom what is heard changes. */
final class SituationDifference
{
    /** @var list<string> each in words: "Desk mixer: Mic 1 → Main off" */
    public readonly array $changes;

    /** @var list<array{before: HeardPair, after: HeardPair}> pairs whose verdict changes, or whether they are heard */
    public readonly array $pairs;

    public function __construct(public readonly Hearing $before, public readonly Hearing $after)
    {
        $changes = [];
        foreach ($this->touched() as $ref) {
            foreach ($this->told($ref) as $text) {
                $changes[] = $text;
            }
        }
        $this->changes = array_values(array_unique([...$this->presence(), ...$changes]));
        $this->pairs = (new HearingDifference($before, $after))->pairs;
    }

    /** @return list<string> what is there, runs and is plugged in the one and not in the other */
    private function presence(): array
    {
        $rig = $this->after->graph->rig;
        [$was, $is] = [$this->before->graph->state->situation, $this->after->graph->state->situation];
        $words = [];
        foreach ([
            [array_diff($is->absent, $was->absent), 'does not run', 'is not there'],
            [array_diff($was->absent, $is->absent), 'runs', 'is there'],
        ] as [$units, $program, $thing]) {
            foreach ($units as $id) {
                $words[] = "{$rig->units[$id]->name} ".($rig->modelOf($id)->isProgram() ? $program : $thing);
            }
        }
        if ($was->plugged !== $is->plugged) {
            $words[] = $is->plugged === []
                ? 'leads plugged in the order of the default'
                : 'plugged in last: '.implode(', ', array_map(fn (string $id) => $rig->cables[$id]->label, $is->plugged));
        }
        foreach ($rig->units as $unit) {
            $scene = $this->after->graph->state->scene($unit->id);
            if ($scene !== null && $scene->id !== $this->before->graph->state->scene($unit->id)?->id) {
                $words[] = "{$unit->name}: scene {$scene->name}";
            }
        }
        foreach ($is->effects as $switch) {
            if (! in_array($switch, $was->effects, false)) {
                $words[] = $switch->words($rig);
            }
        }
        foreach ($was->effects as $switch) {
            if (array_filter($is->effects, fn (EffectSwitch $one) => $one->slot() === $switch->slot()) === []) {
                $words[] = (new EffectSwitch($switch->unit, $switch->effect, ! $switch->on))->words($rig);
            }
        }
        foreach ($is->defaults as $default) {
            if (! in_array($default, $was->defaults, false)) {
                $words[] = $default->words($rig);
            }
        }
        foreach ($was->defaults as $default) {
            if (array_filter($is->defaults, fn (SituationDefault $one) => $one->slot() === $default->slot()) === []) {
                $words[] = "{$rig->units[$default->computer]->name}: {$default->what()} reset to the default";
            }
        }
        $state = $this->after->graph->state;
        $before = $this->before->graph->state;
        foreach ([...$was->settings, ...$is->settings] as $set) {
            $setting = $rig->modelOf($set->unit)->settings[$set->setting];
            $now = $state->value($set->unit, $setting);
            if ($now !== $before->value($set->unit, $setting)) {
                $words[] = (new SettingValue($set->unit, $set->setting, $now))->words($rig);
            }
        }
        foreach ($is->levels as $level) {
            if (! in_array($level, $was->levels, false)) {
                $words[] = $level->words($rig);
            }
        }
        foreach ($was->levels as $level) {
            if (array_filter($is->levels, fn (SystemLevel $one) => $one->slot() === $level->slot()) === []) {
                $words[] = "{$rig->units[$level->computer]->name}: level of ".(new Names($rig))->of($level->device).' reset to the default';
            }
        }
        foreach ([
            [array_diff($is->pulled, $was->pulled), 'out'],
            [array_diff($was->pulled, $is->pulled), 'plugged'],
        ] as [$cables, $state]) {
            foreach ($cables as $id) {
                $words[] = "{$rig->cables[$id]->label} {$state}";
            }
        }

        return $words;
    }

    /** @return array<string, PointRef|RouteRef> whatever either situation changes against the base */
    private function touched(): array
    {
        $touched = [];
        foreach ([$this->before, $this->after] as $hearing) {
            foreach ($hearing->graph->state->situation->changes as $change) {
                $touched[(string) $change->at] = $change->at;
            }
        }

        return $touched;
    }

    /** @return list<string> */
    private function told(PointRef|RouteRef $ref): array
    {
        $rig = $this->after->graph->rig;
        $unit = $rig->units[$ref->unit];
        $model = $rig->modelOf($unit);
        [$was, $is] = [$this->before->graph->state, $this->after->graph->state];
        if ($ref instanceof RouteRef) {
            $texts = [];
            // Of an exclusive group, what goes off is as much a change as what comes on.
            $group = $model->routes[$ref->key]->group;
            foreach ($model->routes as $key => $route) {
                if ($key === $ref->key || ($group !== null && $route->group === $group)) {
                    $name = "{$unit->name}: {$model->points[$route->from]->label} → {$model->points[$route->to]->label}";
                    [$a, $b] = [$was->route($unit->id, $route), $is->route($unit->id, $route)];
                    $texts[] = $a->on === $b->on ? null : $name.($b->on ? ' on' : ' off');
                    $texts[] = $a->db->equals($b->db) ? null : "{$name} at {$b->db->text()} dB";
                    $texts[] = $a->tap === $b->tap ? null : "{$name} taken {$b->tap->value}";
                }
            }

            return array_values(array_filter($texts));
        }
        $point = $model->points[$ref->point];
        $name = "{$unit->name}: {$point->label}";

        $texts = [$this->muted($name, $unit->id, $point, $was, $is)];
        foreach (Dials::of($model, $point) as $kind) {
            [$a, $b] = [$was->of($unit->id, $point, $kind), $is->of($unit->id, $point, $kind)];
            $texts[] = $a == $b || $kind->key() === 'mute' ? null : "{$name} {$kind->words($b)}";
        }
        $texts[] = $this->repicked($name, $was, $is, $ref);

        return array_values(array_filter($texts));
    }

    /** Whether a point is mute: by its switch, or by a rule of its unit. */
    private function muted(string $name, string $unit, Point $point, State $was, State $is): ?string
    {
        $isMuted = $is->isMuted($unit, $point);

        return $was->isMuted($unit, $point) === $isMuted ? null : $name.($isMuted ? ' muted' : ' unmuted');
    }

    private function repicked(string $name, State $was, State $is, PointRef $ref): ?string
    {
        $words = fn (?Pick $pick): string => $pick === null ? 'nothing'
            : ($pick->device === null ? ($pick->default ?? SystemDefault::System)->words() : (string) $pick->device);
        [$a, $b] = [$was->pick($ref->unit, $ref->point), $is->pick($ref->unit, $ref->point)];
        if ($a === $b || ($a !== null && $b !== null && $a->choosesLike($b))) {
            return null;
        }
        $program = $this->after->graph->rig->units[$ref->unit];
        $device = $this->after->graph->picked($program, $this->after->graph->rig->point($ref));

        $level = $b === null ? '' : SystemLevel::said($b->db, $b->mute ? true : null);

        return "{$name} picks ".($device === null ? $words($b) : $device->name()).($level === '' ? '' : ", in the system {$level}");
    }
}
