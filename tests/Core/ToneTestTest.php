<?php

declare(strict_types=1);

use HiddenWire\Core\Audio\Noise;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\RoomSound;
use HiddenWire\Core\Room\SimulatedRoom;
use HiddenWire\Core\Room\SoundFaults;
use HiddenWire\Core\Tones\ChannelReading;
use HiddenWire\Core\Tones\Difference;
use HiddenWire\Core\Tones\DifferenceKind;
use HiddenWire\Core\Tones\FoundSignature;
use HiddenWire\Core\Tones\Hum;
use HiddenWire\Core\Tones\MeasuredDelays;
use HiddenWire\Core\Tones\MeasuredTracks;
use HiddenWire\Core\Tones\Signature;
use HiddenWire\Core\Tones\ToneArrival;
use HiddenWire\Core\Tones\TonePlan;
use HiddenWire\Core\Tones\ToneTest;
use HiddenWire\Core\Tones\TrackTroubles;
use Symfony\Component\Process\Process;
use Tests\Support\SoundInMemory;

/**
 * @param  list<int>  $numbers
 * @return list<ChannelReading>
 */
function toneReadings(SoundInMemory $sound, array $numbers): array
{
    $reading = (new ToneTest($sound, array_map(fn (int $number) => new Signature($number), $numbers)))->read();
    $last = 0.0;
    foreach ($reading as $share) {
        expect($share)->toBeGreaterThanOrEqual($last)->toBeLessThanOrEqual(1.0);
        $last = $share;
    }

    return $reading->getReturn();
}

/** @param  list<ToneArrival>  $arrivals */
function aReading(int $number, float $db, float $ppm = 0.0, array $arrivals = [], ?float $jump = null): FoundSignature
{
    return new FoundSignature($number, 100.0, $db, $ppm, 1.0, $arrivals, $jump);
}

/** The same at another level, time or polarity. */
function otherwise(FoundSignature $one, float $db = 0.0, float $seconds = 0.0, int $polarity = 1): FoundSignature
{
    $arrival = new ToneArrival($one->arrivals[0]->seconds + $seconds, $one->db + $db, $polarity);

    return aReading($one->number, $one->db + $db, arrivals: [$arrival]);
}

/** @param  list<FoundSignature>  $found */
function aChannel(array $found, float $mark = 1.0, float $peak = 0.5): ChannelReading
{
    return new ChannelReading($found, null, $peak, $peak, [], [], -80.0, [0.01], [0.01], $mark);
}

it('gives every channel of a sound tones and chirps of its own, soft enough for ears, on no harmonic of mains or USB', function () {
    $tones = $shapes = [];
    for ($number = 0; $number < Signature::COUNT; $number++) {
        $signature = new Signature($number);
        foreach ($signature->tones as $hertz) {
            expect($hertz)->toBeGreaterThan(3_000.0)->toBeLessThan(6_000.0);
            foreach ([50, 60, 1_000] as $step) {
                expect(fmod($hertz, $step))->not->toBe(0.0);
            }
            $tones[] = (string) $hertz;
        }
        $shapes[] = json_encode([$signature->rises, $signature->length, $signature->chirps]);
        expect($signature->chirps[1] + $signature->length)->toBeLessThan(Signature::SECONDS - Signature::MARGIN);
    }
    expect(array_unique($tones))->toHaveCount(4 * Signature::COUNT)->and(array_unique($shapes))->toHaveCount(Signature::COUNT);
    $peak = 0.0;
    $samples = 0;
    foreach ((new Signature(11))->sound(16_000) as $block) {
        $peak = max($peak, max($block), -min($block));
        $samples += count($block);
    }
    expect($samples)->toBe(960_000)->and($peak)->toBeLessThan(0.25)->toBeGreaterThan(0.1);
    expect(fn () => new Signature(48))->toThrow(LogicException::class);
});

