<?php

declare(strict_types=1);

namespace App\Takes;

use App\Models\ToneTake;
use HiddenWire\Core\Audio\InvalidSound;
use HiddenWire\Core\Audio\WavFormat;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Tones\ChannelReading;
use HiddenWire\Core\Tones\OrdinaryTake;
use HiddenWire\Core\Tones\Signature;
use HiddenWire\Core\Tones\TonePlan;
use HiddenWire\Core\Tones\ToneTest;

/** Reads the files of a recording: which channels are which track, and what is on them. */
final readonly class TakeReader
{
    private const WAV = ['RIFF', 'RF64', 'BW64'];

    public function __construct(private Rig $rig, private ToneTake $take)
    {
    }

    /**
     * @param  callable(float): void  $progress  gets how far it is, from 0 to 1; throws where it is to stop
     *
     * @throws InvalidSound
     */
    public function read(callable $progress): ReadTracks
    {
        $files = $this->files(fn () => $progress(0.0));
        $recordings = array_map(fn (string $file) => new FileRecording($file), $files);
        $places = $this->places(array_map(fn (FileRecording $one) => $one->format()->channels, $recordings));
        $signatures = [];
        foreach ($this->take->played as $parts) {
            foreach ($parts as [$number, $inBursts]) {
                $signatures[] = new Signature($number, $inBursts);
            }
        }
        $channels = $seconds = [];
        $told = -1.0;
        foreach ($recordings as $i => $recording) {
            $reading = (new ToneTest($recording, $signatures))->read();
            foreach ($reading as $share) {
                $now = ($i + $share) / count($recordings);
                if ($now - $told >= 0.005) {
                    $progress($told = $now);
                }
            }
            foreach ($reading->getReturn() as $channel) {
                $channels[] = $channel;
                $seconds[] = $recording->frames() / $recording->format()->rate;
            }
        }

        $readings = array_map(
            fn (array $one) => [$one[0], array_slice($channels, $one[1], $one[2]), $seconds[$one[1]]],
            $places,
        );
        $isTested = array_filter($channels, fn (ChannelReading $one) => $one->found !== []) !== [];

        return ReadTracks::of($readings, $isTested ? [] : $this->ordinary($readings));
    }

    /**
     * What a recording without any signature tells by its levels.
     *
     * @param  list<array{Listener, list<ChannelReading>, float}>  $readings
     * @return list<string> sentences
     */
    private function ordinary(array $readings): array
    {
        $situation = $this->rig->situations[$this->take->situation] ?? null;
        if ($situation === null) {
            return [];
        }
        $levels = [];
        foreach ($readings as [$track, $channels]) {
            $powers = array_fill(0, min([PHP_INT_MAX, ...array_map(fn (ChannelReading $one) => count($one->plain), $channels)]), 0.0);
            foreach ($channels as $channel) {
                foreach ($powers as $i => $power) {
                    $powers[$i] = $power + $channel->plain[$i] / count($channels);
                }
            }
            $levels[] = [$track, $powers];
        }
        $plan = new TonePlan((new Hearings($this->rig))->in($situation->id));

        return (new OrdinaryTake($plan, $levels, $this->take->marks))->says();
    }

    /** @return list<Listener> the tracks that a unit records, in the order of its own */
    public static function tracksOf(Rig $rig, string $unit): array
    {
        $order = array_flip(array_keys($rig->modelOf($unit)->points));
        $tracks = array_values(array_filter(
            $rig->listeners,
            fn (Listener $one) => $one->kind === ListenerKind::Track && ($one->at[0] ?? null)?->unit === $unit,
        ));
        usort($tracks, fn (Listener $one, Listener $other) => $order[$one->at[0]->point] <=> $order[$other->at[0]->point]);

        return $tracks;
    }

    /**
     * In the files are the tracks that the rig knows, or the first so many of all that the recorder has.
     *
     * @param  list<int>  $widths  channels of each file
     * @return list<array{Listener, int, int}> each track, its first channel among those of all files, how many
     *
     * @throws InvalidSound where they don't fit
     */
    private function places(array $widths): array
    {
        $tracks = self::tracksOf($this->rig, $this->take->unit);
        $width = fn (Listener $track): int => array_sum(array_map(fn (PointRef $at) => $this->rig->point($at)->channels, $track->at));
        $listed = [];
        foreach ($tracks as $track) {
            $listed[] = [$track, array_sum(array_map($width, array_column($listed, 0))), $width($track)];
        }
        $all = array_sum($widths);
        if ($all === array_sum(array_column($listed, 2))) {
            return $listed;
        }
        $places = [];
        $at = 0;
        $byPoint = array_combine(array_map(fn (Listener $track) => $track->at[0]->point, $tracks), $tracks);
        foreach ($this->recorded($tracks) as $point) {
            if (isset($byPoint[$point->id])) {
                $places[] = [$byPoint[$point->id], $at, $point->channels];
            }
            $at += $point->channels;
            // The first so many of them, as long as all that the rig knows are among them.
            if ($all === $at && count($places) === count($tracks)) {
                return $places;
            }
        }
        $name = $this->rig->units[$this->take->unit]->name;

        throw new InvalidSound('It has '.Count::of($all, 'channel').'. The tracks of '.$name.' in the rig take '
            .array_sum(array_column($listed, 2)).($at > 0 ? ", all that it can record {$at}" : '')
            .'. Choose the unit that recorded it, and bring in all of its tracks in their order.');
    }

    /**
     * @param  list<Listener>  $tracks
     * @return list<Point> all that the unit can record, in order: what is named like the tracks of the rig, but for its number
     */
    private function recorded(array $tracks): array
    {
        $stem = fn (string $id): string => (string) preg_replace('/-?\d+$/D', '', $id);
        $stems = array_map(fn (Listener $track) => $stem($track->at[0]->point), $tracks);

        return array_values(array_filter(
            $this->rig->modelOf($this->take->unit)->points,
            fn (Point $point) => $point->kind === PointKind::Ear && in_array($stem($point->id), $stems, true),
        ));
    }

    /**
     * @return list<string> WAV files, in the order of the tracks
     *
     * @throws InvalidSound
     */
    private function files(callable $goOn): array
    {
        $wavs = [];
        foreach ($this->take->files as $index => ['bytes' => $bytes]) {
            $file = (new TakeFiles($this->take))->path($index);
            if ($bytes === 0) {
                WavFormat::read('');
            }
            if (! is_file($file)) {
                throw new InvalidSound('Its files are gone. Bring the recording in again.');
            }
            if (in_array(file_get_contents($file, length: 4), self::WAV, true)) {
                $wavs[] = $file;

                continue;
            }
            $folder = "{$file}-tracks";
            if (! is_dir($folder)) {
                mkdir($folder);
            }
            $wavs = [...$wavs, ...Containers::tracks($file, $folder, $goOn)];
        }

        return $wavs;
    }
}
