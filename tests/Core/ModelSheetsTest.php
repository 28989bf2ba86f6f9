<?php

declare(strict_types=1);

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Sheets\Cell;
use HiddenWire\Core\Sheets\ModelReach;
use HiddenWire\Core\Sheets\ModelSheets;

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

/** Sheets as a person types them: cells parted by a bar, lines by a line. */
function typed_sheets(array $sheets, array $head = ['name' => 'Box', 'family' => 'mixer', 'summary' => '']): ModelSheets
{
    $tabbed = fn (string $sheet): string => implode("\n", array_map(
        fn (string $line) => implode("\t", array_map(trim(...), explode('¦', $line))),
        explode("\n", $sheet),
    ));

    return new ModelSheets(array_map($tabbed, $sheets), $head);
}

/** @return array{name: string, family: string, summary: string} */
function head_of(EquipmentModel $model): array
{
    return ['name' => $model->name, 'family' => $model->family->value, 'summary' => $model->summary];
}

/** The sheets of a model without the ids of things, which follow from labels. */
function without_ids(array $sheets): array
{
    return array_map(function (string $sheet): string {
        $rows = array_map(fn (string $line) => explode("\t", $line), $sheet === '' ? [] : explode("\n", $sheet));
        $ids = array_filter($rows[0] ?? [], fn (string $head) => in_array($head, ['id', 'lane id'], true));

        return implode("\n", array_map(fn (array $row) => implode("\t", array_diff_key($row, $ids)), $rows));
    }, $sheets);
}

it('writes every model of the catalogue down in sheets, and reads it back byte for byte', function () {
    $text = fn (EquipmentModel $model): string => Json::encode((new DocumentWriter)->model($model));
    expect(count(shipped_models()))->toBeGreaterThan(90);
    foreach (shipped_models() as $id => $model) {
        expect($text((new ModelSheets(ModelSheets::of($model), head_of($model)))->model($id)))->toBe($text($model));
    }
});

it('needs no ids where labels tell things apart and nothing grows', function () {
    $told = 0;
    foreach (shipped_models() as $id => $model) {
        $labels = array_map(fn ($point) => $point->label, $model->points);
        if ($model->grows !== [] || count(array_unique($labels)) < count($labels)) {
            continue;
        }
        $sheets = without_ids(ModelSheets::of($model));
        expect(without_ids(ModelSheets::of((new ModelSheets($sheets, head_of($model)))->model($id))))->toBe($sheets);
        $told++;
    }
    expect($told)->toBeGreaterThan(70);
});

