<?php

declare(strict_types=1);

namespace App\Takes;

use HiddenWire\Core\Audio\Loudness;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Tones\ChannelReading;
use HiddenWire\Core\Tones\FoundSignature;
use HiddenWire\Core\Tones\Hum;
use HiddenWire\Core\Tones\ToneArrival;

/**
 * What was read of a recording, as it is kept: {tracks: [{id, seconds, lufs, channels: [{found, hum, truePeak, ...}]}]}. Of what can be
 * long, the first are kept, and a level for each second.
 *
 * @phpstan-type Kept array{id: string, seconds: float, lufs: float|null, channels: list<array<string, mixed>>}
 */
final readonly class ReadTracks
{
    private const MOST = 200;

    /**
     * @param  list<Kept>  $tracks
     * @param  list<string>  $says  what it tells without a signature, in sentences
     */
    public function __construct(public array $tracks, public array $says = [])
    {
    }

    /**
     * @param  list<array{Listener, list<ChannelReading>, float}>  $readings  each track, its channels, its length in seconds
     * @param  list<string>  $says
     */
    public static function of(array $readings, array $says = []): self
    {
        return new self(array_map(fn (array $one) => [
            'id' => $one[0]->id,
            'seconds' => $one[2],
            'lufs' => $one[1] === [] ? null : Loudness::integrated(array_map(fn (ChannelReading $channel) => $channel->powers, $one[1])),
            'channels' => array_map(self::channel(...), $one[1]),
        ], $readings), $says);
    }

    /** @return array{tracks: list<Kept>, says: list<string>} */
    public function toArray(): array
    {
        return ['tracks' => $this->tracks, 'says' => $this->says];
    }

    /** @return list<array{Listener, non-empty-list<ChannelReading>}> those that the rig still has */
    public function readings(Rig $rig): array
    {
        $readings = [];
        foreach ($this->tracks as $track) {
            $channels = array_map(self::reading(...), $track['channels']);
            if (isset($rig->listeners[$track['id']]) && $channels !== []) {
                $readings[] = [$rig->listeners[$track['id']], $channels];
            }
        }

        return $readings;
    }

    /** @return array<string, mixed> */
    private static function channel(ChannelReading $channel): array
    {
        $a = (int) round(1 / Loudness::STEP_SECONDS);
        $seconds = array_map(
            fn (array $of) => (int) round(max(-120.0, 10 * log10(2 * array_sum($of) / count($of) + 1e-13))),
            array_chunk($channel->plain, max(1, $a)),
        );

        return [
            'found' => array_map(fn (FoundSignature $one) => [
                'number' => $one->number, 'score' => round($one->score), 'db' => round($one->db, 3), 'ppm' => round($one->ppm, 3),
                'begins' => $one->begins, 'jump' => $one->jump,
                'arrivals' => array_map(fn (ToneArrival $at) => [$at->seconds, round($at->db, 3), $at->polarity], $one->arrivals),
            ], $channel->found),
            'hum' => $channel->hum === null ? null : ['mains' => $channel->hum->mains, 'db' => round($channel->hum->db, 2),
                'lines' => array_map(fn (float $db) => round($db, 2), $channel->hum->lines)],
            'truePeak' => $channel->truePeak, 'samplePeak' => $channel->samplePeak,
            'clipped' => array_slice($channel->clipped, 0, self::MOST), 'holes' => array_slice($channel->holes, 0, self::MOST),
            'floor' => $channel->floor, 'mark' => $channel->mark, 'levels' => $seconds,
        ];
    }

    /** @param  array<string, mixed>  $kept */
    private static function reading(array $kept): ChannelReading
    {
        return new ChannelReading(
            array_values(array_map(fn (array $one) => new FoundSignature(
                $one['number'],
                (float) $one['score'],
                (float) $one['db'],
                (float) $one['ppm'],
                $one['begins'],
                self::arrivals($one['arrivals']),
                $one['jump'],
            ), $kept['found'])),
            self::hum($kept['hum']),
            (float) $kept['truePeak'],
            (float) $kept['samplePeak'],
            $kept['clipped'],
            $kept['holes'],
            $kept['floor'],
            [],
            [],
            (float) $kept['mark'],
        );
    }

    /**
     * @param  array<array{float, float, int}>  $kept
     * @return list<ToneArrival>
     */
    private static function arrivals(array $kept): array
    {
        return array_map(fn (array $at) => new ToneArrival((float) $at[0], (float) $at[1], $at[2]), array_values($kept));
    }

    /** @param  array{mains: int, db: float, lines: array<int, float>}|null  $kept */
    private static function hum(?array $kept): ?Hum
    {
        return $kept === null || $kept['lines'] === [] ? null : new Hum($kept['mains'], (float) $kept['db'], $kept['lines']);
    }
}
