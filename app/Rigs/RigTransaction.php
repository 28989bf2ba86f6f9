<?php

declare(strict_types=1);

namespace App\Rigs;

use Illuminate\Support\Facades\DB;

/**
 * All or nothing. Where two are at the database at once and one has to give way (a deadlock), that one tries again from its start: what is
 * done here must not have any effect outside the database.
 */
final class RigTransaction
{
    private const ATTEMPTS = 5;

    /**
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    public static function do(\Closure $do): mixed
    {
        return DB::transaction($do, self::ATTEMPTS);
    }
}
