<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\LostConnectionDetector;
use Throwable;

/**
 * Knows when what was asked can be asked again of another connection: when the database is away, when a node of a cluster is cut off from
 * the others, when a statement had to give way to another node's. In a transaction the framework looks for the last before it asks here.
 */
final class AwayDetector extends LostConnectionDetector
{
    /** What a node says that is cut off, waits in vain for what the others have written, or gives way. */
    private const CUT_OFF = [
        'Not connected to Primary Component', 'WSREP has not yet prepared node', 'Lock wait timeout exceeded',
        'Error while appending streaming',
        'Deadlock found when trying to get lock', 'WSREP detected deadlock/conflict',
    ];

    /** {@inheritDoc} */
    public function causedByLostConnection(Throwable $e): bool
    {
        foreach (self::CUT_OFF as $words) {
            if (str_contains($e->getMessage(), $words)) {
                return true;
            }
        }

        return parent::causedByLostConnection($e);
    }
}
