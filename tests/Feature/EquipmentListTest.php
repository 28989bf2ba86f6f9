<?php

declare(strict_types=1);

use App\Actions\CreateRig;
use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\Rigs\StoredRig;
use App\ViewModels\EquipmentList;
use App\ViewModels\Places;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\SourceKind;
use Tests\Support\Draft;

beforeEach(function () {
    $this->user = User::factory()->create();
    $this->empty = app(CreateRig::class)($this->user, 'Nothing yet');
    $this->read = fn (string $text, $rig = null): EquipmentList => new EquipmentList(
        $text,
        $rig ?? StoredRig::load($this->empty),
        CatalogueFiles::catalogue()->models,
    );
    $this->edit = fn (array $fields) => $this->actingAs($this->user)
        ->post("/rigs/{$this->empty->id}/edits", [...$fields, 'revision' => $this->empty->fresh()->revision]);
    $this->now = fn () => StoredRig::load($this->empty->fresh());
});

it('reads how many, what it is called and which model a line means', function (string $line, int $count, string $name, string $model) {
    $read = ($this->read)($line)->lines;
    expect($read)->toHaveCount(1)
        ->and([$read[0]['count'], $read[0]['name'], $read[0]['model']])->toBe([$count, $name, $model]);
})->with([
    ['2 dynamic microphones', 2, '', 'dynamic-microphone'],
    ['- 3x XLR isolator = no such thing', 1, '3x XLR isolator', ''],
    ['two webcams', 2, '', 'webcam'],
    ['a gaming computer', 1, '', 'gaming-computer'],
    ['Presenter mic = dynamic microphone', 1, 'Presenter mic', 'dynamic-microphone'],
    ['Guests = 3 dynamic microphones', 3, 'Guests', 'dynamic-microphone'],
    ['99 webcams', EquipmentList::COUNT, '', 'webcam'],
    ['teapot of glass', 1, '', ''],
]);

it('puts computers at places of their own, programs where the computer is, and the rest at the desk or under a heading', function () {
    $read = ($this->read)("webcam\ngame\nLeft = gaming computer\ngame\nRight = streaming computer\nbroadcast program\ntablet\n\n"
        ."Balcony:\ndynamic microphone\nold console\n\ndynamic microphone");
    expect(array_column($read->lines, 'place'))->toBe([
        'new:desk:Desk', 'new:desk:Desk', 'new:computer:Left', 'new:computer:Left', 'new:computer:Right', 'new:computer:Right',
        'new:tablet:Tablet', 'new:console:Balcony', 'new:console:Balcony', 'new:desk:Desk',
    ])->and($read->places)->toHaveKey('new:computer:Left', 'Left (new)');
    // Two computers of one name are at two places, each with its programs.
    expect(array_column(($this->read)("laptop\ngame\nlaptop\ngame")->lines, 'place'))->toBe([
        'new:computer:Laptop', 'new:computer:Laptop', 'new:computer:Laptop 2', 'new:computer:Laptop 2',
    ]);
    // What is there already is used: by its name, as the desk, as the computer.
    $rig = Draft::rig()->place('table')->unit('pc', 'laptop', 'table')->make();
    expect(array_column(($this->read)("game\n\ntable:\nwebcam", $rig)->lines, 'place'))->toBe(['table', 'table']);
});

it('reads at most so many lines, and nothing of what is empty', function () {
    expect(($this->read)(str_repeat("webcam\n", EquipmentList::MOST + 5))->lines)->toHaveCount(EquipmentList::MOST)
        ->and(($this->read)(" \n\n-\n")->lines)->toBe([]);
});

