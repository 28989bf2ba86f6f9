<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Mending;
use Tests\Support\Draft;

/** The first cure of the first cause; and that all of them leave everything as wished. */
function firstCure(Draft $draft): string
{
    $hearings = new Hearings($draft->make());
    $causes = (new Diagnosis($hearings))->causes();
    $mending = new Mending($hearings, $causes);
    expect([$mending->left, array_map(fn (Cause $one) => $one->sentence, $mending->open)])->toBe([0, []]);

    return $causes[0]->cures[0]->sentence;
}

/** A unit with an origin for each source and an ear for each listener, by name, and more points. */
function knobs(array $points, array $routes, array $sounds, array $ears, array $wishes, array $settings = [], array $more = []): Draft
{
    $ids = array_column($points, 'id');
    $made = [
        ...array_map(fn (string $id) => ['id' => $id, 'kind' => 'origin', 'channels' => 1], array_diff($sounds, $ids)),
        ...array_map(fn (string $id) => ['id' => $id, 'kind' => 'ear', 'channels' => 1], array_diff($ears, $ids)), ...$points,
    ];
    $draft = Draft::rig()->unit('u', ['points' => $made, 'routes' => array_map(fn (array $one) => ['from' => $one[0], 'to' => $one[1]] + ($one[2] ?? []), $routes)] + $more, 'desk', $settings);
    array_map(fn (string $id) => $draft->source($id, "u/{$id}"), $sounds);
    array_map(fn (string $id) => $draft->listener($id, "u/{$id}"), $ears);

    return $draft->with(fn (array $d) => ['wishes' => array_map(fn (array $one) => ['source' => $one[0], 'listener' => $one[1], 'want' => $one[2]] + ($one[3] ?? []), $wishes)] + $d);
}

const SWITCHED = ['on' => false, 'can' => ['on']];

it('opens several things that are shut on one way', function () {
    $strip = fn (string $id): array => ['id' => $id, 'kind' => 'strip', 'channels' => 1, 'mute' => false];
    $draft = knobs([$strip('a'), $strip('b')], [['ann', 'a'], ['a', 'b', SWITCHED], ['b', 'l']], ['ann'], ['l'], [['ann', 'l', 'must']], ['points' => ['a' => ['mute' => true], 'b' => ['mute' => true]]]);
    expect(firstCure($draft))->toBe('Unmute a of U, and switch on a → b of U, and unmute b of U');
});

it('opens one thing and shuts another with it', function () {
    // The switch brings both Ann and Bob; Bob has a switch of his own before it.
    $draft = knobs([['id' => 'mix', 'kind' => 'bus', 'channels' => 1]], [['ann', 'mix'], ['bob', 'mix', ['can' => ['on']]], ['mix', 'l', SWITCHED]], ['ann', 'bob'], ['l'], [['ann', 'l', 'must'], ['bob', 'l', 'must-not']]);
    expect(firstCure($draft))->toBe('Switch on mix → l of U, and switch off bob → mix of U');
});

it('stops everything else where a sound has to be alone', function () {
    $draft = knobs([], [['ann', 'l'], ['bob', 'l', ['can' => ['on']]], ['cy', 'l', ['can' => ['on']]]], ['ann', 'bob', 'cy'], ['l'], [['ann', 'l', 'must', ['alone' => true]]]);
    expect(firstCure($draft))->toBe('Switch off bob → l of U, and switch off cy → l of U');
});

it('says where sounds that have to be apart became one', function () {
    $draft = knobs([['id' => 'mix', 'kind' => 'bus', 'channels' => 1]], [['ann', 'mix'], ['bob', 'mix'], ['mix', 'l']], ['ann', 'bob'], ['l'], [['ann', 'l', 'must', ['alone' => true]]]);
    $cause = (new Diagnosis(new Hearings($draft->make())))->causes()[0];
    expect($cause->sentence)->toBe('Ann at L is not alone: Bob, which can\'t be separated after U · mix → l')
        ->and($cause->why)->toStartWith('Send one of the two by another route before U · mix → l.');
});

