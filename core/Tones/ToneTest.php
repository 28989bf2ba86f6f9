<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Audio\Decimator;
use HiddenWire\Core\Audio\FilterBank;
use HiddenWire\Core\Audio\Recording;
use HiddenWire\Core\Audio\Runs;
use HiddenWire\Core\Audio\WavReader;

/**
 * Reads a recording of a tone test, channel by channel, in memory that does not grow with its length: once through for tones, hum, peaks
 * and loudness, then once more where chirps are to be. Cost: 0.3 microseconds a sample and channel with PHP's compiler.
 */
final readonly class ToneTest
{
    /** Tones are looked for in so many seconds at a time, and again so many later. */
    private const STRETCH = 65.0;

    private const STEP = 21.0;

    /** Chirps that begin so close together are read in one go, s. */
    private const TOGETHER = 3.0;

    /** Channels whose samples are kept at a time for the chirps. */
    private const AT_ONCE = 8;

    /** The share of the work that is done after the first time through. */
    private const FIRST_PASS = 0.8;

    /** Arrivals that may change places by chance, dB. */
    private const ALIKE_DB = 6.0;

    /** Missing samples longer than this are a pause, s. */
    private const PAUSE = 0.5;

    private ToneBands $bands;

    private WavReader $reader;

    /** @var array<int, Signature> by number */
    private array $signatures;

    /** @param  list<Signature>  $signatures  that were played */
    public function __construct(private Recording $recording, array $signatures)
    {
        $this->reader = new WavReader($recording->format());
        $this->bands = new ToneBands($recording->format()->rate, $signatures);
        $this->signatures = array_combine(array_map(fn (Signature $one) => $one->number, $signatures), $signatures);
    }

    /**
     * @return \Generator<int, float, void, list<ChannelReading>> how far it is, from 0 to 1; returns what each channel has
     *
     * @throws \HiddenWire\Core\Audio\InvalidSound
     */
    public function read(): \Generator
    {
        $format = $this->recording->format();
        $rate = $format->rate;
        $channels = $banks = [];
        for ($i = 0; $i < $format->channels; $i++) {
            $channels[] = new ListenedChannel($rate, $this->bands);
            if ($i % 2 === 0) {
                $banks[] = new FilterBank($this->bands->size);
            }
        }
        $first = $searched = 0;
        $stretch = (int) round(self::STRETCH * $this->bands->width);
        $step = (int) round(self::STEP * $this->bands->width);
        $all = $this->recording->frames();
        foreach ($this->reader->blocks($this->recording->bytes(0, $all)) as $at => $block) {
            $this->bank($banks, array_map(fn (ListenedChannel $one, array $samples) => $one->take($samples), $channels, $block), $channels);
            if (count($channels[0]->frames) >= $stretch) {
                $searched = $first + count($channels[0]->frames);
                foreach ($channels as $channel) {
                    $channel->search($first);
                    $channel->frames = array_slice($channel->frames, $step);
                }
                $first += $step;
            }
            yield min(self::FIRST_PASS, self::FIRST_PASS * ($at + WavReader::BLOCK) / max(1, $all));
        }
        $this->bank($banks, array_map(fn (ListenedChannel $one) => $one->rest(), $channels), $channels);
        if ($first + count($channels[0]->frames) > $searched) {
            array_walk($channels, fn (ListenedChannel $one) => $one->search($first));
        }
        yield self::FIRST_PASS;
        $found = $this->withArrivals(array_map(fn (ListenedChannel $one) => $one->found, $channels));

        return array_map(fn (ListenedChannel $channel, array $with) => new ChannelReading(
            $with,
            $channel->hum,
            $channel->peak->peak,
            $channel->peak->samplePeak,
            array_map(fn (array $top) => [$top[0] / $rate, $top[1] / $rate], $channel->runs->clipped($channel->peak->samplePeak)),
            $this->holes($channel->runs, $channel->peak->samplePeak, $with, $rate),
            self::floor($channel->loudness->plain),
            $channel->loudness->powers,
            $channel->loudness->plain,
            $channel->runs->mark,
        ), $channels, $found);
    }

    /**
     * @param  list<FilterBank>  $banks  one for two channels
     * @param  list<list<float>>  $slow
     * @param  list<ListenedChannel>  $channels  get the frames that are complete
     */
    private function bank(array $banks, array $slow, array $channels): void
    {
        foreach ($banks as $pair => $bank) {
            $one = $slow[2 * $pair];
            $other = $slow[2 * $pair + 1] ?? ($one === [] ? [] : array_fill(0, count($one), 0.0));
            foreach ($bank->take($one, $other) as $frame) {
                foreach ($bank->parted($frame, $this->bands->bands) as $side => $bands) {
                    if (isset($channels[2 * $pair + $side])) {
                        $channels[2 * $pair + $side]->frames[] = pack('g*', ...$bands);
                    }
                }
            }
        }
    }

    /**
     * @param  list<list<FoundSignature>>  $found  by channel
     * @return list<list<FoundSignature>> with their arrivals, as far as their chirps can be read
     */
    private function withArrivals(array $found): array
    {
        $wanted = [];
        foreach ($found as $channel => $ones) {
            foreach ($ones as $i => $one) {
                foreach ($one->begins === null ? [] : $this->signatures[$one->number]->chirps as $which => $chirp) {
                    $wanted[] = [$one->begins + $chirp / (1 + $one->ppm / 1e6), $channel, $i, $which];
                }
            }
        }
        sort($wanted);
        $read = [];
        while ($wanted !== []) {
            $together = [];
            $channels = [];
            foreach ($wanted as $one) {
                $isNew = ! isset($channels[$one[1]]);
                if ($one[0] > $wanted[0][0] + self::TOGETHER || $isNew && count($channels) === self::AT_ONCE) {
                    break;
                }
                $channels[$one[1]] = true;
                $together[] = $one;
            }
            $wanted = array_slice($wanted, count($together));
            foreach ($this->chirps($together, $found) as [$channel, $i, $which, $arrivals]) {
                $read[$channel][$i][$which] = $arrivals;
            }
        }
        $with = [];
        foreach ($found as $channel => $ones) {
            $with[] = array_map(
                fn (FoundSignature $one, int $i): FoundSignature => self::arrived($one, $read[$channel][$i] ?? []),
                $ones,
                array_keys($ones),
            );
        }

        return $with;
    }

    /**
     * @param  list<array{float, int, int, int}>  $wanted  about when a chirp begins, channel, which found signature of it, which chirp
     * @param  list<list<FoundSignature>>  $found
     * @return \Generator<array{int, int, int, list<ToneArrival>}>
     */
    private function chirps(array $wanted, array $found): \Generator
    {
        $rate = $this->recording->format()->rate;
        $by = $this->bands->by;
        if ($wanted === []) {
            return;
        }
        $channels = array_fill_keys(array_column($wanted, 1), []);
        $longest = (new Signature(Signature::COUNT - 1))->length;
        $from = max(0, (int) floor(($wanted[0][0] - ChirpReader::BEFORE - 0.1) * $rate / $by) * $by);
        $to = (int) ceil((max(array_column($wanted, 0)) + $longest + ChirpReader::AFTER + 0.1) * $rate);
        $to = min($to, $this->recording->frames());
        if ($to - $from < $rate) {
            return;
        }
        $decimators = array_map(fn () => new Decimator($by, $rate, ToneBands::PASS_HZ), $channels);
        $blocks = $channels;
        foreach ($this->reader->blocks($this->recording->bytes($from, $to - $from), $to - $from) as $block) {
            foreach ($decimators as $channel => $decimator) {
                $blocks[$channel][] = $decimator->take($block[$channel]);
            }
        }
        $channels = array_map(fn (array $of) => array_merge(...$of), $blocks);
        $reader = new ChirpReader($this->bands->rate);
        foreach ($wanted as [$at, $channel, $i, $which]) {
            $one = $found[$channel][$i];
            $signature = $this->signatures[$one->number];
            $begin = max(0, (int) floor(($at - ChirpReader::BEFORE - 0.05 - $from / $rate) * $this->bands->rate));
            $count = (int) ceil(($signature->length + ChirpReader::AFTER + ChirpReader::BEFORE + 0.1) * $this->bands->rate);
            $samples = array_slice($channels[$channel], $begin, $count);
            if (count($samples) > $signature->length * $this->bands->rate) {
                $first = $from / $rate + $begin / $this->bands->rate;
                yield [$channel, $i, $which, $reader->read($samples, $first, $at, $signature, $one->ppm)];
            }
        }
    }

    /** @param  array<int, list<ToneArrival>>  $read  arrivals of each chirp, by which */
    private static function arrived(FoundSignature $found, array $read): FoundSignature
    {
        $chirps = (new Signature($found->number))->chirps;
        $fast = 1 + $found->ppm / 1e6;
        $begins = [];
        foreach ($read as $which => $arrivals) {
            if ($arrivals !== []) {
                $begins[$which] = array_map(
                    fn (ToneArrival $one) => new ToneArrival($one->seconds - $chirps[$which] / $fast, $one->db, $one->polarity),
                    $arrivals,
                );
            }
        }
        $jump = null;
        $isLoud = fn (ToneArrival $one, array $among): bool => $one->db > $among[0]->db - self::ALIKE_DB;
        // Of what comes twice as loud, now one arrival may be first and now the other: the two that are nearest to each other are one.
        foreach (isset($begins[1]) ? $begins[0] ?? [] : [] as $one) {
            foreach ($begins[1] as $other) {
                $apart = ($other->seconds - $one->seconds) * 1000;
                $isMeant = $isLoud($one, $begins[0]) && $isLoud($other, $begins[1]);
                $jump = $isMeant && ($jump === null || abs($apart) < abs($jump)) ? $apart : $jump;
            }
        }

        return new FoundSignature(
            $found->number,
            $found->score,
            $found->db,
            $found->ppm,
            $found->begins,
            $begins[0] ?? $begins[1] ?? [],
            $jump,
        );
    }

    /**
     * @param  list<FoundSignature>  $found
     * @return list<array{float, float}> missing samples while something plays
     */
    private function holes(Runs $runs, float $peak, array $found, int $rate): array
    {
        $holes = [];
        foreach ($runs->holes($peak) as [$at, $length]) {
            foreach ($found as $one) {
                $in = $at / $rate - ($one->begins ?? INF);
                if ($in > Signature::MARGIN && $in < Signature::SECONDS - Signature::MARGIN && $length < self::PAUSE * $rate
                    && ! $this->signatures[$one->number]->inBursts) {
                    $holes[] = [$at / $rate, $length / $rate];

                    break;
                }
            }
        }

        return $holes;
    }

    /** @param  list<float>  $plain */
    private static function floor(array $plain): ?float
    {
        $heard = array_filter($plain, fn (float $power) => $power > 0.0);

        return $heard === [] ? null : 10 * log10(2 * min($heard));
    }
}
