<?php

declare(strict_types=1);

namespace App\Takes;

use HiddenWire\Core\Audio\InvalidSound;
use HiddenWire\Core\Audio\Recording;
use HiddenWire\Core\Audio\WavFormat;

/** A WAV file on disk. */
final readonly class FileRecording implements Recording
{
    private const PIECE = 1 << 18;

    private WavFormat $format;

    private int $size;

    /** @throws InvalidSound where it is no such file */
    public function __construct(private string $file)
    {
        $this->size = (int) filesize($file);
        $this->format = WavFormat::read((string) file_get_contents($file, length: WavFormat::HEAD));
        if ($this->frames() === 0) {
            throw new InvalidSound('There is no sound in it. It was cut off while it was written or sent: send it again.');
        }
    }

    public function format(): WavFormat
    {
        return $this->format;
    }

    public function frames(): int
    {
        return min($this->format->frames ?? PHP_INT_MAX, intdiv($this->size - $this->format->begin, $this->format->bytesAFrame()));
    }

    /** @throws InvalidSound where the file is gone */
    public function bytes(int $from, int $frames): iterable
    {
        $handle = fopen($this->file, 'rb');
        if ($handle === false) {
            throw new InvalidSound('The file is gone. Bring the recording in again.');
        }
        try {
            fseek($handle, $this->format->begin + $from * $this->format->bytesAFrame());
            $left = $frames * $this->format->bytesAFrame();
            while ($left > 0) {
                $piece = (string) fread($handle, min(self::PIECE, $left));
                if ($piece === '') {
                    break;
                }
                $left -= strlen($piece);
                yield $piece;
            }
        } finally {
            fclose($handle);
        }
    }
}
