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
    /** It comes processed where it has to be dry, or the other way. */
    case Treated = 'treated';
    /** It arrives, but so far under nominal level that nobody follows it. */
    case TooQuiet = 'too-quiet';
    /** It is louder somewhere than what it passes can take. */
    case Overloads = 'overloads';
    case Unwished = 'unwished';
    case Silent = 'silent';
    case Uncounted = 'uncounted';

    public function isAtOdds(): bool
    {
        return match ($this) {
            self::Missing, self::Leak, self::Doubled, self::Loop, self::OneSided, self::Treated, self::TooQuiet, self::Overloads,
            self::Uncounted => true,
            default => false,
        };
    }

    /** How bad it is: a change may not lead to a worse one. */
    public function rank(): int
    {
        return match ($this) {
            self::Ok, self::Unwished, self::Silent => 0,
            self::OneSided, self::Doubled, self::Treated, self::TooQuiet, self::Overloads => 1,
            self::Missing, self::Leak, self::Uncounted => 2,
            self::Loop => 3,
        };
    }
}