it('reads levels, times, polarity, clocks, copies and hum of signatures that play at once', function () {
    $rate = 16_000;
    [$one, $other] = [new Noise(4), new Noise(5)];
    $sound = SoundInMemory::made(2, $rate, 66, 24, function (array $channels, int $at) use ($rate, $one, $other): array {
        $left = array_map(fn (float $x) => 1e-4 * $x, $one->white($rate));
        $right = array_map(fn (float $x) => 1e-4 * $x, $other->white($rate));
        // Twice on the left, the copy 27 ms later, half as loud and turned; once on the right, 1.2 ms later.
        (new Signature(5))->addTo($left, $at, $rate, 3.21, 1.0, 33.3);
        (new Signature(5))->addTo($left, $at, $rate, 3.237, -0.5, 33.3);
        (new Signature(5))->addTo($right, $at, $rate, 3.2112, -0.7, 33.3);
        (new Signature(6))->addTo($right, $at, $rate, 4.0, 0.1, -50.0);
        foreach ($right as $i => $x) {
            $t = ($at + $i) / $rate;
            $right[$i] = $x + 0.003 * sin(2 * M_PI * 50.02 * $t) + 0.001 * sin(2 * M_PI * 150.06 * $t);
        }

        return [$left, $right];
    });
    [$left, $right] = toneReadings($sound, range(0, 9));
    expect(array_map(fn ($found) => $found->number, $left->found))->toBe([5])
        ->and(array_map(fn ($found) => $found->number, $right->found))->toBe([5, 6]);
    [$first, $copy] = $left->found[0]->arrivals;
    expect($left->found[0]->arrivals)->toHaveCount(2)
        ->and($first->seconds)->toEqualWithDelta(3.21, 0.0001)->and($first->db)->toEqualWithDelta(0.0, 0.2)->and($first->polarity)->toBe(1)
        ->and($copy->seconds)->toEqualWithDelta(3.237, 0.0001)->and($copy->db)->toEqualWithDelta(-6.0, 0.4)->and($copy->polarity)->toBe(-1);
    $arrival = $right->found[0]->arrivals[0];
    expect($right->found[0]->arrivals)->toHaveCount(1)
        ->and($arrival->seconds)->toEqualWithDelta(3.2112, 0.0001)
        ->and($arrival->polarity)->toBe(-1)
        ->and($right->found[0]->db)->toEqualWithDelta(-3.1, 0.1)
        ->and($right->found[0]->ppm)->toEqualWithDelta(33.3, 0.1)
        ->and($right->found[0]->jump)->toEqualWithDelta(0.0, 0.1)
        ->and($right->found[1]->db)->toEqualWithDelta(-20.0, 0.1)
        ->and($right->found[1]->ppm)->toEqualWithDelta(-50.0, 0.1)
        ->and($right->found[1]->arrivals[0]->seconds)->toEqualWithDelta(4.0, 0.0001);
    expect($left->hum)->toBeNull()->and($right->hum?->mains)->toBe(50)
        ->and(array_keys($right->hum->lines ?? []))->toBe([50, 150])
        ->and($right->hum?->lines[50])->toEqualWithDelta(20 * log10(0.003), 0.7);
    expect($left->floor)->toEqualWithDelta(-77.0, 1.0)->and($left->clipped)->toBe([])->and($left->holes)->toBe([]);
});

it('sees dropouts, samples that were lost, and a wave that was cut off', function () {
    $rate = 16_000;
    $noise = new Noise(9);
    $all = [];
    for ($at = 0; $at < 66 * $rate; $at += $rate) {
        $samples = array_map(fn (float $x) => 1e-4 * $x, $noise->white($rate));
        (new Signature(2))->addTo($samples, $at, $rate, 1.5);
        $all = [...$all, ...$samples];
    }
    // 12 ms of silence at 20 s; 5 ms cut out at 30 s, between the chirps; a loud note at 40 s cut off at 0.3.
    array_splice($all, 20 * $rate, 192, array_fill(0, 192, 0.0));
    array_splice($all, 30 * $rate, 80);
    for ($i = 0; $i < $rate; $i++) {
        $x = $all[40 * $rate + $i] + 0.5 * sin(2 * M_PI * 100 * $i / $rate);
        $all[40 * $rate + $i] = max(-0.3, min(0.3, $x));
    }
    $sound = SoundInMemory::made(1, $rate, 65, 16, fn (array $channels, int $at) => [array_slice($all, $at, $rate)]);
    [$channel] = toneReadings($sound, [2]);
    expect($channel->holes)->toHaveCount(1)
        ->and($channel->holes[0][0])->toEqualWithDelta(20.0, 0.001)->and($channel->holes[0][1])->toEqualWithDelta(0.012, 0.001)
        ->and(count($channel->clipped))->toBeGreaterThan(190)->and($channel->clipped[0][0])->toEqualWithDelta(40.0, 0.01)
        ->and($channel->found[0]->jump)->toEqualWithDelta(-5.0, 0.2);
});

