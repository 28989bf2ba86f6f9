<?php

declare(strict_types=1);

namespace HiddenWire\Core\Recording;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\SoundField;

/** How long a recorder's card lasts: bytes free / (channels x rate x bytes a sample), for what it records uncompressed. */
final readonly class Storage
{
    private const BYTES_A_GB = 1e9;

    private const BITS_A_BYTE = 8;

    private const SECONDS_AN_HOUR = 3600;

    /** @param  int  $channels  that are recorded: tracks with something on them, a stereo one counts twice */
    public function __construct(public int $channels, public float $gb, public float $rateHz, public float $bits)
    {
    }

    /** Null where nobody has said how large the card is, or nothing is recorded. */
    public static function of(Rig $rig, Unit $unit, SoundField $field): ?self
    {
        $said = fn (MeasureKind $kind): ?float => $rig->papers->measured($kind)["units/{$unit->id}"] ?? $kind->usual();
        $gb = $said(MeasureKind::Card);
        $channels = $gb === null ? 0 : self::recorded($rig, $unit, $field);

        return $gb === null || $channels === 0
            ? null
            : new self($channels, $gb, (float) $said(MeasureKind::Rate), (float) $said(MeasureKind::Depth));
    }

    public function hours(): float
    {
        return $this->gb * self::BYTES_A_GB / ($this->channels * $this->rateHz * $this->bits / self::BITS_A_BYTE) / self::SECONDS_AN_HOUR;
    }

    /** Tracks of a recorder are its ears. A broadcast program writes compressed: no rate tells its size. */
    private static function recorded(Rig $rig, Unit $unit, SoundField $field): int
    {
        $model = $rig->modelOf($unit);
        $channels = 0;
        foreach ($model->family === Family::Broadcast ? [] : $model->points as $point) {
            $isTrack = $point->kind === PointKind::Ear && $field->sourcesAt(new PointRef($unit->id, $point->id)) !== [];
            $channels += $isTrack ? $point->channels : 0;
        }

        return $channels;
    }
}
