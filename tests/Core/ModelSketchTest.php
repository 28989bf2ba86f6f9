<?php

declare(strict_types=1);

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\ModelSketch;
use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\EquipmentModel;

const HEAD = ['name' => 'Box', 'family' => 'mixer', 'summary' => ''];

function written(array $points = [], array $lanes = [], array $routes = [], array $base = [], array $head = HEAD): EquipmentModel
{
    return (new ModelSketch($head, $points, $lanes, $routes, $base))->model('box');
}

/** @return array<string, EquipmentModel> */
function shipped_models(): array
{
    static $models;

    return $models ??= Catalogue::of((function () {
        foreach (glob(dirname(__DIR__, 2).'/resources/catalogue/*.json') ?: [] as $file) {
            yield basename($file, '.json') => (string) file_get_contents($file);
        }
    })())->models;
}

it('gives every model of the catalogue back when its rows are written as they are', function () {
    $writer = new DocumentWriter;
    foreach (shipped_models() as $id => $model) {
        $rows = ModelSketch::rows($model);
        $base = (array) json_decode((string) json_encode($writer->model($model)), true);
        $again = (new ModelSketch(
            ['name' => $model->name, 'family' => $model->family->value, 'summary' => $model->summary],
            $rows['points'],
            $rows['lanes'],
            $rows['routes'],
            $base,
        ))->model($id);
        expect($writer->model($again))->toEqual($writer->model($model));
    }
});

it('makes ids of labels, a number where one is taken', function () {
    $model = written([['label' => 'Line 3/4', 'kind' => 'strip', 'channels' => '2'],
        ['label' => 'Line 3-4', 'kind' => 'strip', 'channels' => '1']]);
    expect(array_keys($model->points))->toBe(['line-3-4', 'line-3-4-2'])->and($model->points['line-3-4']->label)->toBe('Line 3/4')
        ->and($model->points['line-3-4-2']->channels)->toBe(1);
});

it('gives a point what is ticked: a usual span, a switch that is open', function (string $tick, callable $holds) {
    $plain = written([['label' => 'A', 'kind' => 'strip', 'channels' => '2']])->points['a'];
    $ticked = written([['label' => 'A', 'kind' => 'strip', 'channels' => '2', $tick => '1']])->points['a'];
    expect($plain->isControlled())->toBeFalse()->and($holds($ticked))->toBeTrue();
})->with([
    'gain' => ['gain', fn ($point) => $point->gain->to->value() === 60.0],
    'fader' => ['fader', fn ($point) => $point->fader->to->value() === 10.0],
    'mute' => ['mute', fn ($point) => $point->mute === false], 'mono' => ['mono', fn ($point) => $point->mono === false],
]);

it('takes rows of one label as one socket with several signals', function () {
    $model = written([['label' => 'From', 'kind' => 'in', 'channels' => '2'], ['label' => 'To', 'kind' => 'out', 'channels' => '2']], [
        ['label' => 'USB', 'connector' => 'usb-c', 'way' => 'in', 'point' => 'From', 'device' => 'playback'], ['label' => 'USB',
            'connector' => 'usb-c', 'way' => 'out', 'point' => 'To', 'device' => 'recording'],
        ['label' => 'Out', 'connector' => 'trs-6.35', 'way' => 'out', 'point' => 'To'],
    ]);
    expect(array_keys($model->sockets))->toBe(['usb', 'out'])->and(array_keys($model->sockets['usb']->lanes))->toBe(['in', 'out'])
        ->and($model->sockets['usb']->link?->value)->toBe('device')
        ->and(DeviceNames::of($model, 'usb', 'in'))->toBe('Box')->and($model->sockets['usb']->lanes['in']->device?->systemName)->toBeNull()->and($model->sockets['out']->link)->toBeNull();
});

it('keeps of a model that it is made from what the rows don\'t show, for the rows that stay', function () {
    $base = (array) json_decode((string) json_encode((new DocumentWriter)->model(shipped_models()['eight-input-desk'])), true);
    $rows = ModelSketch::rows(shipped_models()['eight-input-desk']);
    $rows['points'][0]['label'] = 'Voice';
    $rows['lanes'] = array_map(fn (array $row) => ['point' => $row['point'] === 'Mic 1' ? 'Voice' : $row['point']] + $row, $rows['lanes']);
    $rows['routes'] = array_values(array_filter(array_map(fn (array $row) => ['from' => $row['from'] === 'Mic 1' ? 'Voice' : $row['from']] + $row, $rows['routes']), fn (array $row) => $row['to'] !== 'Aux 2'));
    $model = written(
        $rows['points'],
        $rows['lanes'],
        $rows['routes'],
        $base,
        ['name' => 'My desk', 'family' => 'mixer', 'summary' => 'Mine.'],
    );
    $old = shipped_models()['eight-input-desk'];
    $first = (string) array_key_first($old->points);
    expect($model->points[$first]->label)->toBe('Voice')->and($model->points[$first]->gain)->toEqual($old->points[$first]->gain)
        ->and($model->sockets['mic-1']->maxDbu)->toBe($old->sockets['mic-1']->maxDbu)->and($model->sockets['mic-1']->phantom)
        ->toBe($old->sockets['mic-1']->phantom)
        ->and(array_filter(array_keys($model->routes), fn (string $key) => str_ends_with($key, '>aux-2')))->toBe([])
        ->and($model->routes["{$first}>main"])->toEqual($old->routes["{$first}>main"])->and($model->name)->toBe('My desk');
});

it('says of every row what is wrong with it', function (array $points, array $lanes, array $routes, string $pointer, string $says) {
    try {
        written($points, $lanes, $routes);
        $this->fail('It should not be a model.');
    } catch (InvalidDocument $e) {
        $told = array_map(fn ($problem) => "{$problem->pointer} {$problem->message}", $e->problems);
        expect(implode("\n", $told))->toContain($pointer, $says);
    }
})->with(function () {
    $point = ['label' => 'A', 'kind' => 'strip', 'channels' => '2'];
    yield 'a kind that there is not' => [[['kind' => 'tube'] + $point], [], [], '/points/0/kind', ''];
    yield 'no channel' => [[['channels' => '0'] + $point], [], [], '/points/0/channels', ''];
    yield 'more channels than any' => [[['channels' => '9999'] + $point], [], [], '/points/0/channels', ''];
    yield 'a connector that there is not' => [[$point], [['label' => 'In', 'connector' => 'garden-hose', 'way' => 'in', 'point' => 'A']],
        [], '/sockets/0/connector', ''];
    yield 'a point that no row has' => [[$point], [['label' => 'In', 'connector' => 'rca', 'way' => 'in', 'point' => 'B side']], [],
        '/sockets/0/lanes/0/point', 'The model has no point "b-side"'];
    yield 'a way that there is not' => [[$point], [['label' => 'In', 'connector' => 'rca', 'way' => 'up', 'point' => 'A']], [],
        '/sockets/0/lanes/0/way', ''];
    yield 'a route to nowhere' => [[$point], [], [['from' => 'A', 'to' => 'Z', 'on' => '1']], '/routes/0/to', 'The model has no point "z"'];
    yield 'a route to itself' => [[$point], [], [['from' => 'A', 'to' => 'A', 'on' => '1']], '/routes/0/to', 'leads to another point'];
    yield 'a label that is too long' => [[['label' => str_repeat('long ', 40)] + $point], [], [], '/points/0', ''];
});

it('has a name', function () {
    expect(fn () => written(head: ['name' => '', 'family' => 'mixer', 'summary' => '']))->toThrow(InvalidDocument::class);
});
