<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\SetEffect;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Levels\VoiceBalance;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Signal\Ducking;
use HiddenWire\Core\Signal\EffectOrder;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Lowering;
use HiddenWire\Core\Signal\Report;
use Tests\Support\Draft;

/** Music by a strip with effects and a voice by another, both to the viewers; music begins as loud as usual, -18 dBFS. */
function tooled(array $effects, array $voice = []): Draft
{
    $fader = ['from' => -60, 'to' => 10, 'db' => 0];
    $model = ['name' => 'Desk', 'family' => 'software-mixer', 'points' => [
        ['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'talk', 'kind' => 'origin', 'channels' => 1],
        ['id' => 'music', 'kind' => 'strip', 'label' => 'Music', 'channels' => 1, 'fader' => $fader, 'effects' => ['most' => 4]],
        ['id' => 'mic', 'kind' => 'strip', 'label' => 'Mic', 'channels' => 1, 'fader' => $fader, 'mute' => false],
        ['id' => 'air', 'kind' => 'bus', 'label' => 'Air', 'channels' => 1, 'effects' => ['most' => 2]],
        ['id' => 'on-air', 'kind' => 'ear', 'channels' => 1],
    ], 'routes' => [['from' => 'tone', 'to' => 'music'], ['from' => 'talk', 'to' => 'mic'], ['from' => 'music', 'to' => 'air', 'can' => ['db']],
        ['from' => 'mic', 'to' => 'air', 'can' => ['on']], ['from' => 'air', 'to' => 'on-air']]];

    return Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('mix', $model, 'room')
        ->source('waltz', 'mix/tone')->source('ann', 'mix/talk')->listener('viewers', 'mix/on-air')
        ->wish('waltz', 'viewers', 'must')->wish('ann', 'viewers', 'must')->situation('late', [])
        ->with(function (array $d) use ($effects, $voice) {
            $d['units'][1]['effects'] = $effects;
            $d['sources'][0]['kind'] = 'music';
            $d['sources'][1] = [...$d['sources'][1], 'kind' => 'voice', ...$voice];
            $d['listeners'][0]['kind'] = 'stream';

            return $d;
        });
}

function toolChain(Draft $draft, string $source = 'waltz'): Chain
{
    $hearing = $draft->hear();

    return Chain::of($hearing->graph(), $hearing->pair($source, 'viewers')) ?? throw new LogicException('Not heard');
}

/** @return list<Lowering> */
function lowerings(Draft $draft, ?string $situation = null): array
{
    $hearing = $draft->hear($situation);

    return (new Ducking($hearing->graph()))->of($hearing->pair('waltz', 'viewers'));
}

/** @return array<string, string> why by sentence */
function toolFindings(Draft $draft, string $code): array
{
    $found = array_filter(Checks::findings(new Inspection(new Hearings($draft->make()))), fn (Finding $one) => $one->code === $code);

    return array_column(array_map(fn (Finding $one) => ['says' => $one->sentence, 'why' => $one->why], $found), 'why', 'says');
}

const DUCK = ['id' => 'duck', 'at' => 'music', 'kind' => 'ducker', 'values' => ['lowers_db' => 12, 'by' => ['mic']]];

describe('compressors and limiters', function () {
    it('take of what is loud and lift what is soft by their make-up gain', function (array $values, string $kind, float $loudness, float $end, float $floor, float $heard) {
        $draft = tooled([['id' => 'tool', 'at' => 'music', 'kind' => $kind, 'values' => $values]])->with(function (array $d) use ($loudness) {
            $d['sources'][0]['loudness_db'] = $loudness;

            return $d;
        });
        $chain = toolChain($draft);
        expect([round($chain->end, 2), round($chain->endFloor, 2)])->toBe([$end, $floor])
            // The hearing is relative to the usual level.
            ->and($draft->pair('waltz', 'viewers')->level()?->value())->toBe($heard);
    })->with([
        // 20 dB over the threshold, of which 4 : 1 takes three quarters, and 15 dB of make-up: as loud as before, the noise 15 dB up.
        'a compressor at usual level' => [['threshold_db' => -38, 'ratio' => 4, 'make_up_db' => 15], 'compressor', 0, -18.0, -95.0, 0.0],
        // 10 dB louder: 30 dB over, 22.5 taken: -8 - 22.5 + 15.
        'at what is louder' => [['threshold_db' => -38, 'ratio' => 4, 'make_up_db' => 15], 'compressor', 10, -15.5, -95.0, 0.0],
        'below its threshold' => [['threshold_db' => -10, 'ratio' => 4], 'compressor', 0, -18.0, -110.0, 0.0],
        'one to one' => [['threshold_db' => -38, 'ratio' => 1], 'compressor', 0, -18.0, -110.0, 0.0],
        'a limiter' => [['threshold_db' => -30, 'make_up_db' => 6], 'limiter', 0, -24.0, -104.0, -6.0],
        'a threshold alone of a compressor' => [['threshold_db' => -38], 'compressor', 0, -18.0, -110.0, 0.0],
    ]);

    it('keep what was said of the level as a whole on top', function () {
        $draft = tooled([['id' => 'tool', 'at' => 'music', 'kind' => 'limiter', 'db' => 3, 'values' => ['threshold_db' => -30]]]);
        // 12 dB taken, 3 added.
        expect(round(toolChain($draft)->end, 2))->toBe(-27.0)->and($draft->pair('waltz', 'viewers')->level()?->value())->toBe(-9.0);
    });
});

describe('gates', function () {
    it('are told that never open, cut words off, or never shut', function (float $threshold, ?string $says) {
        $draft = tooled([['id' => 'gate', 'at' => 'music', 'kind' => 'gate', 'values' => ['threshold_db' => $threshold, 'hold_ms' => 50]]]);
        expect(array_keys(toolFindings($draft, 'level.gate')))->toBe($says === null ? [] : ["Gate of Mix · Music {$says}"]);
    })->with([
        // -18 dBFS and 12 dB for its peaks; the noise of a converter is at -110.
        'above the peaks' => [-5, 'never opens for Waltz'], 'at the peaks' => [-6, "cuts off Waltz's quieter words"],
        'just over the level' => [-17.9, "cuts off Waltz's quieter words"], 'at the level' => [-18, null], 'well below' => [-50, null],
    ]);

    it('are held open by a room that a compressor before them lifts', function () {
        $squeeze = ['id' => 'squeeze', 'at' => 'music', 'kind' => 'compressor', 'values' => ['make_up_db' => 40]];
        $gate = ['id' => 'gate', 'at' => 'music', 'kind' => 'gate', 'values' => ['threshold_db' => -71]];
        // -110 + 40 = -70 is over -71.
        expect(toolFindings(tooled([$squeeze, $gate]), 'level.gate'))->toBe([
            'Gate of Mix · Music never shuts: the noise holds it open' => 'It opens at −71.0 dBFS, and the noise comes at −70.0 dBFS, most of it '
                .'from a converter.',
        ])->and(toolFindings(tooled([$gate]), 'level.gate'))->toBe([]);
    });
});

describe('duckers', function () {
    it('say by how much and by whose sound they lower, in the situations in which they are on', function () {
        $draft = tooled([DUCK]);
        expect(array_map(fn (Lowering $one) => $one->words(), lowerings($draft)))->toBe(['12.0 dB lower while Ann speaks'])
            // The hearing stays as it is while nobody speaks.
            ->and($draft->pair('waltz', 'viewers')->level()?->value())->toBe(0.0);
        $draft->with(function (array $d) {
            $d['situations'][1]['effects'] = [['unit' => 'mix', 'effect' => 'duck', 'on' => false]];

            return $d;
        });
        expect(lowerings($draft, 'late'))->toBe([])->and(lowerings($draft))->toHaveCount(1);
    });

    it('are set off by nothing that is muted', function () {
        $draft = tooled([DUCK])->set('mix', 'points', 'mic', ['mute' => true]);
        expect(lowerings($draft)[0]->by)->toBe([])->and(lowerings($draft)[0]->words())->toBe('lowered by nothing that sounds')
            ->and(array_keys(toolFindings($draft, 'level.ducked')))->toBe(['Nothing ever sets off Ducker of Mix · Music'])
            ->and(toolFindings($draft, 'level.ducked')['Nothing ever sets off Ducker of Mix · Music'])->toBe('No sound comes to the points that it listens to, in any situation.')
            ->and(toolFindings(tooled([['values' => ['lowers_db' => 12]] + DUCK]), 'level.ducked'))->toBe(['Nothing ever sets off Ducker of Mix · Music' => 'Nobody has said by which sound it lowers its own.'])
            ->and(toolFindings(tooled([DUCK]), 'level.ducked'))->toBe([]);
    });

    it('count in the balance against the voice', function () {
        $row = fn (array $effects) => array_column((new VoiceBalance($hearing = tooled($effects)->hear(), $hearing->rig->listeners['viewers']))->rows, null)[0];
        expect($row([])['under'])->toEqualWithDelta(0.0, 0.01)
            ->and([round((float) $row([DUCK])['under'], 2), $row([DUCK])['lowered']])->toBe([12.0, 12.0]);
    });

    it('are told in reports, and are no treatment', function () {
        $draft = tooled([DUCK])->with(function (array $d) {
            $d['wishes'][0]['treatment'] = 'dry';

            return $d;
        });
        $hearing = iterator_to_array((new Report)->pairs($draft->hear()));
        expect($hearing[0]['lowered'])->toBe([['at' => 'mix/music', 'effect' => 'duck', 'db' => 12, 'by' => ['ann']]])
            ->and($hearing[1]['lowered'])->toBe([])->and($draft->pair('waltz', 'viewers')->verdict->value)->toBe('ok');
    });

    it('are told that hear what they lower', function () {
        $draft = tooled([['values' => ['lowers_db' => 12, 'by' => ['air']]] + DUCK]);
        expect(array_keys(toolFindings($draft, 'level.ducked')))->toBe(['Waltz lowers itself at Mix · Music'])->and(findingsOf($draft, 'level.ducked')[0]->situations)->toBe(['base', 'late']);
        // Bypassed in the second situation it pumps in the first only.
        $draft->with(function (array $d) {
            $d['situations'][1]['effects'] = [['unit' => 'mix', 'effect' => 'duck', 'on' => false]];

            return $d;
        });
        expect(findingsOf($draft, 'level.ducked')[0]->situations)->toBe(['base']);
    });

    it('keep the points that they listen to in a swap, where the new model has them', function () {
        $rig = tooled([DUCK])->make();
        $data = (array) json_decode((string) json_encode((new DocumentWriter)->model($rig->modelOf('mix'))), true);
        $other = fn (array $more) => (new DocumentReader)->model(json_decode((string) json_encode([...$data, 'name' => 'Other', ...$more])), 'other', []);
        $swapped = (new SwapUnit('mix', $other([])))->applyTo($rig);
        expect($swapped->units['mix']->effects[0]->values?->by)->toBe(['mic']);
        // Without the strip for the voice nothing triggers it any more, and that is reported.
        $without = new SwapUnit('mix', $other([
            'points' => array_values(array_filter($data['points'], fn (array $one) => $one['id'] !== 'mic')),
            'routes' => array_values(array_filter($data['routes'], fn (array $one) => $one['from'] !== 'mic' && $one['to'] !== 'mic')),
        ]));
        expect($without->applyTo($rig)->units['mix']->effects[0]->values?->by)->toBe([])
            ->and($without->losses($rig))->toContain('what lowers Music');
    });
});

it('writes in words what is set', function (array $effect, string $says) {
    $rig = tooled([])->make();
    $set = tooled([$effect])->make()->units['mix']->effects[0];
    expect((new SetEffect('mix', $set))->applyTo($rig)->units['mix']->effects[0])->toEqual($set)
        ->and($set->values?->words(fn (string $point) => ucfirst($point)))->toBe($says);
})->with([
    'high-pass' => [['id' => 'a', 'at' => 'music', 'kind' => 'high-pass', 'values' => ['high_pass_hz' => 80]], 'high-pass 80 Hz'],
    'equaliser' => [['id' => 'a', 'at' => 'music', 'kind' => 'equaliser', 'values' => ['bands' => [['hz' => 250, 'db' => -3], ['hz' => 4000, 'db' => 2.5]]]],
        '−3 dB at 250 Hz, +2.5 dB at 4 kHz'],
    'compressor' => [['id' => 'a', 'at' => 'music', 'kind' => 'compressor', 'values' => ['threshold_db' => -20, 'ratio' => 2.5, 'make_up_db' => 6]],
        'threshold −20.0 dBFS, ratio 2.5 : 1, make-up 6.0 dB'],
    'ducker' => [DUCK, '12.0 dB lower while there is sound at Mic'],
]);

it('refuses what a tool does not have, at its place', function (array $effect, string $pointer, string $says) {
    try {
        tooled([$effect])->make();
        $problems = [];
    } catch (InvalidDocument $e) {
        $problems = $e->problems;
    }
    expect($problems)->toHaveCount(1)->and($problems[0]->pointer)->toBe($pointer)->and($problems[0]->message)->toContain($says);
})->with([
    'a ratio of a gate' => [['id' => 'a', 'at' => 'music', 'kind' => 'gate', 'values' => ['ratio' => 4]], '/units/1/effects/0/values/ratio', 'A gate has nothing'],
    'a threshold of an equaliser' => [['id' => 'a', 'at' => 'music', 'kind' => 'equaliser', 'values' => ['threshold_db' => -4]],
        '/units/1/effects/0/values/threshold_db', 'An equaliser has nothing'],
    'a threshold over full scale' => [['id' => 'a', 'at' => 'music', 'kind' => 'gate', 'values' => ['threshold_db' => 3]],
        '/units/1/effects/0/values/threshold_db', 'from -100 to 0 dBFS'],
    'by itself' => [['values' => ['by' => ['music']]] + DUCK, '/units/1/effects/0/values/by/0', 'lowers itself'],
    'by no point' => [['values' => ['by' => ['attic']]] + DUCK, '/units/1/effects/0/values/by/0', 'no point "attic"'],
]);

it('is told where a high-pass comes too late', function () {
    $order = fn (string ...$kinds) => (new EffectOrder((new GraphBuilder($rig = tooled(array_map(
        fn (string $kind, int $i) => ['id' => "e{$i}", 'at' => 'music', 'kind' => $kind],
        $kinds,
        array_keys($kinds),
    ))->make()))->build($rig->base())))->troubles($rig->units['mix']);
    expect($order('high-pass', 'compressor'))->toBe([])
        ->and($order('compressor', 'high-pass'))->toBe(['Mix · Music: rumble drives the compressor before High pass takes it away. Exchange the two.'])
        ->and($order('gate', 'high-pass'))->toBe(['Mix · Music: rumble opens the gate before High pass takes it away. Exchange the two.']);
});
