<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Verdict;

/** What somebody at an ear says of one sound. */
enum Impression: string
{
    case Heard = 'heard';
    case Nothing = 'nothing';
    case Faint = 'faint';
    case OneSide = 'one-side';
    case Echo = 'echo';
    case Howl = 'howl';
    case Distorted = 'distorted';
    /** Not alone, thin, or not treated as it should be. */
    case Other = 'other';

    public static function of(HeardPair $pair): self
    {
        return match ($pair->verdict) {
            Verdict::Missing, Verdict::Silent => self::Nothing,
            Verdict::TooQuiet => self::Faint,
            Verdict::OneSided => self::OneSide,
            Verdict::Doubled => self::Echo,
            Verdict::Loop => self::Howl,
            Verdict::Overloads => self::Distorted,
            Verdict::NotAlone, Verdict::Thin, Verdict::Treated, Verdict::Uncounted => self::Other,
            Verdict::Ok, Verdict::Leak, Verdict::Unwished => $pair->isHeard() ? self::Heard : self::Nothing,
        };
    }

    /** As somebody says it: "with an echo". */
    public function words(): string
    {
        return match ($this) {
            self::Heard => 'heard',
            self::Nothing => 'not heard',
            self::Faint => 'faint',
            self::OneSide => 'on one side only',
            self::Echo => 'with an echo',
            self::Howl => 'howling',
            self::Distorted => 'distorted',
            self::Other => 'heard, but not as it should be',
        };
    }
}
