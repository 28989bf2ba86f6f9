<?php

declare(strict_types=1);

use HiddenWire\Core\Edit\ClearChange;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Situations\SituationRow;
use HiddenWire\Core\Situations\SituationTable;
use Tests\Support\Draft;

function tabledRelay(): Rig
{
    return Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->make();
}

/** @return list<string> "mixer | Optical | fader | −6.0 dB | −6.0 dB | −20.0 dB | −6.0 dB | talk" */
function tableLines(Rig $rig): array
{
    return array_map(fn (SituationRow $row) => implode(' | ', [
        $row->of->unit() ?? '-', $row->of->what(), $row->of->aspect(), ...array_values($row->stands), implode(' ', $row->saidBy),
    ]), (new SituationTable($rig))->rows);
}

it('sets what the situations say side by side, by unit, in the order of the signal', function () {
    // Read off the document by hand: seven things at the desk, six in the broadcast program, one in the recorder.
    expect(tableLines(tabledRelay()))->toBe([
        'mixer | Phantom power, Mic 1 |  | on | on | on | off | off',
        'mixer | Mic 1 → Main | route | on | off | off | on | break talk',
        'mixer | Mic 1 → Phones | route | on | on | off | on | talk',
        'mixer | Mic 2 → Main | route | on | off | off | on | break talk',
        'mixer | Line 3/4 → Main | route | on | off | off | on | break talk',
        'mixer | Optical | fader | −6.0 dB | −6.0 dB | −20.0 dB | −6.0 dB | talk',
        'mixer | Main | mute | unmuted | unmuted | unmuted | muted | off',
        'broadcast | Desk (Source 1) | mute | unmuted | unmuted | unmuted | muted | off',
        'broadcast | Music (Source 2) | fader | −16.0 dB | −6.0 dB | −16.0 dB | −16.0 dB | break',
        'broadcast | Music (Source 2) | mute | unmuted | unmuted | unmuted | muted | off',
        'broadcast | Caller (Source 3) | mute | unmuted | muted | muted | muted | break talk off',
        'broadcast | Chimes (Source 4) | mute | unmuted | unmuted | unmuted | muted | off',
        'broadcast | Old console (Source 5) | mute | unmuted | unmuted | unmuted | muted | off',
        'clips | Input 1 | mute | unmuted | muted | muted | muted | break talk off',
    ]);
});

it('counts the changes between any two, as many there as back', function () {
    $table = new SituationTable(tabledRelay());
    // From the table above: break and talk share five, and so on.
    $truths = ['on-air break' => 6, 'on-air talk' => 7, 'on-air off' => 8, 'break talk' => 3, 'break off' => 10, 'talk off' => 11];
    foreach ($truths as $pair => $count) {
        [$from, $to] = explode(' ', $pair);
        expect([$pair, count($table->between($from, $to)), count($table->between($to, $from))])->toBe([$pair, $count, $count])
            ->and($table->told($from, $from))->toBe([]);
    }
});

