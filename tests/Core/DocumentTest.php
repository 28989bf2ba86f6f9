<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

/** @return list<string> pointers of what is wrong */
function offences(string $text): array
{
    try {
        (new DocumentReader)->read($text);
    } catch (InvalidDocument $e) {
        return array_map(fn (Problem $problem) => $problem->pointer, $e->problems);
    }

    return [];
}

/** A small sound rig whose data a function changes. @param  callable(array<string, mixed>): array<string, mixed>  $change */
function spoiled(callable $change): string
{
    return Draft::rig()->place('computer')->unit('mic', 'usb-microphone')->unit('pc', 'laptop', 'computer')
        ->unit('rec', 'clip-recorder', 'computer')
        ->unit('desk-mixer', 'group-desk')->cable('usb', 'mic/usb', 'pc/usb-1')
        ->device('pc', 'mic/usb/rec', ['roles' => ['recording']])
        ->pick('rec/in-1', ['device' => 'mic/usb/rec'])->source('voice', 'mic/capsule')->listener('clip', 'rec/track-1')
        ->wish('voice', 'clip', 'must')
        ->situation('off', ['rec/in-1' => ['mute' => true]])->with($change)->text();
}

it('takes the unspoiled rig', fn () => expect(offences(spoiled(fn (array $d) => $d)))->toBe([]));

it('points at each offence', function (callable $change, array $pointers) {
    expect(offences(spoiled($change)))->toBe($pointers);
})->with([
    'unknown key at the top' => [fn ($d) => $d + ['colour' => 'red'], ['/colour']],
    'unknown key inside' => [fn ($d) => array_replace_recursive($d, ['units' => [['weight' => 3]]]), ['/units/0/weight']],
    'missing name' => [function ($d) {
        unset($d['name']);

        return $d;
    }, ['/name']],
    'wrong type' => [fn ($d) => array_replace_recursive($d, ['cables' => [['length_m' => 'long']]]), ['/cables/0/length_m']],
    'a place of no kind' => [fn ($d) => array_replace_recursive($d, ['places' => [['kind' => 'garage']]]), ['/places/0/kind']],
    'an id with capitals' => [fn ($d) => array_replace_recursive($d, ['sources' => [['id' => 'Voice']]]),
        ['/sources/0/id', '/wishes/0/source']],
    'an id twice' => [fn ($d) => array_replace_recursive($d, ['units' => [1 => ['id' => 'mic']]]),
        ['/units/1/id', '/cables/0/to', '/devices/0/computer']],
    'a model that is not there' => [fn ($d) => array_replace_recursive($d, ['units' => [['model' => 'none']]]), ['/units/0/model']],
    'a cable into no socket' => [fn ($d) => array_replace_recursive($d, ['cables' => [['to' => 'pc/usb-9']]]), ['/cables/0/to']],
    'a cable to no unit' => [fn ($d) => array_replace_recursive($d, ['cables' => [['to' => 'ghost/usb-9']]]), ['/cables/0/to']],
    'a cable with both ends in one socket' => [fn ($d) => array_replace_recursive($d, ['cables' => [['to' => 'mic/usb']]]),
        ['/cables/0/to']],
    'a pick of what is no device' => [fn ($d) => array_replace_recursive($d, ['picks' => [['device' => 'mic/capsule']]]),
        ['/picks/0/device']],
    'a pick of the wrong direction' => [fn ($d) => array_replace_recursive($d, ['picks' => [['device' => 'mic/usb/play']]]),
        ['/picks/0/device']],
    'a pick of both a device and a default' => [fn ($d) => array_replace_recursive($d, ['picks' => [['default' => 'system']]]),
        ['/picks/0/default']],
    'channels that the device does not have' => [fn ($d) => array_replace_recursive($d, ['picks' => [['channels' => [4]]]]),
        ['/picks/0/channels']],
    'a tap at an out' => [fn ($d) => array_replace_recursive($d, ['picks' => [['tap' => 'recording']]]), ['/picks/0/tap']],
    'a role of the other direction' => [fn ($d) => array_replace_recursive($d, ['devices' => [['roles' => ['playback']]]]),
        ['/devices/0/roles/0']],
    'a source where no sound begins' => [fn ($d) => array_replace_recursive($d, ['sources' => [['origins' => [['at' => 'mic/mic']]]]]),
        ['/sources/0/origins/0/at']],
    'a listener where nobody listens' => [fn ($d) => array_replace_recursive($d, ['listeners' => [['at' => ['rec/in-1']]]]),
        ['/listeners/0/at/0']],
    'a wish twice' => [fn ($d) => array_replace_recursive($d, ['wishes' => [1 => $d['wishes'][0]]]), ['/wishes/1']],
    'a wish in no situation' => [fn ($d) => array_replace_recursive($d, ['wishes' => [['situations' => ['never']]]]),
        ['/wishes/0/situations/0']],
    'a fader that is not there' => [fn ($d) => array_replace_recursive(
        $d,
        ['situations' => [1 => ['changes' => [['set' => ['fader' => -3]]]]]],
    ), ['/situations/1/changes/0/set/fader']],
    'a gain out of range' => [fn ($d) => array_replace_recursive(
        $d,
        ['units' => [['settings' => ['points' => ['mic' => ['gain' => 99]]]]]],
    ), ['/units/0/settings/points/mic/gain']],
    'a gain too fine to keep' => [fn ($d) => array_replace_recursive(
        $d,
        ['units' => [['settings' => ['points' => ['mic' => ['gain' => 1.2345]]]]]],
    ), ['/units/0/settings/points/mic/gain']],
    'a fixed route switched off' => [fn ($d) => array_replace_recursive(
        $d,
        ['units' => [['settings' => ['routes' => ['capsule>mic' => ['on' => false]]]]]],
    ), ['/units/0/settings/routes/capsule>mic/on']],
    'two of a group on' => [fn ($d) => array_replace_recursive(
        $d,
        ['units' => [3 => ['settings' => ['routes' => ['mic-1>main' => ['on' => true], 'mic-1>group-1' => ['on' => true]]]]]],
    ),
        ['/units/3/settings/routes/mic-1>group-1/on']],
    'a program without a computer' => [fn ($d) => array_replace_recursive($d, ['units' => [2 => ['place' => 'desk']]]), ['/units/2/place']],
    'a model lane to no point' => [fn ($d) => array_replace_recursive(
        $d,
        ['models' => ['laptop' => ['sockets' => [['lanes' => [['point' => 'nowhere']]]]]]],
    ), ['/models/laptop/sockets/0/lanes/0/point']],
    'no situation' => [fn ($d) => ['situations' => [], 'wishes' => []] + $d, ['/situations']],
    'another version' => [fn ($d) => ['version' => 4] + $d, ['/version']],
    'another format' => [fn ($d) => ['format' => 'something/else'] + $d, ['/format']],
]);

