<?php

declare(strict_types=1);

namespace App\Takes;

use HiddenWire\Core\Audio\WavWriter;
use HiddenWire\Core\Tones\Signature;
use Illuminate\Support\Facades\Storage;

/** Signatures as WAV files of a minute, made when they are first asked for and kept. */
final class SignatureFiles
{
    /** Enough for all that a signature has, and a third of the work of what is usual. */
    private const RATE = 16_000;

    /**
     * @param  list<Signature>  $signatures  one a channel
     * @return string the file
     *
     * @throws \RuntimeException where it cannot be written
     */
    public static function of(array $signatures): string
    {
        $name = implode('-', array_map(fn (Signature $one) => $one->number.($one->inBursts ? 'b' : ''), $signatures));
        $file = "signatures/{$name}.wav";
        if (! Storage::disk('local')->exists($file)) {
            Storage::disk('local')->makeDirectory('signatures');
            $writer = new WavWriter(count($signatures), self::RATE);
            $frames = (int) (Signature::SECONDS * self::RATE);
            // Whoever asks at the same time writes the same.
            $part = Storage::disk('local')->path("{$file}.".bin2hex(random_bytes(4)));
            $handle = fopen($part, 'wb') ?: throw new \RuntimeException("{$part} can't be written");
            fwrite($handle, $writer->header($frames));
            for ($at = 0; $at < $frames; $at += self::RATE) {
                $block = [];
                foreach ($signatures as $signature) {
                    $samples = array_fill(0, self::RATE, 0.0);
                    $signature->addTo($samples, $at, self::RATE, 0.0);
                    $block[] = $samples;
                }
                fwrite($handle, $writer->block($block === [] ? [[]] : $block));
            }
            fclose($handle);
            rename($part, Storage::disk('local')->path($file));
        }

        return Storage::disk('local')->path($file);
    }
}
