<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\Effort;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Readings;
use HiddenWire\Core\Signal\Report;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;
use Tests\Support\PlainSums;

/** The pair as the engine hears it, held against the second method. */
function heardAlike(Draft $draft, string $source, string $listener, string $point): array
{
    $pair = $draft->pair($source, $listener);
    $plain = new PlainSums((array) json_decode($draft->text(), true));
    $level = $plain->level($plain->powers($source), $point);
    expect($pair->level() === null ? $level < -60 : abs($pair->level()->value() - $level) < 0.02)->toBeTrue();

    return [$pair->verdict, $pair->level()?->value(), $pair->channels()];
}

it('has a microphone in a computer\'s microphone socket on both channels', function (array $more, string $family, Verdict $verdict, float $db, string $sides) {
    $device = ['device' => ['direction' => 'recording']];
    $isComputer = $family === 'computer';
    $draft = Draft::rig()->place('room')->unit('head', 'two-plug-headset', 'room')->unit('box', [
        'family' => $family,
        'sockets' => [
            ['id' => 'mic', 'label' => 'Mic', 'connector' => 'trs-3.5', 'signal' => 'microphone',
                'lanes' => [['id' => 'in', 'way' => 'in', 'point' => 'p'] + ($isComputer ? $device : []) + ($more['lane'] ?? [])]],
            ['id' => 'usb', 'label' => 'USB', 'connector' => $isComputer ? 'usb-a' : 'usb-b', 'link' => $isComputer ? 'host' : 'device',
                'lanes' => $isComputer ? [] : [['id' => 'in', 'way' => 'out', 'point' => 'p'] + $device]],
        ],
        'points' => [['id' => 'p', 'kind' => 'in', 'channels' => 2, 'gain' => ['from' => 0, 'to' => 40, 'db' => 40]]],
        'routes' => [],
    ], 'room')->unit('cast', 'broadcast-program', 'room')->cable('trs', 'head/mic', 'box/mic');
    if (! $isComputer) {
        $draft->unit('pc', 'laptop', 'room')->cable('usb', 'box/usb', 'pc/usb-1');
    }
    $draft->pick('cast/source-1', ['device' => $isComputer ? 'box/mic/in' : 'box/usb/in'] + ($more['pick'] ?? []))
        ->source('voice', 'head/capsule')->listener('viewers', 'cast/stream')->wish('voice', 'viewers', 'must');
    expect(heardAlike($draft, 'voice', 'viewers', 'cast/stream'))->toBe([$verdict, $db, $sides]);
})->with([
    // The microphone gives 40 dB less than the voice, the socket's gain 40 dB.
    'a computer' => [[], 'computer', Verdict::Ok, 0.0, 'both'],
    'a headset adapter' => [[], 'adapter', Verdict::Ok, 0.0, 'both'],
    'a channel picked, as was needed before' => [['pick' => ['channels' => [1]]], 'computer', Verdict::Ok, 0.0, 'both'],
    'an interface, whose inputs are its channels' => [[], 'interface', Verdict::OneSided, 0.0, 'left'],
    'a lane that says its channels' => [['lane' => ['channels' => [1, 2]]], 'computer', Verdict::OneSided, 0.0, 'left'],
    'a line input' => [['lane' => ['signal' => 'consumer-line']], 'computer', Verdict::OneSided, 0.0, 'left'],
]);