it('reports everything at once, structure and references together', function () {
    $text = spoiled(function (array $d) {
        $d['junk'] = 1;
        $d['cables'][0]['type'] = 'string';
        $d['picks'][0]['at'] = 'rec/nothing';
        $d['wishes'][0]['source'] = 'nobody';
        $d['units'][] = ['id' => 'x', 'model' => 'laptop', 'place' => 'attic', 'name' => 'X'];

        return $d;
    });
    expect(offences($text))->toEqualCanonicalizing(['/junk', '/cables/0/type', '/picks/0/at', '/wishes/0/source', '/units/4/place']);
});

it('does not hold an unreadable element against those that name it', function () {
    expect(offences(spoiled(fn (array $d) => array_replace_recursive($d, ['units' => [['name' => '']]]))))->toBe(['/units/0/name']);
});

it('refuses a file that is no document, and says why', function (string $text, string $says) {
    expect(fn () => (new DocumentReader)->read($text))->toThrow(InvalidDocument::class, $says);
})->with([
    'empty' => ['', 'It is empty'],
    'cut off' => [fn () => substr(shipped('rigs/night-relay.json'), 0, 5000), 'cut off'],
    'cut off in a text' => ['{"name": "half', 'inside a text'],
    'not UTF-8' => ["{\"name\": \"\xC3\x28\"}", 'not UTF-8'],
    'deeply nested' => [str_repeat('[', 5000).str_repeat(']', 5000), 'nests deeper'],
    'a list' => ['[]', 'one JSON object'],
    'huge' => [fn () => '"'.str_repeat('x', Json::MAX_BYTES).'"', 'MB at most'],
    'brackets crossed' => ['{"a": [1}', 'line 1'],
]);

it('refuses a key that is given twice, since one of the two would be lost', function () {
    $text = '{"format": "hidden-wire/rig", "version": 1, "name": "A", "situations": [{"id": "a", "name": "A", "na\u006de": "B"}]}';
    expect(offences($text))->toBe(['/situations/0/name']);
});

it('gives shipped rigs back byte for byte', function (string $file) {
    $text = (string) file_get_contents($file);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
})->with(fn () => shippedRigs());

it('has one form for one rig: what equals its default is left out, numbers are shortest', function () {
    $plain = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->wish('a', 'b', 'must');
    $wordy = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->wish('a', 'b', 'must')->with(function (array $d) {
        $d['cables'][0] += ['owned' => true, 'colour' => ''];
        $d['wishes'][0] += ['own_level' => false, 'situations' => []];
        $d['sources'][0]['origins'][0]['db'] = 0.0;
        $d['units'][0] += ['firmware' => '', 'needs' => [], 'settings' => (object) []];

        return $d;
    });
    $writer = new DocumentWriter;
    expect($writer->write($wordy->make()))->toBe($writer->write($plain->make()));
});

it('rewrites a changed rig around what is unchanged, to the same text', function (string $file) {
    $before = (string) file_get_contents($file);
    $rig = (new DocumentReader)->read($before);
    $writer = new DocumentWriter;
    $changed = new Rig($rig->parts()->with(name: "Other \"models\": {},\n  units", summary: ''));
    expect($writer->rewrite($rig, $rig, $before))->toBe($before)
        ->and($writer->rewrite($changed, $rig, $before))->toBe($writer->write($changed))
        ->and($writer->rewrite($rig, $changed, $writer->write($changed)))->toBe($before)
        ->and($writer->rewrite($rig, $rig, 'no document'))->toBe($before)
        ->and($writer->rewrite($rig, $rig, str_replace('"version": 3', '"version": 2', $before)))->toBe($before);
})->with(fn () => shippedRigs());
