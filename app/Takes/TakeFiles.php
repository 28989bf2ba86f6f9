<?php

declare(strict_types=1);

namespace App\Takes;

use App\Models\ToneTake;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\FileAttributes;

/**
 * The files of a recording, wherever pictures and books are: in a folder, where a file grows piece by piece; or in an object store, where
 * each piece is an object of its own, since none can grow, and any web server may be sent the next one. Whoever reads a file has it whole
 * in a folder of this machine.
 */
final readonly class TakeFiles
{
    /** Digits of where a piece begins: objects are listed by name. */
    private const DIGITS = 14;

    public function __construct(private ToneTake $take)
    {
    }

    /** How many bytes of a file are there. */
    public function bytes(int $index): int
    {
        if (self::isFolder()) {
            $path = Storage::path($this->take->file($index));
            clearstatcache(true, $path);

            return is_file($path) ? (int) filesize($path) : 0;
        }

        return array_sum($this->pieces($index));
    }

    /**
     * Puts the next bytes of a file behind what is there.
     *
     * @return bool whether there was room for it
     */
    public function add(int $index, string $bytes): bool
    {
        if (self::isFolder()) {
            Storage::makeDirectory($this->take->folder());
            $path = Storage::path($this->take->file($index));

            return @file_put_contents($path, $bytes, FILE_APPEND | LOCK_EX) === strlen($bytes);
        }
        $from = str_pad((string) $this->bytes($index), self::DIGITS, '0', STR_PAD_LEFT);

        return Storage::put("{$this->take->file($index)}/{$from}", $bytes);
    }

    /** Where a file is, or is to be written, on this machine; from an object store it is fetched first. */
    public function path(int $index): string
    {
        if (self::isFolder()) {
            Storage::makeDirectory($this->take->folder());

            return Storage::path($this->take->file($index));
        }
        $here = Storage::disk('local');
        $here->makeDirectory($this->here());
        $path = $here->path("{$this->here()}/{$index}");
        if (! is_file($path)) {
            $pieces = array_keys($this->pieces($index));
            sort($pieces);
            // Half of one is none.
            @unlink("{$path}.part");
            foreach ($pieces as $piece) {
                file_put_contents("{$path}.part", Storage::readStream($piece), FILE_APPEND);
            }
            $pieces === [] || rename("{$path}.part", $path);
        }

        return $path;
    }

    /** What was written at {@see path()} is kept with the others. */
    public function keep(int $index): void
    {
        if (self::isFolder()) {
            return;
        }
        $file = fopen($this->path($index), 'rb');
        if ($file !== false) {
            Storage::writeStream("{$this->take->file($index)}/".str_repeat('0', self::DIGITS), $file);
        }
    }

    /** What was fetched is not needed here any more. */
    public function leave(): void
    {
        if (! self::isFolder()) {
            Storage::disk('local')->deleteDirectory($this->here());
        }
    }

    private function here(): string
    {
        return "fetched/{$this->take->id}";
    }

    /** @return array<string, int> bytes by object */
    private function pieces(int $index): array
    {
        $pieces = [];
        foreach (Storage::listContents($this->take->file($index)) as $one) {
            if ($one instanceof FileAttributes) {
                $pieces[$one->path()] = (int) $one->fileSize();
            }
        }

        return $pieces;
    }

    private static function isFolder(): bool
    {
        return config('filesystems.disks.'.Storage::getDefaultDriver().'.driver') === 'local';
    }
}