/** A desk with the sounds of some rows of it: sound, listener and level of each, and what is wished. */
function wished(array $ways, array $wishes, array $origins = []): Draft
{
    [$sources, $listeners] = [array_unique(array_column($ways, 0)), array_unique(array_column($ways, 1))];
    $draft = Draft::rig()->unit('u', ['points' => [
        ...array_map(fn (string $id) => ['id' => $id, 'kind' => 'origin', 'channels' => 1], $sources),
        ...array_map(fn (string $id) => ['id' => $id, 'kind' => 'ear', 'channels' => 1], $listeners),
    ], 'routes' => array_map(fn (array $way) => ['from' => $way[0], 'to' => $way[1], 'db' => $way[2] ?? 0], $ways)]);
    foreach ($listeners as $id) {
        $draft->listener($id, "u/{$id}");
    }
    foreach ($sources as $id) {
        $draft->source($id, "u/{$id}", ...($origins[$id] ?? []));
    }

    return $draft->with(fn (array $d) => ['wishes' => array_map(fn (array $one) => ['source' => $one[0], 'listener' => $one[1], 'want' => $one[2]] + ($one[3] ?? []), $wishes)] + $d);
}

it('says of a sound that has to be alone that it is not', function (array $ways, array $wishes, Verdict $verdict, array $beside) {
    $pair = wished($ways, [['ann', 'track', 'must', ['alone' => true]], ...$wishes])->pair('ann', 'track');
    expect($pair->verdict)->toBe($verdict)->and(array_map(fn ($one) => $one->id, $pair->beside))->toBe($beside);
})->with([
    'it is' => [[['ann', 'track'], ['bob', 'air']], [], Verdict::Ok, []],
    'two more' => [[['ann', 'track'], ['bob', 'track', -50], ['game', 'track'], ['bob', 'air']], [], Verdict::NotAlone, ['bob', 'game']],
    'another below what is heard' => [[['ann', 'track'], ['bob', 'track', -61]], [], Verdict::Ok, []],
    'one that may be so loud' => [[['ann', 'track'], ['bob', 'track', -30]], [['bob', 'track', 'must-not', ['up_to_db' => -25]]], Verdict::Ok, []],
    'and is louder' => [[['ann', 'track'], ['bob', 'track', -20]], [['bob', 'track', 'must-not', ['up_to_db' => -25]]], Verdict::NotAlone, ['bob']],
    'what is worse is said first' => [[['ann', 'track', -45], ['bob', 'track']], [], Verdict::TooQuiet, []],
]);

it('tells whether a sound is alone also where only it is heard anew', function () {
    $rig = wished([['ann', 'track'], ['bob', 'track'], ['cy', 'track', -99]], [['ann', 'track', 'must', ['alone' => true]]])->make();
    $hearings = new Hearings($rig);
    $alone = fn (Hearings $of) => $of->ofSource('base', 'ann')->pair('ann', 'track');
    expect($alone($hearings)->verdict)->toBe(Verdict::NotAlone);
    $hearings->in('base');
    // Bob is taken out: nothing about Ann has changed but that she is alone.
    $without = new Rig($rig->parts()->with(models: ['model-of-u' => $rig->models['model-of-u']->with(routes: array_filter($rig->models['model-of-u']->routes, fn ($one) => $one->from !== 'bob'))]));
    expect((new Hearings($without, [], $hearings))->in('base')->pair('ann', 'track')->verdict)->toBe(Verdict::Ok);
    $kept = (new Hearing($hearings->in('base')->graph(), kept: $hearings->in('base')->kept()))->pair('ann', 'track');
    expect($kept->verdict)->toBe(Verdict::NotAlone)->and($kept->beside[0]->id)->toBe('bob');
});

