<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Ground;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Grounds\GroundCycle;
use HiddenWire\Core\Grounds\Grounds;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;

/** A circle of grounds with an analog cable in it: which cable to isolate. */
final readonly class GroundLoop implements Check
{
    /** A balanced lead this short keeps what runs along its shield out of the sound, as good as always. */
    private const SHORT_M = 5.0;

    /** Isolators that are proposed for one cable. */
    private const PROPOSED = 2;

    public function code(): string
    {
        return 'ground.loop';
    }

    public function findings(Inspection $in): iterable
    {
        $grounds = new Grounds($in->rig);
        foreach ($grounds->cycles as $cycle) {
            $cable = $cycle->closing;
            $channels = $grounds->channelsOf($cable);
            $isolators = $this->isolators($in, $grounds, $cable, $channels);
            yield new Finding(
                $this->code(),
                $grounds->isBalanced($cable) && ($cable->lengthM ?? 0.0) <= self::SHORT_M ? Severity::Note : Severity::Risk,
                "{$cable->label} closes a ground loop through ".$this->through($in, $cycle),
                "Hum and the whine of computers run along it. Isolate {$cable->label} at {$in->names->of($grounds->receivingEnd($cable))}: "
                    .($channels === 1 ? 'one channel' : "{$channels} channels").'.',
                [
                    new CableRef($cable->id),
                    ...array_map(fn (Cable $one) => new CableRef($one->id), $cycle->cables),
                    ...array_map(fn (string $unit) => new UnitRef($unit), $cycle->units),
                ],
                [],
                array_map(fn (PutBetween $one) => new Proposal(
                    "Put {$one->model->name} into {$cable->label} at {$in->rig->units[$grounds->receivingEnd($cable)->unit]->name}",
                    [$one],
                    Cost::PLUG,
                ), $isolators),
            );
        }
    }

    private function through(Inspection $in, GroundCycle $cycle): string
    {
        $cables = implode(', ', array_map(fn (Cable $cable) => $cable->label, $cycle->cables));

        return Listing::of(array_map(fn (string $id) => $in->rig->units[$id]->name, $cycle->units))
            .($cables === '' ? '' : " ({$cables})").($cycle->isByEarth ? ', both earthed' : '');
    }

    /** @return list<PutBetween> */
    private function isolators(Inspection $in, Grounds $grounds, Cable $cable, int $channels): array
    {
        if ($in->catalogue === null) {
            return [];
        }
        $to = $grounds->receivingEnd($cable);
        $from = $in->wiring->across($cable, $to);
        $width = fn (PutBetween $one): int => max([
            0,
            ...array_map(fn (Point $point) => $point->channels, array_values($one->model->points)),
        ]);
        $enough = array_values(array_filter(
            $in->between($from, $to, [Family::Isolator]),
            fn (PutBetween $one) => $width($one) >= $channels,
        ));
        // A wider one joins what one lead keeps apart.
        usort($enough, fn (PutBetween $a, PutBetween $b) => $width($a) <=> $width($b));
        $enough = array_values(array_filter($enough, fn (PutBetween $one) => $width($one) === $width($enough[0])));

        return array_slice($enough, 0, self::PROPOSED);
    }
}
