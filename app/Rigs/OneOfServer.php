<?php

declare(strict_types=1);

namespace App\Rigs;

/**
 * What is done once at a time on one web server, by the lock of a file: the system takes it from a process that dies, so nobody waits for
 * a worker that was killed. Names share a fixed number of files: two that share one wait for each other needlessly, but not for long.
 */
final class OneOfServer
{
    private const FILES = 256;

    /** How often whoever waits looks, in microseconds. */
    private const LOOK_US = 10_000;

    /** @param  resource  $file */
    private function __construct(private mixed $file)
    {
    }

    /**
     * Waits until no other process holds the lock of this name.
     *
     * @param  float  $seconds  at most
     * @return self|null null where it takes longer, or where there can be no file
     */
    public static function waitFor(string $name, float $seconds): ?self
    {
        $folder = config('cache.stores.disk.lock_path').'/alone';
        // A command that root runs leaves a folder that the web server can write to.
        is_dir($folder) || (@mkdir($folder, 0775) && @chown($folder, (int) fileowner(dirname($folder))));
        $path = $folder.'/'.hexdec(hash('xxh32', $name)) % self::FILES;
        // One that a command of another user made can be read, which is enough.
        $file = @fopen($path, 'c') ?: @fopen($path, 'r');
        if ($file === false) {
            return null;
        }
        $until = hrtime(true) + $seconds * 1e9;
        while (! flock($file, LOCK_EX | LOCK_NB)) {
            if (hrtime(true) >= $until) {
                fclose($file);

                return null;
            }
            usleep(self::LOOK_US);
        }

        return new self($file);
    }

    public function release(): void
    {
        fclose($this->file);
    }
}
