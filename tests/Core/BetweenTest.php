<?php

declare(strict_types=1);

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Planning\Between;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use Tests\Support\Draft;

/** @return list<PutBetween> */
function offered(Rig $rig, string $from, string $to): array
{
    static $catalogue;
    $catalogue ??= Catalogue::of((function () {
        foreach (glob(dirname(__DIR__, 2).'/resources/catalogue/*.json') ?: [] as $file) {
            yield basename($file, '.json') => (string) file_get_contents($file);
        }
    })());

    return (new Between($rig, $catalogue))->offers(new SocketRef(...explode('/', $from)), new SocketRef(...explode('/', $to)));
}

function bench(): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'gaming-computer', 'room')->unit('mic', 'dynamic-microphone')
        ->unit('desk', 'eight-input-desk')->unit('old', 'old-console')->unit('cam', 'webcam')
        ->unit('screen', 'sound-monitor')->unit('play', 'console')->unit('card', 'capture-card')->unit('head', 'closed-headphones')
        ->tone('player')->ear('hall');
}

it(
    'offers what joins two sockets of a kind, and nothing that would not carry the sound',
    function (string $from, string $to, array $offered, array $not) {
        $ids = array_map(fn (PutBetween $offer) => $offer->model->id, offered(bench()->make(), $from, $to));
        expect($ids)->toContain(...$offered);
        foreach ($not as $id) {
            expect($ids)->not->toContain($id);
        }
    },
)->with([
    'a red and white pair into a small socket' => ['old/sound', 'pc/line-in', ['rca-lead'],
        ['line-booster', 'optical-splitter', 'plain-hub']],
    'a microphone and a mixer' => ['mic/out', 'desk/mic-1', ['line-booster'], ['stereo-splitter', 'rca-lead', 'hdmi-splitter']],
    'a camera and a computer' => ['pc/usb-1', 'cam/usb', ['plain-hub', 'powered-hub', 'usb-extension'],
        ['stereo-splitter', 'line-booster']],
    'the same, asked from the other side' => ['cam/usb', 'pc/usb-1', ['plain-hub', 'usb-extension'], []],
    'a console and a screen' => ['play/picture', 'screen/hdmi-1', ['hdmi-splitter'], ['optical-splitter', 'plain-hub']],
    'a line and a line' => ['player/out', 'hall/in', ['isolator-stereo', 'stereo-splitter'],
        ['optical-splitter', 'rca-lead', 'line-booster']],
    'light and light' => ['pc/optical', 'desk/optical', ['optical-splitter'], ['stereo-splitter', 'isolator-stereo']],
]);

it('offers nothing between two that both give, whatever their plugs', function () {
    expect(offered(bench()->make(), 'player/out', 'desk/main'))->toBe([])->and(offered(bench()->make(), 'mic/out', 'old/sound'))->toBe([]);
});

it('makes of every offer a rig in which the two are joined by two more cables, and by one unit more', function (string $from, string $to) {
    $rig = bench()->make();
    foreach (offered($rig, $from, $to) as $offer) {
        $after = $offer->applyTo($rig);
        $new = array_values(array_diff_key($after->units, $rig->units));
        $ends = array_merge(...array_map(fn ($cable) => [(string) $cable->from, (string) $cable->to], array_values($after->cables)));
        expect($new)->toHaveCount(1)->and($new[0]->model)->toBe($offer->model->id)->and($after->cables)->toHaveCount(2)->and($ends)
            ->toContain($from, $to, "{$new[0]->id}/{$offer->in}", "{$new[0]->id}/{$offer->out}")
            ->and($new[0]->place)->toBe($rig->units[$offer->to->unit]->place);
    }
})->with([['mic/out', 'desk/mic-1'], ['player/out', 'hall/in'], ['pc/usb-1', 'cam/usb'], ['old/sound', 'pc/line-in'], ['play/picture',
    'screen/hdmi-1']]);

it('puts a second of a kind in under a name of its own', function () {
    $rig = bench()->make();
    $once = offered($rig, 'mic/out', 'desk/mic-1')[0]->applyTo($rig);
    $again = array_values(array_filter(
        offered($once, 'player/out', 'hall/in'),
        fn (PutBetween $offer) => $offer->model->id === 'isolator-stereo',
    ))[0]->applyTo($once);
    $third = array_values(array_filter(
        offered($again, 'old/sound', 'pc/line-in'),
        fn (PutBetween $offer) => $offer->model->id === 'rca-lead',
    ))[0]->applyTo($again);
    $names = array_map(fn ($unit) => $unit->name, array_values($third->units));
    expect(array_unique($names))->toBe($names)->and($third->cables)->toHaveCount(6)
        ->and(array_map(fn ($cable) => $cable->label, array_values($third->cables)))
        ->toBe(['W-01', 'W-02', 'W-03', 'W-04', 'W-05', 'W-06']);
});

it('keeps label, colour and ownership on the first stretch of a cable that it cuts', function () {
    $rig = Draft::rig()->tone('player')->ear('hall')
        ->add('cables', ['id' => 'long', 'label' => 'L-7', 'type' => 'trs', 'from' => 'player/out', 'to' => 'hall/in', 'length_m' => 10,
            'colour' => 'red', 'owned' => false])->make();
    $after = array_values(array_filter(
        offered($rig, 'player/out', 'hall/in'),
        fn (PutBetween $offer) => $offer->model->id === 'isolator-stereo',
    ))[0]->applyTo($rig);
    $first = $after->cables['long'];
    expect([$first->label, $first->colour, $first->owned])->toBe(['L-7', 'red', false])->and($first->lengthM)
        ->toBeNull('its length is another now')->and(array_keys($after->cables))->toBe(['long', 'w-01']);
});
