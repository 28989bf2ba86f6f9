<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Family;

/** What somebody has, as they count it when they look for a rig like theirs. */
enum Having: string
{
    case Computers = 'computers';
    case Consoles = 'consoles';
    case CaptureCards = 'capture-cards';
    case Mixers = 'mixers';
    case Interfaces = 'interfaces';
    case Microphones = 'microphones';
    case Guests = 'guests';
    case Recorders = 'recorders';

    public function label(): string
    {
        return match ($this) {
            self::CaptureCards => 'Capture cards',
            self::Microphones => 'Microphones, headsets',
            self::Guests => 'Guests on a call',
            default => ucfirst($this->value),
        };
    }

    /** "2 mixers" */
    public function counted(int $count): string
    {
        $one = match ($this) {
            self::CaptureCards => 'capture card',
            self::Microphones => 'microphone',
            default => rtrim($this->value, 's'),
        };

        return "{$count} {$one}".($count === 1 ? '' : 's');
    }

    /** Where a unit of a family counts; null where it counts nowhere. */
    public static function of(Family $family): ?self
    {
        return match ($family) {
            Family::Computer => self::Computers,
            Family::Console => self::Consoles,
            Family::CaptureCard => self::CaptureCards,
            Family::Mixer => self::Mixers,
            Family::Interface => self::Interfaces,
            Family::Microphone, Family::Headset => self::Microphones,
            Family::Recorder => self::Recorders,
            default => null,
        };
    }
}
