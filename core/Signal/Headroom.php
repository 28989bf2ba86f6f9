<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\Source;

/**
 * What a stage takes above the nominal level. Inside a unit, and where a program hands its sound to a device or a file, that is as much as
 * full scale is above alignment level; at an analog input it is what its maximum is above the nominal level of what comes. Inside
 * programs, which compute in floating point, nothing is clipped.
 */
final class Headroom
{
    /** EBU R 68: alignment level is 18 dB below full scale. */
    public const USUAL_DB = 18.0;

    /** Professional line: +4 dBu. */
    public const PROFESSIONAL_DBU = 4.0;

    /** Consumer line: -10 dBV. */
    public const CONSUMER_DBU = -7.78;

    /** Headphones at a usual volume: 0.775 V. */
    public const HEADPHONE_DBU = 0.0;

    /** An amplifier: some 8 V. */
    public const LOUDSPEAKER_DBU = 20.0;

    /** Levels are kept in hundredths of a dB. */
    private const ROUNDING_DB = 0.005;

    /** @var array<int, float> what a channel takes that an input with less room leads to, as a power over nominal */
    public readonly array $tight;

    /** What any other channel takes. */
    public readonly float $usual;

    public function __construct(SignalGraph $graph)
    {
        $this->usual = 10 ** ((self::USUAL_DB + self::ROUNDING_DB) / 10);
        $tight = [];
        foreach ($graph->links as $link) {
            if ($link->roomDb !== null && $link->roomDb < self::USUAL_DB && $link->carries()) {
                foreach ($graph->channelsOf($link->to) as $channel) {
                    $tight[$channel] = 10 ** (($link->roomDb + self::ROUNDING_DB) / 10);
                }
            }
        }
        $this->tight = $tight;
    }

    /** What an output gives at nominal level, in dBu: what its model says, else what its kind of signal has. */
    public static function nominal(Socket $socket, SignalKind $signal): float
    {
        return $socket->nominalDbu ?? match ($signal) {
            SignalKind::ConsumerLine => self::CONSUMER_DBU,
            SignalKind::Headphone => self::HEADPHONE_DBU,
            SignalKind::Loudspeaker => self::LOUDSPEAKER_DBU,
            default => self::PROFESSIONAL_DBU,
        };
    }

    /** Where a way is first too loud; null where it is nowhere. */
    public function overload(Source $source, Arrival $arrival): ?Overload
    {
        $loudness = $source->loudness?->value() ?? 0.0;
        $last = count($arrival->hops) - 1;
        foreach ($arrival->hops as $i => $hop) {
            $isFloating = $hop->realm === Realm::Computer && $hop->kind !== HopKind::Device && $i < $last;
            $room = $hop->roomDb ?? ($isFloating ? INF : self::USUAL_DB);
            $over = $hop->level->value() + $loudness - $room;
            if ($over > self::ROUNDING_DB) {
                return new Overload($hop, $over);
            }
        }

        return null;
    }
}
