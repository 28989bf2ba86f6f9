<?php

declare(strict_types=1);

namespace App\Rigs;

/** Room for what takes much. */
final class Memory
{
    /** Raises what a process may take; one that may take as much already, or has no limit, is left as it is. @param  string  $to  "1G" */
    public static function raise(string $to): void
    {
        $limit = ini_parse_quantity((string) ini_get('memory_limit'));
        if ($limit > 0 && $limit < ini_parse_quantity($to)) {
            ini_set('memory_limit', $to);
        }
    }
}
