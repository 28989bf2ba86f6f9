<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Dials\Scale;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Situations\Adjustable;
use HiddenWire\Core\Situations\CableIn;
use HiddenWire\Core\Situations\DefaultDevice;
use HiddenWire\Core\Situations\DeviceLevel;
use HiddenWire\Core\Situations\DialSetting;
use HiddenWire\Core\Situations\EffectOn;
use HiddenWire\Core\Situations\NamedSetting;
use HiddenWire\Core\Situations\PickedDevice;
use HiddenWire\Core\Situations\PlugOrder;
use HiddenWire\Core\Situations\Presence;
use HiddenWire\Core\Situations\RouteAspect;
use HiddenWire\Core\Situations\SceneShown;
use HiddenWire\Core\Situations\Selector;

/**
 * The value of one thing in one situation, with the form that sets it there, and the one that restores the default. What has two
 * positions is set by a click, a level by its number, a choice from a list; what hangs on a computer's devices is set in Computers.
 */
final readonly class SituationCell
{
    /** Whether the situation says it itself. */
    public bool $isOwn;

    /** @var array<string, string>|null fields of the form that has it as in the default again; null where it is that */
    public ?array $reset;

    /** @var array<string, string>|null fields of the form that has it in its other position; null where that is as in the default */
    public ?array $other;

    /** What its other position is called; empty where it has more than two. */
    public string $otherwise;

    /** A level that is typed. */
    public ?SituationLevel $level;

    /** @var array{fields: array<string, string>, name: string, now: string, of: array<array-key, string>}|null a choice from a list */
    public ?array $choice;

    public function __construct(
        private Rig $rig,
        private Situation $situation,
        private State $state,
        private Adjustable $of,
        public string $stands,
        bool $isOwn,
    ) {
        $this->isOwn = $isOwn;
        $this->reset = $isOwn ? $this->resetting() : null;
        [$other, $this->otherwise] = $this->other() ?? [null, ''];
        $this->other = $isOwn || $other === null ? null : [...$other, 'situation' => $situation->id];
        $this->level = $this->level();
        $this->choice = $this->choice();
    }

    /** Its form, whichever position it is in: so the keyboard stays there. */
    public function key(): string
    {
        return "{$this->of->key()} in {$this->situation->id}";
    }

    /** @return array{array<string, string>, string}|null the fields that set the other position, and what it is called */
    private function other(): ?array
    {
        $of = $this->of;
        $which = $this->situation->id;
        if ($of instanceof DialSetting) {
            $value = $this->state->of($of->at->unit, $this->rig->point($of->at), $of->kind);

            return is_bool($value) ? [
                ['edit' => 'point', ...$this->point($of->at), $of->kind->key() => $value ? '0' : '1'],
                $of->kind->words(! $value),
            ] : null;
        }

        return match (true) {
            $of instanceof RouteAspect && $of->setting === RouteSetting::On => [
                ['edit' => 'route', ...$this->route($of->at), 'on' => $this->stands === 'on' ? '0' : '1'],
                $this->stands === 'on' ? 'off' : 'on',
            ],
            $of instanceof Presence => [
                ['edit' => 'absent', 'which' => $which, 'unit' => $of->unit(), 'back' => $this->isAbsent($of) ? '1' : '0'],
                $this->rig->modelOf($of->unit())->isProgram()
                    ? ($this->isAbsent($of) ? 'runs' : 'does not run')
                    : ($this->isAbsent($of) ? 'is there' : 'is not there'),
            ],
            $of instanceof CableIn => [
                ['edit' => 'pulled', 'which' => $which, 'cable' => $of->cable, 'back' => $this->stands === 'out' ? '1' : '0'],
                $this->stands === 'out' ? 'plugged' : 'out',
            ],
            $of instanceof EffectOn => [
                ['edit' => 'switch-effect', 'unit' => $of->unit(), 'effect' => $of->effect, 'on' => $this->stands === 'on' ? '0' : '1'],
                $this->stands === 'on' ? 'bypassed' : 'on',
            ],
            $of instanceof NamedSetting && $of->setting()->kind === SettingKind::Toggle => [
                ['edit' => 'value', 'unit' => $of->unit(), 'setting' => $of->setting, 'value' => $this->stands === 'on' ? '0' : '1'],
                $this->stands === 'on' ? 'off' : 'on',
            ],
            default => null,
        };
    }

    private function isAbsent(Presence $of): bool
    {
        return in_array($of->unit(), $this->situation->absent, true);
    }

    private function level(): ?SituationLevel
    {
        $of = $this->of;
        $here = ['situation' => $this->situation->id];
        if ($of instanceof DialSetting) {
            $point = $this->rig->point($of->at);
            $value = $this->state->of($of->at->unit, $point, $of->kind);
            $scale = $of->kind->scale($point);

            return $scale === null || is_bool($value) ? null : new SituationLevel(
                ['edit' => 'point', ...$this->point($of->at), ...$here],
                $of->kind->key(),
                (float) $of->kind->plain($value),
                $scale,
            );
        }
        if ($of instanceof RouteAspect && $of->setting === RouteSetting::Db) {
            $route = $this->rig->modelOf($of->at->unit)->routes[$of->at->key];

            return new SituationLevel(
                ['edit' => 'route', ...$this->route($of->at), ...$here],
                'db',
                $this->state->route($of->at->unit, $route)->db->value(),
                new Scale($route->level?->from->number() ?? -Bounds::DB, $route->level?->to->number() ?? Bounds::DB, 'dB', 0.5),
            );
        }
        if ($of instanceof NamedSetting && $of->setting()->kind === SettingKind::Number) {
            [$from, $to] = $of->setting()->range ?? [-1e6, 1e6];

            return new SituationLevel(
                ['edit' => 'value', 'unit' => $of->unit(), 'setting' => $of->setting, ...$here],
                'value',
                (float) $this->state->value($of->unit(), $of->setting()),
                new Scale($from, $to, $of->setting()->unit, 1),
            );
        }

        return null;
    }

    /** @return array{fields: array<string, string>, name: string, now: string, of: array<array-key, string>}|null */
    private function choice(): ?array
    {
        $of = $this->of;
        [$fields, $name, $choices] = match (true) {
            $of instanceof Selector => [['edit' => 'route', 'unit' => $of->unit(), 'on' => '1'], 'route', $of->choices()],
            $of instanceof RouteAspect && $of->setting === RouteSetting::Tap => [
                ['edit' => 'route', ...$this->route($of->at)], 'tap', array_column(array_map(
                    fn (Tap $tap) => [$tap->value, $tap->value],
                    Tap::cases(),
                ), 1, 0),
            ],
            $of instanceof SceneShown => [
                ['edit' => 'choose-scene', 'unit' => $of->unit()], 'scene',
                array_column($this->rig->units[$of->unit()]->scenes, 'name', 'id'),
            ],
            $of instanceof NamedSetting && $of->setting()->kind === SettingKind::Choice => [
                ['edit' => 'value', 'unit' => $of->unit(), 'setting' => $of->setting], 'value',
                array_combine($of->setting()->choices, $of->setting()->choices),
            ],
            default => [null, '', []],
        };

        return $fields === null ? null : [
            'fields' => [...$fields, 'situation' => $this->situation->id],
            'name' => $name,
            'now' => (string) array_search($this->stands, $choices, true),
            'of' => $choices,
        ];
    }

    /** @return array<string, string> */
    private function resetting(): array
    {
        $of = $this->of;
        $which = $this->situation->id;
        $here = ['situation' => $which];
        $clear = fn (PointRef|RouteRef $at, string $only): array => [
            'edit' => 'clear-change', 'which' => $which, 'at' => (string) $at, 'only' => $only,
        ];

        return match (true) {
            $of instanceof DialSetting => $clear($of->at, $of->kind->key()),
            $of instanceof RouteAspect => $clear($of->at, $of->setting->value),
            $of instanceof Selector => $clear($this->saidOf($of), RouteSetting::On->value),
            $of instanceof PickedDevice => ['edit' => 'clear-change', 'which' => $which, 'at' => (string) $of->at, 'is_pick' => '1'],
            $of instanceof Presence => ['edit' => 'absent', 'which' => $which, 'unit' => $of->unit(), 'back' => '1'],
            $of instanceof CableIn => ['edit' => 'pulled', 'which' => $which, 'cable' => $of->cable, 'back' => '1'],
            $of instanceof PlugOrder => ['edit' => 'clear-plugs', 'which' => $which],
            $of instanceof SceneShown => ['edit' => 'choose-scene', 'unit' => $of->unit(), 'scene' => '', ...$here],
            $of instanceof NamedSetting => ['edit' => 'value', 'unit' => $of->unit(), 'setting' => $of->setting, ...$here],
            $of instanceof EffectOn => ['edit' => 'switch-effect', 'unit' => $of->unit(), 'effect' => $of->effect, 'on' => '', ...$here],
            $of instanceof DefaultDevice => [
                'edit' => 'default', 'computer' => $of->unit(), 'direction' => $of->direction->value, 'role' => $of->role->value, ...$here,
            ],
            $of instanceof DeviceLevel => ['edit' => 'system-level', 'computer' => $of->unit(), 'device' => (string) $of->device, ...$here],
            default => throw new \LogicException('There is no way back for '.$of::class.'.'),
        };
    }

    /** The route of a selector that the situation says something of. */
    private function saidOf(Selector $of): RouteRef
    {
        foreach ($this->situation->changes as $change) {
            if ($change->at instanceof RouteRef && $change->at->unit === $of->unit()
                && isset($of->routes()[$change->at->key]) && $change->set instanceof RouteSettings
                && $change->set->on !== null) {
                return $change->at;
            }
        }

        return new RouteRef($of->unit(), (string) array_key_first($of->routes()));
    }

    /** @return array{unit: string, point: string} */
    private function point(PointRef $at): array
    {
        return ['unit' => $at->unit, 'point' => $at->point];
    }

    /** @return array{unit: string, route: string} */
    private function route(RouteRef $at): array
    {
        return ['unit' => $at->unit, 'route' => $at->key];
    }
}
