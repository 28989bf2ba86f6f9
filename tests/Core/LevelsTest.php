<?php

declare(strict_types=1);

use HiddenWire\Core\Equipment\Capsule;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Levels\Stage;
use HiddenWire\Core\Levels\VoiceBalance;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use Tests\Support\Draft;

/** A tone through one gain to an ear, at so many dB. */
function atGain(float $db, string $want = 'must'): Draft
{
    return Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1],
        ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'gain' => ['from' => -60, 'to' => 60, 'db' => 0]],
        ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'ear']]])
        ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', $want)->set('u', 'points', 'strip', ['gain' => $db]);
}

describe('the verdict', function () {
    it('says too quiet from 40 dB under nominal on where a sound must be heard, and far too quiet from 50 dB on', function (float $db, string $want, string $verdict, bool $isFar) {
        $pair = atGain($db, $want)->pair('s', 'l');
        expect([$pair->verdict->value, $pair->isFarTooQuiet()])->toBe([$verdict, $isFar]);
    })->with([
        'nominal' => [0, 'must', 'ok', false], 'soft' => [-39.9, 'must', 'ok', false], 'too quiet' => [-40, 'must', 'too-quiet', false],
        'a microphone without its preamp' => [-50, 'must', 'too-quiet', true], 'what may be heard may be soft' => [-50, 'may', 'ok', false],
        'what must not is a leak however soft' => [-50, 'must-not', 'leak', false],
    ]);

    it('says overloads from 18 dB over nominal on, wherever on the way', function (float $db, string $verdict, ?float $over) {
        $pair = atGain($db)->pair('s', 'l');
        expect([$pair->verdict->value, $pair->overload === null ? null : round($pair->overload->overDb, 2)])->toBe([$verdict, $over]);
    })->with(['at alignment plus 18' => [18, 'ok', null], 'over it' => [18.1, 'overloads', 0.1], 'line into a preamp at full gain' => [48, 'overloads', 30.0]]);

    it('finds an overload that a fader behind it hides', function () {
        $hidden = atGain(48)->with(function (array $d) {
            $d['models']['model-of-u']['points'][] = ['id' => 'bus', 'kind' => 'bus', 'channels' => 1, 'fader' => ['from' => -90, 'to' => 10, 'db' => -48]];
            $d['models']['model-of-u']['routes'] = [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'bus'], ['from' => 'bus', 'to' => 'ear']];

            return $d;
        });
        $pair = $hidden->pair('s', 'l');
        expect($pair->level()?->value())->toBe(0.0)->and($pair->verdict->value)->toBe('overloads')->and($pair->overload?->hop->label)->toBe('strip');
    });

    it('holds a line against the most that an input takes: +4 dBu into -26 dBu is 30 dB over', function () {
        $out = ['sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'trs-6.35', 'balanced' => true, 'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'tone']]]],
            'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1]]];
        $in = fn (?float $max) => ['sockets' => [array_filter(['id' => 'in', 'label' => 'In', 'connector' => 'trs-6.35', 'balanced' => true, 'max_dbu' => $max,
            'lanes' => [['id' => 'in', 'way' => 'in', 'point' => 'ear']]], fn ($value) => $value !== null)], 'points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => 1]]];
        $rig = fn (?float $max) => Draft::rig()->unit('a', $out)->unit('b', $in($max))->cable('trs', 'a/out', 'b/in')->source('s', 'a/tone')->listener('l', 'b/ear')
            ->wish('s', 'l', 'must')->pair('s', 'l');
        expect([$rig(-26)->verdict->value, round((float) $rig(-26)->overload?->overDb, 1)])->toBe(['overloads', 30.0])
            ->and($rig(20)->verdict->value)->toBe('ok')->and($rig(4)->verdict->value)->toBe('ok')->and($rig(null)->verdict->value)->toBe('ok');
    });

    it('names the gain as the cause, and sets it', function (float $db, string $cause, string $cure) {
        $found = (new Diagnosis(new Hearings(atGain($db)->make())))->causes();
        expect([$found[0]->sentence, $found[0]->cures[0]->sentence])->toBe([$cause, $cure]);
    })->with([
        [-50, 'U · strip: the gain is at −50.0 dB', 'Raise the gain of strip of U to 0.0 dB'],
        [48, 'U · strip: the gain is at 48.0 dB', 'Lower the gain of strip of U to 0.0 dB'],
    ]);
});

