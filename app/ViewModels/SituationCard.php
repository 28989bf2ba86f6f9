<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Turns;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wish;

/** A situation as a list of what is not as in the default, each with the edit that takes it back. */
final readonly class SituationCard
{
    public bool $isBase;

    public bool $isShown;

    /** @var list<array{what: string, says: string, fields: array<string, string>}> `fields` of the form that resets it */
    public array $lines;

    private function __construct(private RigPage $page, public Situation $situation)
    {
        $this->isBase = $page->rig->isBase($situation->id);
        $this->isShown = $situation === $page->situation;
        $this->lines = [
            ...$this->changes(), ...$this->missing(), ...$this->plugs(), ...$this->defaults(), ...$this->levels(), ...$this->settings(),
            ...$this->effects(), ...$this->scenes(), ...$this->wishes(),
        ];
    }

    /** @return list<self> */
    public static function all(RigPage $page): array
    {
        return array_map(fn (Situation $one) => new self($page, $one), array_values($page->rig->situations));
    }

    /** @return array<string, Unit> what is there, and could be left out */
    public function present(): array
    {
        return array_diff_key($this->page->rig->units, array_flip($this->situation->absent));
    }

    /** @return array<string, string> labels of the cables that could be pulled, by id */
    public function plugged(): array
    {
        return array_map(fn ($cable) => $cable->label, array_diff_key($this->page->rig->cables, array_flip($this->situation->pulled)));
    }

    /** Whether several changes can be taken back at once. */
    public function canReset(): bool
    {
        return ! $this->isBase && count($this->situation->changes) > 1;
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> */
    private function changes(): array
    {
        return array_values(array_map(fn (Change $change) => [
            'what' => $this->page->rig->units[$change->at->unit]->name.': '.$this->whatOf($change),
            'says' => $change->set instanceof Pick ? 'uses '.$change->set->words($this->page->names) : $change->set->words(),
            'fields' => [
                'edit' => 'clear-change', 'which' => $this->situation->id, 'at' => (string) $change->at,
                'is_pick' => $change->set instanceof Pick ? '1' : '0',
            ],
        ], $this->situation->changes));
    }

    private function whatOf(Change $change): string
    {
        if ($change->at instanceof PointRef) {
            return $this->page->rig->point($change->at)->label;
        }
        $model = $this->page->rig->modelOf($this->page->rig->units[$change->at->unit]);
        $route = $model->routes[$change->at->key];

        return "{$model->points[$route->from]->label} → {$model->points[$route->to]->label}";
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> */
    private function missing(): array
    {
        $which = $this->situation->id;
        $units = array_map(fn (string $id) => [
            'what' => $this->page->rig->units[$id]->name,
            'says' => $this->page->rig->modelOf($this->page->rig->units[$id])->isProgram() ? 'does not run' : 'is not there',
            'fields' => ['edit' => 'absent', 'which' => $which, 'unit' => $id, 'back' => '1'],
        ], $this->situation->absent);
        $cables = array_map(fn (string $id) => [
            'what' => $this->page->rig->cables[$id]->label,
            'says' => 'is out'.$this->freeEnd($id),
            'fields' => ['edit' => 'pulled', 'which' => $which, 'cable' => $id, 'back' => '1'],
        ], $this->situation->pulled);

        return [...$units, ...$cables];
    }

    /** ", its end at Desk mixer · Mic 1 hanging free"; empty where nobody knows. */
    private function freeEnd(string $cable): string
    {
        $ends = Turns::freeEnds($this->page->rig->parts(), $this->situation, $this->page->rig->cables[$cable]);

        return count($ends) === 1 ? ", its end at {$this->page->names->of($ends[0])} hanging free" : '';
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> */
    private function plugs(): array
    {
        return $this->situation->plugged === [] ? [] : [[
            'what' => implode(', then ', array_map(fn (string $id) => $this->page->rig->cables[$id]->label, $this->situation->plugged)),
            'says' => 'plugged in last',
            'fields' => ['edit' => 'clear-plugs', 'which' => $this->situation->id],
        ]];
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> */
    private function defaults(): array
    {
        return array_values(array_map(fn ($default) => [
            'what' => $default->words($this->page->rig),
            'says' => '',
            'fields' => [
                'edit' => 'default', 'situation' => $this->situation->id, 'computer' => $default->computer,
                'direction' => $default->direction->value, 'role' => $default->role->value,
            ],
        ], $this->situation->defaults));
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> named settings */
    private function settings(): array
    {
        return array_values(array_map(fn (SettingValue $set) => [
            'what' => $set->words($this->page->rig),
            'says' => '',
            'fields' => ['edit' => 'value', 'situation' => $this->situation->id, 'unit' => $set->unit, 'setting' => $set->setting],
        ], $this->situation->settings));
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> */
    private function effects(): array
    {
        return array_values(array_map(fn (EffectSwitch $one) => [
            'what' => $one->words($this->page->rig),
            'says' => '',
            'fields' => [
                'edit' => 'switch-effect', 'situation' => $this->situation->id, 'unit' => $one->unit, 'effect' => $one->effect, 'on' => '',
            ],
        ], $this->situation->effects));
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> */
    private function scenes(): array
    {
        return array_values(array_map(fn (SceneChoice $one) => [
            'what' => $one->words($this->page->rig),
            'says' => '',
            'fields' => ['edit' => 'choose-scene', 'situation' => $this->situation->id, 'unit' => $one->unit, 'scene' => ''],
        ], $this->situation->scenes));
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> the system's levels of devices */
    private function levels(): array
    {
        return array_values(array_map(fn (SystemLevel $level) => [
            'what' => $level->words($this->page->rig),
            'says' => '',
            'fields' => [
                'edit' => 'system-level', 'situation' => $this->situation->id, 'computer' => $level->computer,
                'device' => (string) $level->device,
            ],
        ], $this->situation->levels));
    }

    /** @return list<array{what: string, says: string, fields: array<string, string>}> wishes that hold in this situation only */
    private function wishes(): array
    {
        $own = array_filter($this->page->rig->wishes, fn (Wish $wish) => in_array($this->situation->id, $wish->situations, true));

        return array_values(array_map(fn (Wish $wish) => [
            'what' => (new SetWish($wish->source, $wish->listener, $wish->want, null))->words($this->page->rig),
            'says' => '',
            'fields' => [
                'edit' => 'wish', 'source' => $wish->source, 'listener' => $wish->listener, 'want' => 'none',
                'situation' => $this->situation->id,
            ],
        ], $own));
    }
}
