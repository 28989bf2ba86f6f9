<?php

declare(strict_types=1);

use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\SocketRef;
use Tests\Support\Draft;

it(
    'knows which cable joins two sockets, and why none does',
    function (string $modelA, string $socketA, string $modelB, string $socketB, ?string $type, ?string $why) {
        $rig = Draft::rig()->place('room')->unit('a', $modelA, $modelA === 'streaming-computer' ? 'room' : 'desk')
            ->unit('b', $modelB, $modelB === 'streaming-computer' ? 'room' : 'desk')->make();
        [$a, $b] = [$rig->socket(new SocketRef('a', $socketA)), $rig->socket(new SocketRef('b', $socketB))];
        expect(Mating::cable($a, $b)?->value)->toBe($type)->and(Mating::cable($b, $a)?->value)->toBe($type);
        $why === null ? expect(Mating::obstacle($a, $b))->toBeNull() : expect(Mating::obstacle($a, $b))->toContain($why);
    },
)->with([
    'a microphone into a desk' => ['dynamic-microphone', 'out', 'eight-input-desk', 'mic-1', 'xlr', null],
    'two outs' => ['dynamic-microphone', 'out', 'line-booster', 'out', null, 'nothing would flow'],
    'a jack into a combo socket' => ['group-desk', 'aux-1', 'two-channel-interface', 'in-1', 'trs', null],
    'a stereo line' => ['streaming-computer', 'line-out', 'eight-input-desk', 'line-3-4', 'trs', null],
    'a mono line' => ['group-desk', 'aux-1', 'isolator-two', 'in-1', 'ts', null],
    'a headset' => ['headphone-desk', 'headset-1', 'trrs-headset', 'plug', 'trrs', null],
    'a device into a computer' => ['usb-microphone', 'usb', 'streaming-computer', 'usb-1', 'usb', null],
    'a device into a device' => ['usb-microphone', 'usb', 'capture-card', 'usb', null, 'takes a device or a hub'],
    'a hub into a computer' => ['powered-hub', 'up', 'streaming-computer', 'usb-1', 'usb', null],
    'a hub into itself' => ['powered-hub', 'port-1', 'plain-hub', 'port-1', null, 'takes a device or a hub'],
    'a picture' => ['console', 'picture', 'capture-card', 'picture-1', 'hdmi', null],
    'light and copper' => ['console', 'optical', 'capture-card', 'line', null, 'no cable has'],
    'a plug into a socket of its size' => ['stereo-y-lead', 'left', 'eight-input-desk', 'mic-1', 'ts', null],
    'a small plug into a large socket' => ['stereo-y-lead', 'stereo', 'group-desk', 'aux-1', null, 'a plug 3.5 mm TRS does not go into 6.35 mm'],
    'a large plug into a small socket' => ['mono-pair-lead', 'left', 'streaming-computer', 'line-out', null, 'does not go into'],
    'two plugs' => ['mono-pair-lead', 'stereo', 'stereo-y-lead', 'stereo', null, 'both are plugs: a coupler goes between them'],
    'an XLR plug into its socket' => ['stereo-xlr-lead', 'left', 'two-desk-mixer', 'mic-1', 'xlr', null],
    'a USB plug into a computer' => ['usb-extension', 'up', 'streaming-computer', 'usb-1', 'usb', null],
    'a call' => ['call-service', 'member-1', 'call-service', 'member-1', 'network', null],
]);

it('fits the cables of every shipped rig: what is plugged there can be plugged', function (string $file) {
    $rig = Draft::from($file)->make();
    foreach ($rig->cables as $cable) {
        expect(Mating::obstacle($rig->socket($cable->from), $rig->socket($cable->to)))->toBeNull("{$cable->label} in {$rig->name}");
    }
})->with(fn () => shippedRigs());

it('plugs with the next label of the series, and back out', function () {
    $rig = Draft::from(dirname(__DIR__, 2).'/resources/starters/bell-tower.json')->make();
    $out = (new Unplug('w-04'))->applyTo($rig);
    $edit = new Plug(new SocketRef('mix', 'send-1'), new SocketRef('pc', 'line-in'));
    expect($edit->words($out))->toBe('W-09: Send 1 of Tower mixer to Line in · blue of Tower computer');
    $cable = $edit->applyTo($out)->cables['w-09'];
    expect([$cable->label, $cable->type->value, (string) $cable->from, (string) $cable->to])
        ->toBe(['W-09', 'trs', 'mix/send-1', 'pc/line-in']);
});

it('plugs nothing into a socket that is taken, and nothing that does not fit', function () {
    $rig = Draft::from(dirname(__DIR__, 2).'/resources/starters/bell-tower.json')->make();
    expect(fn () => (new Plug(new SocketRef('mix', 'send-1'), new SocketRef('pc', 'mic-in')))->applyTo($rig))
        ->toThrow(InvalidRig::class, 'has W-04 in it');
    expect(fn () => (new Plug(new SocketRef('mix', 'optical-1'), new SocketRef('pc', 'line-out')))->applyTo($rig))
        ->toThrow(InvalidRig::class, 'No cable has');
});