it('takes spill for no leak, unless it is louder than 20 dB down or than was said', function (float $bleed, array $more, Verdict $verdict) {
    // Ann is in Bob's microphone, too, and must not be on his track.
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'ann', 'kind' => 'origin', 'channels' => 1], ['id' => 'bob', 'kind' => 'origin', 'channels' => 1],
        ['id' => 'track', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'bob', 'to' => 'track'], ...($more['routes'] ?? [])]])
        ->source('ann', 'u/ann', ['u/bob', $bleed])->source('bob', 'u/bob')->listener('track', 'u/track')
        ->with(fn (array $d) => ['wishes' => [['source' => 'ann', 'listener' => 'track', 'want' => 'must-not'] + ($more['wish'] ?? []),
            ['source' => 'bob', 'listener' => 'track', 'want' => 'must', 'alone' => true]]] + $d);
    expect($draft->pair('ann', 'track')->verdict)->toBe($verdict)
        ->and($draft->pair('bob', 'track')->verdict)->toBe($verdict === Verdict::Ok ? Verdict::Ok : Verdict::NotAlone);
})->with([
    'at -20 dB' => [-20, [], Verdict::Ok],
    'at -19.9 dB' => [-19.9, [], Verdict::Leak],
    'said to be fine up to -10 dB' => [-12, ['wish' => ['up_to_db' => -10]], Verdict::Ok],
    'said to be fine up to -40 dB only' => [-30, ['wish' => ['up_to_db' => -40]], Verdict::Leak],
    // What leads there from her own microphone is no spill.
    'by her own microphone, as soft' => [-40, ['routes' => [['from' => 'ann', 'to' => 'track', 'db' => -30]]], Verdict::Leak],
]);

it('says what is lost of a sound in surround', function (array $route, ?string $words) {
    $draft = Draft::inside([], [$route], 6, 2);
    expect($draft->pair('s', 'l')->lossWords())->toBe($words)->and($draft->pair('s', 'l')->verdict)->toBe($words === null ? Verdict::Ok : Verdict::OneSided);
})->with([
    'a straight map' => [['tone', 'ear'], 'is heard without the centre, the low channel, the left surround and the right surround'],
    'an average of all six' => [['tone', 'ear', 0, 'average'], null],
    'all but the low channel' => [['tone', 'ear', 0, [[1, 1], [2, 2], [3, 1], [3, 2], [5, 1], [6, 2]]], 'is heard without the low channel'],
]);

it('takes all of a sound in an average, as loud as what is in all of it', function () {
    // A sixth of each: 20 log10(1/6) = -15.56
    expect(Draft::inside([], [['tone', 'ear', 0, 'average']], 6, 2)->pair('s', 'l')->level()?->value())->toBe(-15.56)
        ->and(Draft::inside([], [['tone', 'ear', 0, 'average']], 3, 1)->pair('s', 'l')->level()?->value())->toBe(-9.54)
        ->and(Draft::inside([], [['tone', 'ear', 0, 'average']], 2, 2)->pair('s', 'l')->level()?->value())->toBe(-6.02);
});

it('says where stereo becomes mono, and is at odds where it was wished', function (array $route, int $ear, array $wish, Verdict $verdict, bool $isMono) {
    $pair = Draft::inside(['m' => 1, 'x' => 2], $route, 2, $ear)->with(fn (array $d) => ['wishes' => [$wish + $d['wishes'][0]]] + $d)->pair('s', 'l');
    expect($pair->verdict)->toBe($verdict)->and($pair->sum->isMono())->toBe($isMono)
        ->and($pair->lossWords())->toBe($verdict === Verdict::Ok ? null : 'is mono, was stereo');
})->with([
    'stereo' => [[['tone', 'ear']], 2, ['stereo' => true], Verdict::Ok, false],
    'by a mono point' => [[['tone', 'm'], ['m', 'ear']], 2, ['stereo' => true], Verdict::OneSided, true],
    'nobody minds' => [[['tone', 'm'], ['m', 'ear']], 2, [], Verdict::Ok, true],
    'into one ear' => [[['tone', 'ear']], 1, ['stereo' => true], Verdict::OneSided, true],
    // A tenth of the other side: what they differ in is (1 - 0.1) against (1 + 0.1).
    'a little of the other side' => [[['tone', 'ear'], ['tone', 'x', -20, 'swap'], ['x', 'ear']], 2, ['stereo' => true], Verdict::Ok, false],
]);

