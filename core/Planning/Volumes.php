<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetReason;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HopKind;

/**
 * The volume knobs in series that everything passes on its way to one listener. One of them is to be the working knob: the last that is
 * this listener's alone. The others stay at their reference, which is how the unit comes.
 */
final readonly class Volumes
{
    /** @var list<array{at: PointRef, name: string, db: float, reference: float, isAlone: bool}> dB, in the order of the signal */
    public array $knobs;

    public ?PointRef $working;

    public function __construct(private Hearing $hearing, private Listener $listener)
    {
        $rig = $hearing->rig;
        $names = new Names($rig);
        $knobs = [];
        foreach ($this->common() as $at) {
            $point = $rig->point($at);
            $knobs[] = [
                'at' => $at,
                'name' => $names->of($at),
                'db' => $hearing->graph()->state->fader($at->unit, $point)->value(),
                'reference' => $point->fader?->db->value() ?? 0.0,
                'isAlone' => $hearing->field()->listenersBehind($at) === [$listener],
            ];
        }
        $this->knobs = $knobs;
        $own = array_values(array_filter($knobs, fn (array $knob) => $knob['isAlone']));
        $this->working = $own === [] ? null : $own[count($own) - 1]['at'];
    }

    /** Whether there is a choice of what to turn. */
    public function isInSeries(): bool
    {
        return count($this->knobs) > 1 && $this->working !== null;
    }

    /**
     * All but the working knob at their reference, what is missing then made up for by it, and written down that they are left alone.
     *
     * @return list<RigEdit>|null null where nothing is to be done, or the working knob does not go as far, or a situation sets one of them
     */
    public function edits(): ?array
    {
        $moved = 0.0;
        $edits = [];
        foreach ($this->isInSeries() ? $this->knobs : [] as $knob) {
            if ($this->isSetInSituation($knob['at'])) {
                return null;
            }
            if (! $knob['isAlone'] || (string) $knob['at'] === (string) $this->working || $knob['db'] === $knob['reference']) {
                continue;
            }
            $moved += $knob['db'] - $knob['reference'];
            $edits[] = new SetPoint($knob['at'], new PointSettings(fader: Decibels::of($knob['reference'])));
            $edits[] = $this->leaveAlone($knob['at']);
        }
        if ($edits === [] || $this->working === null) {
            return null;
        }
        $point = $this->hearing->rig->point($this->working);
        $to = round($this->hearing->graph()->state->fader($this->working->unit, $point)->value() + $moved, 2);
        $span = $point->fader;
        if ($span === null || $to < $span->from->value() || $to > $span->to->value()) {
            return null;
        }

        return [...$edits, new SetPoint($this->working, new PointSettings(fader: Decibels::of($to)))];
    }

    /** @return list<PointRef> faders that the strongest way of every sound passes that is heard, in the order of the signal */
    private function common(): array
    {
        $common = null;
        foreach ($this->hearing->rig->sources as $source) {
            $pair = $this->hearing->pair($source->id, $this->listener->id);
            $arrival = $pair->isHeard() ? $pair->arrivals()[0] ?? null : null;
            if ($arrival === null) {
                continue;
            }
            $passed = [];
            foreach ($arrival->hopsOf(HopKind::Fader) as $hop) {
                if ($hop->at instanceof PointRef) {
                    $passed[$hop->ref] = $hop->at;
                }
            }
            $common = $common === null ? $passed : array_intersect_key($common, $passed);
            if ($common === []) {
                break;
            }
        }

        return array_values($common ?? []);
    }

    private function isSetInSituation(PointRef $at): bool
    {
        foreach ($this->hearing->rig->situations as $situation) {
            foreach ($situation->changes as $change) {
                if ((string) $change->at === (string) $at && $change->set instanceof PointSettings && $change->set->fader !== null) {
                    return true;
                }
            }
        }

        return false;
    }

    private function leaveAlone(PointRef $at): RigEdit
    {
        $rig = $this->hearing->rig;
        $about = ElementRef::read("units/{$at->unit}/points/{$at->point}") ?? ElementRef::unit($at->unit);
        $working = $this->working === null ? '' : (new Names($rig))->of($this->working);
        $why = $rig->papers->reasonFor($about)->why ?? '';

        return new SetReason($about, $why === '' ? "{$working} is the volume of {$this->listener->name}." : $why, true);
    }
}
