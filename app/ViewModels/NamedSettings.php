<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\LostPicks;
use HiddenWire\Core\Signal\SignalGraph;

/**
 * The named settings of a unit as forms show them, in the situation of a graph. In a row, `set` is what the situation says, empty where it
 * stands as `otherwise` says; `breaks` tells which picks would lose their device, and at what;
 * `says` what its current value means.
 *
 * @phpstan-type Row array{setting: Setting, set: string, otherwise: string, choices: array<array-key, string>, place: string,
 *     breaks: list<string>, says: string}
 */
final readonly class NamedSettings
{
    /** "Named settings: 5, 1 set" */
    public string $summary;

    /** @var list<Row> */
    public array $rows;

    public function __construct(private SignalGraph $graph, private Unit $unit)
    {
        $settings = $graph->rig->modelOf($unit)->settings;
        $set = count($unit->values + $this->here());
        $this->summary = 'Named settings: '.count($settings).($set === 0 ? ', all default' : ", {$set} set");
        $this->rows = array_values(array_map($this->row(...), $settings));
    }

    /** @return array<string, string|bool|float> what the situation itself sets, by setting */
    private function here(): array
    {
        $ofUnit = array_filter($this->graph->state->situation->settings, fn (SettingValue $one) => $one->unit === $this->unit->id);

        return array_column($ofUnit, 'value', 'setting');
    }

    private function isBase(): bool
    {
        return $this->graph->rig->isBase($this->graph->state->situation->id);
    }

    /** @return Row */
    private function row(Setting $setting): array
    {
        $base = $this->unit->value($setting);
        $set = ($this->isBase() ? $this->unit->values : $this->here())[$setting->id] ?? null;
        $model = $this->graph->rig->modelOf($this->unit);
        $made = $setting->made ?? $model->made;
        $holds = $setting->holds ?? $model->holds;

        return [
            'setting' => $setting,
            'set' => $set === null ? '' : (is_bool($set) ? ($set ? '1' : '0') : (string) $set),
            'otherwise' => $this->isBase()
                ? "{$setting->words($setting->factory)}, default"
                : "{$setting->words($base)}, as in the default",
            'choices' => match ($setting->kind) {
                SettingKind::Choice => array_combine($setting->choices, $setting->choices),
                SettingKind::Toggle => ['1' => 'on', '0' => 'off'],
                default => [],
            },
            'place' => implode('; ', array_filter([
                $made?->words() ?? '', $holds === null ? '' : "holds {$holds->words()}",
                $setting->since === '' ? '' : "since firmware {$setting->since}",
            ])),
            'breaks' => $setting->listsDevices() ? $this->breaks($setting) : [],
            'says' => $setting->says($this->graph->state->value($this->unit->id, $setting)),
        ];
    }

    /** @return list<string> "One: Call program: Speaker (Voices in)" for each value at which picks lose their device */
    private function breaks(Setting $setting): array
    {
        $situation = $this->graph->state->situation->id;
        $breaks = [];
        foreach ($setting->values() as $value) {
            if ($value === $this->graph->state->value($this->unit->id, $setting)) {
                continue;
            }
            $edit = new SetValue($this->unit->id, $setting->id, $value, $this->isBase() ? null : $situation);
            $other = $edit->applyTo($this->graph->rig);
            $lost = LostPicks::between($this->graph, (new GraphBuilder($other))->build($other->situations[$situation]));
            if ($lost !== []) {
                $breaks[] = "{$setting->words($value)}: ".implode('; ', $lost);
            }
        }

        return $breaks;
    }
}
