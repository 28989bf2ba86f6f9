<?php

declare(strict_types=1);

namespace App\Logging;

use Monolog\Formatter\LineFormatter;
use Monolog\Handler\FallbackGroupHandler;
use Monolog\Handler\StreamHandler;
use Monolog\Logger;

/** The application's log. What can't be written there is seen on standard error: it stops no answer, and is not lost either. */
final class DailyLog
{
    /** @param  array{path: string, level: 'debug'|'info'|'notice'|'warning'|'error'|'critical'|'alert'|'emergency', days: int}  $config */
    public function __invoke(array $config): Logger
    {
        $level = Logger::toMonologLevel($config['level']);
        $file = new OwnedFile($config['path'], $config['days'], $level);
        $file->setFormatter(new LineFormatter(null, 'Y-m-d H:i:s', true, true, true));
        $error = new StreamHandler('php://stderr', $level);
        $line = "{$config['path']} can't be written: %level_name%: %message% %context%\n";
        $error->setFormatter(new LineFormatter($line, null, true, true, true));

        return new Logger('hidden-wire', [new FallbackGroupHandler([$file, $error])]);
    }
}