it('puts a rule of the unit back in force rather than muting by hand', function () {
    $draft = knobs(
        [['id' => 'mic', 'kind' => 'strip', 'channels' => 1, 'mute' => false], ['id' => 'boxes', 'kind' => 'bus', 'channels' => 1, 'mute' => false]],
        [['ann', 'mic'], ['mic', 'air'], ['music', 'boxes'], ['boxes', 'room']],
        ['ann', 'music'],
        ['air', 'room'],
        [['ann', 'air', 'must'], ['music', 'room', 'must-not']],
        ['points' => ['boxes' => ['auto_mute' => false]]],
        ['auto_mutes' => [['mutes' => 'boxes', 'while_open' => ['mic']]]],
    );
    expect(firstCure($draft))->toBe('Put the automatic mute of boxes of U back in force');
});

it('turns a repeater round', function () {
    $draft = Draft::rig()->place('pc')->unit('pc', 'laptop', 'pc')->unit('face', 'two-channel-interface')->unit('head', 'usb-headset')->unit('cans', 'closed-headphones')
        ->unit('rep', 'repeater', 'pc')->cable('usb', 'face/usb', 'pc/usb-1')->cable('usb', 'head/usb', 'pc/usb-2')->cable('trs', 'face/phones', 'cans/plug')
        ->pick('rep/in', ['device' => 'face/usb/rec'])->pick('rep/out', ['device' => 'head/usb/play'])
        ->source('voice', 'head/capsule')->listener('me', 'cans/ear')->wish('voice', 'me', 'must');
    $cures = array_merge(...array_map(fn (Cause $one) => array_map(fn ($cure) => $cure->sentence, $one->cures), (new Diagnosis(new Hearings($draft->make())))->causes()));
    expect(implode(' | ', $cures))->toContain('Exchange what Rep takes and plays to');
});

it('switches to mono for a side that is lost, to stereo where that was wished, and the polarity back', function (array $points, array $routes, int $ear, array $set, array $wish, string $cure) {
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2], ...$points, ['id' => 'ear', 'kind' => 'ear', 'channels' => $ear]],
        'routes' => array_map(fn (array $one) => ['from' => $one[0], 'to' => $one[1]] + array_filter(['map' => $one[2] ?? null]), $routes)], 'desk', array_filter(['points' => $set]))
        ->source('s', 'u/tone')->listener('l', 'u/ear')->with(fn (array $d) => ['wishes' => [['source' => 's', 'listener' => 'l', 'want' => 'must'] + $wish]] + $d);
    expect(firstCure($draft))->toBe($cure);
})->with([
    'a side' => [[['id' => 'p', 'kind' => 'strip', 'channels' => 2, 'mono' => false], ['id' => 'm', 'kind' => 'strip', 'channels' => 1]], [['tone', 'm'], ['m', 'p', 'to-left'], ['p', 'ear']], 2, [], [], 'Switch p of U to mono'],
    'stereo' => [[['id' => 'p', 'kind' => 'strip', 'channels' => 2, 'mono' => false]], [['tone', 'p'], ['p', 'ear']], 2, ['p' => ['mono' => true]], ['stereo' => true], 'Switch p of U to stereo'],
    // Left and right by a strip each into one ear: with one turned, what is in the middle cancels.
    'polarity' => [[['id' => 'p', 'kind' => 'strip', 'channels' => 1, 'inverted' => false], ['id' => 'q', 'kind' => 'strip', 'channels' => 1]],
        [['tone', 'p', 'left'], ['tone', 'q', 'right'], ['p', 'ear'], ['q', 'ear']], 1, ['p' => ['inverted' => true]], [], 'Switch the polarity of p of U back to normal'],
]);

