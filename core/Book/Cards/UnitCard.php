<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Cards;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\CardKind;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Book\PickWords;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\MadeAt;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Reason;
use HiddenWire\Core\Rig\Unit;

/** A unit or program: what to set where, what must be off, what to leave alone, and which sockets stay empty. */
final class UnitCard implements CardKind
{
    public static function name(): string
    {
        return 'Units and programs';
    }

    public static function titles(BookInput $of): array
    {
        $titles = [];
        foreach ($of->rig->units as $unit) {
            $model = $of->rig->modelOf($unit);
            $isSet = $unit->values !== [] || $unit->points !== [] || $unit->routes !== []
                || array_filter($model->points, fn ($point) => $point->picks !== null) !== [];
            if ($isSet || self::reasons($of, $unit) !== []) {
                $titles["unit/{$unit->id}"] = $unit->name;
            }
        }

        return $titles;
    }

    public static function card(BookInput $of, string $key): Card
    {
        $unit = $of->rig->units[substr($key, strlen('unit/'))];
        $model = $of->rig->modelOf($unit);
        [$on, $off] = self::settings($of, $unit);

        $for = "{$model->name}, {$of->rig->places[$unit->place]->name}".($model->made === null ? '' : ", set {$model->made->words()}");

        return Card::of($key, $unit->name, $for, [
            'Choose' => self::picks($of, $unit),
            'Set' => $on,
            'Must be off' => $off,
            'Again at every start' => self::again($of, $unit),
            'Leave alone' => array_values(array_map(
                fn (Reason $reason) => new CardStep($reason->about->words($of->rig), $reason->why),
                array_filter(self::reasons($of, $unit), fn (Reason $reason) => $reason->leaveAlone),
            )),
            'Stays empty' => array_values(array_map(
                fn ($socket) => new CardStep("Nothing goes into {$socket->label}"),
                array_filter($model->sockets, fn ($socket) => $of->wiring->at("{$unit->id}/{$socket->id}") === []),
            )),
        ]);
    }

    /** @return list<CardStep> */
    private static function picks(BookInput $of, Unit $unit): array
    {
        $steps = [];
        foreach ($of->rig->modelOf($unit)->points as $point) {
            $pick = $of->rig->picks["{$unit->id}/{$point->id}"] ?? null;
            if ($point->picks !== null) {
                $steps[] = new CardStep(
                    "{$point->label}: ".($pick === null ? 'no device' : PickWords::toSet($pick, $of)),
                    $of->rig->papers->reasonFor("picks/{$unit->id}/{$point->id}")->why ?? '',
                );
            }
        }

        return $steps;
    }

    /** @return array{list<CardStep>, list<CardStep>} what is set, what is off */
    private static function settings(BookInput $of, Unit $unit): array
    {
        $model = $of->rig->modelOf($unit);
        $why = fn (string $inside): string => $of->rig->papers->reasonFor("units/{$unit->id}/{$inside}")->why ?? '';
        $on = $off = [];
        foreach ($unit->values as $id => $value) {
            $setting = $model->settings[$id];
            $on[] = new CardStep("{$setting->label}: {$setting->words($value)}", implode('; ', array_filter([
                $setting->made?->words() ?? '', $setting->holds?->endsWithUse() === true ? "holds {$setting->holds->words()}" : '',
            ])));
        }
        foreach ($unit->points as $id => $set) {
            foreach (Dials::of($model, $model->points[$id]) as $kind) {
                $value = $set->of($kind);
                if ($value !== null) {
                    $scale = $value instanceof Decibels ? self::ownScale($model->points[$id], $kind->key(), $value) : '';
                    $on[] = new CardStep(
                        "{$model->points[$id]->label}: {$kind->words($value)}{$scale}",
                        self::note($model->points[$id]->made, $why("points/{$id}")),
                    );
                }
            }
        }
        foreach ($unit->routes as $key => $set) {
            $route = $model->routes[$key];
            $step = new CardStep(
                "{$model->points[$route->from]->label} → {$model->points[$route->to]->label}: {$set->words()}",
                self::note($route->made, $why("routes/{$key}")),
            );
            if ($set->on === false) {
                $off[] = $step;
            } else {
                $on[] = $step;
            }
        }

        return [$on, $off];
    }

    /** Where something is set that is not set where the rest of the unit is, and why it is so. */
    private static function note(?MadeAt $made, string $why): string
    {
        return implode('; ', array_filter([$made === null ? '' : "set {$made->words()}", $why]));
    }

    /** " (70 %)": what is printed at the knob; empty where the model does not say. */
    private static function ownScale(Point $point, string $control, Decibels $db): string
    {
        $scale = $point->span($control)?->scale;

        return $scale === null ? '' : " ({$scale->words($db)})";
    }

    /** @return list<CardStep> what is lost when the unit is closed or unplugged */
    private static function again(BookInput $of, Unit $unit): array
    {
        $model = $of->rig->modelOf($unit);
        $steps = [];
        foreach ($unit->values as $id => $value) {
            $setting = $model->settings[$id];
            $holds = $setting->holds ?? $model->holds;
            if ($holds?->endsWithUse() === true) {
                $steps[] = new CardStep("{$setting->label}: {$setting->words($value)}", "holds {$holds->words()}");
            }
        }
        if ($model->holds?->endsWithUse() === true && ($unit->points !== [] || $unit->routes !== [])) {
            $steps[] = new CardStep('Set every level and route again', "they hold {$model->holds->words()}");

            return $steps;
        }
        foreach ($unit->points as $id => $set) {
            $holds = $model->holds($model->points[$id]);
            if ($holds?->endsWithUse() === true) {
                $steps[] = new CardStep("{$model->points[$id]->label}: {$set->words()}", "holds {$holds->words()}");
            }
        }
        foreach ($unit->routes as $key => $set) {
            $route = $model->routes[$key];
            $holds = $model->holds($route);
            if ($holds?->endsWithUse() === true) {
                $steps[] = new CardStep(
                    "{$model->points[$route->from]->label} → {$model->points[$route->to]->label}: {$set->words()}",
                    "holds {$holds->words()}",
                );
            }
        }

        return $steps;
    }

    /** @return list<Reason> what is written about the unit and what is inside it */
    private static function reasons(BookInput $of, Unit $unit): array
    {
        return array_values(array_filter(
            $of->rig->papers->reasons,
            fn (Reason $reason) => $reason->about->collection === 'units' && $reason->about->tokens[0] === $unit->id,
        ));
    }
}
