<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\CopyRecipe;
use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\LinkLevels;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\Swap;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\Draft;

/**
 * A desk with two voices and two outputs to listen at, main and side, which can follow main. Solo takes the phones over; the speaker is off
 * while a voice is open.
 *
 * @param  array<string, mixed>  $settings
 * @param  array<string, mixed>  $unit  what else the unit says
 */
function ruledDesk(array $settings = [], array $unit = []): Draft
{
    $fader = ['from' => -60, 'to' => 10, 'db' => 0];
    $strip = fn (string $id): array => ['id' => $id, 'kind' => 'strip', 'label' => ucfirst($id), 'channels' => 1, 'fader' => $fader, 'mute' => false, 'solo' => 'phones'];
    $routes = [['from' => 'tone-a', 'to' => 'ann'], ['from' => 'tone-b', 'to' => 'bob']];
    foreach (['main', 'side', 'phones', 'speaker'] as $bus) {
        foreach (['ann', 'bob'] as $strip2) {
            $routes[] = ['from' => $strip2, 'to' => $bus, 'can' => ['on', 'db', 'tap']];
        }
    }
    $points = [['id' => 'tone-a', 'kind' => 'origin', 'channels' => 1], ['id' => 'tone-b', 'kind' => 'origin', 'channels' => 1], $strip('ann'), $strip('bob')];
    foreach (['main' => [], 'side' => ['can_follow' => ['main']], 'phones' => [], 'speaker' => []] as $bus => $more) {
        $points[] = ['id' => $bus, 'kind' => 'bus', 'label' => ucfirst($bus), 'channels' => 1, 'fader' => $fader] + $more;
        $points[] = ['id' => "{$bus}-ear", 'kind' => 'ear', 'channels' => 1];
        $routes[] = ['from' => $bus, 'to' => "{$bus}-ear"];
    }
    $model = ['name' => 'Desk', 'family' => 'mixer', 'points' => $points, 'routes' => $routes, 'rules' => [
        ['id' => 'hush', 'label' => 'Speaker off', 'when' => [['point' => 'ann', 'is' => 'open'], ['point' => 'bob', 'is' => 'open']], 'any' => true,
            'routes' => ['ann>speaker' => false, 'bob>speaker' => false]]]];

    $draft = Draft::rig()->unit('desk-1', $model, 'desk', $settings)->source('ann', 'desk-1/tone-a')->source('bob', 'desk-1/tone-b');
    foreach (['main', 'side', 'phones', 'speaker'] as $bus) {
        $draft = $draft->listener($bus, "desk-1/{$bus}-ear");
    }

    return $draft->situation('late', [])->with(function (array $d) use ($unit) {
        $d['units'][0] += $unit;

        return $d;
    });
}

/** @return array<string, float|null> dB of each sound at a listener */
function inside(Rig $rig, string $listener, ?string $situation = null): array
{
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situation($situation)));

    return array_map(fn (object $source) => $hearing->pair($source->id, $listener)->level()?->value(), $rig->sources);
}

/** @return array<string, list<string>> */
function insideCauses(Rig $rig): array
{
    $causes = [];
    foreach ((new Diagnosis(new Hearings($rig)))->causes() as $cause) {
        $causes[$cause->sentence] = array_map(fn ($cure) => $cure->sentence, $cause->cures);
    }

    return $causes;
}

/** @return list<string> */
function insideRefusals(array $settings, array $unit): array
{
    try {
        ruledDesk($settings, $unit)->make();
    } catch (InvalidDocument $e) {
        return array_map(fn ($problem) => "{$problem->pointer}: {$problem->message}", $e->problems);
    }

    return [];
}

