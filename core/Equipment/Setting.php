<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Bounds;

/** A named setting of a model that is no level and no route: phantom power, input type, meter mode, what a socket carries. */
final readonly class Setting
{
    /**
     * @param  list<string>  $choices  of a choice; empty for any other kind
     * @param  array{float, float}|null  $range  of a number; null where it has none
     * @param  string  $unit  of a number: "Hz"
     * @param  string|bool|float  $factory  the factory setting
     * @param  string  $since  the firmware since which it is there
     * @param  list<SettingEffect>  $effects
     * @param  array<string, string>  $says  what a choice means, by choice: what a container of files keeps, say
     * @param  bool  $lowersOthers  a number of dB by which the system lowers what other programs play while a call program runs; at its
     *     end they are silent
     */
    public function __construct(
        public string $id,
        public string $label,
        public SettingKind $kind,
        public array $choices,
        public ?array $range,
        public string $unit,
        public string|bool|float $factory,
        public ?MadeAt $made = null,
        public ?Holds $holds = null,
        public string $since = '',
        public array $effects = [],
        public array $says = [],
        public bool $lowersOthers = false,
    ) {
    }

    /** Why it can't stand so, as a sentence; null where it can. */
    public function whyNot(string|bool|float $value): ?string
    {
        return match ($this->kind) {
            SettingKind::Choice => is_string($value) && in_array($value, $this->choices, true)
                ? null
                : 'This is one of '.implode(', ', $this->choices).'.',
            SettingKind::Toggle => is_bool($value) ? null : 'This is on or off: true or false.',
            SettingKind::Text => is_string($value) && mb_strlen($value) <= Bounds::NAME
                ? null
                : 'This is a text of '.Bounds::NAME.' characters at most.',
            SettingKind::Number => match (true) {
                ! is_float($value) => 'This is a number.',
                $this->range === null || ($value >= $this->range[0] && $value <= $this->range[1]) => null,
                default => "This is a number from {$this->range[0]} to {$this->range[1]}.",
            },
        };
    }

    /** What a value means; empty where there is nothing to say. */
    public function says(string|bool|float $value): string
    {
        return is_string($value) ? $this->says[$value] ?? '' : '';
    }

    /** A value in words: "on", "48 Hz", "All sound". */
    public function words(string|bool|float $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'on' : 'off',
            is_float($value) => trim("{$value} {$this->unit}"),
            default => $value === '' ? 'empty' : $value,
        };
    }

    /** @return list<string|bool|float> the values to try: all of a choice or switch, else those that do something, and the factory's */
    public function values(): array
    {
        return match ($this->kind) {
            SettingKind::Choice => $this->choices,
            SettingKind::Toggle => [false, true],
            default => array_values(array_unique([
                $this->factory, ...array_map(fn (SettingEffect $effect) => $effect->value, $this->effects),
            ], SORT_REGULAR)),
        };
    }

    /** Whether it is a mode: which devices a system lists hangs on it. */
    public function listsDevices(): bool
    {
        foreach ($this->effects as $effect) {
            if ($effect->device !== null) {
                return true;
            }
        }

        return false;
    }

    /** Whether at a value it keeps a device out of the list: it says so there, or lists the device at other values only. */
    public function hides(string $device, string|bool|float $value): bool
    {
        $isListedElsewhere = false;
        foreach ($this->effects as $effect) {
            if ($effect->device === $device) {
                if ($effect->value === $value) {
                    return ! $effect->on;
                }
                $isListedElsewhere = $isListedElsewhere || $effect->on;
            }
        }

        return $isListedElsewhere;
    }

    /** dB, 0 or less, that other programs' sound is changed by while a call program runs; {@see SettingEffect::SILENT_DB} for silent. */
    public function othersDb(string|bool|float $value): float
    {
        $own = match (true) {
            ! $this->lowersOthers || ! is_float($value) => 0.0,
            $value >= ($this->range[1] ?? INF) => SettingEffect::SILENT_DB,
            default => 0.0 - $value,
        };

        return $own + array_sum(array_map(fn (SettingEffect $effect) => $effect->othersDb ?? 0.0, $this->effectsAt($value)));
    }

    /** @return list<SettingEffect> what it does at a value */
    public function effectsAt(string|bool|float $value): array
    {
        return array_values(array_filter($this->effects, fn (SettingEffect $effect) => $effect->value === $value));
    }
}
