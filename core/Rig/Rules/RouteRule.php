<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** Routes join points, and of a group one choice at most is on. */
final class RouteRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            $r = 0;
            $on = [];
            foreach ($model->routes as $route) {
                $pointer = "{$base}/routes/{$r}";
                foreach (['from' => $route->from, 'to' => $route->to] as $end => $id) {
                    if (! isset($model->points[$id])) {
                        $in->problem("{$pointer}/{$end}", "The model has no point \"{$id}\".");
                    }
                }
                if ($route->from === $route->to) {
                    $in->problem("{$pointer}/to", 'A route leads to another point than it starts from.');
                }
                $from = $model->points[$route->from] ?? null;
                $to = $model->points[$route->to] ?? null;
                if ($from !== null && $to !== null && $route->map !== null && is_array($route->map->form)) {
                    foreach ($route->map->form as [$a, $b]) {
                        if ($a > $from->channels || $b > $to->channels) {
                            $in->problem(
                                "{$pointer}/map",
                                "The pair [{$a}, {$b}] lies outside the points' {$from->channels} and {$to->channels} channels.",
                            );
                        }
                    }
                }
                if ($route->group !== null && $route->on) {
                    $other = $on[$route->group] ?? $route;
                    if ($other->choice() !== $route->choice()) {
                        $in->problem(
                            "{$pointer}/on",
                            "Only one choice of the group \"{$route->group}\" is on at a time; \"{$other->key()}\" is on too.",
                        );
                    }
                    $on[$route->group] = $route;
                }
                $r++;
            }
        }
    }
}