it('reads what a person writes: labels for ids, a second row for a second part, decimal commas', function () {
    $model = typed_sheets([
        'model' => "supply\nmains-unearthed",
        'sockets' => "label ¦ connector ¦ max dbu ¦ link ¦ lane way ¦ lane point ¦ lane device direction\n"
            ."Mic ¦ xlr-f ¦ 10 ¦ ¦ in ¦ Singer ¦\n"
            ."Computer ¦ usb-c ¦ ¦ device ¦ in ¦ Backing ¦ playback\n"
            .' ¦  ¦ ¦ ¦ out ¦ Mix ¦ recording',
        'points' => "label ¦ kind ¦ channels ¦ gain from ¦ gain to ¦ fader from ¦ fader to ¦ fader db ¦ fader scale marks ¦ mute\n"
            ."Singer ¦ strip ¦ 1 ¦ 0 ¦ 60 ¦ −90 ¦ 10 ¦ -2,5 ¦ 0=-90, 10=10 ¦ off\n"
            ."Backing ¦ strip ¦ 2 ¦ ¦ ¦ -90 ¦ 10 ¦ ¦ ¦ on\n"
            .'Mix ¦ out ¦ 2',
        'routes' => "from ¦ to ¦ on ¦ tap ¦ can\nSinger ¦ Mix ¦ ¦ ¦ on, db\nBacking ¦ Mix ¦ off ¦ pre-fader ¦ on",
        'meters' => "label ¦ point ¦ zone name ¦ zone from db\nLevel ¦ Singer ¦ Signal ¦ -40\n ¦ ¦ Too loud ¦ 0",
    ], ['name' => 'Song box', 'family' => 'mixer', 'summary' => ''])->model('song-box');
    // By hand.
    expect((new DocumentWriter)->model($model))->toEqual([
        'name' => 'Song box', 'family' => 'mixer', 'supply' => 'mains-unearthed',
        'sockets' => [
            ['id' => 'mic', 'label' => 'Mic', 'connector' => 'xlr-f', 'max_dbu' => 10, 'lanes' => [
                ['id' => 'in', 'way' => 'in', 'point' => 'singer']]],
            ['id' => 'computer', 'label' => 'Computer', 'connector' => 'usb-c', 'link' => 'device', 'lanes' => [
                ['id' => 'in', 'way' => 'in', 'point' => 'backing', 'device' => ['direction' => 'playback']],
                ['id' => 'out', 'way' => 'out', 'point' => 'mix', 'device' => ['direction' => 'recording']]]],
        ],
        'points' => [
            ['id' => 'singer', 'kind' => 'strip', 'label' => 'Singer', 'channels' => 1,
                'gain' => ['from' => 0, 'to' => 60, 'db' => 0],
                'fader' => ['from' => -90, 'to' => 10, 'db' => -2.5, 'scale' => ['marks' => [[0, -90], [10, 10]]]], 'mute' => false],
            ['id' => 'backing', 'kind' => 'strip', 'label' => 'Backing', 'channels' => 2,
                'fader' => ['from' => -90, 'to' => 10, 'db' => 0], 'mute' => true],
            ['id' => 'mix', 'kind' => 'out', 'label' => 'Mix', 'channels' => 2],
        ],
        'routes' => [['from' => 'singer', 'to' => 'mix', 'can' => ['on', 'db']],
            ['from' => 'backing', 'to' => 'mix', 'on' => false, 'tap' => 'pre-fader', 'can' => ['on']]],
        'meters' => [['id' => 'level', 'label' => 'Level', 'point' => 'singer',
            'zones' => [['name' => 'Signal', 'from_db' => -40], ['name' => 'Too loud', 'from_db' => 0]]]],
    ]);
});

it('makes ids of labels, a number where one is taken, and says rows again that go on', function () {
    $model = typed_sheets([
        'points' => "label ¦ kind ¦ channels\nLine 3/4 ¦ strip ¦ 2\nLine 3-4 ¦ strip ¦ 1",
        'sockets' => "label ¦ connector ¦ lane way ¦ lane point\nPair ¦ rca ¦ in ¦ Line 3/4\nPair ¦ ¦ out ¦ Line 3-4",
    ])->model('box');
    expect(array_keys($model->points))->toBe(['line-3-4', 'line-3-4-2'])->and(array_keys($model->sockets))->toBe(['pair'])
        ->and(array_map(fn ($lane) => $lane->point, $model->sockets['pair']->lanes))->toBe(['in' => 'line-3-4', 'out' => 'line-3-4-2']);
});