describe('an output that follows another', function () {
    it('gets what it gets, with its fader or without, but for exceptions', function (array $follows, array $side) {
        // Ann goes to main at -6 dB, Bob not at all; main's fader is at -3 dB. Side by itself has both at 0 dB.
        $settings = ['points' => ['main' => ['fader' => -3]], 'routes' => ['ann>main' => ['db' => -6], 'bob>main' => ['on' => false]]];
        expect(inside(ruledDesk($settings, $follows === [] ? [] : ['follows' => ['side' => $follows]])->make(), 'side'))->toBe($side);
    })->with([
        'its own recipe' => [[], ['ann' => 0.0, 'bob' => 0.0]],
        'without the fader' => [['of' => 'main'], ['ann' => -6.0, 'bob' => null]],
        'with the fader' => [['of' => 'main', 'with_fader' => true], ['ann' => -9.0, 'bob' => null]],
        'except Bob' => [['of' => 'main', 'with_fader' => true, 'except' => ['bob']], ['ann' => -9.0, 'bob' => -3.0]],
    ]);

    it('moves with its leader in a situation, too', function () {
        $rig = (new SetRoute(new RouteRef('desk-1', 'ann>main'), new RouteSettings(db: Decibels::of(-12)), 'late'))
            ->applyTo(ruledDesk([], ['follows' => ['side' => ['of' => 'main']]])->make());
        expect(inside($rig, 'side', 'late')['ann'])->toBe(-12.0)->and(inside($rig, 'side')['ann'])->toBe(0.0);
    });

    it('is refused where it can\'t be', function (array $follows, string $refusal) {
        expect(insideRefusals([], ['follows' => $follows]))->toBe([$refusal]);
    })->with([
        [['phones' => ['of' => 'main']], '/units/0/follows/phones/of: "Phones" follows no other output.'],
        [['side' => ['of' => 'phones']], '/units/0/follows/side/of: "Side" follows one of main.'],
        [['nowhere' => ['of' => 'main']], '/units/0/follows/nowhere: The model "model-desk" has no point "nowhere".'],
        [['side' => ['of' => 'main', 'except' => ['tone-a']]], '/units/0/follows/side/except/0: Nothing leads from "tone-a" to "side".'],
    ]);

    it('is told, compared, and kept by a swap that has it', function () {
        $rig = ruledDesk()->make();
        $follow = new Follow(new PointRef('desk-1', 'side'), new Following('main', true, ['bob']));
        expect($follow->words($rig))->toBe('Desk-1: Side follows Main with its fader, except Bob');
        $after = $follow->applyTo($rig);
        expect((new RigDifference($rig, $after))->lines())->toBe(['Places and units' => ['Desk-1: Side follows Main with its fader, except Bob']])
            ->and((new Swap($after, $after->units['desk-1'], $rig->models['model-desk']->with(id: 'twin')))->rig->units['desk-1']->follows['side'])
            ->toEqual(new Following('main', true, ['bob']));
        $alone = $rig->models['model-desk']->with(id: 'other', points: array_map(fn ($point) => $point->with(canFollow: []), $rig->models['model-desk']->points));
        expect((new Swap($after, $after->units['desk-1'], $alone))->losses)->toBe(['that Side follows Main']);
        expect((new Follow(new PointRef('desk-1', 'side'), null))->applyTo($after)->units['desk-1']->follows)->toBe([]);
    });

    it('has a cure where it follows too far', function () {
        // Bob is in main and must be; he must not be in side, which follows.
        $rig = ruledDesk([], ['follows' => ['side' => ['of' => 'main']]])->wish('bob', 'main', 'must')->wish('bob', 'side', 'must-not')->make();
        $causes = insideCauses($rig);
        expect($causes['Desk-1: Side follows Main, which has Bob'] ?? [])->toContain('Leave Bob out of Side although Main has it');
        $mended = (new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig);
        expect(insideCauses($mended))->toBe([])->and(inside($mended, 'main')['bob'])->toBe(0.0);
    });
});

it('copies a recipe once: what can be set stands as in the other output, and moves by itself from then on', function () {
    $rig = ruledDesk(['routes' => ['ann>main' => ['db' => -6, 'tap' => 'pre-fader'], 'bob>main' => ['on' => false]]])->make();
    $copied = (new CopyRecipe('desk-1', 'main', 'phones'))->applyTo($rig);
    expect(inside($copied, 'phones'))->toBe(['ann' => -6.0, 'bob' => null])->and($copied->units['desk-1']->routes['ann>phones']->tap?->value)->toBe('pre-fader');
    $later = (new SetRoute(new RouteRef('desk-1', 'ann>main'), new RouteSettings(db: Decibels::of(-20))))->applyTo($copied);
    expect(inside($later, 'phones')['ann'])->toBe(-6.0);
    // In a situation it copies what is set there, and only there.
    $late = (new CopyRecipe('desk-1', 'main', 'phones', 'late'))->applyTo($rig);
    expect(inside($late, 'phones', 'late'))->toBe(['ann' => -6.0, 'bob' => null])->and(inside($late, 'phones'))->toBe(['ann' => 0.0, 'bob' => 0.0]);
    expect((new CopyRecipe('desk-1', 'main', 'phones', 'late'))->words($rig))->toBe('Desk-1: Phones gets what Main gets in Late')
        ->and(CopyRecipe::isPossible($rig, new PointRef('desk-1', 'main'), new PointRef('desk-1', 'main-ear')))->toBeFalse();
});