/** A strip that goes to a bus and to headphones, muted, its fader 20 dB down, its gain 10 dB. */
function strip(array $route, array $set = [], array $more = [], array $situation = []): Draft
{
    return Draft::rig()->unit('desk', ['points' => [
        ['id' => 'tone', 'kind' => 'origin', 'channels' => 1],
        ['id' => 'ch', 'kind' => 'strip', 'channels' => 1, 'gain' => ['from' => 0, 'to' => 20, 'db' => 10], 'mute' => false,
            'fader' => ['from' => -90, 'to' => 10, 'db' => -20], 'solo' => 'cue'] + ($more['ch'] ?? []),
        ['id' => 'cue', 'kind' => 'bus', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1],
    ], 'routes' => [['from' => 'tone', 'to' => 'ch'], ['from' => 'ch', 'to' => 'cue', 'on' => false, 'can' => ['on']], ['from' => 'ch', 'to' => 'ear', 'can' => ['on']] + $route,
        ['from' => 'cue', 'to' => 'ear']]] + ($more['model'] ?? []), 'desk', ['points' => ['ch' => $set]])
        ->source('s', 'desk/tone')->listener('l', 'desk/ear')->wish('s', 'l', 'may')
        ->with(fn (array $d) => ['situations' => [$d['situations'][0] + $situation]] + $d);
}

it('takes a sound after gain and before its mute', function (string $tap, bool $isMuted, ?float $db) {
    expect(heardAlike(strip(['tap' => $tap], ['mute' => $isMuted]), 's', 'l', 'desk/ear')[1])->toBe($db);
})->with([
    ['before-mute', true, 10.0], ['before-mute', false, 10.0], ['pre-fader', true, null], ['pre-fader', false, 10.0],
    ['post-fader', false, -10.0], ['input', true, 0.0],
]);

it('keeps the level of a muted microphone that is soloed before its mute', function () {
    $set = ['mute' => true, 'solo' => true];
    expect(heardAlike(strip(['on' => false], $set, ['ch' => ['solo_tap' => 'before-mute']]), 's', 'l', 'desk/ear')[1])->toBe(10.0)
        ->and(heardAlike(strip(['on' => false], $set), 's', 'l', 'desk/ear')[1])->toBeNull();
});

it('listens before or after the fader as a setting says, in a situation too', function (array $values, array $situation, float $db) {
    $more = ['model' => ['settings' => [['id' => 'listen', 'label' => 'Listening', 'kind' => 'choice', 'choices' => ['Before', 'After'], 'factory' => 'Before',
        'effects' => [['value' => 'Before', 'solo_tap' => 'pre-fader'], ['value' => 'After', 'solo_tap' => 'post-fader']]]]]];
    $draft = strip(['on' => false], ['solo' => true], $more, $situation)
        ->with(fn (array $d) => ['units' => [['settings' => $d['units'][0]['settings'] + array_filter(['values' => $values])] + $d['units'][0]]] + $d);
    expect(heardAlike($draft, 's', 'l', 'desk/ear')[1])->toBe($db);
    expect((new DocumentReader)->read((new DocumentWriter)->write($draft->make())))->toEqual($draft->make());
})->with([
    'as it comes' => [[], [], 10.0],
    'set' => [['listen' => 'After'], [], -10.0],
    'in a situation' => [[], ['settings' => [['unit' => 'desk', 'setting' => 'listen', 'value' => 'After']]], -10.0],
]);

it('shows on a meter before the mute what would come', function () {
    $draft = strip([], ['mute' => true], ['model' => ['meters' => [['id' => 'm', 'label' => 'In', 'point' => 'ch', 'tap' => 'before-mute', 'zones' => [['name' => 'green', 'from_db' => 5]]]]]]);
    $hearing = $draft->hear();
    $rig = $hearing->rig;
    expect((new Readings($hearing->graph()))->of($rig->units['desk'], array_values($rig->modelOf('desk')->meters)[0]))->toBe(['s' => 10.0]);
});