it('finds nothing in silence, in a second of noise, and in a recording without a signature', function () {
    expect(toneReadings(SoundInMemory::made(1, 16_000, 3, 16, fn (array $silence) => $silence), range(0, 47))[0])
        ->isSilent()->toBeTrue()->found->toBe([])->hum->toBeNull()->floor->toBeNull();
    $noise = new Noise(2);
    $short = SoundInMemory::made(3, 16_000, 1, 16, fn () => array_fill(0, 3, array_map(fn ($x) => 0.1 * $x, $noise->white(16_000))));
    expect(array_map(fn ($channel) => $channel->found, toneReadings($short, range(0, 47))))->toBe([[], [], []]);
});

it('finds what is far under noise, as PCM and after lossy codecs, and nothing in noise alone', function () {
    // As recordings are read where it runs.
    $fast = ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M'];
    $test = new Process([PHP_BINARY, ...$fast, dirname(__DIR__).'/Bench/tones.php', '4', '7', '2'], timeout: null);
    $test->run();
    expect($test->getOutput())->not->toContain('MISSED')->and($test->getExitCode())->toBe(0)
        ->and(substr_count($test->getOutput(), '   ok'))->toBe(18);
});

function demoRig(): Rig
{
    return (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2).'/resources/rigs/night-relay.json'));
}

it('says who plays what, and what is to arrive on each track', function () {
    $rig = demoRig();
    $plan = new TonePlan((new Hearings($rig))->in((string) array_key_first($rig->situations)));
    expect(count($plan->all()))->toBe(17)->and($plan->signatures['music'])->toHaveCount(2)->and($plan->signatures['voice'])->toHaveCount(1);
    $archive = $plan->tracks[0];
    expect($plan->width($archive))->toBe(2);
    $arrivals = $plan->arrivals($archive);
    // By hand: music passes its fader at -10 and the bus at -6; its sides stay apart. The console comes on the left only.
    expect(array_keys($arrivals['music'][0]))->toBe([0])->and(array_keys($arrivals['music'][1]))->toBe([1])
        ->and($arrivals['music'][0][0][0]->db)->toEqualWithDelta(-16.0, 0.01)
        ->and(array_keys($arrivals['console']))->toBe([0]);
});

/** @return array{TonePlan, list<array{HiddenWire\Core\Rig\Listener, non-empty-list<ChannelReading>}>} the demo's tracks, all as planned */
function readingsAsPlanned(?Rig $rig = null): array
{
    $rig ??= demoRig();
    $plan = new TonePlan((new Hearings($rig))->in((string) array_key_first($rig->situations)));
    $readings = [];
    foreach ($plan->tracks as $mark => $track) {
        $channels = array_fill(0, $plan->width($track), []);
        foreach ($plan->arrivals($track) as $source => $parts) {
            foreach ($parts as $part => $sides) {
                foreach ($sides as $channel => $arrivals) {
                    $at = array_map(fn (ToneArrival $one) => new ToneArrival(2.0 + $one->seconds, $one->db, $one->polarity), $arrivals);
                    $channels[$channel][] = aReading($plan->signatures[$source][$part]->number, $arrivals[0]->db, arrivals: $at);
                }
            }
        }
        $read = [];
        foreach ($channels as $i => $found) {
            $read[] = aChannel($found, 2.0 * $mark + $i);
        }
        $readings[] = [$track, $read];
    }

    return [$plan, $readings];
}

it('has nothing to say where all is as planned, whoever spoke how loud', function () {
    [$plan, $readings] = readingsAsPlanned();
    expect((new MeasuredTracks($plan, $readings))->differences())->toBe([]);
    // Everybody at a microphone 9 dB softer: nobody knows how loud they are to be.
    $softer = array_map(fn (array $of) => [$of[0], array_map(fn (ChannelReading $one) => aChannel(array_map(
        fn (FoundSignature $found) => in_array($found->number, [0, 1], true)
            ? otherwise($found, db: -9.0) : $found,
        $one->found,
    ), $one->mark), $of[1])], $readings);
    expect((new MeasuredTracks($plan, $softer))->differences())->toBe([]);
});

