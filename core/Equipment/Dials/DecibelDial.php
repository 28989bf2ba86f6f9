<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment\Dials;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** A knob or fader in dB. */
final readonly class DecibelDial implements DialKind
{
    /** @param  'gain'|'fader'  $key  also the point's span */
    public function __construct(private string $key)
    {
    }

    public function key(): string
    {
        return $this->key;
    }

    public function property(): string
    {
        return $this->key;
    }

    public function name(): string
    {
        return $this->key;
    }

    public function read(DialReader $in): ?Decibels
    {
        return $in->decibels($this->key);
    }

    public function plain(Decibels|Milliseconds|bool $value): int|float
    {
        assert($value instanceof Decibels);

        return $value->number();
    }

    public function isOn(EquipmentModel $model, Point $point): bool
    {
        return $point->span($this->key) !== null;
    }

    public function usual(Point $point): Decibels
    {
        return $point->span($this->key)->db ?? Decibels::zero();
    }

    public function whyNot(Decibels|Milliseconds|bool $value, EquipmentModel $model, Point $point): ?string
    {
        assert($value instanceof Decibels);
        $span = $point->span($this->key);

        return match (true) {
            $span === null => "\"{$point->label}\" has no {$this->key}.",
            $span->reaches($value) => null,
            default => "The {$this->key} of \"{$point->label}\" goes from {$span->from->text()} to {$span->to->text()} dB; "
                ."{$value->text()} dB lies outside.",
        };
    }

    public function words(Decibels|Milliseconds|bool $value): string
    {
        assert($value instanceof Decibels);

        return "{$this->key} {$value->text()} dB";
    }

    public function scale(Point $point): ?Scale
    {
        $span = $point->span($this->key);

        return $span === null ? null : new Scale($span->from->number(), $span->to->number(), 'dB', 0.5);
    }
}