describe('linked levels', function () {
    $linked = fn (array $settings = []): Rig => ruledDesk($settings, ['linked' => [['ann>main', 'ann>side']]])->make();
    $to = fn (float $db, ?string $in = null): SetRoute => new SetRoute(new RouteRef('desk-1', 'ann>main'), new RouteSettings(db: Decibels::of($db)), $in);

    it('move together and keep their offset', function () use ($linked, $to) {
        // Side is 4 dB below main; main goes from 0 to -5, so side to -9.
        $rig = $linked(['routes' => ['ann>side' => ['db' => -4]]]);
        $moved = $to(-5)->applyTo($rig);
        expect(inside($moved, 'main')['ann'])->toBe(-5.0)->and(inside($moved, 'side')['ann'])->toBe(-9.0)
            ->and($to(-5)->words($rig))->toBe('Desk-1: Ann → Main at −5.0 dB, and with it Ann → Side at −9.0 dB');
        // In a situation both move there; a switch moves nothing.
        $late = $to(-5, 'late')->applyTo($rig);
        expect(inside($late, 'side', 'late')['ann'])->toBe(-9.0)->and(inside($late, 'side')['ann'])->toBe(-4.0);
        $off = (new SetRoute(new RouteRef('desk-1', 'ann>main'), new RouteSettings(on: false)))->applyTo($rig);
        expect(inside($off, 'side')['ann'])->toBe(-4.0);
    });

    it('are linked and parted', function () use ($linked) {
        $link = new LinkLevels(new RouteRef('desk-1', 'ann>phones'), 'ann>main');
        expect($link->words($linked()))->toBe('Desk-1: Ann → Phones moves with Ann → Main')
            ->and($link->applyTo($linked())->units['desk-1']->linked)->toBe([['ann>main', 'ann>side', 'ann>phones']]);
        $parted = (new LinkLevels(new RouteRef('desk-1', 'ann>side'), null))->applyTo($linked());
        expect($parted->units['desk-1']->linked)->toBe([]);
        expect(insideRefusals([], ['linked' => [['ann>main', 'tone-a>ann']]]))
            ->toBe(['/units/0/linked/0/1: The model "model-desk" has no route "tone-a>ann" with a level of its own.'])
            ->and(insideRefusals([], ['linked' => [['ann>main']]]))->toBe(['/units/0/linked/0: This is a list of two routes or more, each once.']);
    });
});

describe('solo', function () {
    it('takes the listening bus over, before the fader, and nothing else', function () {
        $rig = ruledDesk(['points' => ['ann' => ['solo' => true, 'fader' => -20], 'bob' => ['fader' => -10]]])->make();
        // Ann is heard before her fader: 0 dB; Bob not at all. On air all is as before.
        expect(inside($rig, 'phones'))->toBe(['ann' => 0.0, 'bob' => null])->and(inside($rig, 'main'))->toBe(['ann' => -20.0, 'bob' => -10.0]);
        $both = ruledDesk(['points' => ['ann' => ['solo' => true], 'bob' => ['solo' => true]]])->make();
        expect(inside($both, 'phones'))->toBe(['ann' => 0.0, 'bob' => 0.0]);
    });

    it('is the cause where it was left on', function () {
        $rig = ruledDesk(['points' => ['ann' => ['solo' => true]]])->wish('bob', 'phones', 'must')->make();
        expect(insideCauses($rig))->toBe(['Desk-1: Ann is soloed and took Phones over' => ['Take Ann of Desk-1 out of solo']]);
        expect(insideCauses((new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig)))->toBe([]);
    });

    it('is a state of one situation', function () {
        $rig = ruledDesk()->situation('check', ['desk-1/bob' => ['solo' => true]])->make();
        expect(inside($rig, 'phones', 'check'))->toBe(['ann' => null, 'bob' => 0.0])->and(inside($rig, 'phones'))->toBe(['ann' => 0.0, 'bob' => 0.0]);
    });
});

describe('a rule of a unit', function () {
    it('is in force by its conditions', function (array $points, array $speaker, bool $isInForce) {
        $rig = ruledDesk(['points' => $points])->make();
        $rule = $rig->modelOf('desk-1')->rules['hush'];
        expect(inside($rig, 'speaker'))->toBe($speaker)->and((new State($rig, $rig->base()))->isInForce('desk-1', $rule))->toBe($isInForce)
            ->and($rule->words($rig->modelOf('desk-1')))->toBe('while Ann is open or Bob is open');
    })->with([
        'both open' => [[], ['ann' => null, 'bob' => null], true],
        'one open' => [['bob' => ['mute' => true]], ['ann' => null, 'bob' => null], true],
        'both muted' => [['ann' => ['mute' => true], 'bob' => ['mute' => true]], ['ann' => null, 'bob' => null], false],
        'a shut fader is not open' => [['ann' => ['fader' => -60], 'bob' => ['mute' => true]], ['ann' => null, 'bob' => null], false],
    ]);

    it('says by which press it ends', function () {
        // Bob's strip is muted; Ann is taken before her fader, so that the speaker could have her.
        $rig = ruledDesk(['points' => ['bob' => ['mute' => true]], 'routes' => ['ann>speaker' => ['tap' => 'input']]])->wish('ann', 'speaker', 'must')->make();
        $causes = insideCauses($rig);
        expect($causes)->toBe(['Desk-1: Speaker off is in force while Ann is open or Bob is open' => ['Mute Ann of Desk-1']]);
    });
});

it('brings all of it through a document unchanged', function () {
    $text = (new DocumentWriter)->write(ruledDesk(
        ['points' => ['ann' => ['solo' => true]]],
        ['follows' => ['side' => ['of' => 'main', 'with_fader' => true, 'except' => ['bob']]], 'linked' => [['ann>main', 'ann>phones']]],
    )->make());
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)->and($text)->toContain('"solo": true')->toContain('"can_follow": ["main"]')
        ->toContain('"follows": {"side": {"of": "main", "with_fader": true, "except": ["bob"]}}')->toContain('"linked": [["ann>main", "ann>phones"]]');
});
