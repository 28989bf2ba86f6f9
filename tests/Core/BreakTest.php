<?php

declare(strict_types=1);

use HiddenWire\Core\Signal\BreakFinder;
use HiddenWire\Core\Signal\NearestBreak;
use Tests\Support\Draft;

function breakOf(Draft $draft, string $source, string $listener): ?NearestBreak
{
    $hearing = $draft->hear();
    $pair = $hearing->pair($source, $listener);
    expect($pair->arrivals)->toBe([]);

    return (new BreakFinder($hearing->graph))->between($pair->source, $pair->listener);
}

/** A music player whose sound should come out of loudspeakers, with one thing in the way. */
function musicRoom(): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('music', 'music-player', 'room')->unit('cable', 'virtual-cable', 'room')->unit('boxes', 'desktop-loudspeakers')
        ->source('music', 'music/sound')->listener('room', 'boxes/cone')->cable('trs', 'pc/line-out', 'boxes/in')->pick('music/sound', ['device' => 'pc/line-out/out']);
}

it('names the smallest change', function (callable $spoil, array $texts) {
    expect(array_map(fn ($change) => $change->text, breakOf($spoil(musicRoom()), 'music', 'room')->changes ?? []))->toBe($texts);
})->with([
    'a mute' => [fn (Draft $d) => $d->set('boxes', 'points', 'cone', ['mute' => true]), ['Unmute Loudspeakers of Boxes']],
    'a fader' => [fn (Draft $d) => $d->set('boxes', 'points', 'cone', ['fader' => -60]), ['Raise the fader Loudspeakers of Boxes']],
    'a pick' => [fn (Draft $d) => $d->pick('music/sound', ['device' => 'cable/in']), ['Let Music of Music use Speakers (Onboard Audio)']],
    'a default that leads elsewhere' => [fn (Draft $d) => $d->pick('music/sound', ['default' => 'system']), ['Let Music of Music use Speakers (Onboard Audio)']],
    'a disabled device' => [fn (Draft $d) => $d->device('pc', 'pc/line-out/out', ['enabled' => false]), ['Enable the device Speakers (Onboard Audio)']],
    'a cable' => [fn (Draft $d) => $d->with(fn (array $data) => ['cables' => []] + $data), ['Plug a cable from Line out · green of Pc to In of Boxes']],
    'two things' => [fn (Draft $d) => $d->set('boxes', 'points', 'cone', ['mute' => true])->set('music', 'points', 'sound', ['mute' => true]), ['Unmute Music of Music', 'Unmute Loudspeakers of Boxes']],
]);

it('says how far the sound gets and from where on it would be heard', function () {
    $break = breakOf(musicRoom()->set('boxes', 'points', 'cone', ['mute' => true]), 'music', 'room');
    expect($break?->live)->toBe(['Music', 'Music', 'Speakers (Onboard Audio)', 'Line out', 'W-1', 'In → Loudspeakers'])->and($break?->waiting)->toBe(['Loudspeakers']);
});

it('plugs the cable that it names, where one fits', function () {
    $draft = musicRoom()->with(fn (array $data) => ['cables' => []] + $data);
    $rig = $draft->make();
    $edit = breakOf($draft, 'music', 'room')?->changes[0]->edit;
    expect($edit?->words($rig))->toBe('W-01: Line out · green of Pc to In of Boxes')->and(array_map(fn ($cable) => "{$cable->from} {$cable->to}", array_values($edit->applyTo($rig)->cables)))->toBe(['pc/line-out boxes/in']);
});

it('says so where nothing could join them', function () {
    $draft = Draft::rig()->unit('a', 'dynamic-microphone')->source('v', 'a/capsule')->unit('b', ['points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => 1]]])->listener('l', 'b/ear');
    expect(breakOf($draft, 'v', 'l'))->toBeNull();
});

it('is right: making the changes that it names brings the sound', function () {
    // Every missing wish of the demo: switch, unmute or pick what the break names, and hear again.
    $draft = Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json');
    $break = breakOf($draft, 'chime', 'viewers');
    expect(array_map(fn ($change) => [$change->ref, $change->text], $break->changes ?? []))->toBe([['chimes/sound', 'Let Chimes of Donation chimes use Chimes in']]);
    $draft->pick('chimes/sound', ['device' => 'softmix/virtual-1']);
    expect($draft->pair('chime', 'viewers')->arrivals)->toHaveCount(1);
});
