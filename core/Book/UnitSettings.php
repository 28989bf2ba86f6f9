<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Controls\Acting;
use HiddenWire\Core\Equipment\Dials\DelayDial;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\Dials\ToggleDial;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\MadeAt;
use HiddenWire\Core\Equipment\PhantomPower;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\SettingEffect;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SettingRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Situations\Adjustable;
use HiddenWire\Core\Situations\DialSetting;
use HiddenWire\Core\Situations\NamedSetting;
use HiddenWire\Core\Situations\RouteAspect;
use HiddenWire\Core\Situations\Selector;

/** What hands set at one unit and how it rests: what each mix takes, then every knob, switch and named setting that acts. */
final class UnitSettings
{
    private readonly EquipmentModel $model;

    /** @var list<NamedSetting|DialSetting|RouteAspect|Selector> what of it acts, in the order of the signal */
    private readonly array $things;

    /** @var array<string, State> by situation */
    private array $states = [];

    private readonly State $base;

    /** @param  array<string, list<Control>>  $hands  what moves a setting, by its key */
    public function __construct(
        private readonly BookInput $of,
        private readonly Unit $unit,
        private readonly Acting $acting,
        private readonly array $hands,
    ) {
        $this->model = $of->rig->modelOf($unit);
        $this->things = $acting->of($unit);
        foreach ($of->rig->situations as $situation) {
            $this->states[$situation->id] = $of->hearing($situation->id)->graph()->state;
        }
        $this->base = $this->states[$of->rig->base()->id];
    }

    /**
     * What moves what, over all units: what somebody has entered. That a unit has a knob for its own gain needs no telling.
     *
     * @return array<string, list<Control>> by the key of what is set
     */
    public static function hands(BookInput $of): array
    {
        $hands = [];
        foreach ($of->rig->controls as $control) {
            foreach ($control->moves as $move) {
                $at = $move->at;
                $group = $at instanceof RouteRef && $move->set === RouteSetting::On->value
                    ? $of->rig->modelOf($at->unit)->routes[$at->key]->group : null;
                $key = match (true) {
                    $at instanceof SettingRef => (new NamedSetting($of->rig, $at->unit, $at->setting))->key(),
                    $at instanceof RouteRef && $group !== null => (new Selector($of->rig, $at->unit, $group))->key(),
                    default => $move->slot(),
                };
                $hands[$key][$control->id] = $control;
            }
        }

        return array_map(array_values(...), $hands);
    }

    /** @return list<Block> empty where nothing acts */
    public function blocks(): array
    {
        $mixes = $this->mixes();
        $points = $this->points();
        $others = $this->others();

        return $mixes === [] && $points === null && $others === [] && $this->unit->linked === [] ? [] : [
            new Heading($this->unit->name),
            ...Insides::ofUnit($this->of, $this->unit, $this->acting),
            ...($mixes === [] ? [] : [new Table(['Mix', 'Takes', 'Leaves out', 'For'], $mixes, [1, 3, 1.6, 1.6])]),
            ...($points === null ? [] : [$points]),
            ...($others === [] ? [] : [new Table(['What', 'Set to', 'Notes'], $others, [2, 1.5, 3])]),
            ...$this->linked(),
            ...$this->byItself(),
        ];
    }

    /** @return list<list<string>> a row for each output that takes what can be chosen */
    private function mixes(): array
    {
        $rows = [];
        foreach ($this->model->points as $output) {
            $feeds = array_filter($this->model->routes, fn (Route $route) => $route->to === $output->id);
            if (array_filter($feeds, fn (Route $route) => $route->can !== []) === [] && count($feeds) < 2) {
                continue;
            }
            $for = array_map(
                fn (Listener $one) => $one->name,
                $this->of->hearing()->field()->listenersBehind("{$this->unit->id}/{$output->id}"),
            );
            $row = $this->mix($output, $feeds);
            if ($row !== null) {
                $rows[] = [$output->label, ...$row, implode('; ', $for)];
            }
        }

        return $rows;
    }

    /**
     * @param  array<array-key, Route>  $feeds
     * @return array{string, string}|null what it takes and leaves out; null where nothing of it acts
     */
    private function mix(Point $output, array $feeds): ?array
    {
        $follows = $this->unit->follows[$output->id] ?? null;
        $takes = $leaves = [];
        foreach ($feeds as $key => $route) {
            $isOwn = $follows === null || in_array($route->from, $follows->except, true);
            if (! $isOwn || ! $this->acting->has(new RouteRef($this->unit->id, (string) $key))) {
                continue;
            }
            $now = $this->base->asSet($this->unit->id, $route);
            $label = $this->model->points[$route->from]->label;
            if (! $now->on) {
                $leaves[] = $label;
            } else {
                $takes[] = implode(', ', array_filter([
                    $now->db->number() === 0 ? $label : "{$label} {$now->db->exactText()} dB",
                    $now->tap === $route->tap ? '' : $now->tap->words(),
                ]));
            }
        }
        if ($follows !== null) {
            array_unshift($takes, "as {$this->model->points[$follows->of]->label}".($follows->withFader ? ', its fader too' : ''));
        }

        return $takes === [] && $leaves === [] ? null : [implode('; ', $takes) ?: 'nothing', implode('; ', $leaves)];
    }