it('gives an output that follows another its channels too', function (int $width, string $sides) {
    $draft = Draft::rig()->unit('desk', ['points' => [
        ['id' => 'tone', 'kind' => 'origin', 'channels' => 2], ['id' => 'a', 'kind' => 'bus', 'channels' => 2], ['id' => 'b', 'kind' => 'bus', 'channels' => $width, 'can_follow' => ['a']],
        ['id' => 'ear', 'kind' => 'ear', 'channels' => 2]],
        'routes' => [['from' => 'tone', 'to' => 'a', 'map' => 'to-left'], ['from' => 'tone', 'to' => 'b'], ['from' => 'b', 'to' => 'ear']]])
        ->source('s', 'desk/tone')->listener('l', 'desk/ear')->wish('s', 'l', 'may')
        ->with(fn (array $d) => ['units' => [$d['units'][0] + ['follows' => ['b' => ['of' => 'a']]]]] + $d);
    expect(heardAlike($draft, 's', 'l', 'desk/ear')[2])->toBe($sides);
    // Where nothing is followed, it has its own.
    expect($draft->with(fn (array $d) => ['units' => [array_diff_key($d['units'][0], ['follows' => 0])]] + $d)->pair('s', 'l')->channels())->toBe('both');
})->with(['as wide' => [2, 'left'], 'of another width' => [1, 'both']]);

/** What is heard of a voice at the desk's ear, in each situation, held against the second method. */
function heardEach(Draft $draft): array
{
    $verdicts = [];
    foreach (array_keys($draft->make()->situations) as $id) {
        $pair = $draft->hear((string) $id)->pair('voice', 'me');
        $plain = new PlainSums((array) json_decode($draft->text(), true), (string) $id);
        $level = $plain->level($plain->powers('voice'), (string) $draft->make()->listeners['me']->at[0]);
        expect($pair->level() === null ? $level < -60 : abs($pair->level()->value() - $level) < 0.02)->toBeTrue();
        $verdicts[$id] = $pair->verdict->value;
    }

    return $verdicts;
}

it('hears nothing of what has no phantom power, and cures it', function (bool $isBoosted, array $values, array $verdicts, array $cures) {
    $draft = powered($isBoosted, $values);
    expect(heardEach($draft))->toBe($verdicts);
    $causes = (new Diagnosis(new Hearings($draft->make())))->causes();
    expect(array_map(fn ($cause) => $cause->cures[0]->sentence ?? $cause->why, $causes))->toBe($cures);
})->with([
    'a condenser, off' => [false, [], ['base' => 'missing', 'late' => 'missing'], ['Switch Phantom power, Mic 1 of Desk on', 'Switch Phantom power, Mic 1 of Desk on in Late']],
    'a condenser, on, and off in a situation' => [false, ['phantom-mic-1' => true], ['base' => 'ok', 'late' => 'missing'], ['Switch Phantom power, Mic 1 of Desk on in Late']],
    'a booster, off' => [true, [], ['base' => 'missing', 'late' => 'missing'], ['Switch Phantom power, Mic 1 of Desk on', 'Switch Phantom power, Mic 1 of Desk on in Late']],
]);

it('passes phantom power on through a splitter', function (bool $isOn, string $verdict) {
    $split = ['family' => 'splitter', 'sockets' => [
        ['id' => 'in', 'label' => 'In', 'connector' => 'xlr-f', 'balanced' => true, 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'p']]],
        ['id' => 'out', 'label' => 'Out', 'connector' => 'xlr-m', 'balanced' => true, 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'p']]],
    ], 'points' => [['id' => 'p', 'kind' => 'bus', 'channels' => 1]], 'routes' => []];
    $draft = powered(false, $isOn ? ['phantom-mic-1' => true] : [], 'mic-2')->unit('split', $split)
        ->with(fn (array $d) => ['cables' => array_map(fn (array $one) => $one['to'] === 'desk/mic-2' ? ['to' => 'split/in'] + $one : $one, $d['cables'])] + $d)
        ->cable('xlr', 'split/out', 'desk/mic-1');
    expect($draft->pair('voice', 'me')->verdict->value)->toBe($verdict);
})->with([[true, 'ok'], [false, 'missing']]);

