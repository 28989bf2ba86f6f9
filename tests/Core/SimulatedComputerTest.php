<?php

declare(strict_types=1);

use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Import\DeviceListing;
use HiddenWire\Core\Import\DeviceTrouble;
use HiddenWire\Core\Import\ObservedDevices;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Room\Disturbance;
use HiddenWire\Core\Room\SimulatedComputer;

it('lists what is planned, and whatever has gone wrong after an update is found in it', function () {
    $rig = (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2).'/resources/rigs/night-relay.json'));
    $lists = new DeviceLists($rig, new Wiring($rig));
    $seen = function (string $computer, array $wrong, int $seed) use ($rig, $lists): array {
        $devices = $lists->of($computer);
        $listing = DeviceListing::read((new SimulatedComputer($devices))->listing($wrong, $seed));
        expect($listing->passedOver)->toBe([]);

        return array_map(fn ($one) => $one->kind, (new ObservedDevices($rig, $computer, $devices, $listing))->differences);
    };
    $wanted = [
        [Disturbance::Missing, DeviceTrouble::Missing], [Disturbance::Renamed, DeviceTrouble::Renamed],
        [Disturbance::Unexpected, DeviceTrouble::Unexpected],
        [Disturbance::OtherDefault, DeviceTrouble::WrongDefault], [Disturbance::SwitchedOff, DeviceTrouble::Disabled],
    ];
    $computers = array_keys(array_filter($lists->all(), fn (array $devices) => count($devices) > 2));
    expect($computers)->not->toBe([]);
    foreach ($computers as $computer) {
        expect($seen((string) $computer, [], 1))->toBe([]);
        foreach ($wanted as [$wrong, $trouble]) {
            expect($seen((string) $computer, [$wrong], 1))->toContain($trouble);
        }
    }
    // A rate is stated where one is planned.
    $set = HiddenWire\Core\Edit\SetDevice::of($rig, new HiddenWire\Core\Rig\DeviceSettings('cast-pc', $lists->of('cast-pc')['mixer/usb/rec']->ref));
    $with = (new HiddenWire\Core\Edit\SetDevice($set->with(rateHz: 48_000)))->applyTo($rig);
    $devices = (new DeviceLists($with, new Wiring($with)))->of('cast-pc');
    $listing = DeviceListing::read((new SimulatedComputer($devices))->listing([Disturbance::OtherRate], 5));
    $found = (new ObservedDevices($with, 'cast-pc', $devices, $listing))->differences;
    expect($found)->toHaveCount(1)->and($found[0]->sentence)->toContain('runs at 44100 Hz, and 48000 Hz is planned');
});
