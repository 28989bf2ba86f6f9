<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Time;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Timing\Offset;
use HiddenWire\Core\Timing\Offsets;

/** Sound that does not come with its picture: the offset to set. */
final readonly class Sync implements Check
{
    /** A voice this far from what it speaks of is heard as early or late: twice what lips may be off. */
    private const APART_MS = 100.0;

    public function code(): string
    {
        return 'time.sync';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->units as $unit) {
            foreach ($unit->pictures === [] ? [] : (new Offsets($in->base(), $unit))->offsets as $offset) {
                if ($offset->isNoticed()) {
                    yield $this->finding($in, $offset);
                }
            }
        }
        $hasPictures = array_filter($in->rig->units, fn (Unit $unit) => $unit->pictures !== []) !== [];
        foreach ($hasPictures ? [] : $in->rig->listeners as $listener) {
            yield from $listener->kind === ListenerKind::Stream ? $this->apart($in, $listener) : [];
        }
    }

    /** @return iterable<Finding> a voice and a game that the audience hears far apart, though nobody has entered a picture */
    private function apart(Inspection $in, Listener $listener): iterable
    {
        $voice = $game = null;
        foreach ($in->rig->sources as $source) {
            $pair = $in->base()->pair($source->id, $listener->id);
            // What comes twice has no one time.
            $isPlain = $pair->wish?->want === Want::Must && ! $pair->verdict->isAtOdds();
            $delay = $isPlain ? $pair->delay()?->value() : null;
            if ($delay !== null && $source->kind === SourceKind::Voice) {
                $voice ??= $pair;
            } elseif ($delay !== null && in_array($source->kind, [SourceKind::Game, SourceKind::Console], true)) {
                $game ??= $pair;
            }
        }
        $apart = ($game?->delay()?->value() ?? 0.0) - ($voice?->delay()?->value() ?? 0.0);
        if ($voice !== null && $game !== null && abs($apart) > self::APART_MS) {
            yield new Finding(
                $this->code(),
                Severity::Risk,
                "{$voice->source->name} comes ".number_format(abs($apart), 0).' ms '.($apart > 0 ? 'before' : 'after')
                    ." {$game->source->name} at {$listener->name}",
                'Who comments on a game seems to know it before, or to be late. Hold the earlier one back, and enter the picture to see '
                    .'how both stand to it.',
                $listener->at,
            );
        }
    }

    private function finding(Inspection $in, Offset $offset): Finding
    {
        $early = $offset->earlyMs();
        $to = $offset->toSet();
        $most = $in->rig->point($offset->at)->delayTo?->value();
        $canSet = $to !== null && $most !== null && $to <= $most;

        return new Finding(
            $this->code(),
            Severity::Risk,
            "{$offset->pair->source->name} comes ".number_format(abs($early), 1).' ms '.($early > 0 ? 'before' : 'after')
                ." the picture {$offset->picture->name} in {$in->rig->units[$offset->at->unit]->name}",
            match (true) {
                $canSet => 'Lips and sound part. Hold '.$in->names->of($offset->at)." back by {$to} ms.",
                $to !== null => 'Lips and sound part. It has to be held back by '."{$to} ms, which can't be set there.",
                default => 'Lips and sound part, and the sound can\'t be made earlier: hold the picture back.',
            },
            [$offset->at],
            [],
            ! $canSet ? [] : [new Proposal(
                "Hold {$in->names->of($offset->at)} back by {$to} ms",
                [new SetPoint($offset->at, new PointSettings(delay: Milliseconds::of($to)))],
                Cost::FADER,
            )],
        );
    }
}
