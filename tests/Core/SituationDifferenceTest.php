<?php

declare(strict_types=1);

use HiddenWire\Core\Signal\SituationDifference;
use Tests\Support\Draft;

function difference(string $file, ?string $from, ?string $to): SituationDifference
{
    $draft = Draft::from(dirname(__DIR__, 2)."/resources/{$file}.json");

    return new SituationDifference($draft->hear($from), $draft->hear($to));
}

it('says what a hand has to do from one situation to another', function () {
    expect(difference('rigs/night-relay', 'on-air', 'break')->changes)->toBe([
        'Desk mixer: Mic 1 → Main off', 'Desk mixer: Mic 2 → Main off', 'Desk mixer: Line 3/4 → Main off',
        'Broadcast program: Music (Source 2) fader −6.0 dB', 'Broadcast program: Caller (Source 3) muted', 'Clip recorder: Input 1 muted',
    ]);
});

it('goes back the way it came', function () {
    $changes = difference('rigs/night-relay', 'break', 'on-air')->changes;
    expect($changes)->toContain(
        'Desk mixer: Mic 1 → Main on',
        'Clip recorder: Input 1 unmuted',
        'Broadcast program: Music (Source 2) fader −16.0 dB',
    )->toHaveCount(6);
});

it('compares two situations that both differ from the base', function () {
    // The same five in both: only the music's level and what the talk adds are left.
    expect(difference('rigs/night-relay', 'break', 'talk')->changes)
        ->toBe(['Desk mixer: Mic 1 → Phones off', 'Desk mixer: Optical fader −20.0 dB', 'Broadcast program: Music (Source 2) fader −16.0 dB']);
});

it('tells of an exclusive selector what it plays then', function () {
    $draft = Draft::from(dirname(__DIR__, 2).'/resources/starters/bell-tower.json')->situation('picture', ['card/picture-1>usb-out' => ['on' => true]]);
    expect((new SituationDifference($draft->hear('ringing'), $draft->hear('picture')))->changes)
        ->toBe(['Capture card: To the computer plays Picture sound 1']);
});

it('says for whom what is heard changes', function () {
    $pairs = array_map(fn (array $pair) => "{$pair['before']->source->id} {$pair['before']->listener->id} "
        .(int) ($pair['before']->arrivals() !== [])
        .(int) ($pair['after']->arrivals() !== []), difference('starters/machine-of-the-week', 'computer', 'console')->pairs);
    expect($pairs)->toEqualCanonicalizing(['cabinet ears 10', 'cabinet viewers 10', 'console ears 01', 'console viewers 01']);
});

it('finds nothing between a situation and itself', function () {
    $difference = difference('rigs/night-relay', 'talk', 'talk');
    expect($difference->changes)->toBe([])->and($difference->pairs)->toBe([]);
});
