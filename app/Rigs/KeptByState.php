<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig;
use Illuminate\Support\Facades\Cache;

/**
 * What is kept of a rig's state, and the files of the cache. Laravel's file store deletes an entry when it is asked for after its time; one
 * that nobody asks for stays.
 */
final class KeptByState
{
    private const SECONDS = 3600;

    /** Every so many times that something is kept, what is out of date goes. */
    private const TIDY_EVERY = 500;

    /**
     * What follows from a rig's stored state, made once for all who ask.
     *
     * @template T of array<array-key, mixed>
     *
     * @param  \Closure(): T  $make
     * @return T
     */
    public static function of(Rig $at, string $what, \Closure $make): array
    {
        /** @var T|null $kept */
        $kept = self::known($at, $what);
        if ($kept === null) {
            $kept = $make();
            Cache::put(self::key($at, $what), $kept, self::SECONDS);
        }

        return $kept;
    }

    /** @return array<array-key, mixed>|null the same where it was made; null where nobody has asked */
    public static function known(Rig $at, string $what): ?array
    {
        $kept = Cache::get(self::key($at, $what));

        return is_array($kept) ? $kept : null;
    }

    private static function key(Rig $at, string $what): string
    {
        return "{$what}:".StoredRig::stateOf($at);
    }

    /** Once the answer is on its way, every so often. */
    public static function tidyNowAndThen(): void
    {
        if (random_int(1, self::TIDY_EVERY) === 1) {
            defer(self::tidy(...));
        }
    }

    /**
     * Deletes entries whose time is over.
     *
     * @return int how many
     */
    public static function tidy(): int
    {
        $folder = (string) config('cache.stores.disk.path');
        if (! is_dir($folder)) {
            return 0;
        }
        $deleted = 0;
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            assert($file instanceof \SplFileInfo);
            // An entry begins with the second at which it ends, in ten digits.
            $ends = $file->isFile() ? @file_get_contents($file->getPathname(), length: 10) : false;
            if (is_string($ends) && ctype_digit($ends) && (int) $ends < time() && @unlink($file->getPathname())) {
                $deleted++;
            }
        }

        return $deleted;
    }
}
