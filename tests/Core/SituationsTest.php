<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\Draft;

/** A laptop with two microphones, a clip recorder that follows the default, and a second situation. */
function twoMicrophones(): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('near', 'usb-microphone')->unit('far', 'usb-microphone')
        ->unit('rec', 'clip-recorder', 'room')->cable('usb', 'near/usb', 'pc/usb-1')->cable('usb', 'far/usb', 'pc/usb-2')
        ->device('pc', 'near/usb/rec', ['roles' => ['recording']])->pick('rec/in-1', ['default' => 'system'])
        ->source('near', 'near/capsule')->source('far', 'far/capsule')->listener('clip', 'rec/track-1')->situation('talk', [])
        ->wish('near', 'clip', 'must', ['base'])->wish('far', 'clip', 'must', ['talk'])->wish('far', 'clip', 'must-not', ['base'])
        ->wish('near', 'clip', 'must-not', ['talk']);
}

function hearsIn(Rig $rig, string $situation, string $source, string $listener): bool
{
    return (new Hearing((new GraphBuilder($rig))->build($rig->situations[$situation])))->pair($source, $listener)->arrivals() !== [];
}

it('moves a default in one situation only', function () {
    $rig = twoMicrophones()->make();
    expect(hearsIn($rig, 'talk', 'near', 'clip'))->toBeTrue()->and(hearsIn($rig, 'talk', 'far', 'clip'))->toBeFalse();
    $edit = new SetSituationDefault('talk', 'pc', Direction::Recording, Role::Recording, DeviceRef::lane('far', 'usb', 'rec'));
    $moved = $edit->applyTo($rig);
    expect(hearsIn($moved, 'talk', 'near', 'clip'))->toBeFalse()->and(hearsIn($moved, 'talk', 'far', 'clip'))->toBeTrue()
        ->and(hearsIn($moved, 'base', 'near', 'clip'))->toBeTrue()->and(hearsIn($moved, 'base', 'far', 'clip'))->toBeFalse()
        ->and($edit->words($rig))->toBe('Pc: the default recording device is USB microphone in Talk');
    // It is written and read, goes with the unit that it names, and back to what the base has.
    $text = (new DocumentWriter)->write($moved);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)
        ->toContain('"defaults": [{"computer": "pc", "direction": "recording", "role": "recording", "device": "far/usb/rec"}]')
        ->and((new RemoveUnit('far'))->applyTo($moved)->situations['talk']->defaults)->toBe([]);
    $back = new SetSituationDefault('talk', 'pc', Direction::Recording, Role::Recording, null);
    expect((new DocumentWriter)->write($back->applyTo($moved)))->toBe((new DocumentWriter)->write($rig))
        ->and($back->words($moved))->toBe('Pc: the default recording device reset to the default in Talk');
});

it('refuses a default that cannot be', function (array $default, string $pointer, string $says) {
    $document = twoMicrophones()->with(function (array $d) use ($default) {
        $d['situations'][1]['defaults'] = [$default + ['computer' => 'pc', 'direction' => 'recording', 'role' => 'recording',
            'device' => 'far/usb/rec']];

        return $d;
    });
    expect(fn () => $document->make())->toThrow(HiddenWire\Core\Document\InvalidDocument::class, $says);
})->with([
    'of no computer' => [['computer' => 'rec'], '/situations/1/defaults/0/computer', 'is no computer or tablet'],
    'of the other direction' => [['direction' => 'playback', 'role' => 'playback'], '/situations/1/defaults/0/device',
        'not a playback one'],
    'for the other role' => [['role' => 'playback'], '/situations/1/defaults/0/role', 'can\'t be the default for playback'],
    'of nothing' => [['device' => 'far/usb/none'], '/situations/1/defaults/0/device', 'is an audio device'],
]);

it('gives a default that was moved in a situation back there', function () {
    $rig = twoMicrophones()->make();
    $faulty = (new SetSituationDefault('base', 'pc', Direction::Recording, Role::Recording, DeviceRef::lane('far', 'usb', 'rec')))
        ->applyTo((new SetSituationDefault('talk', 'pc', Direction::Recording, Role::Recording, DeviceRef::lane('far', 'usb', 'rec')))
            ->applyTo($rig));
    $causes = (new Diagnosis(new Hearings($faulty)))->causes();
    expect($causes)->toHaveCount(1)->and($causes[0]->sentence)->toBe('The default recording device of Pc is USB microphone')
        ->and($causes[0]->cures[0]->sentence)->toBe('Make USB microphone the default recording device of Pc in Base');
});

