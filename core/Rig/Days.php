<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** The days on which a rig is used, set-up and strike among them. */
final readonly class Days
{
    private const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November',
        'December'];

    /**
     * @param  string  $from  the first day: "2026-12-05"
     * @param  string  $to  the last one, the same or a later
     */
    public function __construct(public string $from, public string $to)
    {
    }

    /** Whether a text is a day of the calendar: "2026-12-05". */
    public static function isDay(string $text): bool
    {
        return preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $parts) === 1
            && checkdate((int) $parts[2], (int) $parts[3], (int) $parts[1]);
    }

    /** "5 December 2026", "5 to 6 December 2026", "30 November to 2 December 2026" */
    public function words(): string
    {
        [[$year, $month, $day], [$lastYear, $lastMonth]] = [self::parts($this->from), self::parts($this->to)];
        $first = match (true) {
            $this->from === $this->to => '',
            [$year, $month] === [$lastYear, $lastMonth] => "{$day} to ",
            $year === $lastYear => "{$day} {$month} to ",
            default => "{$day} {$month} {$year} to ",
        };

        return $first.implode(' ', array_reverse(self::parts($this->to)));
    }

    /** @return array{int, string, int} year, month by name, day */
    private static function parts(string $day): array
    {
        [$year, $month, $number] = array_map(intval(...), explode('-', $day));

        return [$year, self::MONTHS[$month - 1], $number];
    }
}
