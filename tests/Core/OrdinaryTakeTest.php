<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Tones\OrdinaryTake;
use HiddenWire\Core\Tones\TonePlan;

/**
 * Levels of three tracks, 100 ms at a time: who speaks when, how loud they are on their own track, and on each other.
 *
 * @param  list<array{int|null, int, float, array<int, float>}>  $parts  whose turn, how many tenths, dBFS there, dB less on each other track
 * @param  list<array{string, float, float}>  $marks
 */
function ordinaryTake(array $parts, string $starter = 'school-visit', array $marks = []): OrdinaryTake
{
    $rig = (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/resources/starters/{$starter}.json"));
    $plan = new TonePlan((new Hearings($rig))->in((string) array_key_first($rig->situations)));
    $powers = [[], [], []];
    foreach ($parts as [$who, $tenths, $db, $less]) {
        for ($i = 0; $i < $tenths; $i++) {
            foreach ([0, 1, 2] as $track) {
                $level = $who === null ? -80.0 : ($track === $who ? $db : $db - ($less[$track] ?? 60.0));
                $powers[$track][] = 10 ** ($level / 10) / 2;
            }
        }
    }

    return new OrdinaryTake($plan, array_map(fn (int $i) => [$plan->tracks[$i], $powers[$i]], [0, 1, 2]), $marks);
}

it('tells who spoke how long and how loud, how far apart microphones are, and whose voices match', function () {
    // The guide 10 s, 24 dB softer at the first pupil; that pupil 5 s, only 8 dB softer at the second; silence before and between.
    $take = ordinaryTake([[null, 50, 0, []], [0, 100, -20.0, [1 => 24.0]], [null, 30, 0, []], [1, 50, -26.0, [2 => 8.0]]]);
    expect($take->says())->toBe([
        'Guide speaks for 10 s, at −20.0 dBFS in loud moments.',
        'First pupil speaks for 5 s, at −26.0 dBFS in loud moments.',
        'Second pupil never stands out on Second pupil track: nobody spoke there, or another microphone is recorded.',
        'Guide is 24.0 dB louder on Guide track than on First pupil track.',
        'Guide is 60.0 dB louder on Guide track than on Second pupil track.',
        'First pupil is 60.0 dB louder on First pupil track than on Guide track.',
        'First pupil is 8.0 dB louder on First pupil track than on Second pupil track: the two microphones are hardly apart.',
        'Guide is 6.0 dB louder than First pupil: match them at the preamps.',
    ]);
    expect($take->active['track-1'])->toEqual([[5.0, 15.0]]);
});

it('takes breath for no end, and matched voices for matched', function () {
    $take = ordinaryTake([[null, 30, 0, []], [0, 30, -20.0, []], [null, 5, 0, []], [0, 30, -20.0, []], [null, 20, 0, []], [1, 40, -22.0, []],
        [2, 40, -21.0, []]]);
    expect($take->active['track-1'])->toHaveCount(1)->and($take->spoken)->toEqualWithDelta(['track-1' => 6.0, 'track-2' => 4.0, 'track-3' => 4.0], 1e-6)
        ->and($take->says())->toContain('All voices are within 2.0 dB of each other.');
});

it('tells of a track with nothing on it, and of no recording at all', function () {
    $take = ordinaryTake([[null, 30, 0, []], [0, 40, -20.0, []]]);
    expect($take->says())->toContain('Second pupil track has nothing on it but noise.', 'First pupil track has nothing on it but noise.');
    expect(ordinaryTake([])->says())->toHaveCount(3);
});

it('tells how far a voice is over what plays on another track, while it plays', function () {
    // The host on the first track at -20, the organ on the second 12 dB under it for half of the time, silent for the rest.
    $take = ordinaryTake([[null, 30, 0, []], [0, 60, -20.0, [1 => 12.0]], [0, 60, -20.0, []]], 'night-market');
    expect($take->over)->toEqualWithDelta(['card-1' => ['card-2' => 12.0]], 1e-6)
        ->and($take->says())->toContain('Host is 12.0 dB over Street organ while it plays on Card track 2.');
});

it('tells which planned voices a mixed track follows, which it should not, and which it should', function () {
    // The captions are planned to have Ann and the guest. Here they rise by 60 dB with Ann, by 48 with Ben: nobody planned him there.
    $pause = [null, 30, 0, []];
    $both = ordinaryTake([$pause, [0, 50, -20.0, [2 => 0.0]], $pause, [1, 40, -22.0, [2 => 10.0]]], 'oral-history');
    expect($both->fits)->toBe(['captions' => ['fit' => ['Ann'], 'extra' => ['Ben'], 'missing' => []]])
        ->and($both->says())->toContain('Captions follows Ann, as planned.', 'Captions follows Ben, whom the plan does not have there.');
    // Ann speaks, and the captions stay silent.
    $without = ordinaryTake([$pause, [0, 50, -20.0, []], $pause, [1, 40, -22.0, []]], 'oral-history');
    expect($without->says())->toContain('Ann should be on Captions, and it does not follow them.');
    // Too little of anybody says nothing.
    expect(ordinaryTake([[null, 10, 0, []], [0, 50, -20.0, [2 => 0.0]]], 'oral-history')->fits)->toBe([]);
});

it('knows the wrong microphone where it was marked who spoke', function () {
    // For 5 s the guide speaks as it was marked, and comes by the first pupil's track; then the second pupil by their own.
    $parts = [[null, 20, 0, []], [1, 50, -20.0, [0 => 15.0]], [null, 20, 0, []], [2, 40, -22.0, []]];
    $guide = 'guide';
    $take = ordinaryTake($parts, marks: [[$guide, 2.0, 7.0], ['pupil-b', 9.0, 13.0]]);
    expect($take->says())->toContain(
        'While Guide spoke, First pupil track was louder than Guide track: the wrong microphone is on one of them.',
    )->and($take->spoken)->toEqualWithDelta(['track-1' => 5.0, 'track-2' => 0.0, 'track-3' => 4.0], 1e-6);
    // Unmarked, it is taken for the pupil's voice.
    expect(ordinaryTake($parts)->spoken['track-2'])->toEqualWithDelta(5.0, 1e-6);
    // Two at once say nothing of either.
    expect(ordinaryTake($parts, marks: [[$guide, 2.0, 7.0], ['pupil-a', 2.0, 7.0]])->spoken['track-1'])->toBe(0.0);
});