it('adds what was read in one step that can be undone, and tells it in one line', function () {
    $lines = [
        ['model' => 'laptop', 'count' => '1', 'name' => 'Show laptop', 'place' => 'new:computer:Show laptop'],
        ['model' => 'game', 'count' => '1', 'name' => '', 'place' => 'new:computer:Show laptop'],
        ['model' => '', 'count' => '1', 'name' => '', 'place' => 'new:desk:Left out'],
        ['model' => 'dynamic-microphone', 'count' => '2', 'name' => 'Mic', 'place' => 'new:desk:Desk'],
    ];
    ($this->edit)(['edit' => 'add-list', 'lines' => $lines])->assertSessionHasNoErrors();
    $rig = ($this->now)();
    expect(session('said'))->toStartWith('Added 4 units and 2 places: Show laptop, Game, Mic and Mic 2')
        ->and(array_map(fn ($unit) => [$unit->name, $unit->place], array_values($rig->units)))->toBe([
            ['Show laptop', 'show-laptop'], ['Game', 'show-laptop'], ['Mic', 'desk'], ['Mic 2', 'desk'],
        ])
        ->and($rig->places['show-laptop']->kind->value)->toBe('computer')->and($rig->places)->not->toHaveKey('left-out');
    ($this->edit)(['edit' => 'add-list', 'lines' => [['model' => 'webcam', 'place' => 'desk']]])->assertSessionHasNoErrors();
    expect(session('said'))->toStartWith('Added 1 unit: Webcam');
});

it('says at which line something is wrong, and adds nothing', function (array $line, string $field) {
    ($this->edit)(['edit' => 'add-list', 'lines' => [['model' => 'webcam', 'place' => 'new:desk:Desk'], $line]])
        ->assertSessionHasErrors($field);
    expect(($this->now)()->units)->toBe([]);
})->with([
    'no such model' => [['model' => 'teapot', 'place' => 'new:desk:Desk'], 'lines.1.model'],
    'no place' => [['model' => 'webcam', 'place' => 'nowhere'], 'lines.1.place'],
    'a place of no kind' => [['model' => 'webcam', 'place' => 'new:moon:Crater'], 'lines.1.place'],
    'a place without a name' => [['model' => 'webcam', 'place' => 'new:desk: '], 'lines.1.place'],
    'too many' => [['model' => 'webcam', 'place' => 'new:desk:Desk', 'count' => '99'], 'lines.1.count'],
]);

it('refuses a list without a model, and a program where no computer is', function () {
    ($this->edit)(['edit' => 'add-list', 'lines' => [['model' => '', 'place' => 'new:desk:Desk']]])->assertSessionHasErrors('lines');
    ($this->edit)(['edit' => 'add-list', 'lines' => [['model' => 'game', 'place' => 'new:desk:Desk']]])->assertSessionHasErrors('edit');
    expect(($this->now)()->places)->toBe([]);
});

it('shows what was read, with the likeliest model chosen', function () {
    $this->actingAs($this->user)->get("/rigs/{$this->empty->id}/stock?".http_build_query(['list' => "2 dynamic microphones\nteapot of glass"]))
        ->assertOk()->assertSee('2 lines read')->assertSee('nothing answers to that')
        ->assertSee('<option value="dynamic-microphone" selected', false);
});

it('finds where sounds likely start and listeners likely listen: of what fits, what is called alike, each place once', function () {
    $rig = Draft::rig()->unit('left', 'dynamic-microphone')->unit('right', 'dynamic-microphone')->unit('phones', 'closed-headphones')
        ->with(fn (array $d) => [
            'units' => array_map(fn (array $unit) => ['name' => ['left' => 'Door mic', 'right' => 'Guest mic', 'phones' => 'Phones'][$unit['id']]]
                + $unit, $d['units']),
            'sources' => [
                ['id' => 'guest', 'name' => 'Guest', 'kind' => 'voice', 'origins' => []],
                ['id' => 'host', 'name' => 'Host', 'kind' => 'voice', 'origins' => []],
                ['id' => 'song', 'name' => 'Song', 'kind' => 'music', 'origins' => []],
            ],
            'listeners' => [['id' => 'me', 'name' => 'Me', 'kind' => 'headphones', 'at' => []]],
        ] + $d)->make();
    expect(Places::likelyStarts($rig))->toBe(['guest' => 'right/capsule', 'host' => 'left/capsule'])
        ->and(Places::likelyEars($rig))->toBe(['me' => 'phones/ear'])
        ->and(Places::onlyStart($rig, SourceKind::Voice))->toBeNull()
        ->and(Places::onlyEar($rig, ListenerKind::Headphones))->toBe('phones/ear')
        ->and(Places::onlyEar($rig, ListenerKind::Stream))->toBeNull();
});

