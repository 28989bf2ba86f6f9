<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\Named;
use HiddenWire\Core\Edit\Rename;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\Rig;

function cabled_rig(string $file = 'rigs/night-relay'): Rig
{
    return (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/resources/{$file}.json"));
}

/** @return array<string, list<string>> what each step says, by section */
function cabling_of(Rig $rig): array
{
    $card = Cards::card(new BookInput($rig), 'cabling');

    return array_map(fn (array $steps) => array_map(fn (CardStep $step) => $step->words(), $steps), $card->sections ?? []);
}

it('has a step for each end of each lead, where it is plugged, after the supply and before what stays empty', function (string $file) {
    $rig = cabled_rig($file);
    $steps = array_merge(...array_values(cabling_of($rig)));
    foreach ($rig->cables as $cable) {
        $of = array_filter($steps, fn (string $step) => str_contains($step, ": {$cable->label} in ") || str_contains($step, "lead {$cable->label} goes"));
        expect($of)->toHaveCount(2);
    }
    foreach (cabling_of($rig) as $place => $said) {
        $kinds = array_map(fn (string $step) => match (true) {
            str_contains($step, ': into the mains') => 0, str_contains($step, ': nothing goes in ') => 2, default => 1,
        }, $said);
        $sorted = $kinds;
        sort($sorted);
        expect($kinds)->toBe($sorted, $place);
    }
})->with(['rigs/night-relay', 'starters/crab-race', 'starters/harbour-radio', 'starters/planetarium']);

it('says where, by what, how long, and where the other end is', function () {
    $desk = cabling_of(cabled_rig())["Presenter's desk"];
    // By hand, from the document: USB before light before what is analog, in each the units as the rig has them.
    expect($desk[0])->toBe('Desk mixer: into the mains.')
        ->and($desk[1])->toBe('Desk mixer: W-17 in Computer (USB, A to B, 4 m; the other end in Broadcast computer · USB 2 at Broadcast corner).')
        ->and($desk[3])->toBe('Desk mixer: W-07 in Optical in (optical, 8 m; the other end in Optical splitter · Out 2 at Rally simulator).')
        ->and($desk[5])->toBe('Line booster: W-01 in In (XLR, 1 m; the other end in Presenter mic · Out).')
        ->and($desk)->toContain('Hall lead: its own lead W-32 goes to Hall loudspeakers · Left in at Arcade hall.');
    expect(cabling_of(cabled_rig())['Rally simulator'])->toContain(
        'Rally computer: W-13 in Line in · blue (TRS, 3.5 mm, 8 m; the other end in Isolator A · Out 2 at Presenter\'s desk).',
        'Headset amp: nothing goes in Line 1.',
    );
    $feet = Cards::card(new BookInput(cabled_rig(), lengths: Lengths::Imperial), 'cabling');
    expect($feet->sections["Presenter's desk"][1]->note ?? '')->toContain('13 ft');
});

it('leaves done what a change leaves as it was', function () {
    $rig = cabled_rig();
    $keys = fn (Rig $rig): array => Cards::card(new BookInput($rig), 'cabling')?->stepKeys() ?? [];
    $before = $keys($rig);
    expect(array_unique($before))->toHaveCount(count($before));
    // A longer lead: both of its ends have to be done again, and nothing else.
    $longer = SetCable::like($rig->cables['w-03']->with(lengthM: 7.0))->applyTo($rig);
    expect(array_diff($before, $keys($longer)))->toHaveCount(2)->and(array_diff($keys($longer), $before))->toHaveCount(2);
    // What changes no lead changes no step.
    expect($keys((new Rename(Named::Source, 'voice', 'Somebody'))->applyTo($rig)))->toBe($before);
});

it('is no card of a rig without leads', function () {
    $rig = cabled_rig();
    $bare = new Rig($rig->parts()->with(cables: [], situations: array_map(fn ($one) => $one->with(pulled: [], plugged: []), array_values($rig->situations))));
    expect(Cards::card(new BookInput($bare), 'cabling'))->toBeNull();
});

it('tells a guest who hears them in each situation: neither themselves, nor a track that only the technician has', function () {
    $card = Cards::card(new BookInput(cabled_rig()), 'guest/ferry');
    $said = array_map(fn (CardStep $step) => $step->text, $card->sections['Who hears you'] ?? []);
    // By hand, from the demo's table: the navigator goes to the presenter, the driver and the viewers, and onto the archive; in a break, off
    // air and with everything off the broadcast program is muted or does not run.
    expect($said)->toBe(['Presenter, Driver, Viewers', 'Break: not Viewers', 'Off-air talk: not Viewers', 'Off: not Viewers']);
    $hearing = (new Hearings(cabled_rig()))->in('on-air');
    expect($hearing->pair('navigator', 'archive')->isHeard())->toBeTrue();
});
