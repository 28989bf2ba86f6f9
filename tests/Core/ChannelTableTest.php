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
    // Three microphones on 1, 3 and 4; the program's device has the first two; an optical pair is called 1 and is 5 and 6.
    'recording' => ['hall-of-mirrors', 'face/usb/rec', ['1 In 1 left: Recording program: Audio device, left; Recording program: High (Track 1)',
        '2 In 1 right: Recording program: Audio device, right', '3 In 2 left: Recording program: Solo (Track 3)',
        '4 In 2 right: Recording program: Low (Track 2)', '5 Optical in 1, left: ', '6 Optical in 1, right: ']],
    // The two halves of a pair have a socket each; the headphones get the first pair, too.
    'playback' => ['hall-of-mirrors', 'face/usb/play', ['1 Out 1 left and Phones, left: Pitch pipe: Chimes, left',
        '2 Out 1 right and Phones, right: Pitch pipe: Chimes, right', '3 Out 2 left: ', '4 Out 2 right: ', '5 Optical out 1, left: ', '6 Optical out 1, right: ']],
    // The film's pair comes back on the same numbers; the voice goes into the virtual cable.
    'a loopback' => ['lost-property', 'face/usb/rec', ['1 what the computer plays on 1: Broadcast program: Source 2, left',
        '2 what the computer plays on 2: Broadcast program: Source 2, right', '3 In 2 left: Voice repeater: In', '4 In 2 right: ',
        '5 Optical in 1, left: ', '6 Optical in 1, right: ']],
]);

it('follows the routes that are on', function () {
    $rig = (new SetRoute(new RouteRef('face', 'left-2>usb-out'), new RouteSettings(on: false)))->applyTo(channelRig('hall-of-mirrors'));
    expect(channelRows($rig, 'pc', 'face/usb/rec')[2])->toBe('3 : Recording program: Solo (Track 3)');
});

it('is shown where channels need telling apart', function (string $starter, array $devices) {
    $rig = channelRig($starter);
    $graph = (new GraphBuilder($rig))->build($rig->base());
    $table = new ChannelTable($graph);
    expect(array_values(array_map(fn (Device $device) => (string) $device->ref, array_filter($graph->devices->of('pc'), $table->isUseful(...)))))
        ->toBe($devices);
})->with([
    'six channels' => ['hall-of-mirrors', ['face/usb/play', 'face/usb/rec']],
    'one of a pair is picked' => ['ferry-office', ['face/usb/rec']],
    'pairs as they are' => ['puppet-theatre', []],
]);
