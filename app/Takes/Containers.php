<?php

declare(strict_types=1);

namespace App\Takes;

use HiddenWire\Core\Audio\InvalidSound;
use Illuminate\Support\Facades\Process;

/** Takes the audio tracks out of Matroska, MP4, FLAC and the like, by ffmpeg. */
final class Containers
{
    /** What is opened at all, by the names of ffmpeg, and nothing but files. */
    private const READS = ['-nostdin', '-hide_banner', '-loglevel', 'error', '-protocol_whitelist', 'file',
        '-format_whitelist', 'matroska,webm,mov,mp4,m4a,flac,ogg,mp3,aac,aiff,caf,w64,mpegts'];

    private const LOOK_SECONDS = 60;

    private const MOST_TRACKS = 32;

    /**
     * @param  callable(): void  $goOn  asked now and then; throws where it is to stop
     * @return list<string> files, one a track
     *
     * @throws InvalidSound where ffmpeg cannot read it
     */
    public static function tracks(string $file, string $folder, callable $goOn): array
    {
        $looked = Process::timeout(self::LOOK_SECONDS)->run(['ffprobe', ...array_slice(self::READS, 1), '-select_streams', 'a',
            '-show_entries', 'stream=index', '-of', 'csv=p=0', $file]);
        $count = count(array_filter(explode("\n", trim($looked->output())), fn (string $line) => $line !== ''));
        if (! $looked->successful() || $count === 0) {
            throw new InvalidSound('No sound can be read from it: '.($looked->successful() ? 'it has no audio track'
                : 'it is broken, cut off, or of a kind that is not read').'. Send WAV, Matroska, MP4 or FLAC.');
        }
        if ($count > self::MOST_TRACKS) {
            throw new InvalidSound("It has {$count} audio tracks; ".self::MOST_TRACKS.' are read. Split it, and send the parts.');
        }
        $tracks = $arguments = [];
        for ($i = 0; $i < $count; $i++) {
            $tracks[] = "{$folder}/track-{$i}.wav";
            $arguments = [...$arguments, '-map', "0:a:{$i}", '-c:a', 'pcm_s24le', '-rf64', 'auto', $tracks[$i]];
        }
        $run = Process::forever()->start(['ffmpeg', ...self::READS, '-y', '-i', $file, ...$arguments]);
        try {
            while ($run->running()) {
                usleep(200_000);
                $goOn();
            }
        } finally {
            if ($run->running()) {
                $run->signal(SIGKILL);
            }
        }
        if ($run->wait()->exitCode() !== 0) {
            throw new InvalidSound('It is broken: its sound could not be read to the end. Record again, or export it as WAV.');
        }

        return $tracks;
    }
}