describe('the chain', function () {
    it('makes millivolts of pascals: 1.6 mV/Pa at 94 dB SPL is -53.7 dBu', function () {
        // 20 log10(0.0016 / 0.775) = -53.70
        expect(round(Chain::ofPascal(new Capsule(1.6)) + 94, 1))->toBe(-53.7)->and(round(Chain::ofPascal(new Capsule(20)) + 94, 1))->toBe(-31.8);
    });

    it('loads a source: two inputs of 3000 ohms on a microphone of 200', function () {
        // 1500 / 1700 = 0.882: -1.09 dB; one alone 3000 / 3200: -0.56 dB.
        expect(round(Chain::loaded(200, 3000, 3000), 2))->toBe(-1.09)->and(round(Chain::loaded(200, 3000), 2))->toBe(-0.56);
    });

    it('reckons a dynamic microphone to a track by hand', function () {
        // 66 dB at a metre, 5 cm away: 66 + 26.02 = 92.02 dB SPL; -147.70 + 92.02 = -55.68 dBu; 12 dBu is full scale at no gain, so with
        // 50 dB -55.68 - 12 + 50 = -17.68 dBFS. For -18 it wants 49.7 dB.
        $graph = ($hearing = throughDesk(50)->hear())->graph();
        $chain = Chain::of($graph, $hearing->pair('voice', 'tape'));
        $stages = array_map(fn (Stage $stage) => [$stage->label, round($stage->level, 1), $stage->unit()], $chain->stages ?? []);
        expect(array_slice($stages, 0, 3))->toBe([['Mic · Capsule', -55.7, 'dBu'], ['Desk · In 1', -55.7, 'dBu'], ['Desk · In 1', -17.7, 'dBFS']])
            ->and(round((float) $chain?->end, 1))->toBe(-17.7)->and($chain?->preamp?->wanted->value())->toBe(49.7)->and($chain?->preamp?->shortDb())->toBe(0.0);
        // The noise: the room's 35 dB SPL gives -112.70 dBu, the resistor -129.6, the preamp -127: together -112.46; with -12 + 50: -74.5.
        expect(round((float) $chain?->endFloor, 1))->toBe(-74.5)->and(round((float) $chain?->overNoise(), 1))->toBe(56.8);
    });

    it('goes by what somebody has measured: how loud, how far, how noisy', function () {
        $hearing = throughDesk(50, [['about' => 'sources/voice', 'kind' => 'speech', 'value' => 60], ['about' => 'units/mic/points/capsule', 'kind' => 'distance', 'value' => 0.5],
            ['about' => 'places/desk', 'kind' => 'noise', 'value' => 55]])->hear();
        $chain = Chain::of($hearing->graph(), $hearing->pair('voice', 'tape'));
        // 60 + 6.02 = 66.02 dB SPL: 26 dB less than before; the room 20 dB more, so the voice is 66.02 - 55 = 11.0 dB above it.
        expect(round((float) $chain?->end, 1))->toBe(-43.7)->and(round((float) $chain?->overNoise(), 1))->toBe(11.0)
            ->and(round((float) $chain?->preamp?->shortDb(), 1))->toBe(15.7);
    });

    it('weighs sounds against the voice at a listener', function () {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'a', 'to' => 'ear', 'db' => -2], ['from' => 'b', 'to' => 'ear', 'db' => -7]]])
            ->source('voice', 'u/a')->add('sources', ['id' => 'game', 'name' => 'Game', 'kind' => 'game', 'origins' => [['at' => 'u/b']]])->listener('me', 'u/ear')
            ->wish('voice', 'me', 'must')->wish('game', 'me', 'must');
        $hearing = $draft->hear();
        $rows = (new VoiceBalance($hearing, $hearing->rig->listeners['me']))->rows;
        expect(array_map(fn (array $row) => $row['under'] === null ? null : round($row['under'], 1), $rows))->toBe([null, 5.0]);
    });
});
