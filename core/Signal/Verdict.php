<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * What a wish and the sum at the ear come to. `silent` is a pair with no wish and no arrival; `uncounted` one where too much was left out
 * to tell.
 */
enum Verdict: string
{
    case Ok = 'ok';
    case Missing = 'missing';
    case Leak = 'leak';
    case Doubled = 'doubled';
    case Loop = 'loop';
    case OneSided = 'one-sided';
    /** Something else is heard with it, and it has to be alone. */
    case NotAlone = 'not-alone';
    /** It comes processed where it has to be dry, or the other way. */
    case Treated = 'treated';
    /** A turned copy of it comes a little apart: its bass cancels. */
    case Thin = 'thin';
    /** It arrives, but so far under nominal level that nobody follows it. */
    case TooQuiet = 'too-quiet';
    /** It is louder somewhere than what it passes can take. */
    case Overloads = 'overloads';
    case Unwished = 'unwished';
    case Silent = 'silent';
    case Uncounted = 'uncounted';

    public function isAtOdds(): bool
    {
        return $this->rank() > 0;
    }

    /**
     * How bad it is: a change may not lead to a worse one. Of a wanted sound the worst is that it is not there, of an unwanted one that it
     * runs round.
     */
    public function rank(): int
    {
        return match ($this) {
            self::Ok, self::Unwished, self::Silent => 0,
            self::Thin => 1,
            self::Treated => 2,
            self::NotAlone => 3,
            self::OneSided => 4,
            self::Doubled => 5,
            self::Leak, self::Overloads => 6,
            self::Loop => 7,
            self::TooQuiet => 8,
            self::Missing, self::Uncounted => 9,
        };
    }
}