/** A box whose one selector leads two mono inputs, or a stereo one, to its output. */
function selector(): array
{
    $point = fn (string $id, string $kind, int $channels = 1) => ['id' => $id, 'kind' => $kind, 'channels' => $channels];
    $route = fn (string $from, string $to, string $choice, bool $on) => ['from' => $from, 'to' => $to, 'on' => $on, 'group' => 'input', 'choice' => $choice, 'can' => ['on', 'db']];

    return [
        'points' => [$point('a', 'origin'), $point('b', 'origin'), $point('c', 'origin', 2), $point('ear', 'ear', 2)],
        'routes' => [
            ['map' => 'to-left'] + $route('a', 'ear', 'mono', true),
            ['map' => 'to-right'] + $route('b', 'ear', 'mono', true),
            $route('c', 'ear', 'stereo', false),
        ],
    ];
}

it('switches all routes of a choice together', function () {
    $draft = Draft::rig()->unit('box', selector())->source('a', 'box/a')->source('b', 'box/b')->source('c', 'box/c')
        ->listener('ear', 'box/ear')
        ->situation('stereo', ['box/c>ear' => ['on' => true]]);
    $heard = fn (Rig $rig, string $situation): string => implode(
        '',
        array_filter(['a', 'b', 'c'], fn (string $one) => hearsIn($rig, $situation, $one, 'ear')),
    );
    $rig = $draft->make();
    expect($heard($rig, 'base'))->toBe('ab')->and($heard($rig, 'stereo'))->toBe('c');
    $set = fn (Rig $rig, string $from, ?bool $on, ?string $situation = null) => (new SetRoute(new RouteRef('box', "{$from}>ear"), new RouteSettings(on: $on), $situation))->applyTo($rig);
    // For good to stereo and back by either of the two; off is off, whichever of them is meant.
    $stereo = $set($rig, 'c', true);
    expect($heard($stereo, 'base'))->toBe('c')->and($heard($set($stereo, 'b', true), 'base'))->toBe('ab')
        ->and($heard($set($set($rig, 'a', true), 'b', false), 'base'))->toBe('')
        ->and($heard($set($rig, 'a', true, 'stereo'), 'stereo'))->toBe('ab')
        ->and($heard($set($set($rig, 'a', true, 'stereo'), 'b', false, 'stereo'), 'stereo'))->toBe('');
    // Off and on again is as before, whichever of the two is meant, and what is off already leaves the other choice on.
    foreach (['a', 'b'] as $one) {
        foreach (['a', 'b'] as $other) {
            expect($heard($set($set($rig, $one, false), $other, true), 'base'))->toBe('ab');
        }
        expect($heard($set($stereo, $one, false), 'base'))->toBe('c');
    }
    $text = (new DocumentWriter)->write($rig);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)->toContain('"choice": "mono"');
});

it('refuses two choices of a group at once, and a choice of no group', function () {
    $both = selector();
    $both['routes'][2]['on'] = true;
    expect(fn () => Draft::rig()->unit('box', $both)->make())
        ->toThrow(HiddenWire\Core\Document\InvalidDocument::class, 'Only one choice of the group "input"');
    $alone = selector();
    unset($alone['routes'][2]['group']);
    expect(fn () => Draft::rig()->unit('box', $alone)->make())
        ->toThrow(HiddenWire\Core\Document\InvalidDocument::class, 'A choice is one of a group');
});

/** A desk that mutes its loudspeakers while a microphone is on. */
function quietDesk(): Draft
{
    $point = fn (string $id, string $kind, array $more = []) => ['id' => $id, 'kind' => $kind, 'channels' => 1] + $more;

    return Draft::rig()->unit('desk', [
        'points' => [$point('mic', 'strip', ['mute' => false]), $point('speakers', 'bus', ['mute' => false]), $point('music', 'origin'),
            $point('ear', 'ear'), $point('voice', 'origin'), $point('air', 'ear')],
        'routes' => [['from' => 'music', 'to' => 'speakers'], ['from' => 'speakers', 'to' => 'ear'], ['from' => 'voice', 'to' => 'mic'],
            ['from' => 'mic', 'to' => 'air']],
        'auto_mutes' => [['mutes' => 'speakers', 'while_open' => ['mic']]],
    ])->source('music', 'desk/music')->listener('room', 'desk/ear')->wish('music', 'room', 'must')
        ->situation('party', ['desk/speakers' => ['auto_mute' => false]]);
}

