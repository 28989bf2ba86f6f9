<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

/** What somebody says of a step of a test. */
enum Heard: string
{
    case AsPlanned = 'as-planned';
    case Nothing = 'nothing';
    case Faint = 'faint';
    case OneSide = 'one-side';
    case Echo = 'echo';
    case Hum = 'hum';
    case Other = 'other';

    /** On a button; of a step that is to be silent, what is heard is too much. */
    public function words(bool $isSilence): string
    {
        return match ($this) {
            self::AsPlanned => $isSilence ? 'Silent' : 'All there',
            self::Nothing => $isSilence ? 'Something comes' : 'Something missing',
            self::Faint => 'Faint',
            self::OneSide => 'One side',
            self::Echo => 'Echo',
            self::Hum => 'Hum',
            self::Other => 'Something else',
        };
    }

    /** @return list<self> what can be said of a step */
    public static function of(TestStep $step): array
    {
        return $step->isSilence() ? [self::AsPlanned, self::Nothing, self::Faint, self::Hum, self::Other] : self::cases();
    }

    public function isFine(): bool
    {
        return $this === self::AsPlanned;
    }
}