/** A USB interface with a microphone and headphones, by whose socket the sound passes; and a program that needs it. */
function onTheBus(): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('face', 'two-channel-interface', 'room', ['points' => ['in-1' => ['gain' => 45]], 'routes' => ['in-1>phones' => ['on' => true]]])
        ->unit('mic', 'dynamic-microphone', 'room')->unit('head', 'closed-headphones', 'room')->unit('cast', 'broadcast-program', 'room')
        ->cable('xlr', 'mic/out', 'face/in-1')->cable('trs', 'face/phones', 'head/plug')->cable('usb', 'face/usb', 'pc/usb-1')
        ->source('voice', 'mic/capsule')
        ->with(fn (array $d) => ['situations' => [...$d['situations'], ['id' => 'out', 'name' => 'Out', 'changes' => [], 'pulled' => ['w-3']]]] + $d);
}

it('hears nothing of a unit on bus power that hangs nowhere', function () {
    expect(heardEach(onTheBus()->listener('me', 'head/ear')->wish('voice', 'me', 'must')))->toBe(['base' => 'ok', 'out' => 'missing']);
});

it('hears nothing of what works only with what is away', function (array $situation, string $verdict) {
    $draft = onTheBus()->unit('guard', ['family' => 'adapter', 'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-a', 'link' => 'device', 'lanes' => []]], 'points' => [], 'routes' => []], 'room')
        ->cable('usb', 'guard/usb', 'pc/usb-2')->pick('cast/source-1', ['device' => 'face/usb/rec', 'channels' => [1]])
        ->listener('me', 'cast/stream')->wish('voice', 'me', 'must')
        ->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'cast' ? $one + ['needs' => ['guard']] : $one, $d['units']),
            'situations' => [['id' => 'base', 'name' => 'Base', 'changes' => []], ['id' => 'then', 'name' => 'Then', 'changes' => []] + $situation]] + $d);
    expect(heardEach($draft))->toBe(['base' => 'ok', 'then' => $verdict]);
    $without = (new Unplug('w-4'))->applyTo($draft->make());
    expect(hearingOf($without)->pair('voice', 'me')->verdict)->toBe(Verdict::Missing);
})->with(['there' => [[], 'ok'], 'away' => [['absent' => ['guard']], 'missing'], 'unplugged' => [['pulled' => ['w-4']], 'missing']]);

it('hears nothing of a device that a program does not open, says so, and has it carried by one that it opens', function () {
    $draft = onTheBus()->unit('usb', 'usb-microphone-plain', 'room')->unit('rec', 'multitrack-recorder', 'room')->cable('usb', 'usb/usb', 'pc/usb-2')
        ->pick('rec/in-1', ['device' => 'usb/usb/rec'])->pick('rec/in-2', ['device' => 'face/usb/rec', 'channels' => [1]])
        ->listener('me', 'rec/track-2')->wish('voice', 'me', 'must');
    expect(heardEach($draft)['base'])->toBe('missing');
    $causes = (new Diagnosis(new Hearings($draft->make())))->causes();
    expect($causes[0]->sentence)->toBe('Rec opens only 1 device at once, and Two-channel interface at Input 2 is one too many')
        ->and($causes[0]->cures[0]->sentence)->toBe('Rec: no device for Input 1');
});