it('tells each thing that is not as planned', function (callable $spoil, DifferenceKind $kind, string $says) {
    [$plan, $readings] = readingsAsPlanned();
    $spoilt = array_map(fn (FoundSignature $one): ?FoundSignature => $spoil($one), $readings[0][1][0]->found);
    $readings[0][1][0] = aChannel(array_values(array_filter($spoilt)), 90.0);
    $told = array_map(fn ($one) => [$one->kind, $one->words], (new MeasuredTracks($plan, $readings))->differences());
    expect($told)->toContain([$kind, $says]);
})->with([
    // Music's left side is number 7 and its right 8, the console's left 5.
    'missing' => [fn ($one) => $one->number === 5 ? null : $one, DifferenceKind::Missing, 'Old console is not on it'],
    'soft' => [
        fn ($one) => $one->number === 5 ? otherwise($one, db: -12.0) : $one,
        DifferenceKind::Soft, 'Old console is 12.0 dB softer than planned',
    ],
    'late' => [
        fn ($one) => $one->number === 5 ? otherwise($one, seconds: 0.04) : $one,
        DifferenceKind::Late, 'Old console comes 40.0 ms later than planned, against the other tracks',
    ],
    'turned round' => [
        fn ($one) => $one->number === 5 ? otherwise($one, polarity: -1) : $one,
        DifferenceKind::Turned, 'Old console has its polarity turned round',
    ],
    'doubled' => [
        fn ($one) => $one->number === 5 ? aReading(5, $one->db, arrivals: [
            ...$one->arrivals, new ToneArrival($one->arrivals[0]->seconds + 0.027, $one->db - 6, 1),
        ]) : $one,
        DifferenceKind::Doubled, 'Old console comes twice, 27.0 ms apart, the second 6.0 dB softer',
    ],
    'one side' => [
        fn ($one) => $one->number === 7 ? null : $one,
        DifferenceKind::OneSide, 'Music: right on right instead of left on left, right on right',
    ],
    'a clock' => [
        fn ($one) => $one->number === 5 ? aReading(5, $one->db, 80.0, $one->arrivals) : $one,
        DifferenceKind::Drift, 'The clock that plays Old console is 80.0 ppm fast against the recorder: 288 ms an hour',
    ],
    'lost samples' => [
        fn ($one) => $one->number === 5 ? aReading(5, $one->db, 0.0, $one->arrivals, -5.0) : $one,
        DifferenceKind::Jump, 'Old console: 5.0 ms were lost within the minute',
    ],
]);

it('takes a delay that was measured over into the plan: what explains it, with its figure', function () {
    $rig = demoRig();
    // The room is the plan, but for a sound card that holds back 45 ms and not the usual 10: all that the clip records comes 35 ms later.
    // By the plan the clip comes 1.5 ms before the archive, which passes the mixer's converter; in the room it comes 33.5 ms behind it.
    $card = ElementRef::read('units/cast-pc/sockets/line-in') ?? throw new LogicException;
    [$room] = readingsAsPlanned((new SetMeasure($card, MeasureKind::Delay, 45.0))->applyTo($rig));
    [, $readings] = readingsAsPlanned($room->rig);
    $plan = new Hearings($rig);
    $measured = new MeasuredTracks(new TonePlan($plan->in('on-air'), $room->played()), $readings);
    $late = array_values(array_filter($measured->differences(), fn ($one) => $one->kind === DifferenceKind::Late));
    expect($late)->not->toBe([]);
    $delays = new MeasuredDelays($plan, 'on-air', $room->played(), $readings);
    foreach ($late as $one) {
        expect($one->track->id)->toBe('clip')->and($one->words)->toContain('comes 33.5 ms later than planned');
        $best = $delays->explaining($one)[0];
        expect([(string) $best->about, $best->kind, $best->value])->toBe(['units/cast-pc/sockets/line-in', MeasureKind::Delay, 45.0]);
    }
    // With it in the plan nothing is late any more; a difference of another kind has no delay that explains it.
    $known = new MeasuredTracks(new TonePlan((new Hearings($room->rig))->in('on-air'), $room->played()), $readings);
    expect($known->differences())->toBe([])
        ->and($delays->explaining(new Difference(DifferenceKind::Soft, $late[0]->track, $late[0]->source, 'softer')))->toBe([]);
});

