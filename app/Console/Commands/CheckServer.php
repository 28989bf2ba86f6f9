<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Server\Concern;
use App\Server\SelfCheck;
use App\Server\ServerFacts;
use Illuminate\Console\Command;

/** For whoever looks after the server, and for what watches it: ends with 1 where something is urgent. */
final class CheckServer extends Command
{
    protected $signature = 'server:check {--json : As data}';

    protected $description = 'Say what is missing or unsafe about this server';

    public function handle(): int
    {
        $check = new SelfCheck(ServerFacts::now());
        if ($this->option('json')) {
            $this->line((string) json_encode(array_map(
                fn (Concern $one) => ['urgent' => $one->isUrgent, 'what' => $one->what, 'do' => $one->do],
                $check->concerns,
            ), JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT));
        } else {
            foreach ($check->concerns as $one) {
                $this->line(($one->isUrgent ? 'urgent  ' : 'note    ')."{$one->what} {$one->do}");
            }
            $this->line($check->concerns === [] ? 'Nothing is missing.' : '');
        }

        return $check->isSound() ? self::SUCCESS : self::FAILURE;
    }
}
