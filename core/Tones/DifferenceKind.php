<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Bench\Impression;

/** What of a recorded tone test is not as planned. */
enum DifferenceKind: string
{
    case Missing = 'missing';
    case Extra = 'extra';
    case OneSide = 'one-side';
    case Swapped = 'swapped';
    case Mixed = 'mixed';
    case Doubled = 'doubled';
    case Turned = 'turned';
    case Soft = 'soft';
    case Loud = 'loud';
    case Late = 'late';
    case Drift = 'drift';
    case Jump = 'jump';
    case Clipped = 'clipped';
    case Hole = 'hole';
    case Hum = 'hum';
    case Silent = 'silent';
    case Same = 'same';

    /** What somebody who listens to the track would say of the sound; null where ears tell nothing of it. */
    public function impression(): ?Impression
    {
        return match ($this) {
            self::Missing => Impression::Nothing,
            self::Extra => Impression::Heard,
            self::OneSide => Impression::OneSide,
            self::Doubled => Impression::Echo,
            self::Soft => Impression::Faint,
            default => null,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Missing => 'Missing',
            self::Extra => 'Too much',
            self::OneSide => 'One side',
            self::Swapped => 'Sides swapped',
            self::Mixed => 'Sides mixed',
            self::Doubled => 'Doubled',
            self::Turned => 'Polarity',
            self::Soft => 'Soft',
            self::Loud => 'Loud',
            self::Late => 'Late',
            self::Drift => 'Drift',
            self::Jump => 'Jump',
            self::Clipped => 'Clipped',
            self::Hole => 'Dropout',
            self::Hum => 'Hum',
            self::Silent => 'Empty',
            self::Same => 'Identical',
        };
    }

    /** Whether the show goes on with it. */
    public function isSmall(): bool
    {
        return in_array($this, [self::Loud, self::Late, self::Turned, self::Drift, self::Same], true);
    }
}