it('places all that is suggested by one click, and takes the only place that fits a new sound', function () {
    $rig = app(ImportRig::class)($this->user, shipped('starters/lighthouse-log.json'));
    $this->empty = $rig;
    $before = ($this->now)();
    $sound = array_key_first($before->sources);
    $at = (string) $before->sources[$sound]->origins[0]->at;
    ($this->edit)(['edit' => 'place-sound', 'source' => $sound, 'at' => $at, 'away' => '1'])->assertSessionHasNoErrors();
    $listener = array_key_first($before->listeners);
    $ear = (string) $before->listeners[$listener]->at[0];
    ($this->edit)(['edit' => 'place-listener', 'listener' => $listener, 'at' => $ear, 'away' => '1'])->assertSessionHasNoErrors();
    $this->get("/rigs/{$rig->id}/wishes")->assertOk()->assertSee('Set 2 as suggested');
    ($this->edit)(['edit' => 'place-all', 'starts' => [$sound => $at], 'listens' => [$listener => $ear]])->assertSessionHasNoErrors();
    expect((string) ($this->now)()->sources[$sound]->origins[0]->at)->toBe($at)
        ->and((string) ($this->now)()->listeners[$listener]->at[0])->toBe($ear);
    ($this->edit)(['edit' => 'place-all', 'starts' => ['nobody' => $at]])->assertSessionHasErrors('starts');
    ($this->edit)(['edit' => 'place-all', 'listens' => [$listener => 'no/where']])->assertSessionHasErrors('listens');
    ($this->edit)(['edit' => 'place-all'])->assertSessionHasErrors('starts');

    ($this->edit)(['edit' => 'add-unit', 'model' => 'old-console', 'place' => array_key_first($before->places), 'name' => 'Old console'])
        ->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'add-source', 'name' => 'Console', 'kind' => 'console'])->assertSessionHasNoErrors();
    expect(session('said'))->toStartWith('New sound: Console, starts at ')
        ->and(array_values(($this->now)()->sources)[count($before->sources)]->origins)->toHaveCount(1);
});

it('brings the service by which a caller is heard and hears, and one guest more for the next', function () {
    ($this->edit)(['edit' => 'add-listener', 'name' => 'Ferry', 'kind' => 'caller'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'add-source', 'name' => 'Ferry', 'kind' => 'caller'])->assertSessionHasNoErrors();
    $rig = ($this->now)();
    expect(Places::lacksService($rig, array_values($rig->listeners)[count($rig->listeners) - 1]))->toBeTrue();
    $id = array_key_last($rig->listeners);
    $units = count($rig->units);
    ($this->edit)(['edit' => 'bring-service', 'listener' => $id])->assertSessionHasNoErrors();
    $rig = ($this->now)();
    $service = array_values($rig->units)[$units];
    expect([count($rig->units), $service->model, $rig->places[$service->place]->kind->value])->toBe([$units + 1, 'call-service', 'remote'])
        ->and(array_map(strval(...), $rig->listeners[$id]->at))->toBe(["{$service->id}/ear-1"])
        ->and((string) $rig->sources['ferry']->origins[0]->at)->toBe("{$service->id}/voice-1");
    ($this->edit)(['edit' => 'bring-service', 'listener' => $id])->assertSessionHasErrors('listener');
    // The next one is a guest more of the same service.
    ($this->edit)(['edit' => 'add-listener', 'name' => 'Lighthouse', 'kind' => 'caller'])->assertSessionHasNoErrors();
    $next = array_key_last(($this->now)()->listeners);
    ($this->edit)(['edit' => 'bring-service', 'listener' => $next])->assertSessionHasNoErrors();
    expect(count(($this->now)()->units))->toBe($units + 1)
        ->and(array_map(strval(...), ($this->now)()->listeners[$next]->at))->toBe(["{$service->id}/ear-2"]);
    ($this->edit)(['edit' => 'bring-service', 'source' => 'nobody'])->assertSessionHasErrors('source');
});