it('knows everything that a situation can say', function () {
    $rig = tabledRelay();
    $device = DeviceRef::lane('headset-amp', 'usb', 'play');
    $pick = $rig->picks['music/sound']->with(device: DeviceRef::lane('mixer', 'usb', 'play'));
    foreach ([
        new SetAbsent('break', 'clips', true), new SetAbsent('break', 'isolator-c', true), new SetPulled('break', 'w-01', true),
        new PlugLast('w-01', 'off'), new SetSituationDefault('break', 'sim-pc', Direction::Playback, Role::Playback, $device),
        new SetSystemLevel('sim-pc', $device, Decibels::of(-12), true, 'off'), new SetPick(new PointRef('music', 'sound'), $pick, 'talk'),
        new SetRoute(new RouteRef('mixer', 'ch-1>main'), new RouteSettings(db: Decibels::of(-3.25), tap: Tap::PreFader), 'off'),
        new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(gain: Decibels::of(30), mute: true), 'talk'),
    ] as $edit) {
        $rig = $edit->applyTo($rig);
    }
    expect(array_values(array_diff(tableLines($rig), tableLines(tabledRelay()))))->toBe([
        'mixer | Mic 1 | gain | 25.0 dB | 25.0 dB | 30.0 dB | 25.0 dB | talk',
        'mixer | Mic 1 | mute | unmuted | unmuted | muted | unmuted | talk',
        'mixer | Mic 1 → Main | send | 0.0 dB | 0.0 dB | 0.0 dB | −3.25 dB | off',
        'mixer | Mic 1 → Main | tap | post-fader | post-fader | post-fader | pre-fader | off',
        'isolator-c |  |  | is there | is not there | is there | is there | break',
        'sim-pc | default playback device |  | Rally sound | Driver ears | Rally sound | Rally sound | break',
        'sim-pc | Driver ears | system level | 0.0 dB | 0.0 dB | 0.0 dB | −12.0 dB, muted | off',
        'music | Music | uses | Music in | Music in | Desk return | Music in | talk',
        'clips |  |  | runs | does not run | runs | runs | break',
        '- | W-01 | cable | plugged | out | plugged | plugged | break',
        '- | plugged in last |  | in any order | in any order | in any order | W-01 | off',
    ]);
    $told = (new SituationTable($rig))->told('on-air', 'break');
    expect($told)->toContain('Clip recorder does not run', 'W-01 out', 'Rally computer: the default playback device is Driver ears');
});

it('has one row for an exclusive selector, and takes it back as a whole', function () {
    $rig = Draft::from(dirname(__DIR__, 2).'/resources/starters/bell-tower.json')
        ->situation('picture', ['card/picture-1>usb-out' => ['on' => true]])->make();
    $of = fn (Rig $rig): array => array_values(array_filter(tableLines($rig), fn (string $line) => str_starts_with($line, 'card |')));
    expect($of($rig))->toHaveCount(1)->and($of($rig)[0])->toStartWith('card | To the computer | plays | Line')
        ->and($of($rig)[0])->toEndWith('Picture sound 1 | picture');
    // Another choice on top, and the first is no longer said; back again by any route of the group.
    $other = (new SetRoute(new RouteRef('card', 'line>usb-out'), new RouteSettings(on: true), 'picture'))->applyTo($rig);
    $back = (new ClearChange('picture', 'card/picture-1>usb-out', only: 'on'))->applyTo($other);
    expect($of($other)[0])->toEndWith('| Line | picture')->and($of($back))->toBe([]);
});

it('takes back one of several settings of one point or route', function () {
    $rig = (new SetPoint(new PointRef('broadcast', 'source-2'), new PointSettings(mute: true), 'break'))->applyTo(tabledRelay());
    $rig = (new SetRoute(new RouteRef('mixer', 'ch-1>main'), new RouteSettings(db: Decibels::of(-6)), 'break'))->applyTo($rig);
    $set = function (ClearChange $edit) use ($rig): array {
        foreach ($edit->applyTo($rig)->situations['break']->changes as $change) {
            $left[(string) $change->at] = $change->set->words();
        }

        return $left ?? [];
    };
    expect($set(new ClearChange('break', 'broadcast/source-2', only: 'mute'))['broadcast/source-2'])->toBe('fader −6.0 dB')
        ->and($set(new ClearChange('break', 'broadcast/source-2', only: 'fader'))['broadcast/source-2'])->toBe('muted')
        ->and($set(new ClearChange('break', 'mixer/ch-1>main', only: 'on'))['mixer/ch-1>main'])->toBe('at −6.0 dB')
        ->and($set(new ClearChange('break', 'mixer/ch-1>main', only: 'db'))['mixer/ch-1>main'])->toBe('off')
        ->and($set(new ClearChange('break', 'mixer/ch-2>main', only: 'on')))->not->toHaveKey('mixer/ch-2>main');
});
