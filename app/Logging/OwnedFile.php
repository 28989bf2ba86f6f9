<?php

declare(strict_types=1);

namespace App\Logging;

use Monolog\Handler\RotatingFileHandler;
use Monolog\LogRecord;

/** A file a day, of whoever owns its folder: what root logs first, the web server's account has to go on with. */
final class OwnedFile extends RotatingFileHandler
{
    private const MODE = 0600;

    protected function write(LogRecord $record): void
    {
        parent::write($record);
        $this->giveBack((string) $this->url);
    }

    private function giveBack(string $file): void
    {
        $folder = dirname($file);
        $account = posix_geteuid();
        clearstatcache(true, $file);
        // Only root can, and only root has to.
        if ($account === 0 && fileowner($file) !== fileowner($folder)) {
            chown($file, (int) fileowner($folder));
            chgrp($file, (int) filegroup($folder));
        }
        if (in_array($account, [0, fileowner($file)], true) && (fileperms($file) & 0777) !== self::MODE) {
            chmod($file, self::MODE);
        }
        clearstatcache(true, $file);
    }
}
