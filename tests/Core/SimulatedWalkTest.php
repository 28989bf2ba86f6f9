<?php

declare(strict_types=1);

use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\SimulatedWalk;

it('says at each step what is heard in the room, and shows its meters', function () {
    $rig = (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2).'/resources/starters/crab-race.json'));
    $hearings = new Hearings($rig);
    $plan = new TestPlan($hearings);
    $fine = new SimulatedWalk($hearings, []);
    foreach ($plan->steps as $step) {
        expect($fine->isAsPlanned($step))->toBeTrue()->and($fine->meters($step))->toBe($step->meters);
        $names = array_map(fn ($one) => $one->source->name, $step->expected);
        expect($fine->says($step))->toBe($step->isSilence() ? 'I hear nothing.' : 'I hear '.HiddenWire\Core\Quantity\Listing::of($names).'.');
    }
    // Every lead out in turn: who lost a sound says so, and nobody else.
    $changed = 0;
    foreach (Fault::all($rig) as $fault) {
        if (! str_starts_with($fault->words, 'Unplugged')) {
            continue;
        }
        $walk = new SimulatedWalk($hearings, [$fault]);
        $real = new Hearings($fault->edit->applyTo($rig));
        foreach ($plan->steps as $step) {
            $heard = array_filter($step->expected, fn ($one) => $real->in($step->situation->id)
                ->pair($one->source->id, $step->listener->id)->isHeard());
            $isFine = $step->isSilence() ? $heard === [] : count($heard) === count($step->expected);
            expect(str_contains($walk->says($step), '; not ') || $walk->says($step) === 'I hear nothing.')
                ->toBe($step->isSilence() ? $heard === [] : ! $isFine);
            $changed += $walk->isAsPlanned($step) ? 0 : 1;
        }
    }
    expect($changed)->toBeGreaterThan(3)->and(array_filter($plan->steps, fn (TestStep $step) => $step->meters !== []))->not->toBe([]);
});
