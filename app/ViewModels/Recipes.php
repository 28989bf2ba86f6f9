<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Edit\CopyRecipe;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Rule;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\SoundField;

/** The inside of one unit as recipes: what each of its outputs gets, and what can be set on what comes in. */
final readonly class Recipes
{
    /** @var list<Recipe> */
    public array $recipes;

    /** @var list<Dial> what can be set on points that are no outputs */
    public array $controls;

    /** On which all mixes are drawn. */
    public MixScale $scale;

    /** Where most of what can be tapped is taken. */
    public Tap $tap;

    private EquipmentModel $model;

    private UnitMixes $mixes;

    public function __construct(public Unit $unit, private SignalGraph $graph, private SoundField $field)
    {
        $this->mixes = new UnitMixes($unit, $graph->state, $graph->wiring());
        $this->model = $graph->rig->modelOf($unit);
        $recipes = [];
        foreach ($this->mixes->all as $id => $feeds) {
            $point = $this->model->points[$id];
            $recipes[] = new Recipe(
                $point,
                new Dial($unit->id, $point, $graph->state, $this->model),
                array_map($this->feed(...), $feeds),
                $field->listenersBehind("{$unit->id}/{$point->id}"),
                $this->labels($point->canFollow),
                $unit->follows[$point->id] ?? null,
                $this->labels($this->alike($point)),
            );
        }
        $this->recipes = $recipes;
        $outputs = array_map(fn (Recipe $recipe) => $recipe->output, $recipes);
        $this->controls = array_values(array_map(
            fn (Point $point) => new Dial($unit->id, $point, $graph->state, $this->model),
            array_filter($this->model->points, fn (Point $point) => $point->isControlled() && ! in_array($point, $outputs, true)),
        ));
        $used = array_merge(...array_map(fn (Recipe $recipe) => $recipe->in(), $recipes));
        $this->scale = new MixScale(array_map(fn (Feed $feed) => $feed->sent, $used));
        $taps = array_count_values(array_map(fn (Feed $feed) => $feed->now->tap->value, $used));
        arsort($taps);
        $this->tap = Tap::tryFrom((string) array_key_first($taps)) ?? Tap::PostFader;
    }

    /** Where what is in the mixes is taken, said once. */
    public function tapWords(): string
    {
        $feeds = array_merge(...array_map(fn (Recipe $recipe) => $recipe->in(), $this->recipes));
        $differ = array_filter($feeds, fn (Feed $feed) => $feed->now->tap !== $this->tap);

        $most = $differ === [] ? 'Everything' : 'Where nothing else is said, everything';

        return $feeds === [] ? '' : "{$most} is taken {$this->tap->words()}.";
    }

    /** What comes in at a point. */
    public function soundsAt(Point $point): SoundsIn
    {
        return new SoundsIn($point->label, $this->field->sourcesAt("{$this->unit->id}/{$point->id}"));
    }

    /**
     * @param  list<Dial>  $controls
     * @return list<string> of gain and fader those that any of them has: each is a column
     */
    public static function knobsOf(array $controls): array
    {
        return array_values(array_filter(
            ['gain', 'fader'],
            fn (string $field) => array_filter($controls, fn (Dial $one) => $one->knob($field) !== null) !== [],
        ));
    }

    /**
     * @param  list<Dial>  $controls
     * @return array{list<Dial>, list<Dial>} in two columns of one height
     */
    public static function columns(array $controls): array
    {
        $half = intdiv(count($controls) + 1, 2);

        return [array_slice($controls, 0, $half), array_slice($controls, $half)];
    }

    /** @return array{list<Dial>, list<Dial>} the controls of what has something plugged in, and of what has not */
    public function controlsByUse(): array
    {
        $isIdle = fn (Dial $control): bool => $this->mixes->isIdle($control->point->id);

        return [
            array_values(array_filter($this->controls, fn (Dial $control) => ! $isIdle($control))),
            array_values(array_filter($this->controls, $isIdle)),
        ];
    }

    /** @return list<Point> the points that feed any output: the rows of the matrix */
    public function inputs(): array
    {
        $from = [];
        foreach ($this->recipes as $recipe) {
            foreach ($recipe->feeds as $feed) {
                $from[$feed->now->from] = true;
            }
        }

        return array_values(array_filter($this->model->points, fn (Point $point) => isset($from[$point->id])));
    }

    public function feedOf(Recipe $recipe, Point $input): ?Feed
    {
        foreach ($recipe->feeds as $feed) {
            if ($feed->now->from === $input->id) {
                return $feed;
            }
        }

        return null;
    }

    private function feed(Route $route): Feed
    {
        $from = $this->model->points[$route->from];
        $instead = $route->group === null
            ? []
            : array_values(array_map(
                fn (Route $other) => $other->to === $route->to ? $this->model->points[$other->from]->label
                : "to {$this->model->points[$other->to]->label}",
                array_filter($this->model->routes, fn (Route $other) => $other->group === $route->group
                    && $other->choice() !== $route->choice()),
            ));

        $state = $this->graph->state;
        $now = $state->route($this->unit->id, $route);

        return new Feed(
            $route->key(),
            $this->named($from),
            $now,
            $this->field->sourcesAt("{$this->unit->id}/{$from->id}"),
            $instead,
            $state->sendTotal($this->unit->id, $now),
            in_array($now->tap, [Tap::PreFader, Tap::PostFader], true) && $state->isMuted($this->unit->id, $from),
            $this->by($route),
            $this->movesWith($route),
            $this->mixes->isIdle($from->id),
        );
    }

    /**
     * @param  list<string>  $points
     * @return array<string, string> what points are called, by id
     */
    private function labels(array $points): array
    {
        return array_combine($points, array_map(fn (string $id) => $this->model->points[$id]->label, $points));
    }

    /** @return list<string> other outputs of which something could be copied */
    private function alike(Point $output): array
    {
        $to = new PointRef($this->unit->id, $output->id);

        return array_values(array_filter(
            array_map(strval(...), array_keys($this->model->points)),
            fn (string $id) => CopyRecipe::isPossible($this->graph->rig, new PointRef($this->unit->id, $id), $to),
        ));
    }

    /** What has a route stand as it does, where that is no hand. */
    private function by(Route $route): string
    {
        $state = $this->graph->state;
        $follows = $this->unit->follows[$route->to] ?? null;
        $soloed = $state->soloedOver($this->unit->id, $route->to);
        $rule = $state->ruleOf($this->unit->id, $route->key());

        return match (true) {
            $soloed !== [] => isset($soloed[$route->from]) ? 'soloed' : 'not soloed',
            $rule !== null => "{$rule->label}, {$rule->words($this->model)}",
            $follows !== null && ! in_array($route->from, $follows->except, true)
                && isset($this->model->routes["{$route->from}>{$follows->of}"]) => "as in {$this->model->points[$follows->of]->label}",
            default => '',
        };
    }

    /** @return list<string> */
    private function movesWith(Route $route): array
    {
        $with = [];
        foreach ($this->unit->linked as $keys) {
            foreach (in_array($route->key(), $keys, true) ? array_diff($keys, [$route->key()]) : [] as $key) {
                $other = $this->model->routes[$key];
                $with[] = "{$this->model->points[$other->from]->label} → {$this->model->points[$other->to]->label}";
            }
        }

        return $with;
    }

    /** @return array<string, string> routes whose levels a level can be linked with, by key */
    public function linkable(): array
    {
        $routes = array_filter($this->model->routes, fn (Route $route) => $route->allows(RouteSetting::Db));

        return array_map(
            fn (Route $route) => "{$this->model->points[$route->from]->label} → {$this->model->points[$route->to]->label}",
            $routes,
        );
    }

    /** @return list<array{label: string, words: string, isInForce: bool}> the unit's rules */
    public function rules(): array
    {
        return array_values(array_map(fn (Rule $rule) => [
            'label' => $rule->label, 'words' => $rule->words($this->model),
            'isInForce' => $this->graph->state->isInForce($this->unit->id, $rule),
        ], $this->model->rules));
    }

    /** A point at the end of a chain of effects is named after what enters the chain, and the effects in their order. */
    private function named(Point $point): string
    {
        $chain = [];
        $here = $point;
        while (count($chain) < count($this->model->points)) {
            $into = array_values(array_filter($this->model->routes, fn (Route $route) => $route->to === $here->id));
            if ($here->kind !== PointKind::Strip || count($into) !== 1 || $into[0]->can !== []
                || $this->model->points[$into[0]->from]->kind !== PointKind::Strip) {
                break;
            }
            array_unshift($chain, mb_strtolower($here->label));
            $here = $this->model->points[$into[0]->from];
        }

        return $chain === [] ? $point->label : "{$here->label} through ".implode(', ', $chain);
    }
}
