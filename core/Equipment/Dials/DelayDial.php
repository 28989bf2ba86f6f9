<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment\Dials;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** How much later a point hands its sound on, in ms. Never negative: nothing live can be early. */
final readonly class DelayDial implements DialKind
{
    public function key(): string
    {
        return 'delay_ms';
    }

    public function property(): string
    {
        return 'delay';
    }

    public function name(): string
    {
        return 'delay';
    }

    public function read(DialReader $in): ?Milliseconds
    {
        return $in->milliseconds('delay_ms');
    }

    public function plain(Decibels|Milliseconds|bool $value): int|float
    {
        assert($value instanceof Milliseconds);

        return $value->number();
    }

    public function isOn(EquipmentModel $model, Point $point): bool
    {
        return $point->delayTo !== null;
    }

    public function usual(Point $point): Milliseconds
    {
        return Milliseconds::zero();
    }

    public function whyNot(Decibels|Milliseconds|bool $value, EquipmentModel $model, Point $point): ?string
    {
        assert($value instanceof Milliseconds);

        return match (true) {
            $point->delayTo === null => "\"{$point->label}\" has no delay.",
            $value->value() <= $point->delayTo->value() => null,
            default => "The delay of \"{$point->label}\" goes up to {$point->delayTo->text()} ms; {$value->text()} ms lies outside.",
        };
    }

    public function words(Decibels|Milliseconds|bool $value): string
    {
        assert($value instanceof Milliseconds);

        return "delay {$value->text()} ms";
    }

    public function scale(Point $point): ?Scale
    {
        return $point->delayTo === null ? null : new Scale(0, $point->delayTo->number(), 'ms', 1);
    }
}
