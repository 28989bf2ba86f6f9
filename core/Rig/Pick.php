<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\With;

/**
 * A program's choice of a device for one of its ins or outs: an explicit one, or one of the system's defaults. With `tap`, an in takes
 * what the system sends to a playback device.
 */
final readonly class Pick
{
    use With;

    /**
     * @param  list<int>|null  $channels  of the device, counted from 1, in the order of the point's channels
     * @param  DriverMode|null  $mode  how the program opens the device; null for as the device is set
     * @param  list<DeviceRef>  $also  further devices of the same direction that are taken at once, summed
     * @param  Decibels|null  $db  the system's own level of the program there; null for as it comes
     */
    public function __construct(
        public PointRef $at,
        public ?DeviceRef $device,
        public ?SystemDefault $default = null,
        public ?array $channels = null,
        public ?Direction $tap = null,
        public ?Decibels $db = null,
        public bool $mute = false,
        public ?DriverMode $mode = null,
        public array $also = [],
    ) {
    }

    /** What it chooses, in words: "Loopback of Desk return, channels 1 and 2". */
    public function words(Names $names): string
    {
        $what = match (true) {
            $this->device !== null => ($this->tap === null ? '' : 'loopback of ').$names->of($this->device),
            $this->default === null => 'the device of the program',
            default => ($this->default ?? SystemDefault::System)->words(),
        };
        foreach ($this->also as $device) {
            $what .= " and {$names->of($device)}";
        }
        $channels = $this->channels ?? [];

        $level = SystemLevel::said($this->db, $this->mute ? true : null);

        return $what.($channels === [] ? '' : (count($channels) === 1 ? ', channel ' : ', channels ').implode(' and ', $channels))
            .($this->mode === null ? '' : ", {$this->mode->value}")
            .($level === '' ? '' : ", in the system {$level}");
    }

    /** What it chooses, as a key: picks that choose the same have the same. */
    public function choice(): string
    {
        return "{$this->device} {$this->default?->value} {$this->tap?->value} ".implode(',', $this->channels ?? [])
            .($this->mode === null ? '' : " {$this->mode->value}").implode('', array_map(fn (DeviceRef $one) => " +{$one}", $this->also))
            .($this->db === null && ! $this->mute ? '' : " {$this->db?->text()} ".($this->mute ? 'muted' : ''));
    }

    /** Whether another pick chooses the same. */
    public function choosesLike(self $other): bool
    {
        return (string) $this->device === (string) $other->device && $this->default === $other->default
            && $this->channels === $other->channels && $this->tap === $other->tap
            && $this->db?->value() === $other->db?->value() && $this->mute === $other->mute && $this->mode === $other->mode
            && array_map(strval(...), $this->also) === array_map(strval(...), $other->also);
    }
}