    /** A row for each point with all that is set there; a column for each kind of knob that any of them has. Null where there is none. */
    private function points(): ?Table
    {
        $knobs = $switches = $notes = $columns = [];
        foreach ($this->things as $one) {
            if (! $one instanceof DialSetting) {
                continue;
            }
            $point = $one->at->point;
            $notes[$point][] = $this->note($one);
            if ($one->kind instanceof ToggleDial) {
                $switches[$point][] = $one->stands($this->base);
            } elseif (! $one->kind instanceof DelayDial || $this->isShown($one)) {
                $columns[(int) array_search($one->kind, Dials::all(), true)] = $one->aspect();
                $knobs[$point][$one->aspect()] = $this->knob($one);
            }
        }
        ksort($columns);
        $columns = array_values($columns);
        $rows = [];
        foreach ($notes as $point => $said) {
            $rows[] = [
                $this->model->points[$point]->label,
                ...array_map(fn (string $aspect) => $knobs[$point][$aspect] ?? '', $columns),
                ...($switches === [] ? [] : [implode(', ', $switches[$point] ?? [])]),
                implode('; ', array_unique(array_filter([...$said, $this->model->points[$point]->made?->words() ?? '']))),
            ];
        }

        return $rows === [] ? null : new Table(
            ['At', ...array_map(ucfirst(...), $columns), ...($switches === [] ? [] : ['Switches']), 'Notes'],
            $rows,
            [1.4, ...array_fill(0, count($columns), 1.6), ...($switches === [] ? [] : [1.4]), 2.2],
        );
    }

    /** @return list<list<string|Travel>> named settings, and what of routes has a line of its own */
    private function others(): array
    {
        $rows = [];
        foreach ($this->things as $one) {
            if (! $one instanceof DialSetting && $this->isShown($one)) {
                $aspect = $one instanceof RouteAspect && $one->setting !== RouteSetting::On ? ", {$one->aspect()}" : '';
                $rows[] = [
                    $one instanceof Selector ? "{$one->what()} plays" : $one->what().$aspect,
                    $this->knob($one),
                    implode('; ', array_filter([$this->note($one), $this->made($one)?->words() ?? ''])),
                ];
            }
        }

        return $rows;
    }

    /** Whether it has a place of its own: routes that are on or off alike everywhere, and sends at 0 dB, stand in the line of their mix. */
    private function isShown(NamedSetting|DialSetting|RouteAspect|Selector $one): bool
    {
        return match (true) {
            $one instanceof NamedSetting => true,
            $this->varies($one), isset($this->hands[$one->key()]) => true,
            $one instanceof DialSetting => $one->stands($this->base) !== '0 ms',
            $one instanceof RouteAspect && $one->setting === RouteSetting::Db => $this->model->routes[$one->at->key]->level !== null
                && $this->base->asSet($this->unit->id, $this->model->routes[$one->at->key])->db->number() !== 0,
            default => false,
        };
    }

    /** Its value, with the picture of its travel and the printed mark where these are known. */
    private function knob(NamedSetting|DialSetting|RouteAspect|Selector $one): Travel|string
    {
        if ($one instanceof RouteAspect && $one->setting === RouteSetting::Db) {
            $route = $this->model->routes[$one->at->key];

            return $route->level === null ? $one->stands($this->base)
                : Travel::ofKnob($route->level, $this->base->asSet($this->unit->id, $route)->db);
        }
        if ($one instanceof NamedSetting && $this->isUnsaid($one->setting())) {
            return 'not said';
        }
        $value = $one instanceof DialSetting ? $this->base->of($this->unit->id, $this->point($one), $one->kind) : null;
        $span = $one instanceof DialSetting ? $this->point($one)->span($one->kind->key()) : null;
        if ($span === null || ! $value instanceof Decibels) {
            return $one->stands($this->base);
        }

        return $one->aspect() === 'fader' ? Travel::ofFader($span, $value) : Travel::ofKnob($span, $value);
    }

    private function point(DialSetting $one): Point
    {
        return $this->model->points[$one->at->point];
    }

