<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\CopyRecipe;
use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SoundField;

/**
 * Who hears exactly what an output of a mixer gets, in the same balance; and by which choice others in the room could listen to it, without
 * a change for those on the air.
 */
final class ListeningIn
{
    /** The same balance, within dB. */
    private const WITHIN_DB = 1.0;

    /** What others would not notice, dB. */
    private const UNNOTICED_DB = 0.1;

    /** Choices that are tried at most for one output. */
    private const TRIED = 24;

    /** Units up to which any are tried. */
    private const UNITS = 200;

    /** @var array<array-key, float> dB of what the output gets, by source */
    private readonly array $mix;

    private readonly SoundField $field;

    private int $tried = 0;

    public function __construct(private readonly Hearing $hearing, private readonly Unit $unit, private readonly Point $output)
    {
        $this->field = $hearing->field();
        $this->mix = $this->field->levelsAt(new PointRef($unit->id, $output->id));
    }

    public function isEmpty(): bool
    {
        return $this->mix === [];
    }

    /** @return list<Listener> who hears exactly this now */
    public function hear(): array
    {
        return array_values(array_filter(
            $this->hearing->rig->listeners,
            fn (Listener $one) => $this->isHeardBy($one, $this->hearing),
        ));
    }

    /** @return list<ListeningChoice> for each other listener in the room the easiest that there is */
    public function choices(): array
    {
        $rig = $this->hearing->rig;
        $choices = [];
        foreach ($this->isEmpty() || count($rig->units) > self::UNITS ? [] : $rig->listeners as $listener) {
            if (! self::isInRoom($listener) || $this->isHeardBy($listener, $this->hearing)) {
                continue;
            }
            foreach ($this->edits($listener) as [$edit, $words]) {
                $choice = $this->tried++ < self::TRIED ? $this->tried($listener, $edit, $words) : null;
                if ($choice !== null) {
                    $choices[] = $choice;

                    break;
                }
            }
        }

        return $choices;
    }

    private function isHeardBy(Listener $listener, Hearing $hearing): bool
    {
        $differences = [];
        foreach ($hearing->rig->sources as $source) {
            $level = $hearing->pair($source->id, $listener->id)->level()?->value();
            if (($level === null) !== ! isset($this->mix[$source->id])) {
                return false;
            }
            if ($level !== null) {
                $differences[] = $level - $this->mix[$source->id];
            }
        }

        return $differences !== [] && max($differences) - min($differences) <= self::WITHIN_DB;
    }

    /** @return list<array{RigEdit, string}> what the listener could do, the easiest first, with how it is said */
    private function edits(Listener $listener): array
    {
        $rig = $this->hearing->rig;
        $model = $rig->modelOf($this->unit);
        $id = $this->hearing->situation->id;
        $situation = $rig->isBase($id) ? null : $id;
        $at = new PointRef($this->unit->id, $this->output->id);
        $edits = [];
        if ($this->output->solo !== null) {
            $edits[] = [new SetPoint($at, new PointSettings(solo: true), $situation), "solo {$this->output->label}"];
        }
        $outputs = array_filter($model->points, fn (Point $point) => $point->id !== $this->output->id && in_array(
            $listener,
            $this->field->listenersBehind(new PointRef($this->unit->id, $point->id)),
            true,
        ));
        foreach ($outputs as $point) {
            $route = $model->routes["{$this->output->id}>{$point->id}"] ?? null;
            if ($route?->group !== null && ! $this->hearing->graph()->state->route($this->unit->id, $route)->on) {
                $edits[] = [
                    new SetRoute(new RouteRef($this->unit->id, $route->key()), new RouteSettings(on: true), $situation),
                    "choose {$this->output->label} for {$point->label}",
                ];
            }
        }
        foreach ($outputs as $point) {
            if (in_array($this->output->id, $point->canFollow, true)) {
                $edits[] = [
                    new Follow(new PointRef($this->unit->id, $point->id), new Following($this->output->id)),
                    "let {$point->label} follow {$this->output->label}",
                ];
            }
        }
        foreach ($outputs as $point) {
            if (CopyRecipe::isPossible($rig, $at, new PointRef($this->unit->id, $point->id))) {
                $edits[] = [
                    new CopyRecipe($this->unit->id, $this->output->id, $point->id, $situation),
                    "copy what {$this->output->label} gets to {$point->label}",
                ];
            }
        }

        return $edits;
    }

    private function tried(Listener $listener, RigEdit $edit, string $words): ?ListeningChoice
    {
        try {
            $rig = $edit->applyTo($this->hearing->rig);
        } catch (InvalidRig) {
            return null;
        }
        $situation = $rig->situation($this->hearing->situation->id) ?? $rig->base();
        $after = new Hearing((new GraphBuilder($rig))->build($situation, $this->hearing->graph()), before: $this->hearing);
        if (! $this->isHeardBy($listener, $after)) {
            return null;
        }
        $also = [];
        foreach ($rig->listeners as $other) {
            if ($other->id === $listener->id || ! $this->isChanged($other, $after)) {
                continue;
            }
            if (! self::isInRoom($other)) {
                return null;
            }
            $also[] = $other;
        }

        return new ListeningChoice($listener, $edit, $words, $also);
    }

    private static function isInRoom(Listener $listener): bool
    {
        return in_array($listener->kind, [ListenerKind::Headphones, ListenerKind::Speakers], true);
    }

    private function isChanged(Listener $listener, Hearing $after): bool
    {
        foreach ($after->rig->sources as $source) {
            $was = $this->hearing->pair($source->id, $listener->id)->level()?->value();
            $is = $after->pair($source->id, $listener->id)->level()?->value();
            if (($was === null) !== ($is === null) || abs(($was ?? 0.0) - ($is ?? 0.0)) > self::UNNOTICED_DB) {
                return true;
            }
        }

        return false;
    }
}
