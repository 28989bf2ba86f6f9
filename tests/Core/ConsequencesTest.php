<?php

declare(strict_types=1);

use HiddenWire\Core\Dependence\Dependence;
use HiddenWire\Core\Dependence\Touch;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Timing\Offsets;

/*
 * What is said of a rig, done to it: what is said to be lost is lost, what is said to mute mutes, what is said to set sets. Of every
 * shipped rig.
 */

/** @return list<string> who hears what, "source listener" */
function pairsOf(Hearing $hearing, bool $mustOnly = false): array
{
    $pairs = array_filter(iterator_to_array($hearing->all(), false), fn (HeardPair $pair) => $pair->isHeard() && (! $mustOnly || $pair->wish?->want === Want::Must));

    return array_values(array_map(fn (HeardPair $pair) => "{$pair->source->id} {$pair->listener->id}", $pairs));
}

dataset('rigs', array_map(fn (string $file) => substr($file, strlen(dirname(__DIR__, 2).'/resources/'), -5), [
    ...(array) glob(dirname(__DIR__, 2).'/resources/rigs/*.json'), ...(array) glob(dirname(__DIR__, 2).'/resources/starters/*.json'),
]));

it('loses whatever is told to depend on what fails, and without a computer nothing else', function (string $file) {
    $rig = (new DocumentReader)->read(shipped("{$file}.json"));
    $told = [];
    foreach ((new Dependence(hearingOf($rig)))->elements as $element) {
        $told[($element->at instanceof CableRef ? 'cable ' : 'unit ')."{$element->at}"] = array_map(fn (HeardPair $pair) => "{$pair->source->id} {$pair->listener->id}", $element->lost);
    }
    $before = pairsOf(hearingOf($rig), mustOnly: true);
    $edits = [];
    foreach ($rig->units as $unit) {
        $edits["unit {$unit->id}"] = new SetAbsent($rig->base()->id, $unit->id, true);
    }
    foreach ($rig->cables as $cable) {
        $edits["cable {$cable->id}"] = new SetPulled($rig->base()->id, $cable->id, true);
    }
    foreach ($edits as $what => $edit) {
        $lost = array_values(array_diff($before, pairsOf(hearingOf($edit->applyTo($rig)))));
        $says = array_values(array_unique($told[$what] ?? []));
        // The hearing takes a computer's programs to run on without it.
        $isMore = $edit instanceof SetAbsent && $rig->modelOf($edit->unit)->family->isHost();
        sort($lost);
        sort($says);
        expect([$what, array_values(array_diff($lost, $says)), $isMore ? [] : array_values(array_diff($says, $lost))])->toBe([$what, [], []]);
    }
})->with('rigs');

it('mutes a sound for all where it says so, and nothing else', function (string $file) {
    $rig = (new DocumentReader)->read(shipped("{$file}.json"));
    $hearing = hearingOf($rig);
    $field = $hearing->field();
    $before = pairsOf($hearing);
    foreach ($rig->sources as $source) {
        $touch = new Touch($hearing, $source, $field->sourcesAt(...));
        $muted = array_reduce($touch->places, fn (Rig $now, $at) => ($at instanceof PointRef
            ? new SetPoint($at, new PointSettings(mute: true)) : new SetRoute($at, new RouteSettings(on: false)))->applyTo($now), $rig);
        $left = array_map(fn (HeardPair $pair) => "{$source->id} {$pair->listener->id}", $touch->left);
        $expected = array_values(array_filter($before, fn (string $pair) => ! str_starts_with($pair, "{$source->id} ") || in_array($pair, $left, true)));
        $now = hearingOf($muted);
        // What a unit has kept mute by itself while this was open opens then, as is reported: nobody else hears more.
        $opened = array_merge([], ...array_map(fn (PointRef $at) => $now->field()->listenersBehind($at), $touch->opens));
        $more = array_values(array_diff(pairsOf($now), $expected));
        $reached = array_map(fn ($listener) => is_string($listener) ? $listener : $listener->id, $opened);
        expect([$source->id, array_filter($more, fn (string $pair) => ! in_array(substr((string) strrchr($pair, ' '), 1), $reached, true))])
            ->toBe([$source->id, []])
            ->and([$source->id, array_values(array_diff(pairsOf($now), $more))])->toBe([$source->id, $expected]);
    }
})->with('rigs');

it('brings each microphone to its target with the gain to dial in, as far as that goes', function (string $file) {
    $rig = (new DocumentReader)->read(shipped("{$file}.json"));
    $hearing = hearingOf($rig);
    $count = 0;
    foreach ($hearing->all() as $pair) {
        $preamp = Chain::of($hearing->graph(), $pair)?->preamp;
        if ($preamp === null) {
            continue;
        }
        $then = hearingOf((new SetPoint($preamp->at, new PointSettings(gain: $preamp->toSet())))->applyTo($rig));
        $again = Chain::of($then->graph(), $then->pair($pair->source->id, $pair->listener->id))?->preamp;
        expect($again?->now->value())->toBe($preamp->toSet()->value())->and(abs($again->wanted->value() - $preamp->wanted->value()))->toBeLessThan(0.11);
        $count++;
    }
    expect($count)->toBeGreaterThanOrEqual(str_contains($file, 'night-relay') ? 3 : 0);
})->with('rigs');

it('lines sound and picture up with the delay to set', function (string $file) {
    $rig = (new DocumentReader)->read(shipped("{$file}.json"));
    $count = 0;
    foreach ($rig->units as $unit) {
        foreach ((new Offsets(hearingOf($rig), $unit))->offsets as $i => $offset) {
            $to = $offset->toSet();
            $most = $rig->point($offset->at)->delayTo;
            if ($to !== null && $most !== null && $to <= $most->value()) {
                $set = (new SetPoint($offset->at, new PointSettings(delay: Milliseconds::of($to))))->applyTo($rig);
                expect(abs((new Offsets(hearingOf($set), $set->units[$unit->id]))->offsets[$i]->earlyMs()))->toBeLessThan(0.1);
                $count++;
            }
        }
    }
    expect($count)->toBeGreaterThanOrEqual($file === 'starters/quiz-night' ? 1 : 0);
})->with('rigs');
