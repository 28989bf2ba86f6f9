<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Curing;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

function checkOf(string $code): Check
{
    return array_values(array_filter(Checks::all(), fn (Check $one) => $one->code() === $code))[0];
}

/** @return list<Finding> what one check finds in a rig */
function findingsOf(Draft|Rig $rig, string $code): array
{
    return Checks::of(checkOf($code), new Inspection(new Hearings($rig instanceof Draft ? $rig->make() : $rig)));
}

/** @return list<string> what one check says of a rig: how bad it is and its sentences */
function found(Draft|Rig $rig, string $code): array
{
    return array_map(fn (Finding $one) => "{$one->severity->value}: {$one->sentence}", findingsOf($rig, $code));
}

/** The elements that each finding rests on, in order of their names. @return list<list<string>> */
function allRestOn(Draft $draft, string $code): array
{
    return array_map(function (Finding $one): array {
        $about = array_map(strval(...), $one->about);
        sort($about);

        return $about;
    }, findingsOf($draft, $code));
}

/** Those of the only finding. @return list<string> */
function restsOn(Draft $draft, string $code): array
{
    $all = allRestOn($draft, $code);
    expect($all)->toHaveCount(1);

    return $all[0];
}

/** The trouble that a source has at a listener. */
function troubleOf(Draft $draft, string $source = 's', string $listener = 'l', string $situation = 'base', Rig ...$earlier): Trouble
{
    $hearing = $draft->hear($situation);

    return new Trouble(new Cell($source, $listener, $situation), $hearing->pair($source, $listener), $hearing, array_values($earlier));
}

/** A unit of analog sockets: each a name, a connector, whether it gives, a kind of signal, channels. @param  list<array<int, mixed>>  $sockets */
function box(string $family, array $sockets, array $more = []): array
{
    $made = $points = [];
    foreach ($sockets as [$id, $connector, $way, $signal, $channels]) {
        $balanced = str_ends_with((string) $connector, '+');
        $made[] = ['id' => $id, 'label' => ucfirst($id), 'connector' => rtrim((string) $connector, '+'), 'signal' => $signal, 'balanced' => $balanced,
            'lanes' => [['id' => 'l', 'way' => $way, 'point' => $id]]] + ($more[$id] ?? []);
        $points[] = ['id' => $id, 'kind' => $way === 'out' ? 'origin' : 'ear', 'channels' => $channels];
    }

    return ['family' => $family, 'sockets' => $made, 'points' => $points] + ($more['model'] ?? []);
}

/** Two boxes and a lead between them. */
function led(array $from, array $to, string $type, array $more = []): Draft
{
    return Draft::rig()->unit('a', box($more['from'] ?? 'mixer', [['out', ...$from]], $more['a'] ?? []))->unit('b', box($more['to'] ?? 'mixer', [['in', ...$to]], $more['b'] ?? []))
        ->cable($type, 'a/out', 'b/in');
}

const LINE = ['trs-6.35+', 'out', 'professional-line', 1];

const LINE_IN = ['trs-6.35+', 'in', 'professional-line', 1];

/** A computer with a USB interface, a headset, a music player and a broadcast program. */
function judgedStudio(): Draft
{
    return Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('face', 'two-channel-interface')->unit('head', 'usb-headset')
        ->unit('music', 'music-player', 'pc')->unit('cast', 'broadcast-program-small', 'pc')
        ->cable('usb', 'face/usb', 'pc/usb-1')->cable('usb', 'head/usb', 'pc/usb-2')
        ->device('pc', 'head/usb/play', ['name' => 'Headset'])->device('pc', 'head/usb/rec', ['name' => 'Headset mic'])->device('pc', 'face/usb/rec', ['name' => 'Interface mics'])
        ->add('sources', ['id' => 'music', 'name' => 'Music', 'kind' => 'music', 'origins' => [['at' => 'music/sound']]])
        ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']])->listener('me', 'head/ear')
        ->pick('music/sound', ['device' => 'head/usb/play'])->pick('cast/source-1', ['device' => 'head/usb/play', 'tap' => 'playback'])->wish('music', 'viewers', 'must')->wish('music', 'me', 'must');
}

/** @return list<Finding> what a check finds, with the cures that were tried */
function curedFindings(Rig $rig, string $code): array
{
    $in = new Inspection(new Hearings($rig), wholeCatalogue());

    return (new Curing($in))->of(Checks::of(checkOf($code), $in));
}

/** The cures of what a check finds, as sentences: each tried, and the finding gone behind it. @return list<string> */
function curedBy(Draft $draft, string $code): array
{
    $rig = $draft->make();
    $sentences = [];
    foreach (curedFindings($rig, $code) as $finding) {
        foreach ($finding->cures as $cure) {
            expect(array_map(fn (Finding $one) => $one->key(), findingsOf($cure->applyTo($rig), $code)))->not->toContain($finding->key());
            $sentences[] = $cure->sentence;
        }
    }

    return $sentences;
}

/** A condenser, or a dynamic microphone with a booster, into a desk with a phantom switch. */
function powered(bool $isBoosted, array $values, string $socket = 'mic-1'): Draft
{
    $draft = Draft::rig()->unit('mic', $isBoosted ? 'dynamic-microphone' : 'condenser-microphone')
        ->unit('desk', 'eight-input-desk', 'desk', ['points' => ['ch-1' => ['gain' => 40], 'ch-2' => ['gain' => 40]], 'routes' => ['ch-1>phones' => ['on' => true], 'ch-2>phones' => ['on' => ! $isBoosted]]] + array_filter(['values' => $values]))
        ->unit('head', 'closed-headphones')->cable('trs', 'desk/phones', 'head/plug')
        ->source('voice', 'mic/capsule')->listener('me', 'head/ear')->wish('voice', 'me', 'must')
        ->with(fn (array $d) => ['situations' => [...$d['situations'], ['id' => 'late', 'name' => 'Late', 'changes' => [], 'settings' => [['unit' => 'desk', 'setting' => 'phantom-mic-1', 'value' => false]]]]] + $d);

    return $isBoosted ? $draft->unit('boost', 'line-booster')->cable('xlr', 'mic/out', 'boost/in')->cable('xlr', 'boost/out', "desk/{$socket}")
        : $draft->cable('xlr', 'mic/out', "desk/{$socket}");
}
