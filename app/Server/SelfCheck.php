<?php

declare(strict_types=1);

namespace App\Server;

use HiddenWire\Core\Quantity\Count;

/** What is missing or unsafe about a server, what is urgent first. */
final readonly class SelfCheck
{
    private const BACKUP_S = 2 * 86400;

    /** A worker takes a job within a second; a book that is being made may hold the next one up. */
    private const WAITING_S = 600;

    /** Of the disk that should be free, and bytes that should be in any case. */
    private const FREE_SHARE = 0.1;

    private const FREE_BYTES = 2 << 30;

    /** @var list<Concern> */
    public array $concerns;

    public function __construct(ServerFacts $is)
    {
        $host = (string) parse_url($is->url, PHP_URL_HOST);
        $isHere = in_array($host, ['127.0.0.1', 'localhost', '[::1]'], true);
        $nodes = count($is->nodes);
        $found = [
            $is->debugs
                ? new Concern(true, 'Errors are shown with the code and the settings around them.', 'Set APP_DEBUG=false.') : null,
            $is->hasKey ? null : new Concern(true, 'There is no key to close sessions with.', 'Run php artisan key:generate.'),
            $isHere || str_starts_with($is->url, 'https:') ? null
                : new Concern(true, 'Passwords go over the network as they are.', 'Put TLS in front, and https: into APP_URL.'),
            $is->hasDemo && ! $isHere
                ? new Concern(true, 'Anybody may sign in to the demo account: its password is known.', 'Set APP_DEMO=false.') : null,
            $is->settingsMode !== null && ($is->settingsMode & 0077) !== 0
                ? new Concern(true, 'Others on this machine can read .env, which holds passwords.', 'Run chmod 600 .env.') : null,
            $is->isDatabaseThere ? null : new Concern(true, 'The database does not answer.', 'Read the end of its log.'),
            $is->pending === [] ? null : new Concern(
                true,
                'The tables are of an earlier version: '.Count::of(count($is->pending), 'step').' to go.',
                'Back up, then run php artisan migrate --force.',
            ),
            $is->waitingS !== null && $is->waitingS > self::WAITING_S ? new Concern(
                true,
                'A job waits since '.self::span($is->waitingS).': no worker takes it.',
                'Start php artisan queue:work.',
            ) : null,
            match (true) {
                $is->backupAgeS === null => new Concern(true, 'There is no backup.', 'Run bin/backup once a day, and copy it elsewhere.'),
                $is->backupAgeS > self::BACKUP_S => new Concern(
                    true,
                    'The last backup is '.self::span($is->backupAgeS).' old.',
                    'See why bin/backup does not run.',
                ),
                default => null,
            },
            self::isFull($is) ? new Concern(
                true,
                'The disk is almost full: '.number_format($is->free / 1e9, 1).' GB of '.number_format($is->size / 1e9, 1).' are free.',
                'Make room; php artisan cache:tidy gives back what is kept ready.',
            ) : null,
            $nodes > 1 && $is->joined !== null && $is->joined < $nodes
                ? new Concern(true, "{$is->joined} of {$nodes} database nodes take part.", 'See the log of those that are away.') : null,
            $nodes === 1 && ! $isHere ? new Concern(
                false,
                'The database is on one machine: when that is lost, so is all since the last backup.',
                'See docs/cluster.md, or log changes on another disk (DB_LOG_DAYS).',
            ) : null,
            $is->isOpen && ! $isHere
                ? new Concern(false, 'Whoever reaches it may begin an account.', 'Set APP_REGISTRATION=false if not wanted.') : null,
            $is->mailer === 'outbox' && ! $isHere
                ? new Concern(false, 'Mails are kept and not sent: nobody gets a new password by mail.', 'Set MAIL_MAILER=smtp.') : null,
        ];
        $concerns = array_values(array_filter($found));
        usort($concerns, fn (Concern $a, Concern $b) => $b->isUrgent <=> $a->isUrgent);
        $this->concerns = $concerns;
    }

    public function isSound(): bool
    {
        return array_filter($this->concerns, fn (Concern $one) => $one->isUrgent) === [];
    }

    /** @phpstan-assert-if-true int $is->free */
    /** @phpstan-assert-if-true int $is->size */
    private static function isFull(ServerFacts $is): bool
    {
        return $is->free !== null && $is->size !== null && $is->size > 0
            && ($is->free < self::FREE_BYTES || $is->free / $is->size < self::FREE_SHARE);
    }

    private static function span(int $seconds): string
    {
        return match (true) {
            $seconds >= 2 * 86400 => intdiv($seconds, 86400).' days',
            $seconds >= 7200 => intdiv($seconds, 3600).' hours',
            default => intdiv($seconds, 60).' minutes',
        };
    }
}
