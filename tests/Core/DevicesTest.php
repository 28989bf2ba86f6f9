<?php

declare(strict_types=1);

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Wiring;
use Tests\Support\Draft;

/** @return array<string, Device> */
function devicesOf(Draft $draft, string $computer = 'pc'): array
{
    $rig = $draft->make();

    return (new DeviceLists($rig, new Wiring($rig)))->of($computer);
}

function laptopRig(): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'laptop', 'room');
}

it('lists a computer\'s own sockets', function () {
    expect(array_keys(devicesOf(Draft::rig()->place('room')->unit('pc', 'older-computer', 'room'))))
        ->toBe(['pc/line-out/out', 'pc/line-in/in', 'pc/mic-in/in', 'pc/played']);
});

it('lists what hangs on USB, through hubs and extensions', function () {
    $devices = devicesOf(laptopRig()->unit('hub', 'powered-hub')->unit('ext', 'usb-extension')->unit('desk-2', 'two-computer-mixer')
        ->cable('usb', 'pc/usb-1', 'hub/up')->cable('usb', 'hub/port-2', 'ext/up')->cable('usb', 'ext/port-1', 'desk-2/usb-1'));
    expect($devices)->toHaveKeys(['desk-2/usb-1/first-1', 'desk-2/usb-1/first-2', 'desk-2/usb-1/to-first-1', 'desk-2/usb-1/to-first-2'])
        ->and(array_column($devices['desk-2/usb-1/first-1']->via, 'cable'))->toBe(['w-1', 'w-2', 'w-3'])
        ->and($devices['desk-2/usb-1/first-1']->systemName)->toBe('First computer 1, mixer for two computers')
        ->and($devices)->not->toHaveKey('desk-2/usb-2/second-1');
});

it('survives a hub that is plugged into itself', function () {
    $devices = devicesOf(laptopRig()->unit('hub', 'powered-hub')->unit('mic', 'usb-microphone')->cable('usb', 'hub/port-1', 'hub/up')
        ->cable('usb', 'hub/port-2', 'mic/usb'));
    expect($devices)->not->toHaveKey('mic/usb/rec');
});

it('visits each hub once, however many ways lead to it', function () {
    // Twenty-two layers of two hubs, each plugged into both of the layer before: as a rig of before two leads in one socket were refused.
    $draft = laptopRig()->unit('mic', 'usb-microphone');
    $last = [['pc', 'usb-1'], ['pc', 'usb-2']];
    foreach (range(1, 22) as $layer) {
        foreach (['a', 'b'] as $side) {
            $draft->unit("hub-{$layer}-{$side}", 'powered-hub');
            foreach ($last as $number => [$unit, $socket]) {
                $draft->cable('usb', "{$unit}/".($unit === 'pc' ? $socket : 'port-'.($side === 'a' ? 1 : 2)), "hub-{$layer}-{$side}/up");
            }
        }
        $last = [["hub-{$layer}-a", 'port-1'], ["hub-{$layer}-b", 'port-1']];
    }
    $draft->cable('usb', 'hub-22-a/port-3', 'mic/usb');
    $rig = (new HiddenWire\Core\Document\DocumentReader)->readData(HiddenWire\Core\Document\Json::decode($draft->text()), isStored: true);
    // One way to the microphone is 23 leads long; 2^22 of them would not be listed before the test is given up.
    $devices = (new HiddenWire\Core\Devices\DeviceLists($rig, new HiddenWire\Core\Rig\Wiring($rig)))->of('pc');
    expect($devices)->toHaveKey('mic/usb/rec')->and($devices['mic/usb/rec']->via)->toHaveCount(23);
});

it('lists a picture output only while it reaches something, and names it after that', function () {
    expect(devicesOf(laptopRig()))->not->toHaveKey('pc/hdmi/sound');
    $devices = devicesOf(laptopRig()->unit('screen', 'sound-monitor')->cable('hdmi', 'pc/hdmi', 'screen/hdmi-1'));
    expect($devices['pc/hdmi/sound']->systemName)->toBe('Picture, monitor with sound');
});

it('lists what programs install: a virtual cable, a software mixer\'s devices both ways', function () {
    $devices = devicesOf(laptopRig()->unit('cable', 'virtual-cable', 'room')->unit('mix', 'software-mixer', 'room'));
    expect($devices['cable/in']->direction)->toBe(Direction::Playback)
        ->and($devices['cable/out']->direction)->toBe(Direction::Recording)
        ->and($devices)->toHaveKeys(['mix/played-1', 'mix/feed-1']);
});

it('lists a Bluetooth partner', function () {
    expect(devicesOf(laptopRig()->unit('ears', 'wireless-headset')->cable('wireless', 'pc/bluetooth', 'ears/radio')))
        ->toHaveKeys(['ears/radio/play', 'ears/radio/rec']);
});

it('knows the width of a device that carries some of a point\'s channels', function () {
    $devices = devicesOf(laptopRig()->unit('panel', Draft::sized('channel-desk', ['mics' => 6]))->cable('usb', 'panel/usb', 'pc/usb-1'));
    expect($devices['panel/usb/rec-mix']->channels)->toBe(2)->and($devices['panel/usb/rec-all']->channels)->toBe(10);
});

it('keeps a device\'s settings when its wiring goes, as not connected, and takes them up again when it comes back', function () {
    $draft = laptopRig()->unit('mic', 'usb-microphone')->device('pc', 'mic/usb/rec', ['name' => 'Big mic', 'roles' => ['recording']]);
    $gone = devicesOf($draft)['mic/usb/rec'];
    expect($gone->isConnected)->toBeFalse()->and($gone->name())->toBe('Big mic')->and($gone->isUsable())->toBeFalse();
    $back = devicesOf($draft->cable('usb', 'mic/usb', 'pc/usb-2'))['mic/usb/rec'];
    expect($back->isConnected)->toBeTrue()->and($back->name())->toBe('Big mic');
});

it('follows the default for calls, and where there is none the system\'s', function () {
    $draft = laptopRig()->unit('mic', 'usb-microphone')->unit('cable', 'virtual-cable', 'room')->cable('usb', 'mic/usb', 'pc/usb-1')
        ->device('pc', 'mic/usb/rec', ['roles' => ['recording']]);
    $pick = new Pick(new PointRef('x', 'y'), null, SystemDefault::Call);
    $resolve = function () use ($draft, $pick): ?string {
        $rig = $draft->make();

        return (string) (new DeviceLists($rig, new Wiring($rig)))->resolve('pc', $pick, Direction::Recording)?->ref;
    };
    expect($resolve())->toBe('mic/usb/rec');
    $draft->device('pc', 'cable/out', ['roles' => ['call']]);
    expect($resolve())->toBe('cable/out');
});
