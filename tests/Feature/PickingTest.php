<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\StoredRig;
use App\ViewModels\Computers;
use App\ViewModels\NamesPage;
use App\ViewModels\RigPage;
use App\ViewModels\SceneTable;
use App\ViewModels\SituationsPage;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Unlisted;
use HiddenWire\Core\Signal\Compared;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Http\Request;
use Tests\Support\Draft;

/** What the forms of the Computers, Names and Situations pages change, in the starters that have it. */
beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->open = function (string $file): void {
        $this->rig = app(ImportRig::class)($this->owner, shipped($file));
    };
    $this->edit = fn (array $fields) => $this->actingAs($this->owner)
        ->post("/rigs/{$this->rig->id}/edits", [...$fields, 'revision' => $this->rig->fresh()->revision]);
    $this->now = fn () => StoredRig::load($this->rig->fresh());
    $this->page = fn (string $view, array $query = []): RigPage => new RigPage(
        $this->rig->fresh(),
        $view,
        tap(Request::create('/', 'GET', $query), fn (Request $request) => $request->setUserResolver(fn () => $this->owner)),
    );
});

it('lets a track take channels of the program\'s device, and no device of its own', function () {
    ($this->open)('starters/oral-history.json');
    ($this->edit)(['edit' => 'pick', 'unit' => 'work', 'point' => 'track-2', 'device' => 'program', 'channels' => '1'])->assertSessionHasNoErrors();
    expect(($this->now)()->picks['work/track-2']->channels)->toBe([1])->and(($this->now)()->picks['work/track-2']->device)->toBeNull();
    // Without a word on channels it has as many as it is wide, from the first.
    ($this->edit)(['edit' => 'pick', 'unit' => 'work', 'point' => 'track-3', 'device' => 'program'])->assertSessionHasNoErrors();
    expect(($this->now)()->picks['work/track-3']->channels)->toBe([1, 2]);
    ($this->edit)(['edit' => 'pick', 'unit' => 'work', 'point' => 'track-3', 'device' => 'program', 'channels' => '9'])
        ->assertSessionHasErrors(['channels' => 'Its device has 2 channels.']);
    ($this->edit)(['edit' => 'pick', 'unit' => 'work', 'point' => 'track-3', 'device' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->picks)->not->toHaveKey('work/track-3');
});

it('opens a device for one program alone, tells who holds it, and takes further devices', function () {
    ($this->open)('starters/oral-history.json');
    ($this->edit)(['edit' => 'pick-opens', 'unit' => 'work', 'point' => 'device', 'mode' => 'exclusive'])->assertSessionHasNoErrors();
    expect(($this->now)()->picks['work/device']->mode?->value)->toBe('exclusive');
    $this->get("/rigs/{$this->rig->id}/computers")->assertOk()->assertSee('Recording program has this device for itself: nothing comes through.');
    ($this->edit)(['edit' => 'pick-opens', 'unit' => 'clips', 'point' => 'in-1', 'mode' => '', 'with_also' => '1', 'also' => []])->assertSessionHasNoErrors();
    expect(($this->now)()->picks['clips/in-1']->also)->toBe([]);
    ($this->edit)(['edit' => 'pick-opens', 'unit' => 'clips', 'point' => 'in-1', 'mode' => '', 'with_also' => '1', 'also' => ['cable/out']])
        ->assertSessionHasNoErrors();
    expect(array_map(strval(...), ($this->now)()->picks['clips/in-1']->also))->toBe(['cable/out']);
    // More than the slot takes, and devices of another computer, are refused with the reason.
    ($this->edit)(['edit' => 'pick-opens', 'unit' => 'clips', 'point' => 'in-1', 'with_also' => '1', 'also' => ['cable/out', 'pc/line-in/in']])
        ->assertSessionHasErrors();
    ($this->edit)(['edit' => 'pick-opens', 'unit' => 'clips', 'point' => 'in-1', 'with_also' => '1', 'also' => ['no/where']])->assertSessionHasErrors('device');
    ($this->edit)(['edit' => 'pick-opens', 'unit' => 'work', 'point' => 'track-5', 'mode' => 'shared'])->assertSessionHasErrors('point');
});

it('hides a device, sets its processing, and leaves both where a form does not name them', function () {
    ($this->open)('starters/oral-history.json');
    $device = ['edit' => 'device', 'computer' => 'pc', 'device' => 'cable/out', 'name' => 'Guest', 'enabled' => '1'];
    ($this->edit)([...$device, 'unlisted' => 'hidden', 'with_processing' => '1', 'processing' => ['mono', 'automatic-level']])->assertSessionHasNoErrors();
    $set = ($this->now)()->devices[2];
    expect([$set->unlisted, $set->processing])->toBe([Unlisted::Hidden, [Processing::AutomaticLevel, Processing::Mono]]);
    ($this->edit)($device)->assertSessionHasNoErrors();
    expect(($this->now)()->devices[2]->processing)->toHaveCount(2);
    ($this->edit)([...$device, 'unlisted' => '', 'with_processing' => '1'])->assertSessionHasNoErrors();
    $set = ($this->now)()->devices[2];
    expect([$set->unlisted, $set->processing])->toBe([null, []]);
});

it('plugs a lead in last, in the base and in a situation, and takes it back', function () {
    ($this->open)('starters/night-market.json');
    ($this->edit)(['edit' => 'plug-last', 'cable' => 'w-06', 'situation' => 'hold'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'plug-last', 'cable' => 'w-05', 'situation' => ''])->assertSessionHasNoErrors();
    expect([($this->now)()->base()->plugged, ($this->now)()->situations['hold']->plugged])->toBe([['w-06', 'w-05'], ['w-06']]);
    $groups = (new SituationsPage(($this->page)('situations')))->groups;
    $cell = end($groups[count($groups) - 1]['rows'])['cells']['hold'];
    expect([$cell->stands, $cell->isOwn, $cell->reset])->toBe(['W-05, then W-06', true, ['edit' => 'clear-plugs', 'which' => 'hold']]);
    ($this->edit)(['edit' => 'clear-plugs', 'which' => 'hold'])->assertSessionHasNoErrors();
    expect(($this->now)()->situations['hold']->plugged)->toBe([]);
    ($this->edit)(['edit' => 'plug-last', 'cable' => 'w-99'])->assertSessionHasErrors('cable');
    ($this->edit)(['edit' => 'unplug', 'cable' => 'w-06'])->assertSessionHasNoErrors();
    expect(($this->now)()->base()->plugged)->toBe(['w-05']);
    // Who tries to choose a default there is told why not.
    ($this->edit)(['edit' => 'device', 'computer' => 'tablet', 'device' => 'face/usb/play', 'name' => '', 'enabled' => '1', 'roles' => ['playback']])
        ->assertSessionHasErrors();
    $list = (new Computers(($this->page)('computers'), App\Rigs\CatalogueFiles::programsWith($this->owner)))->computers[0];
    expect($list->takesLast)->toBeTrue()->and($list->defaults)->toBe([]);
});

it('names points and devices, and offers a name from the content where one misleads', function () {
    ($this->open)('rigs/night-relay.json');
    $names = new NamesPage(($this->page)('names'));
    expect($names->misnomers)->toBe([[
        'sentence' => 'Broadcast program · Old console (Source 5) is called Old console, but carries Rally engine',
        'offer' => 'Rally engine',
        'fields' => ['edit' => 'name-point', 'unit' => 'broadcast', 'point' => 'source-5', 'situation' => ''],
    ]]);
    ($this->edit)([...$names->misnomers[0]['fields'], 'name' => 'Rally engine'])->assertSessionHasNoErrors();
    expect((new NamesPage(($this->page)('names')))->misnomers)->toBe([])->and(($this->now)()->units['broadcast']->names['source-5'])->toBe('Rally engine');
    ($this->edit)(['edit' => 'name-point', 'unit' => 'broadcast', 'point' => 'source-5', 'name' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->units['broadcast']->names)->not->toHaveKey('source-5');
    ($this->edit)(['edit' => 'name-point', 'unit' => 'broadcast', 'point' => 'source-5', 'name' => str_repeat('x', 41)])->assertSessionHasErrors('name');
    ($this->edit)(['edit' => 'name-point', 'unit' => 'broadcast', 'point' => 'nowhere', 'name' => 'x'])->assertSessionHasErrors('point');
    ($this->edit)(['edit' => 'name-device', 'computer' => 'cast-pc', 'device' => 'softmix/played-3', 'name' => 'Rally engine'])->assertSessionHasNoErrors();
    expect(array_column((new NamesPage(($this->page)('names')))->misnomers, 'sentence'))->toBe(['Rally engine is called Rally engine, but carries Music']);
    ($this->edit)(['edit' => 'name-device', 'computer' => 'cast-pc', 'device' => 'no/where', 'name' => 'x'])->assertSessionHasErrors('device');
});

it('lists every feed with the sounds that it carries, and the points of the unit that is asked for', function () {
    ($this->open)('rigs/night-relay.json');
    $names = new NamesPage(($this->page)('names', ['select' => 'unit:mixer']));
    $feed = array_values(array_filter($names->feeds, fn (array $one) => $one['program'] === 'Rally game' && $one['goes'] === 'takes'))[0];
    expect($feed['sounds'])->toBe('Driver voice')->and(array_column($feed['stages'], 'name'))
        ->toBe(['Capsule', 'Microphone', 'W-09', 'Microphone 1', 'USB out', 'W-08', 'Driver mic', 'Chat microphone']);
    expect($names->shown?->id)->toBe('mixer')->and(array_column($names->points, 'label'))->toContain('Aux 1', 'Aux 2', 'Main');
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/names?select=unit:mixer")->assertOk()->assertSee('What each feed is called, stage by stage');
});

it('lets an output follow another, copies a recipe, links levels and solos, by the forms of Recipes', function () {
    ($this->open)('starters/guided-evening.json');
    ($this->edit)(['edit' => 'follow', 'unit' => 'desk', 'point' => 'guests', 'of' => 'main', 'with_fader' => '1', 'with_except' => '1', 'except' => ['computer']])
        ->assertSessionHasNoErrors();
    expect(($this->now)()->units['desk']->follows['guests'])->toEqual(new Following('main', true, ['computer']));
    $this->get("/rigs/{$this->rig->id}/recipes?select=unit:desk")->assertOk()->assertSee('follows Main with its fader, except Computer')
        ->assertSee('Hall off')->assertSee('in force');
    ($this->edit)(['edit' => 'follow', 'unit' => 'desk', 'point' => 'guests', 'of' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->units['desk']->follows)->toHaveKeys(['hall'])->not->toHaveKey('guests');
    ($this->edit)(['edit' => 'follow', 'unit' => 'desk', 'point' => 'phones', 'of' => 'main'])->assertSessionHasErrors('of');
    ($this->edit)(['edit' => 'follow', 'unit' => 'desk', 'point' => 'hall', 'of' => 'main', 'with_except' => '1', 'except' => ['nowhere']])
        ->assertSessionHasErrors('except');

    ($this->edit)(['edit' => 'route', 'unit' => 'desk', 'route' => 'mic-1>main', 'db' => '-6'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'copy-recipe', 'unit' => 'desk', 'point' => 'phones', 'from' => 'main'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['desk']->routes['mic-1>phones']->db?->number())->toBe(-6);
    ($this->edit)(['edit' => 'copy-recipe', 'unit' => 'desk', 'point' => 'phones', 'from' => 'phones'])->assertSessionHasErrors('from');

    ($this->edit)(['edit' => 'link-level', 'unit' => 'desk', 'route' => 'mic-1>phones', 'with' => 'mic-1>main'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'route', 'unit' => 'desk', 'route' => 'mic-1>main', 'db' => '-10'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['desk']->routes['mic-1>phones']->db?->number())->toBe(-10)
        ->and(session('said'))->toContain('and with it Host (Mic 1) → Phones at −10.0 dB');
    ($this->edit)(['edit' => 'link-level', 'unit' => 'desk', 'route' => 'mic-1>phones', 'with' => 'mic-1>phones'])->assertSessionHasErrors('with');
    ($this->edit)(['edit' => 'link-level', 'unit' => 'desk', 'route' => 'mic-1>phones', 'with' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->units['desk']->linked)->toBe([]);

    ($this->edit)(['edit' => 'point', 'unit' => 'desk', 'point' => 'mic-1', 'solo' => '1', 'situation' => 'check'])->assertSessionHasNoErrors();
    expect(array_values(array_filter(($this->now)()->situations['check']->changes, fn ($change) => (string) $change->at === 'desk/mic-1'))[0]->set->solo)->toBeTrue();
    ($this->edit)(['edit' => 'point', 'unit' => 'desk', 'point' => 'main', 'solo' => '1'])->assertSessionHasErrors();
});

it('adds, sets, moves, bypasses and removes effects, and marks a wish as dry', function () {
    ($this->open)('starters/storm-watch.json');
    $of = fn (): array => array_map(fn ($effect) => $effect->id, ($this->now)()->units['mix']->effects);
    ($this->edit)(['edit' => 'add-effect', 'unit' => 'mix', 'point' => 'input-1', 'kind' => 'gate'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'add-effect', 'unit' => 'mix', 'point' => 'input-1', 'kind' => 'compressor'])->assertSessionHasNoErrors();
    expect($of())->toBe(['noise-removal', 'compressor', 'gate', 'compressor-2']);
    ($this->edit)(['edit' => 'move-effect', 'unit' => 'mix', 'effect' => 'gate', 'earlier' => '1'])->assertSessionHasNoErrors();
    expect($of())->toBe(['noise-removal', 'gate', 'compressor', 'compressor-2']);
    ($this->edit)(['edit' => 'effect', 'unit' => 'mix', 'effect' => 'gate', 'name' => 'Door', 'delay_ms' => '1.5', 'db' => '-2', 'with_off_for' => '1', 'off_for' => ['mix-1']])
        ->assertSessionHasNoErrors();
    $gate = ($this->now)()->units['mix']->effect('gate');
    expect([$gate->label(), $gate->delay?->number(), $gate->db?->number(), $gate->offFor])->toBe(['Door', 1.5, -2, ['mix-1']]);
    ($this->edit)(['edit' => 'effect', 'unit' => 'mix', 'effect' => 'gate', 'with_off_for' => '1', 'off_for' => ['nowhere']])->assertSessionHasErrors('off_for');
    ($this->edit)(['edit' => 'effect', 'unit' => 'mix', 'effect' => 'gate', 'delay_ms' => '5001'])->assertSessionHasErrors('delay_ms');
    ($this->edit)(['edit' => 'effect', 'unit' => 'mix', 'effect' => 'none'])->assertSessionHasErrors('effect');
    $squeeze = ['edit' => 'effect', 'unit' => 'mix', 'effect' => 'compressor-2', 'with_values' => '1'];
    ($this->edit)([...$squeeze, 'threshold_db' => '-20', 'ratio' => '4', 'make_up_db' => '6', 'high_pass_hz' => '80'])->assertSessionHasNoErrors();
    $values = ($this->now)()->units['mix']->effect('compressor-2')->values;
    // A high-pass is no part of a compressor: it is left out.
    expect([$values->threshold->value(), $values->ratio, $values->makeUp->value(), $values->highPassHz])->toBe([-20.0, 4.0, 6.0, null]);
    ($this->edit)([...$squeeze, 'ratio' => '0.5'])->assertSessionHasErrors('ratio');
    ($this->edit)([...$squeeze, 'threshold_db' => '3'])->assertSessionHasErrors('threshold_db');
    ($this->edit)(['edit' => 'effect', 'unit' => 'mix', 'effect' => 'compressor-2', 'name' => 'Compressor'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['mix']->effect('compressor-2')->values)->toEqual($values);
    $this->get("/rigs/{$this->rig->id}/recipes?select=unit:mix")->assertOk()->assertSee('threshold −20.0 dBFS, ratio 4 : 1, make-up 6.0 dB');
    ($this->edit)($squeeze)->assertSessionHasNoErrors();
    expect(($this->now)()->units['mix']->effect('compressor-2')->values)->toBeNull();
    ($this->edit)(['edit' => 'switch-effect', 'unit' => 'mix', 'effect' => 'gate', 'on' => '0'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'switch-effect', 'unit' => 'mix', 'effect' => 'gate', 'on' => '1', 'situation' => 'plain'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['mix']->effect('gate')->on)->toBeFalse()->and(($this->now)()->situations['plain']->effects)->toHaveCount(3);
    $this->get("/rigs/{$this->rig->id}/recipes?select=unit:mix")->assertOk()->assertSee('4 effects')->assertSee('bypassed');
    $this->get("/rigs/{$this->rig->id}/situations?situation=plain")->assertOk()->assertSeeInOrder(['Software mixer', 'Noise removal of Warden (Input 1)', 'effect', 'bypassed']);
    ($this->edit)(['edit' => 'switch-effect', 'unit' => 'mix', 'effect' => 'gate', 'on' => '', 'situation' => 'plain'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'switch-effect', 'unit' => 'mix', 'effect' => 'gate', 'on' => ''])->assertSessionHasErrors('on');
    ($this->edit)(['edit' => 'remove-effect', 'unit' => 'mix', 'effect' => 'noise-removal'])->assertSessionHasNoErrors();
    expect(($this->now)()->situations['plain']->effects)->toHaveCount(1)->and($of())->toBe(['gate', 'compressor', 'compressor-2']);
    ($this->edit)(['edit' => 'add-effect', 'unit' => 'mic', 'point' => 'mic', 'kind' => 'gate'])->assertSessionHasErrors();

    ($this->edit)(['edit' => 'mark-wish', 'source' => 'music', 'listener' => 'ears', 'treatment' => 'processed'])->assertSessionHasNoErrors();
    $this->get("/rigs/{$this->rig->id}/wishes?pair=music:ears")->assertOk()->assertSee('arrives dry, and should be processed');
});

it('adds, fills, chooses and removes scenes, and tells what each would lack', function () {
    ($this->open)('starters/quiz-night.json');
    $scenes = fn (): array => ($this->now)()->units['cast']->scenes;
    ($this->edit)(['edit' => 'add-scene', 'unit' => 'cast', 'name' => 'The end', 'like' => 'break'])->assertSessionHasNoErrors();
    expect($scenes()[3]->id)->toBe('the-end')->and($scenes()[3]->sources)->toBe(['source-3']);
    ($this->edit)(['edit' => 'add-scene', 'unit' => 'cast', 'name' => 'The end'])->assertSessionHasErrors('name');
    ($this->edit)(['edit' => 'rename-scene', 'unit' => 'cast', 'scene' => 'the-end', 'name' => 'Farewell'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'scene-source', 'unit' => 'cast', 'scene' => 'the-end', 'point' => 'source-1', 'in' => '1'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'scene-source', 'unit' => 'cast', 'scene' => 'the-end', 'point' => 'source-3', 'in' => '0'])->assertSessionHasNoErrors();
    expect($scenes()[3]->name)->toBe('Farewell')->and($scenes()[3]->sources)->toBe(['source-1']);
    ($this->edit)(['edit' => 'scene-source', 'unit' => 'cast', 'scene' => 'the-end', 'point' => 'monitor', 'in' => '1'])->assertSessionHasErrors('point');
    ($this->edit)(['edit' => 'scene-source', 'unit' => 'cast', 'scene' => 'nowhere', 'point' => 'source-1', 'in' => '1'])->assertSessionHasErrors('scene');
    ($this->edit)(['edit' => 'choose-scene', 'unit' => 'cast', 'scene' => 'the-end', 'situation' => 'talk'])->assertSessionHasNoErrors();
    expect(($this->now)()->situations['talk']->scenes[0]->scene)->toBe('the-end');
    $this->get("/rigs/{$this->rig->id}/situations")->assertOk()->assertSeeInOrder(['Broadcast program', 'scene', 'selected', 'Farewell']);
    ($this->edit)(['edit' => 'sound-always', 'unit' => 'cast', 'point' => 'source-3', 'always' => '1'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['cast']->always)->toBe(['source-3']);
    ($this->edit)(['edit' => 'sound-always', 'unit' => 'cast', 'point' => 'source-3', 'always' => '0'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'remove-scene', 'unit' => 'cast', 'scene' => 'the-end'])->assertSessionHasNoErrors();
    expect($scenes())->toHaveCount(3)->and(($this->now)()->situations['talk']->scenes)->toBe([]);

    // A round wants the quizmaster and the wheel: the talk would lack the wheel, the interval both.
    $table = SceneTable::all(($this->page)('tracks'))['cast'];
    expect(array_map(fn (array $row) => [$row['scene']->name, $row['isShown'], $row['lacks'], $row['doubles']], $table->scenes))
        ->toBe([['Round', true, [], []], ['Talk', false, ['Wheel'], []], ['Interval', false, ['Quizmaster', 'Wheel'], []]]);
    expect(array_map(fn (array $row) => [$row['point']->id, $row['in'], $row['always']], $table->rows)[0])
        ->toBe(['source-1', ['round' => true, 'talk' => true, 'break' => false], false]);
    $this->get("/rigs/{$this->rig->id}/tracks")->assertOk()->assertSee('lacks Quizmaster, Wheel');
});

it('adds, ties, shows and removes pictures', function () {
    ($this->open)('starters/quiz-night.json');
    $cast = fn () => ($this->now)()->units['cast'];
    ($this->edit)(['edit' => 'picture', 'unit' => 'cast', 'name' => 'Stage', 'delay_ms' => '33', 'sound' => 'source-3', 'tied' => '1'])->assertSessionHasNoErrors();
    // The music was in Talk and Break: the picture is there now, and brings it.
    expect($cast()->picture('stage')?->isTied)->toBeTrue()->and($cast()->scene('break')?->pictures)->toBe(['stage'])->and($cast()->scene('break')?->sources)->toBe([]);
    ($this->edit)(['edit' => 'scene-source', 'unit' => 'cast', 'scene' => 'round', 'point' => 'source-3', 'in' => '1'])->assertSessionHasErrors('point');
    ($this->edit)(['edit' => 'sound-always', 'unit' => 'cast', 'point' => 'source-3', 'always' => '1'])->assertSessionHasErrors('point');
    ($this->edit)(['edit' => 'picture', 'unit' => 'cast', 'picture' => 'camera', 'name' => 'Camera', 'sound' => 'source-3', 'tied' => '1'])->assertSessionHasErrors('sound');
    ($this->edit)(['edit' => 'picture', 'unit' => 'cast', 'name' => 'Wall', 'sound' => 'stream'])->assertSessionHasErrors('sound');
    ($this->edit)(['edit' => 'scene-picture', 'unit' => 'cast', 'scene' => 'round', 'picture' => 'stage', 'in' => '1'])->assertSessionHasNoErrors();
    $this->get("/rigs/{$this->rig->id}/tracks")->assertOk()->assertSee('33.0 ms late, with Band')->assertSee('goes with Stage');
    ($this->edit)(['edit' => 'remove-picture', 'unit' => 'cast', 'picture' => 'stage'])->assertSessionHasNoErrors();
    expect($cast()->scene('round')?->sources)->toBe(['source-1', 'source-3']);
    ($this->edit)(['edit' => 'remove-picture', 'unit' => 'cast', 'picture' => 'stage'])->assertSessionHasErrors('picture');
});

it('wishes for the balance of another listener, and for one side', function () {
    ($this->open)('rigs/night-relay.json');
    ($this->edit)(['edit' => 'balance', 'listener' => 'presenter', 'like' => 'viewers', 'within_db' => '3'])->assertSessionHasNoErrors();
    expect(($this->now)()->balances)->toEqual([new Balance('presenter', 'viewers', 3.0)]);
    $this->get("/rigs/{$this->rig->id}/wishes")->assertOk()->assertSee('Presenter hears the balance of Viewers within 3.0 dB')->assertSee('sound by sound');
    // The presenter's phones have levels of their own on the desk.
    ($this->edit)(['edit' => 'rebalance', 'listener' => 'presenter', 'like' => 'viewers'])->assertSessionHasNoErrors();
    $now = ($this->now)();
    $off = fn () => (new Compared(new Hearing((new GraphBuilder($now))->build($now->base())), 'presenter', 'viewers'))->beyond(3.0);
    expect($now->units['mixer']->routes['ch-1>phones']->db?->value())->toBe(0.0)->and($off())->not->toHaveKey('voice');
    ($this->edit)(['edit' => 'rebalance', 'listener' => 'viewers', 'like' => 'presenter'])->assertSessionHasErrors('like');
    ($this->edit)(['edit' => 'balance', 'listener' => 'viewers', 'like' => 'viewers', 'within_db' => '3'])->assertSessionHasErrors('like');
    ($this->edit)(['edit' => 'balance', 'listener' => 'viewers', 'like' => 'presenter', 'within_db' => '0'])->assertSessionHasErrors('within_db');
    ($this->edit)(['edit' => 'balance', 'listener' => 'presenter', 'like' => 'viewers', 'within_db' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->balances)->toBe([]);
    ($this->edit)(['edit' => 'mark-wish', 'source' => 'voice', 'listener' => 'viewers', 'side' => 'left'])->assertSessionHasNoErrors();
    $this->get("/rigs/{$this->rig->id}/wishes?pair=voice:viewers")->assertOk()->assertSee('is heard on both sides, and should be on the left only');
});

it('gives a sound a slot of its own in the broadcast program, by one change', function () {
    ($this->open)('starters/puppet-theatre.json');
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/wishes?pair=music:viewers")->assertOk()->assertSeeInOrder(['Source 2 muted', 'Source 2 uses loopback of Music in', 'Source 2 unmuted']);
    ($this->edit)(['edit' => 'own-slot', 'source' => 'music', 'listener' => 'viewers'])->assertSessionHasNoErrors();
    expect(($this->now)()->picks)->toHaveKey('cast/source-2');
    ($this->edit)(['edit' => 'own-slot', 'source' => 'music', 'listener' => 'viewers'])->assertSessionHasErrors('source');
    ($this->edit)(['edit' => 'own-slot', 'source' => 'nobody', 'listener' => 'viewers'])->assertSessionHasErrors('source');
});

it('shows the volumes in series, and leaves one knob to turn', function () {
    ($this->open)('rigs/night-relay.json');
    // The main fader is the viewers', too: there is nothing to bring together.
    ($this->edit)(['edit' => 'one-knob', 'listener' => 'hall'])->assertSessionHasErrors('listener');
    ($this->edit)(['edit' => 'one-knob', 'listener' => 'nobody'])->assertSessionHasErrors('listener');
    $this->get("/rigs/{$this->rig->id}/recipes")->assertOk()->assertSee('Volumes in series')->assertSee('Hall loudspeakers · Loudspeakers');
});

it('says how loud a sound begins, and what would blast', function () {
    ($this->open)('rigs/night-relay.json');
    ($this->edit)(['edit' => 'loudness', 'source' => 'voice', 'loudness' => '0'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'loudness', 'source' => 'rally', 'loudness' => '24', 'measured' => '1'])->assertSessionHasNoErrors();
    expect(($this->now)()->sources['rally']->loudnessWords())->toBe('24.0 dB over nominal, measured');
    // At the archive the voice is at 0 dB, the rally at -6 + 24 = 18 dB.
    $this->get("/rigs/{$this->rig->id}/wishes")->assertOk()->assertSee('Rally engine is 18.0 dB louder than any other sound');
    ($this->edit)(['edit' => 'loudness', 'source' => 'rally', 'loudness' => 'loud'])->assertSessionHasErrors('loudness');
    ($this->edit)(['edit' => 'loudness', 'source' => 'rally', 'loudness' => '', 'measured' => '1'])->assertSessionHasNoErrors();
    expect(($this->now)()->sources['rally']->isMeasured)->toBeFalse();
});

it('plugs a lead into a taken socket for one situation, and takes the other out there', function () {
    ($this->open)('rigs/night-relay.json');
    // The visitor's microphone has its own input; in the break its lead is in the presenter's.
    ($this->edit)(['edit' => 'add-unit', 'model' => 'dynamic-microphone', 'place' => 'desk', 'name' => 'Spare mic', 'count' => '1'])->assertSessionHasNoErrors();
    $break = array_keys(($this->now)()->situations)[1];
    ($this->edit)(['edit' => 'plug-in-turn', 'from' => 'mixer/mic-2', 'to' => 'spare-mic/out', 'which' => $break])->assertSessionHasNoErrors();
    $rig = ($this->now)();
    $new = array_key_last($rig->cables);
    expect($rig->situations[$break]->pulled)->toContain('w-03')->not->toContain($new)->and($rig->base()->pulled)->toContain($new);
    ($this->edit)(['edit' => 'pulled', 'which' => $break, 'cable' => 'w-03', 'back' => '1'])->assertSessionHasNoErrors();
    expect(($this->now)()->situations[$break]->pulled)->toContain($new)->not->toContain('w-03');
    ($this->edit)(['edit' => 'plug-in-turn', 'from' => 'mixer/mic-2', 'to' => 'cast-pc/hdmi', 'which' => $break])->assertSessionHasErrors();
    $this->get("/rigs/{$this->rig->id}/wiring?select=unit:mixer")->assertOk()->assertSee('Another lead in turn');
});

it('sets the level of a mix by what is printed at it, a ducker by whose sound it lowers, and bands of an equaliser', function () {
    $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('mix', 'percent-mixer', 'room');
    $this->rig = app(ImportRig::class)($this->owner, $draft->text());
    $now = fn () => ($this->now)()->units['mix'];
    $printed = ['edit' => 'printed', 'unit' => 'mix', 'route' => 'played-1>mix-1'];
    ($this->edit)([...$printed, 'mark' => '50'])->assertSessionHasNoErrors();
    expect($now()->routes['played-1>mix-1']->db?->value())->toBe(-6.0);
    ($this->edit)([...$printed, 'mark' => '101'])->assertSessionHasErrors('mark');
    ($this->edit)(['edit' => 'route', 'unit' => 'mix', 'route' => 'played-1>mix-1', 'db' => '3'])->assertSessionHasErrors();
    $this->get("/rigs/{$this->rig->id}/recipes?select=unit:mix")->assertOk()->assertSee('Level of Played in 1 in Mix 1 as printed');

    foreach (['ducker' => 'played-1', 'equaliser' => 'input-1'] as $kind => $point) {
        ($this->edit)(['edit' => 'add-effect', 'unit' => 'mix', 'point' => $point, 'kind' => $kind])->assertSessionHasNoErrors();
    }
    $duck = ['edit' => 'effect', 'unit' => 'mix', 'effect' => 'ducker', 'with_values' => '1', 'lowers_db' => '12'];
    ($this->edit)([...$duck, 'ducked_by' => ['input-1', 'input-2']])->assertSessionHasNoErrors();
    expect($now()->effect('ducker')->values->by)->toBe(['input-1', 'input-2'])->and($now()->effect('ducker')->values->lowers?->value())->toBe(12.0);
    ($this->edit)([...$duck, 'ducked_by' => ['played-1']])->assertSessionHasErrors('ducked_by');
    $bands = ['edit' => 'effect', 'unit' => 'mix', 'effect' => 'equaliser', 'with_values' => '1'];
    ($this->edit)([...$bands, 'bands' => '250 −3, 4000 Hz: 2.5 dB', 'high_pass_hz' => '90'])->assertSessionHasNoErrors();
    expect($now()->effect('equaliser')->values->bands)->toEqual([['hz' => 250.0, 'db' => -3.0], ['hz' => 4000.0, 'db' => 2.5]])
        ->and($now()->effect('equaliser')->values->highPassHz)->toBe(90.0);
    foreach (['250', 'low 3', '5 3', '250 99'] as $wrong) {
        ($this->edit)([...$bands, 'bands' => $wrong])->assertSessionHasErrors('bands');
    }
});