it('never takes away what somebody hears, nor leaves it more than 6 dB softer than its strongest way', function () {
    // Ann comes twice, 30 ms apart: once at 0 dB, once 7 dB down. Only the stronger can be switched off.
    $late = ['delay_ms' => 30, 'db' => -7];
    $draft = knobs([['id' => 'b', 'kind' => 'bus', 'channels' => 1]], [['ann', 'l', ['can' => ['on']]], ['ann', 'b', $late], ['b', 'l']], ['ann'], ['l'], [['ann', 'l', 'must']]);
    expect((new Diagnosis(new Hearings($draft->make())))->causes()[0]->cures)->toBe([]);
    // 5 dB down it is no loss.
    $draft = knobs([['id' => 'b', 'kind' => 'bus', 'channels' => 1]], [['ann', 'l', ['can' => ['on']]], ['ann', 'b', ['db' => -5] + $late], ['b', 'l']], ['ann'], ['l'], [['ann', 'l', 'must']]);
    expect(firstCure($draft))->toBe('Switch off ann → l of U');
});

it('goes on until nothing changes, and says what is left and why', function () {
    $draft = knobs([], [['ann', 'l', SWITCHED], ['bob', 'm']], ['ann', 'bob'], ['l', 'm'], [['ann', 'l', 'must'], ['bob', 'm', 'must-not']]);
    $hearings = new Hearings($draft->make());
    $mending = new Mending($hearings, (new Diagnosis($hearings))->causes());
    expect(array_map(fn ($cure) => $cure->sentence, $mending->cures))->toBe(['Switch on ann → l of U'])->and($mending->left)->toBe(1)
        ->and(array_map(fn (Cause $one) => $one->sentence, $mending->open))->toBe(['Bob at M is heard and must not be']);
});

it('offers cures that exclude each other as alternatives of one cause', function () {
    // The stream takes one device; the music is on one headset, the game on another, and nobody is to hear both there.
    $draft = Draft::rig()->place('pc')->unit('pc', 'laptop', 'pc')->unit('a', 'usb-headset')->unit('b', 'usb-headset')->unit('music', 'music-player', 'pc')->unit('game', 'game', 'pc')
        ->unit('cast', ['family' => 'broadcast', 'points' => [['id' => 'in', 'kind' => 'in', 'channels' => 2, 'picks' => 'recording'], ['id' => 'air', 'kind' => 'ear', 'channels' => 2]], 'routes' => [['from' => 'in', 'to' => 'air']]], 'pc')
        ->cable('usb', 'a/usb', 'pc/usb-1')->cable('usb', 'b/usb', 'pc/usb-2')->device('pc', 'a/usb/play', ['name' => 'Left'])->device('pc', 'b/usb/play', ['name' => 'Right'])
        ->pick('music/sound', ['device' => 'a/usb/play'])->pick('game/sound', ['device' => 'b/usb/play'])
        ->source('music', 'music/sound')->source('game', 'game/sound')->listener('viewers', 'cast/air')->listener('l', 'a/ear')->listener('m', 'b/ear')
        ->wish('music', 'l', 'must')->wish('game', 'm', 'must')->wish('music', 'm', 'must-not')->wish('game', 'l', 'must-not')->wish('music', 'viewers', 'must')->wish('game', 'viewers', 'must');
    $causes = (new Diagnosis(new Hearings($draft->make())))->causes();
    expect($causes)->toHaveCount(1)->and($causes[0]->cells)->toHaveCount(2)
        ->and(array_map(fn ($cure) => $cure->sentence, $causes[0]->cures))->toBe(['Cast: take in from the loopback of "Left"', 'Cast: take in from the loopback of "Right"']);
});