it('names a doubling, a swap and a hum in what the room of the demo records, each with the ways they have', function () {
    $plan = new Hearings(demoRig());
    $situation = (string) array_key_first($plan->rig->situations);
    $tones = new TonePlan($plan->in($situation));
    $isThat = fn (Fault $one): bool => $one->words === 'Voice repeater: Out uses To the desk';
    $doubles = array_values(array_filter(Fault::all($plan->rig), $isThat));
    $room = new SimulatedRoom($plan, $situation, $doubles);
    $faults = new SoundFaults(['archive' => [0.002, 50.0]], ['rally' => 12.0], ['rally']);
    $sound = new RoomSound($room->hearing(), $tones, 3, $faults);
    $rate = 16_000;
    $played = $sound->recorded($tones->tracks, $rate);
    $wav = SoundInMemory::made(4, $rate, $sound->seconds(), 16, function () use ($played): array {
        $block = $played->current();
        $played->next();

        return $block;
    });
    $channels = toneReadings($wav, range(0, 16));
    $measured = new MeasuredTracks($tones, [
        [$tones->tracks[0], [$channels[0], $channels[1]]], [$tones->tracks[1], [$channels[2], $channels[3]]],
    ]);
    $told = [];
    foreach ($measured->differences() as $one) {
        $told[$one->kind->value][] = [$one->track->id, $one->source?->id];
    }
    expect(array_keys($told))->toEqualCanonicalizing(['hum', 'swapped', 'doubled', 'extra'])
        ->and($told['hum'])->toBe([['archive', null]])
        ->and($told['swapped'])->toBe([['archive', 'rally'], ['clip', 'rally']])
        ->and($told['doubled'])->toContain(['archive', 'voice'], ['clip', 'voice']);
    // What else the doubling way brings, the hearing of that room knows by itself.
    $besides = [];
    foreach ($tones->tracks as $track) {
        $there = array_diff_key((new TonePlan($room->hearing()))->arrivals($track), $tones->arrivals($track));
        $besides = [...$besides, ...array_map(fn (string $source) => [$track->id, $source], array_keys($there))];
    }
    expect($told['extra'])->toEqualCanonicalizing($besides)->not->toBe([]);
    // By hand: two stages of -3 dB; to the archive it takes 1.5 ms longer than to the clip. Its computer's clock is 12 ppm fast.
    $rally = $measured->tracks[0]->sounds['rally'];
    expect($rally->db)->toEqualWithDelta(-6.0, 0.1)
        ->and($rally->lateMs)->toEqualWithDelta(1.5, 0.1)
        ->and($rally->plannedLateMs)->toEqualWithDelta(1.5, 1e-6)
        ->and($rally->found[1][0]->ppm)->toEqualWithDelta(12.0, 0.1);
});

it('tells hum, cut waves, dropouts, silence and copies of a track, of the side that has them', function () {
    [$plan, $readings] = readingsAsPlanned();
    $say = fn (array $channels): array => array_map(
        fn ($one) => $one->words,
        (new TrackTroubles($readings[0][0], $channels))->all(),
    );
    $with = fn (?Hum $hum = null, array $clipped = [], array $holes = [], float $peak = 0.5): ChannelReading => new ChannelReading(
        [aReading(0, -6.0)],
        $hum,
        $peak,
        $peak,
        $clipped,
        $holes,
        null,
        [],
        [],
        1.0,
    );
    $hum = fn (float $db): Hum => new Hum(50, $db, [50 => $db - 1, 100 => $db - 7]);
    // By hand: the loudest tone has 20 log10(0.03) - 6 = -36.5 dBFS.
    expect($say([$with($hum(-60.0)), $with($hum(-50.0))]))->toBe(['Hum of 50 Hz at −50.0 dBFS, 13.5 dB under the loudest tone; lines at 50, 100 Hz'])
        ->and($say([$with(), $with($hum(-30.0))]))->toBe(['Right: hum of 50 Hz at −30.0 dBFS, 6.5 dB over the loudest tone; lines at 50, 100 Hz'])
        ->and($say([$with(clipped: [[61.25, 0.001], [62.0, 0.001]]), $with()]))->toBe([])
        ->and($say([$with(clipped: [[61.25, 0.001], [62.0, 0.001], [63.0, 0.001]]), $with()]))->toBe([
            'Left: the wave is cut off 3 times, first at 1:01.2',
        ])
        ->and($say([$with(holes: [[5.0, 0.012]])]))->toBe(['1 dropout, the first at 0:05.0, 12 ms long'])
        ->and($say([$with(peak: 0.0), $with(peak: 0.0)]))->toBe(['Nothing at all is on it, not even noise']);
    // Two tracks that are to be different, and are not.
    $readings[1][1] = $readings[0][1];
    $told = array_map(fn ($one) => [$one->kind, $one->track->id], (new MeasuredTracks($plan, $readings))->differences());
    expect($told)->toContain([DifferenceKind::Same, 'archive'], [DifferenceKind::Same, 'clip']);
});

it('takes no line of a loop for a tone, however many lines it has', function () {
    // A sound that repeats itself every second has a line at every whole hertz.
    $loop = array_map(fn (float $x) => 0.05 * $x, (new Noise(2, 16_000))->speech(16_000));
    $sound = SoundInMemory::made(1, 16_000, 62, 16, fn () => [$loop]);
    expect(toneReadings($sound, range(0, 11))[0]->found)->toBe([]);
});