it('puts an automatic mute out of force in a situation', function () {
    $rig = quietDesk()->make();
    expect(hearsIn($rig, 'base', 'music', 'room'))->toBeFalse()->and(hearsIn($rig, 'party', 'music', 'room'))->toBeTrue();
    $cures = fn (Draft $draft): array => array_map(fn ($cause) => [$cause->sentence,
        array_map(fn ($cure) => $cure->sentence, $cause->cures)], (new Diagnosis(new Hearings($draft->make())))->causes());
    $says = 'Desk · speakers is muted by the unit itself while mic is on';
    expect($cures(quietDesk()))->toBe([[$says, ['Mute mic of Desk']]])
        // Who has to hear the microphone keeps it: then the rule goes.
        ->and($cures(quietDesk()->source('voice', 'desk/voice')->listener('viewers', 'desk/air')->wish('voice', 'viewers', 'must')))
        ->toBe([[$says, ['Turn off the automatic mute of speakers of Desk']]]);
    expect(fn () => quietDesk()->situation('odd', ['desk/mic' => ['auto_mute' => false]])->make())
        ->toThrow(HiddenWire\Core\Document\InvalidDocument::class, '"mic" has no automatic mute');
});

it('offers what a computer plays as a recording device', function () {
    $draft = Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('game', 'game', 'room')
        ->unit('rec', 'clip-recorder', 'room')
        ->pick('game/sound', ['device' => 'pc/line-out/out'])->pick('rec/in-1', ['device' => 'pc/played'])->source('game', 'game/sound')
        ->listener('clip', 'rec/track-1')->wish('game', 'clip', 'must');
    $pair = $draft->pair('game', 'clip');
    // 10 ms in the playback device, 10 ms in the recording device; the volume of the socket comes after what is recorded.
    expect($pair->arrivals())->toHaveCount(1)->and($pair->arrivals()[0]->delay->value())->toBe(20.0)->and($pair->channels()[0])->toBe('b');
    $turned = $draft->set('pc', 'points', 'line-out', ['fader' => -20])->pair('game', 'clip');
    expect($turned->arrivals()[0]->gain->value())->toBe($pair->arrivals()[0]->gain->value());
});

it('hears a situation like another as it hears it alone, also where other wishes hold', function (string $path) {
    $rig = (new DocumentReader)->read(shipped($path));
    $builder = new GraphBuilder($rig);
    foreach ($rig->situations as $shown) {
        $near = new Hearing($builder->build($shown));
        foreach ($rig->situations as $other) {
            $told = fn (Hearing $hearing): array => array_map(
                fn (HeardPair $pair) => [$pair->source->id, $pair->listener->id, $pair->verdict->value, $pair->wish?->want->value],
                iterator_to_array($hearing->all(), false),
            );
            expect($told(new Hearing($builder->build($other, $near->graph()), null, $near)))->toBe($told(new Hearing($builder->build($other))));
        }
    }
})->with(['rigs/night-relay.json', 'starters/puppet-theatre.json', 'starters/harbour-radio.json', 'starters/night-market.json']);

it('judges by the wishes of its own situation what sounds like in the one beside it', function () {
    $rig = Draft::inside([], [['tone', 'ear']])->situation('quiet', [])->with(function (array $d) {
        $d['wishes'][] = ['source' => 's', 'listener' => 'l', 'want' => 'must-not', 'situations' => ['quiet']];

        return $d;
    })->make();
    $builder = new GraphBuilder($rig);
    $near = new Hearing($builder->build($rig->base()));
    $quiet = new Hearing($builder->build($rig->situations['quiet'], $near->graph()), null, $near);
    expect($near->pair('s', 'l')->verdict->value)->toBe('ok')->and($quiet->pair('s', 'l')->verdict->value)->toBe('leak');
});
