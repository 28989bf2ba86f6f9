<?php

declare(strict_types=1);

namespace App\Rigs;

use Illuminate\Database\DetectsLostConnections;
use Illuminate\Support\Facades\DB;

/**
 * All or nothing. Where two are at the database at once and one has to give way (a deadlock, or a conflict between nodes), that one tries
 * again from its start; so does one whose node of a cluster is gone, at the next node. What is done here must not have any effect outside
 * the database.
 */
final class RigTransaction
{
    use DetectsLostConnections;

    private const ATTEMPTS = 5;

    /** Nodes of a cluster are three. */
    private const CONNECTIONS = 3;

    /**
     * @template T
     *
     * @param  \Closure(): T  $do
     * @param  bool  $isOnce  whether it does nothing where it was done before: then it may be tried again also where the connection was
     *     lost while it was being committed, and nobody knows whether it was
     * @return T
     *
     * @throws \Throwable what went wrong in it; where the connection was lost, once no further try is safe
     */
    public static function do(\Closure $do, bool $isOnce = false): mixed
    {
        for ($connection = 1; ; $connection++) {
            $isCommitting = false;
            try {
                return DB::transaction(function () use ($do, &$isCommitting) {
                    $isCommitting = false;
                    $made = $do();
                    $isCommitting = true;

                    return $made;
                }, self::ATTEMPTS);
            } catch (\Throwable $e) {
                $isSafe = (! $isCommitting || $isOnce) && DB::transactionLevel() === 0;
                if ($connection >= self::CONNECTIONS || ! $isSafe || ! (new self)->causedByLostConnection($e)) {
                    throw $e;
                }
                DB::reconnect();
            }
        }
    }
}
