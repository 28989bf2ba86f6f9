<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\With;

/**
 * A program's choice of a device for one of its ins or outs: an explicit one, or one of the system's defaults. With `tap`, an in takes
 * what the system sends to a playback device.
 */
final readonly class Pick
{
    use With;

    /** @param  list<int>|null  $channels  of the device, counted from 1, in the order of the point's channels */
    public function __construct(
        public PointRef $at,
        public ?DeviceRef $device,
        public ?SystemDefault $default = null,
        public ?array $channels = null,
        public ?Direction $tap = null,
    ) {
    }

    /** What it chooses, in words: "Loopback of Desk return, channels 1 and 2". */
    public function words(Names $names): string
    {
        $what = $this->device === null
            ? 'the '.($this->default === SystemDefault::Call ? 'call' : 'system').' default'
            : ($this->tap === null ? '' : 'loopback of ').$names->of($this->device);
        $channels = $this->channels ?? [];

        return $what.($channels === [] ? '' : (count($channels) === 1 ? ', channel ' : ', channels ').implode(' and ', $channels));
    }

    /** What it chooses, as a key: picks that choose the same have the same. */
    public function choice(): string
    {
        return "{$this->device} {$this->default?->value} {$this->tap?->value} ".implode(',', $this->channels ?? []);
    }

    /** Whether another pick chooses the same. */
    public function choosesLike(self $other): bool
    {
        return (string) $this->device === (string) $other->device && $this->default === $other->default
            && $this->channels === $other->channels && $this->tap === $other->tap;
    }
}