it('offers for a sound that comes twice to keep the one way, and to keep the other', function () {
    // By a switch each: as it is, and 3 dB down, 30 ms later.
    $draft = knobs(
        [['id' => 'b', 'kind' => 'bus', 'channels' => 1]],
        [['ann', 'l', ['can' => ['on']]], ['ann', 'b', ['delay_ms' => 30, 'db' => -3]], ['b', 'l', ['can' => ['on']]]],
        ['ann'],
        ['l'],
        [['ann', 'l', 'must']],
    );
    $cures = (new Diagnosis(new Hearings($draft->make())))->causes()[0]->cures;
    expect(array_map(fn ($cure) => [$cure->sentence, $cure->keeps], $cures))->toContain(['Switch off b → l of U', 'keeps the way by ann → l'])
        ->toContain(['Switch off ann → l of U', 'keeps the way by b → l']);
});

it('tells what the lead of a cure brings', function () {
    // The only way to the boxes is from the headphone socket, by a lead.
    $draft = Draft::rig()->unit('a', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2]], 'sockets' => [['id' => 'phones', 'label' => 'Phones', 'connector' => 'trs-3.5', 'signal' => 'headphone', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'tone']]]]])
        ->unit('b', ['points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => 2]], 'sockets' => [['id' => 'in', 'label' => 'In', 'connector' => 'trs-3.5', 'signal' => 'consumer-line', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'ear']]]]])
        ->source('s', 'a/tone')->listener('l', 'b/ear')->wish('s', 'l', 'must');
    $cure = Examination::of(new Hearings($draft->make()))->causes[0]->cures[0];
    expect($cure->sentence)->toBe('Plug Phones of A into In of B')->and(implode(' ', $cure->brings))->toContain('but: ')->toContain('headphone');
});

it('goes round by a virtual cable where the system has no loopback, and keeps what is heard at the device', function () {
    $plain = judgedStudio()->with(fn (array $d) => ['units' => array_map(
        fn (array $one) => $one['id'] === 'pc' ? ['system' => ['name' => 'Quay', 'version' => '8', 'kind' => 'plain']] + $one : $one,
        $d['units'],
    )] + $d);
    $hearings = new Hearings($plain->make());
    $cause = (new Diagnosis($hearings, [], wholeCatalogue()))->causes()[0];
    expect($cause->sentence)->toBe('Pc has no loopback of Headset, which Cast · Source 1 is to take')
        ->and($cause->cures[0]->sentence)->toBe('Let Music play to a new Virtual cable, and let Source 1 of Cast take a new Virtual cable; '
            .'let a new Repeater take a new Virtual cable and play it to Headset');
    $then = new Hearings($cause->cures[0]->applyTo($hearings->rig));
    expect($then->areAsWished())->toBeTrue()->and($then->rig->picks['music/sound']->device?->unit)->toBe('virtual-cable')
        // With no catalogue there is nothing to be taken.
        ->and((new Diagnosis($hearings))->causes()[0]->cures)->toBe([]);
});

it('silences a track beyond those that a unit records, and has another let go of its place', function () {
    $on = ['can' => ['on']];
    $tracks = fn (array $wishes): Draft => knobs(
        [['id' => 't1', 'kind' => 'bus', 'channels' => 1], ['id' => 't2', 'kind' => 'bus', 'channels' => 1]],
        [['ann', 't1', $on], ['bob', 't2', $on], ['t1', 'one'], ['t2', 'two']],
        ['ann', 'bob'],
        ['one', 'two'],
        $wishes,
        [],
        ['limits' => ['tracks' => 1]],
    );
    $wanted = $tracks([['bob', 'two', 'must']]);
    expect($wanted->pair('bob', 'two')->verdict->value)->toBe('missing')->and($wanted->pair('ann', 'one')->verdict->value)->toBe('unwished')
        ->and(found($wanted, 'computer.one-device'))->toBe(['fault: 2 tracks are asked of U, which has room for 1'])
        ->and(firstCure($wanted))->toBe('Send nothing to t1 of U');
    // Who wants both is told what prevents it.
    $both = Examination::of(new Hearings($tracks([['bob', 'two', 'must'], ['ann', 'one', 'must']])->make()))->causes[0];
    expect($both->cures)->toBe([])->and($both->sentence)->toContain('one more than the program opens');
});
