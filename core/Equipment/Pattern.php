<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** From where a microphone hears: a first-order pattern A + B cos(angle), A + B = 1. */
enum Pattern: string
{
    case Omni = 'omni';
    case Cardioid = 'cardioid';
    case Supercardioid = 'supercardioid';
    case Hypercardioid = 'hypercardioid';
    case FigureEight = 'figure-8';

    /**
     * What comes from anywhere, as against what comes from the front: 10 log10 of the random energy efficiency A² + B²/3. -4.8 dB for a
     * cardioid, -6.0 for a hypercardioid.
     *
     * @return float dB
     */
    public function aroundDb(): float
    {
        $pressure = match ($this) {
            self::Omni => 1.0, self::Cardioid => 0.5, self::Supercardioid => 0.366, self::Hypercardioid => 0.25, self::FigureEight => 0.0,
        };

        return 10 * log10($pressure ** 2 + (1 - $pressure) ** 2 / 3);
    }
}
