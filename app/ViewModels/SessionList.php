<?php

declare(strict_types=1);

namespace App\ViewModels;

use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** Where an account is signed in, the last used first. */
final readonly class SessionList
{
    /** Characters of what a browser says of itself. */
    private const SAYS = 90;

    /** @var list<array{mark: string, isHere: bool, from: string, used: string, browser: string}> `mark` names a session; its id opens it */
    public array $sessions;

    /**
     * @param  iterable<object>  $rows  of the table of sessions
     * @param  string  $here  id of the one that asks
     */
    public function __construct(iterable $rows, string $here)
    {
        $sessions = [];
        foreach ($rows as $row) {
            ['id' => $id, 'ip_address' => $from, 'user_agent' => $says, 'last_activity' => $used] = (array) $row;
            $sessions[] = [
                'mark' => self::mark((string) $id),
                'isHere' => $id === $here,
                'from' => (string) $from,
                'used' => Carbon::createFromTimestamp((int) $used)->diffForHumans(),
                'browser' => Str::limit(mb_scrub((string) $says), self::SAYS, '…'),
            ];
        }
        $this->sessions = $sessions;
    }

    /** The name of a session in a page. */
    public static function mark(string $id): string
    {
        return hash('xxh128', $id.config('app.key'));
    }
}
