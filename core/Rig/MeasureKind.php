<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** What can be measured of a thing, or wanted of it, as a number. */
enum MeasureKind: string
{
    /** How loud somebody talks, at one metre. */
    case Speech = 'speech';
    /** From the mouth to the capsule. */
    case Distance = 'distance';
    /** The room's own noise. */
    case Noise = 'noise';
    /** By how much a link or device holds the sound back. */
    case Delay = 'delay';
    /** By how much the voice is to be above everything else. */
    case VoiceOver = 'voice-over';
    /** Free room on a recorder's card. */
    case Card = 'card';
    case Rate = 'rate';
    case Depth = 'depth';
    /** How long a situation lasts. */
    case Length = 'length';

    public function words(): string
    {
        return match ($this) {
            self::Speech => 'talks at one metre with', self::Distance => 'distance to the mouth', self::Noise => 'noise of the room',
            self::Delay => 'measured delay', self::VoiceOver => 'voice above the rest by', self::Card => 'free on the card',
            self::Rate => 'records at', self::Depth => 'records with', self::Length => 'lasts',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::Speech, self::Noise => 'dB SPL', self::Distance => 'm', self::Delay => 'ms', self::VoiceOver => 'dB', self::Card => 'GB',
            self::Rate => 'Hz', self::Depth => 'bits', self::Length => 'min',
        };
    }

    /** @return array{float, float} the least and the most, in its unit */
    public function range(): array
    {
        return match ($this) {
            self::Speech => [30.0, 120.0], self::Noise => [5.0, 110.0], self::Distance => [0.01, 20.0], self::Delay => [0.0, 5000.0],
            self::VoiceOver => [0.0, 40.0], self::Card => [0.1, 100_000.0], self::Rate => [8000.0, 768_000.0], self::Depth => [8.0, 64.0],
            self::Length => [1.0, 10_000.0],
        };
    }

    /** What holds where nobody has measured; null where nothing can be taken for granted. */
    public function usual(): ?float
    {
        return match ($this) {
            // ISO 9921: a raised voice, as one talks to an audience, 66 dB(A) at one metre.
            self::Speech => 66.0,
            // A quiet living room.
            self::Noise => 35.0,
            // A default of ours: clear of what plays below.
            self::VoiceOver => 6.0,
            self::Rate => 48_000.0,
            self::Depth => 24.0,
            // It depends on the microphone.
            self::Distance, self::Delay, self::Card, self::Length => null,
        };
    }

    /** Of what it can be said: a collection, and what inside a unit where that is meant. */
    public function isOf(ElementRef $about): bool
    {
        $inside = $about->collection === 'units' ? $about->tokens[1] ?? '' : '';

        return match ($this) {
            self::Speech => $about->collection === 'sources',
            self::Distance => $inside === 'points',
            self::Noise => $about->collection === 'places',
            self::Delay => $about->collection === 'cables' || $inside === 'sockets',
            self::VoiceOver => $about->collection === 'listeners',
            self::Card, self::Rate, self::Depth => $about->collection === 'units' && $inside === '',
            self::Length => $about->collection === 'situations',
        };
    }
}
