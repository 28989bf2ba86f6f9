<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;

/** A test plan walked in a simulated room: what its people say at each step, a guest in the call among them, and what its meters show. */
final readonly class SimulatedWalk
{
    private Hearings $real;

    private TestPlan $there;

    /**
     * @param  list<Fault>  $faults  those that are hidden in it
     *
     * @throws InvalidRig where they cannot be together
     */
    public function __construct(Hearings $plan, array $faults)
    {
        $rig = array_reduce($faults, fn (Rig $rig, Fault $fault) => $fault->edit->applyTo($rig), $plan->rig);
        $this->real = new Hearings($rig, [], $plan);
        $this->there = new TestPlan($this->real);
    }

    /** "I hear Game and Host; Music with an echo; not Caller." */
    public function says(TestStep $step): string
    {
        $by = [];
        $hearing = $this->real->in($step->situation->id);
        foreach ($step->expected as $expected) {
            $by[Impression::of($hearing->pair($expected->source->id, $step->listener->id))->value][] = $expected->source->name;
        }
        $nothing = $by[Impression::Nothing->value] ?? [];
        if (count($by) === 1 && $nothing !== []) {
            return 'I hear nothing.';
        }
        $said = [];
        foreach (Impression::cases() as $impression) {
            $names = $impression === Impression::Nothing ? [] : $by[$impression->value] ?? [];
            if ($names !== []) {
                $said[] = Listing::of($names).($impression === Impression::Heard ? '' : ' '.$impression->words());
            }
        }

        return 'I hear '.implode('; ', $said).($nothing === [] || $step->isSilence() ? '.' : '; not '.Listing::of($nothing).'.');
    }

    /** @return list<string> what the meters on the way show there; none where nothing moves any */
    public function meters(TestStep $step): array
    {
        return $this->there->step($step->key)->meters ?? [];
    }

    /** Whether a step is there as it is planned. */
    public function isAsPlanned(TestStep $step): bool
    {
        return $this->there->step($step->key)?->state === $step->state;
    }
}
