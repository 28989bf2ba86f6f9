<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Dials\DelayDial;
use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/** One setting that a control moves, and how. */
final readonly class Move
{
    use With;

    /** What is set at a point whose device is chosen, at a named setting, and of the whole rig. */
    public const DEVICE = 'device';

    public const VALUE = 'value';

    public const SITUATION = 'situation';

    /**
     * @param  string  $set  the key of what is set there: "fader", "mute", "on", "db", "tap", "device", "value", "situation"
     * @param  string|bool|float|null  $from  as it is at the beginning of the way, or before the press; null for the current value
     * @param  string|bool|float|null  $to  at the end of the way, or after the press; of {@see Law::Step} what is added
     * @param  string|null  $with  the control that has to be held meanwhile
     * @param  bool  $isChosen  whether it is what an assigned control moves now
     */
    public function __construct(
        public PointRef|RouteRef|SettingRef|SituationRef $at,
        public string $set,
        public string|bool|float|null $from = null,
        public string|bool|float|null $to = null,
        public Law $law = Law::Even,
        public Gesture $by = Gesture::Move,
        public ?string $with = null,
        public bool $isChosen = false,
    ) {
    }

    /** The unit in which it moves something; null where it goes to a situation. */
    public function unit(): ?string
    {
        return $this->at instanceof SituationRef ? null : $this->at->unit;
    }

    /** Identifies it: two moves of one slot are about one setting. */
    public function slot(): string
    {
        return "{$this->at} {$this->set}";
    }

    /** Why a unit of a model can't be moved so, as a sentence; null where it can. */
    public function whyNot(EquipmentModel $model): ?string
    {
        $at = $this->at;

        return match (true) {
            $at instanceof SituationRef => null,
            $at instanceof SettingRef => $this->whyNotNamed($model, $at->setting),
            $at instanceof RouteRef => $this->whyNotRoute($model, $at->key),
            default => $this->whyNotPoint($model, $at->point),
        } ?? $this->whyNotBy();
    }

    /**
     * What a value comes to at its point or route; null of what is set otherwise. The value has to be one that {@see whyNot()} lets pass.
     */
    public function settings(string|bool|float $value): PointSettings|RouteSettings|null
    {
        if ($this->at instanceof RouteRef) {
            return match ($this->set) {
                RouteSetting::On->value => new RouteSettings(on: (bool) $value),
                RouteSetting::Db->value => new RouteSettings(db: Decibels::of((float) $value)),
                default => new RouteSettings(tap: Tap::from((string) $value)),
            };
        }
        $kind = $this->at instanceof PointRef ? $this->dial() : null;

        return $kind === null ? null : (new PointSettings)->with(...[$kind->property() => self::typed($kind, $value)]);
    }

    public function dial(): ?DialKind
    {
        foreach (Dials::all() as $kind) {
            if ($kind->key() === $this->set) {
                return $kind;
            }
        }

        return null;
    }

    private function whyNotNamed(EquipmentModel $model, string $setting): ?string
    {
        $there = $model->settings[$setting] ?? null;
        if ($there === null || $this->set !== self::VALUE) {
            return $there === null ? "Its model has no setting \"{$setting}\"." : 'Of a named setting the "value" is set.';
        }
        foreach ($this->values() as $value) {
            $why = $there->whyNot($value);
            if ($why !== null) {
                return $why;
            }
        }

        return null;
    }

    private function whyNotRoute(EquipmentModel $model, string $key): ?string
    {
        $route = $model->routes[$key] ?? null;
        $setting = RouteSetting::tryFrom($this->set);
        if ($route === null || $setting === null || ! $route->allows($setting)) {
            return $route === null ? "Its model has no route \"{$key}\"." : "Of this route \"{$this->set}\" can't be set.";
        }
        foreach ($this->values() as $value) {
            $why = match ($setting) {
                RouteSetting::On => is_bool($value) ? null : 'A route is on or off: true or false.',
                RouteSetting::Db => ! is_float($value) || abs($value) > Bounds::DB ? 'A level is a number in dB.'
                    : ($this->law === Law::Step ? null : $route->whyNotAt(Decibels::of($value))),
                RouteSetting::Tap => is_string($value) && Tap::tryFrom($value) !== null ? null
                    : 'A tap is "pre-fader" or "post-fader".',
            };
            if ($why !== null) {
                return $why;
            }
        }

        return null;
    }

    private function whyNotPoint(EquipmentModel $model, string $id): ?string
    {
        $point = $model->points[$id] ?? null;
        if ($point === null) {
            return "Its model has no point \"{$id}\".";
        }
        if ($this->set === self::DEVICE) {
            $isNone = array_filter($this->values(), fn ($value) => ! is_string($value) || ! self::isDevice($value)) !== [];

            return $point->picks === null ? "\"{$point->label}\" uses no device."
                : ($isNone ? 'A device is a reference such as "mixer/usb/rec".' : null);
        }
        $kind = $this->dial();
        if ($kind === null || ! $kind->isOn($model, $point)) {
            return "\"{$point->label}\" has no \"{$this->set}\" that can be set.";
        }
        foreach ($this->values() as $value) {
            $typed = is_bool($value) === is_bool($kind->usual($point)) && ! is_string($value) ? self::typed($kind, $value) : null;
            $why = match (true) {
                $typed === null => "The {$kind->name()} takes ".(is_bool($kind->usual($point)) ? 'true or false.' : 'a number.'),
                $this->law === Law::Step => null,
                default => $kind->whyNot($typed, $model, $point),
            };
            if ($why !== null) {
                return $why;
            }
        }

        return null;
    }

    /** A law and a gesture have to go together, and with the values. */
    private function whyNotBy(): ?string
    {
        $goes = is_float($this->from) && is_float($this->to);

        return match (true) {
            $this->law->isAlongWay() && $this->by === Gesture::Move && ! $goes => 'Along a way it goes "from" one number "to" another.',
            ($this->law->isAlongWay() || $this->law === Law::Step) && is_bool($this->to) => 'A switch is set or toggled.',
            $this->law === Law::Step && ! is_float($this->to) => 'A step has a size: say in "to" what is added.',
            $this->law === Law::Set && $this->to === null => 'Say in "to" what is set.',
            $this->law === Law::Toggle && $this->to === null => 'Say in "to" what the press changes it to.',
            default => null,
        };
    }

    /** @return list<string|bool|float> */
    private function values(): array
    {
        return array_values(array_filter([$this->from, $this->to], fn (string|bool|float|null $value) => $value !== null));
    }

    private static function isDevice(string $text): bool
    {
        return in_array(count(explode('/', $text)), [2, 3], true) && ! in_array('', explode('/', $text), true);
    }

    private static function typed(DialKind $kind, string|bool|float $value): Decibels|Milliseconds|bool|null
    {
        return match (true) {
            is_bool($value) => $value,
            ! is_float($value) || abs($value) > Bounds::SETTING => null,
            $kind instanceof DelayDial => $value < 0 ? null : Milliseconds::of($value),
            default => abs($value) > Bounds::DB ? null : Decibels::of(round($value, 2)),
        };
    }
}