it('says of every cell what is wrong with it', function (array $sheets, array $place, string $says) {
    $point = "label ¦ kind ¦ channels\nA ¦ strip ¦ 2";
    $head = ['name' => $place[2] === 'name' ? '' : 'Box', 'family' => 'mixer', 'summary' => ''];
    $typed = typed_sheets($sheets + ['points' => $point], $head);
    try {
        $typed->model('box');
        $this->fail('It should not be a model.');
    } catch (InvalidDocument $e) {
        $found = array_map(fn ($problem) => [$typed->placeOf($problem->pointer), $problem->message], $e->problems);
        expect(array_column($found, 0))->toContain($place)->and(implode("\n", array_column($found, 1)))->toContain($says);
    }
})->with(function () {
    $socket = "label ¦ connector ¦ lane way ¦ lane point\n";
    yield 'a kind that there is not' => [['points' => "label ¦ kind ¦ channels\nA ¦ tube ¦ 2"], ['points', 0, 'kind'], 'one of'];
    yield 'no channel' => [['points' => "label ¦ kind ¦ channels\nA ¦ strip ¦ 0"], ['points', 0, 'channels'], 'from 1'];
    yield 'a number that is none' => [['points' => "label ¦ kind ¦ channels ¦ gain from ¦ gain to\nA ¦ strip ¦ 2 ¦ low ¦ 60"],
        ['points', 0, 'gain.from'], 'decibels'];
    yield 'a connector that there is not' => [['sockets' => $socket.'In ¦ garden-hose ¦ in ¦ A'], ['sockets', 0, 'connector'], 'one of'];
    yield 'a point that no row has' => [['sockets' => $socket.'In ¦ rca ¦ in ¦ B side'], ['sockets', 0, 'lanes[].point'], '"b-side"'];
    yield 'the second lane of the second socket' => [['sockets' => $socket."In ¦ rca ¦ in ¦ A\nOut ¦ rca ¦ out ¦ A\n ¦ ¦ up ¦ A"],
        ['sockets', 2, 'lanes[].way'], 'one of'];
    yield 'a route to nowhere' => [['routes' => "from ¦ to\nA ¦ Z"], ['routes', 0, 'to'], 'no point "z"'];
    yield 'no name' => [[], ['model', 0, 'name'], 'may not be empty'];
});

it('keeps what a cell says through text and back', function (Cell $cell, mixed $value, string $text) {
    expect($cell->text($value))->toBe($text)->and($cell->value($text))->toBe($value);
})->with([
    [Cell::Number, -2.5, '-2.5'], [Cell::Flag, false, 'off'], [Cell::Words, ['on', 'db'], 'on, db'], [Cell::Words, [1, 2], '1, 2'],
    [Cell::Texts, ['5 ms, short', '10 ms'], '5 ms, short | 10 ms'], [Cell::Pairs, [[0, -60], [10, 0]], '0=-60, 10=0'],
    [Cell::Pairs, 'straight', 'straight'], [Cell::Value, true, 'on'], [Cell::Value, 'on', '"on"'], [Cell::Value, '48', '"48"'],
    [Cell::Value, 48, '48'], [Cell::Value, 'Stereo', 'Stereo'], [Cell::Text, 'a=b, c', 'a=b, c'],
]);

it('says what each input comes to at each output, as the box is when new', function () {
    $sheets = [
        'points' => "label ¦ kind ¦ channels ¦ fader from ¦ fader to ¦ fader db ¦ mute\nOne ¦ strip ¦ 2 ¦ -90 ¦ 10 ¦ -6 ¦\n"
            ."Two ¦ strip ¦ 2 ¦ -90 ¦ 10 ¦ 0 ¦ on\nMain ¦ bus ¦ 2\nPhones ¦ bus ¦ 2",
        'sockets' => "label ¦ connector ¦ lane way ¦ lane point\nOne in ¦ rca ¦ in ¦ One\nTwo in ¦ rca ¦ in ¦ Two\n"
            ."Main out ¦ rca ¦ out ¦ Main\nPhones out ¦ trs-6.35 ¦ out ¦ Phones",
        'routes' => "from ¦ to ¦ db ¦ tap\nOne ¦ Main\nTwo ¦ Main\nOne ¦ Phones ¦ -3 ¦ pre-fader\nTwo ¦ Phones ¦ ¦ before-mute",
    ];
    $reach = new ModelReach(typed_sheets($sheets)->model('box'));
    // By hand: one is 6 dB down at its fader, two is muted; phones take one before the fader, two before the mute.
    expect(array_values($reach->inputs))->toBe(['One', 'Two'])->and(array_values($reach->outputs))->toBe(['Main', 'Phones'])
        ->and($reach->levels)->toEqual(['main' => ['one' => -6.0], 'phones' => ['one' => -3.0, 'two' => 0.0]]);
    // Whether anything feeds it is no question of what is inside.
    $fed = new ModelReach(typed_sheets([...$sheets, 'model' => "supply\nbus"])->model('box'));
    expect($fed->levels)->toEqual($reach->levels);
});
