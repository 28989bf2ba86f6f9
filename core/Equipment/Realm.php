<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a signal travels in; conversions happen where it changes. */
enum Realm: string
{
    case Analog = 'analog';
    case Digital = 'digital';
    case Computer = 'computer';
    case Network = 'network';
    case Air = 'air';

    public static function ofCable(CableType $type, SignalKind $signal): self
    {
        return match (true) {
            $type === CableType::Network => self::Network,
            $signal->isAnalog() => self::Analog,
            default => self::Digital,
        };
    }
}