it('lists every tap down to -80 dB, and says what it left out', function () {
    // A ring of -6.02 dB: a tap is half of the one before, each 1 ms later. The 14th is at -78.3 dB, the next at -84.3.
    $draft = Draft::inside(['a' => 1, 'b' => 1], [['tone', 'a'], ['a', 'b', -6.02, 'straight', 1], ['b', 'a'], ['a', 'ear']]);
    $report = iterator_to_array((new Report)->pairs($draft->hear(), withResponse: true))[0];
    expect($report['response'][0]['taps'])->toHaveCount(14)->and($report['left_out'])->toBeNull();
    // Forty delays that don't fit together, all round: more than anybody counts.
    $points = $routes = [];
    foreach (range(1, 40) as $i) {
        $points["p-{$i}"] = 1;
        array_push($routes, ['hub', "p-{$i}", -40, 'straight', 1 + $i * 0.137], ["p-{$i}", 'hub']);
    }
    $draft = Draft::inside(['hub' => 1] + $points, [['tone', 'hub'], ...$routes, ['hub', 'ear']]);
    $hearing = new Hearing($draft->hear()->graph(), effort: new Effort(20_000));
    $report = iterator_to_array((new Report)->pairs($hearing, withResponse: true))[0];
    // No bound is known of a loop that was not followed to its end.
    expect($report['left_out'])->toBe(['at_most_db' => null]);
});

/** Music on a headset, taken for the stream by loopback of that headset. */
function loopedBack(array $system): Draft
{
    return judgedStudio()->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'pc' ? $one + array_filter(['system' => $system]) : $one, $d['units'])] + $d);
}

it('loops back what the system can, takes it for granted where nobody says, and knows the way by a virtual cable', function (array $system, Verdict $verdict) {
    $draft = loopedBack($system);
    expect(heardAlike($draft, 'music', 'viewers', 'cast/stream')[0])->toBe($verdict);
    if ($verdict === Verdict::Missing) {
        $causes = (new Diagnosis(new Hearings($draft->make())))->causes();
        expect($causes[0]->sentence)->toContain('no loopback on this system');
        // By a cable that is installed: the music into it, the stream from it, and a repeater for the ears.
        $wired = $draft->unit('wire', 'virtual-cable', 'pc')->unit('rep', 'repeater', 'pc')->pick('rep/out', ['device' => 'head/usb/play']);
        $cures = array_merge(...array_map(fn ($one) => array_map(fn ($cure) => $cure->sentence, $one->cures), (new Diagnosis(new Hearings($wired->make())))->causes()));
        expect(implode(' ', $cures))->not->toContain('loopback');
    }
    $rig = $draft->make();
    expect((new DocumentReader)->read((new DocumentWriter)->write($rig)))->toEqual($rig);
})->with([
    'nobody says' => [[], Verdict::Ok],
    'a name only' => [['name' => 'Workbench'], Verdict::Ok],
    'looping' => [['name' => 'Workbench', 'kind' => 'looping'], Verdict::Ok],
    'plain' => [['name' => 'Workbench', 'version' => '3', 'kind' => 'plain'], Verdict::Missing],
    'mobile' => [['name' => 'Workbench', 'kind' => 'mobile'], Verdict::Missing],
]);

it('sends calls where everything goes on a system with one default for all', function (?string $kind, bool $isHeard) {
    $draft = Draft::rig()->place('pc')->unit('pc', 'laptop', 'pc')->unit('head', 'usb-headset')->unit('box', 'usb-headset')->unit('call', 'call-program', 'pc')
        ->cable('usb', 'head/usb', 'pc/usb-1')->cable('usb', 'box/usb', 'pc/usb-2')
        ->device('pc', 'head/usb/play', ['roles' => ['playback']])->device('pc', 'box/usb/play', ['roles' => ['call']])->pick('call/ring', ['default' => 'call'])
        ->source('ring', 'call/ring')->listener('me', 'box/ear')
        ->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'pc' && $kind !== null ? $one + ['system' => ['name' => 'S', 'kind' => $kind]] : $one, $d['units'])] + $d);
    expect(heardAlike($draft, 'ring', 'me', 'box/ear')[1] !== null)->toBe($isHeard);
})->with([[null, true], ['looping', true], ['plain', false], ['mobile', false]]);
