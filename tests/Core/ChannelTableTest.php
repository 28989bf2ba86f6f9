<?php

declare(strict_types=1);

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\ChannelTable;
use HiddenWire\Core\Signal\GraphBuilder;

function channelRig(string $starter): Rig
{
    return (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/resources/starters/{$starter}.json"));
}

/** @return list<string> "4 In 4: Recorder: Input 2" */
function channelRows(Rig $rig, string $computer, string $device): array
{
    $graph = (new GraphBuilder($rig))->build($rig->base());

    return array_map(
        fn (array $row) => "{$row['number']} {$row['print']}: ".implode('; ', $row['used']),
        (new ChannelTable($graph))->rows($graph->devices->of($computer)[$device]),
    );
}

it('has the number of a channel beside what is printed at its socket and what programs call it', function (string $starter, string $device, array $rows) {
    expect(channelRows(channelRig($starter), 'pc', $device))->toBe($rows);
})->with([
    // Two microphones on 1 and 4, which are no neighbours; the loopback of the last pair is off.
    'recording' => ['two-xlr-tracks', 'face/usb/rec', ['1 In 1: Recorder: Input 1', '2 In 2: ', '3 In 3: ', '4 In 4: Recorder: Input 2',
        '5 Optical in, left: ', '6 Optical in, right: ', '7 : ', '8 : ']],
    // Out 1 and 2 are the two halves of a pair, each with a socket of its own.
    'playback' => ['two-xlr-tracks', 'face/usb/play', ['1 Out 1: ', '2 Out 2: ', '3 Phones 1, left: ', '4 Phones 1, right: ',
        '5 Phones 2, left: ', '6 Phones 2, right: ', '7 Optical out, left: ', '8 Optical out, right: ']],
    // The game's pair comes back on the same numbers, and from there goes into the virtual cable.
    'a loopback' => ['matrix-and-loopback', 'face/usb/rec', ['1 In 1: Broadcast program: Source 1, left', '2 In 2: Broadcast program: Source 1, right',
        '3 In 3: ', '4 In 4: ', '5 Optical in, left: ', '6 Optical in, right: ', '7 what the computer plays on 7: Loopback repeater: In, left',
        '8 what the computer plays on 8: Loopback repeater: In, right']],
]);

it('follows the routes that are on', function () {
    $rig = (new SetRoute(new RouteRef('face', 'in-4>usb-out'), new RouteSettings(on: false)))->applyTo(channelRig('two-xlr-tracks'));
    expect(channelRows($rig, 'pc', 'face/usb/rec')[3])->toBe('4 : Recorder: Input 2');
});

it('is shown where channels need telling apart', function (string $starter, array $devices) {
    $rig = channelRig($starter);
    $graph = (new GraphBuilder($rig))->build($rig->base());
    $table = new ChannelTable($graph);
    expect(array_values(array_map(fn (Device $device) => (string) $device->ref, array_filter($graph->devices->of('pc'), $table->isUseful(...)))))
        ->toBe($devices);
})->with([
    'eight channels' => ['two-xlr-tracks', ['face/usb/play', 'face/usb/rec']],
    'one of a pair is picked' => ['three-repeaters', ['pc/mic-in/in']],
    'pairs as they are' => ['software-only', []],
]);