    private function varies(Adjustable $one): bool
    {
        return count(array_unique(array_map($one->stands(...), $this->states))) > 1;
    }

    /** "Break: fader −6.0 dB; fader by Pad 3; shut while Mic 1 is open" */
    private function note(NamedSetting|DialSetting|RouteAspect|Selector $one): string
    {
        $isKnob = $one instanceof DialSetting && ! $one->kind instanceof ToggleDial;
        $rest = $one->stands($this->base);
        $others = [];
        foreach ($this->states as $situation => $state) {
            if ($one->stands($state) !== $rest) {
                $others[($isKnob ? "{$one->aspect()} " : '').$one->stands($state)][] = $this->of->rig->situations[$situation]->name;
            }
        }
        $notes = [];
        foreach ($others as $stands => $situations) {
            $notes[] = Listing::of($situations).": {$stands}";
        }
        $by = array_map(fn (Control $control) => $control->name, $this->hands[$one->key()] ?? []);
        $what = $one instanceof DialSetting ? "{$one->aspect()} " : '';

        return implode('; ', array_filter([...$notes, $by === [] ? '' : "{$what}by ".Listing::of($by), $this->does($one)]));
    }

    /** Where it is set, where that is not as with the rest of the unit. */
    private function made(NamedSetting|RouteAspect|Selector $one): ?MadeAt
    {
        return match (true) {
            $one instanceof NamedSetting => $one->setting()->made,
            $one instanceof RouteAspect => $this->model->routes[$one->at->key]->made,
            default => null,
        };
    }

    /** What an automatic mute shuts and when, and whom phantom power feeds. */
    private function does(NamedSetting|DialSetting|RouteAspect|Selector $one): string
    {
        if ($one instanceof NamedSetting) {
            return $this->isUnsaid($one->setting()) ? 'heard as if it were on' : $this->feeds($one->setting());
        }
        $while = [];
        if ($one instanceof DialSetting && $one->kind->key() === 'auto_mute') {
            foreach ($this->model->autoMutes as $rule) {
                array_push($while, ...($rule->mutes === $one->at->point ? $rule->whileOpen : []));
            }
        }

        $labels = array_map(fn (string $id) => $this->model->points[$id]->label, $while);

        return match (count($labels)) {
            0 => '', 1 => "shut while {$labels[0]} is open", default => 'shut while any of '.Listing::of($labels).' is open',
        };
    }

    /** Whether a setting that is closed by default has no stated value: all is heard as if it were open. */
    private function isUnsaid(Setting $setting): bool
    {
        return ! isset($this->unit->values[$setting->id]) && array_filter(
            $setting->effectsAt($setting->factory),
            fn (SettingEffect $effect) => $effect->isSwitch() && $effect->device === null && ! $effect->on,
        ) !== [];
    }

    /** "feeds Booster": what hangs on the sockets that a setting gives phantom power to, and needs it. */
    private function feeds(Setting $setting): string
    {
        $fed = [];
        foreach ($setting->effects as $effect) {
            if ($effect->phantom === null || $effect->socket === null) {
                continue;
            }
            $here = new SocketRef($this->unit->id, $effect->socket);
            foreach ($this->of->wiring->at($here) as $cable) {
                $there = $this->of->wiring->across($cable, $here);
                $needs = $this->of->rig->socket($there)->phantom === PhantomPower::Needs;
                $fed[$there->unit] = $needs ? "feeds {$this->of->rig->units[$there->unit]->name}"
                    : "{$this->of->rig->units[$there->unit]->name} needs none";
            }
        }

        return implode(', ', $fed);
    }

    /** @return list<Text> sends whose levels a hand moves together */
    private function linked(): array
    {
        return array_map(
            fn (array $keys) => new Text('Levels that move together: '.Listing::of(array_map(
                fn (string $key) => $this->of->names->route(new RouteRef($this->unit->id, $key)),
                $keys,
            )).'.'),
            $this->unit->linked,
        );
    }

    /** @return list<Text> what the unit switches by a rule of its own */
    private function byItself(): array
    {
        $texts = [];
        foreach ($this->model->rules as $rule) {
            $acts = array_filter(
                $rule->routes,
                fn (string $key) => $this->acting->has(new RouteRef($this->unit->id, $key)),
                ARRAY_FILTER_USE_KEY,
            );
            $does = [];
            foreach ($acts as $key => $on) {
                $does[] = $this->of->names->route(new RouteRef($this->unit->id, (string) $key)).($on ? ' on' : ' off');
            }
            if ($does !== []) {
                $texts[] = new Text('By itself, '.$rule->words($this->model).': '.Listing::of($does).'.');
            }
        }

        return $texts;
    }
}
