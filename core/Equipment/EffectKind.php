<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What one stage of a chain does to a sound. */
enum EffectKind: string
{
    case Gate = 'gate';
    case NoiseRemoval = 'noise-removal';
    case Equaliser = 'equaliser';
    case Compressor = 'compressor';
    case Limiter = 'limiter';
    case Other = 'other';
    case HighPass = 'high-pass';
    case Ducker = 'ducker';

    /** @return list<string> properties of {@see \HiddenWire\Core\Rig\EffectValues} that a hand sets at it */
    public function sets(): array
    {
        return match ($this) {
            self::Gate => ['threshold', 'hold'],
            self::Equaliser => ['highPassHz', 'bands'],
            self::Compressor => ['threshold', 'ratio', 'makeUp'],
            self::Limiter => ['threshold', 'makeUp'],
            self::HighPass => ['highPassHz'],
            self::Ducker => ['lowers', 'by', 'threshold', 'hold'],
            self::NoiseRemoval, self::Other => [],
        };
    }

    /** Whether it changes what a sound is like, and not only how loud it is at times. */
    public function treats(): bool
    {
        return $this !== self::Ducker;
    }

    /** For a label: "Noise removal". */
    public function words(): string
    {
        return ucfirst(str_replace('-', ' ', $this->value));
    }
}
