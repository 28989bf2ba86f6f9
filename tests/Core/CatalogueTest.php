<?php

declare(strict_types=1);

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Sheets\ModelReach;

/** @return array<string, string> */
function catalogueTexts(): array
{
    $texts = [];
    foreach ((array) glob(dirname(__DIR__, 2).'/resources/catalogue/*.json') as $file) {
        $texts[basename((string) $file, '.json')] = (string) file_get_contents((string) $file);
    }

    return $texts;
}

it('holds sixty models or more, each in its canonical form', function () {
    $texts = catalogueTexts();
    $catalogue = Catalogue::of($texts);
    expect(count($catalogue->models))->toBeGreaterThanOrEqual(60);
    foreach ($catalogue->models as $id => $model) {
        expect(Json::encode((new DocumentWriter)->model($model)))->toBe($texts[$id]);
    }
});

it('has something of every family that a rig needs', function () {
    $families = array_unique(array_map(fn ($model) => $model->family, array_values(Catalogue::of(catalogueTexts())->models)), SORT_REGULAR);
    foreach (Family::cases() as $family) {
        if ($family !== Family::Remote) {
            expect($families)->toContain($family);
        }
    }
});

it('leads every point of a model somewhere: nothing is drawn that can\'t carry sound', function () {
    foreach (Catalogue::of(catalogueTexts())->models as $model) {
        $used = [];
        foreach ($model->sockets as $socket) {
            foreach ($socket->lanes as $lane) {
                $used[$lane->point] = true;
            }
        }
        foreach ($model->routes as $route) {
            $used[$route->from] = $used[$route->to] = true;
        }
        foreach ($model->points as $point) {
            expect(isset($used[$point->id]) || $point->picks !== null || $point->device !== null || $model->family === Family::Tablet)
                ->toBeTrue("{$model->id}/{$point->id} hangs loose");
        }
    }
});

/** The model with all open that a hand can open; of what shuts each other out, the choice of that number. */
function opened_model(EquipmentModel $model, int $choice): EquipmentModel
{
    $groups = [];
    foreach ($model->routes as $route) {
        if ($route->group !== null) {
            $groups[$route->group][$route->choice()] = true;
        }
    }
    $open = function (Route $route) use ($groups, $choice): bool {
        $choices = array_map(strval(...), array_keys($groups[$route->group ?? ''] ?? []));

        return $route->group === null ? $route->on || in_array(RouteSetting::On, $route->can, true)
            : $choices[$choice % count($choices)] === $route->choice();
    };

    return $model->with(
        points: array_map(fn (Point $point) => $point->with(
            mute: $point->mute === null ? null : false,
            fader: $point->fader === null ? null : new Span($point->fader->from, $point->fader->to, $point->fader->to),
        ), $model->points),
        routes: array_map(fn (Route $route) => $route->with(on: $open($route)), $model->routes),
        autoMutes: [],
        rules: [],
        settings: [],
        lamps: [],
        grows: [],
    );
}

it('carries every input to an output or an ear, and something to every output, by what a hand can open', function () {
    $heard = 0;
    foreach (Catalogue::of(catalogueTexts())->models as $model) {
        $reaches = array_map(fn (int $choice) => new ModelReach(opened_model($model, $choice)), range(0, 5));
        $came = $got = [];
        foreach ($reaches as $reach) {
            foreach ($reach->levels as $output => $levels) {
                $came += $levels;
                $got += $levels === [] ? [] : [$output => true];
            }
        }
        // What comes into a computer ends in its programs; what begins inside, a pad or a capsule, comes from no input.
        $begins = array_filter($model->points, fn (Point $one) => $one->kind === PointKind::Origin) !== [];
        if ($model->family->isHost() || $reaches[0]->inputs === [] || $reaches[0]->outputs === []) {
            continue;
        }
        expect([$model->id, array_keys($came)])->toEqualCanonicalizing([$model->id, array_keys($reaches[0]->inputs)])
            ->and([$model->id, array_keys($begins ? $reaches[0]->outputs : $got)])
            ->toEqualCanonicalizing([$model->id, array_keys($reaches[0]->outputs)]);
        $heard += count($came);
    }
    expect($heard)->toBeGreaterThan(100);
});

it('points at what is wrong with a model', function () {
    expect(fn () => Catalogue::of(['odd' => '{"name": "Odd", "family": "mixer", "points": [{"id": "a", "kind": "in", "channels": 2}], '
        .'"routes": [{"from": "a", "to": "b"}]}']))
        ->toThrow(InvalidRig::class, '/models/odd/routes/0/to');
    expect(fn () => Catalogue::of(['odd' => '{"name": "Odd", "family": "toaster"}']))->toThrow(InvalidDocument::class, '/odd/family');
});

it('says of every label of a model where its words come from', function () {
    // Each label without its number, part by part: "Mute, Mic 2" is "Mute" and "Mic".
    $parts = fn (string $label): array => array_filter(array_map(
        fn (string $part) => trim((string) preg_replace(['/\b\d+(\.\d+)?\b/', '/\s+/'], ['', ' '], $part)),
        (array) preg_split('/, | · /', $label),
    ));
    $listed = [];
    $page = (string) preg_replace('/\s+/', ' ', (string) file_get_contents(dirname(__DIR__, 2).'/docs/decisions/names.md'));
    preg_match_all('/`([^`]+)`/', $page, $listed);
    $used = [];
    foreach (wholeCatalogue()->models as $model) {
        $labels = array_map(fn ($one) => $one->label, [...array_values($model->sockets), ...array_values($model->points), ...array_values($model->settings),
            ...array_values($model->meters), ...array_values($model->lamps), ...array_values($model->rules), ...array_values($model->grows)]);
        foreach ($model->settings as $setting) {
            array_push($labels, ...$setting->choices, ...[$setting->made->path ?? '']);
        }
        foreach ($model->meters as $meter) {
            array_push($labels, ...array_column($meter->zones, 0));
        }
        array_push($labels, $model->made->path ?? '', ...array_map(fn ($need) => $need->system, $model->runsOn));
        $used = [...$used, ...array_merge(...array_map($parts, $labels))];
    }
    $used = array_values(array_unique($used));
    expect(array_values(array_diff($used, $listed[1])))->toBe([])
        // And nothing is listed that no model has any more; two names are of code.
        ->and(array_values(array_diff($listed[1], $used, ['system_name', 'widens'])))->toBe([]);
});
