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

    /** For a label: "Noise removal". */
    public function words(): string
    {
        return ucfirst(str_replace('-', ' ', $this->value));
    }
}
