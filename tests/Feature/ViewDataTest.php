<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\MemberRole;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\CableTable;
use App\ViewModels\CatalogueShelf;
use App\ViewModels\Comparison;
use App\ViewModels\Computers;
use App\ViewModels\MapPage;
use App\ViewModels\OwnModelForm;
use App\ViewModels\OwnModelList;
use App\ViewModels\People;
use App\ViewModels\RecipesPage;
use App\ViewModels\RevisionList;
use App\ViewModels\RigPage;
use App\ViewModels\TimeLine;
use App\ViewModels\WishesPage;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\ShowStep;
use HiddenWire\Core\Sheets\ModelSheets;
use Illuminate\Http\Request;
use Tests\Support\Draft;

beforeEach(function () {
    $this->owner = User::factory()->create(['name' => 'Ivo Tamm']);
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->page = fn (string $view, array $query = [], ?User $who = null): RigPage => new RigPage(
        $this->rig,
        $view,
        tap(Request::create('/', 'GET', $query), fn (Request $request) => $request->setUserResolver(fn () => $who ?? $this->owner)),
    );
});

it('gives a view of a rig the page and one view model, and any other view one', function () {
    $this->owner->ownModels()->create(['key' => 'own-splitter',
        'document' => Json::encode((new DocumentWriter)->model(CatalogueFiles::catalogue()->models['optical-splitter']))]);
    $id = $this->rig->id;
    $given = function (string $address): array {
        $view = $this->actingAs($this->owner)->get($address)->assertOk()->original;

        return array_filter($view->getData(), fn (string $key) => ! in_array($key, ['errors', '__env', 'app'], true), ARRAY_FILTER_USE_KEY);
    };
    foreach (['wishes', 'stock', 'wiring', 'computers', 'recipes', 'names', 'tracks', 'levels', 'controls', 'show', 'checks', 'returns', 'dependence', 'situations', 'doubts', 'bench', 'cables', 'people', 'history', 'history/1/1',
        'find?q=a', 'book', 'import-cables', 'import-wishes', 'cards'] as $view) {
        $data = $given("/rigs/{$id}/{$view}");
        expect(array_key_first($data))->toBe('page')->and([$view, count($data)])->toBe([$view, 2]);
        $more = array_values($data)[1];
        $all = is_array($more) ? $more : [$more];
        expect($all)->not->toBe([])->and([$view, array_unique(array_map(fn ($one) => (new ReflectionClass($one))->getNamespaceName(), $all))])
            ->toBe([$view, ['App\ViewModels']]);
    }
    foreach (['/rigs', '/catalogue', '/models', '/models/new', '/models/mixer'] as $address) {
        $data = array_values($given($address));
        expect([$address, count($data)])->toBe([$address, 1])->and((new ReflectionClass($data[0]))->getNamespaceName())->toBe('App\ViewModels');
    }
});

it('looks through the catalogue', function () {
    $models = CatalogueFiles::catalogue()->models;
    $all = new CatalogueShelf($models, [], []);
    expect($all->total())->toBe(count($models))->and(array_keys($all->found))->toEqualCanonicalizing(array_keys($models))
        ->and($all->chosen)->toBeNull()->and($all->drawing)->toBeNull();
    $some = new CatalogueShelf($models, ['q' => ' Optical ', 'family' => 'splitter', 'model' => 'optical-splitter'], []);
    expect(array_keys($some->found))->toBe(['optical-splitter'])->and($some->chosen)->toBe($models['optical-splitter'])
        ->and($some->drawing)->not->toBeNull()
        ->and($some->url($models['hdmi-splitter']))->toEndWith('/catalogue?q=optical&family=splitter&model=hdmi-splitter');
    // Whatever an address says that is no text, or no model, is passed over.
    $odd = new CatalogueShelf($models, ['q' => ['a'], 'family' => 'no such family', 'model' => ['x' => 'y']], []);
    expect($odd->text)->toBe('')->and($odd->family)->toBeNull()->and($odd->chosen)->toBeNull();
});

it('lists the revisions, marks the one that the rig is at, and leads to what changed since another', function () {
    $this->actingAs($this->owner)->post(
        "/rigs/{$this->rig->id}/edits",
        ['edit' => 'rename', 'thing' => 'units', 'id' => 'mixer', 'name' => 'Night desk', 'revision' => 1],
    )->assertRedirect();
    $list = new RevisionList($this->rig->fresh());
    $revisions = $list->revisions->items();
    expect(array_map(fn ($one) => $one->number, $revisions))->toBe([2, 1])
        ->and(array_map($list->isNow(...), $revisions))->toBe([true, false])
        ->and($list->by($revisions[0]))->toStartWith('Ivo Tamm, ')
        ->and($list->compareUrl($revisions[1]))->toEndWith("/rigs/{$this->rig->id}/history/1/2")
        ->and($revisions[0]->getAttributes())->not->toHaveKey('document');
});

it('says who may come in; links only to the owner', function () {
    $member = User::factory()->create();
    $this->rig->members()->create(['user_id' => $member->id, 'role' => 'edit', 'accepted_at' => null]);
    $this->rig->shares()->create(['name' => 'The stage crew', 'digest' => str_repeat('a', 64), 'expires_at' => null]);
    $this->rig->shares()->create(['name' => 'Last year', 'digest' => str_repeat('b', 64), 'expires_at' => now()->subDay()]);
    $owners = new People($this->rig->fresh(), $this->owner, [7 => 'a week']);
    $today = now()->toDateString();
    expect($owners->mayManage)->toBeTrue()->and($owners->owner)->toBe('Ivo Tamm')
        ->and([$owners->members[0]->role, $owners->members[0]->accepted_at])->toBe([MemberRole::Edit, null])
        ->and(array_map($owners->termOf(...), $owners->shares))->toBe(["made {$today}", "made {$today}, expired"]);
    $members = new People($this->rig->fresh(), $member, []);
    expect($members->mayManage)->toBeFalse()->and($members->shares)->toBe([])->and($members->members)->toHaveCount(1);
});

it('offers what most rigs have and this one has not, and where it can begin and be heard', function () {
    $table = new WishesPage(($this->page)('wishes'));
    $rig = ($this->page)('wishes')->rig;
    $kinds = array_map(fn ($source) => $source->kind->value, array_values($rig->sources));
    expect(array_intersect($table->commonSounds(), $kinds))->toBe([])
        ->and($table->origins)->not->toBe([])->and($table->ears)->not->toBe([])
        ->and($table->nameOf(array_values($rig->listeners)[0]->at[0]))->toBeIn($table->ears);
    $empty = User::factory()->create();
    $looking = new WishesPage(($this->page)('wishes', [], $empty));
    expect($looking->origins)->toBe([])->and($looking->ears)->toBe([])->and($looking->odds)->toHaveCount(count($table->odds));
});

it('draws the map where its layout is known, has it laid out where not, and leaves that to whoever may keep it', function () {
    $first = new MapPage(($this->page)('wiring'), null);
    expect($first->drawing)->toBeNull()->and($first->task['depth'])->toBe('cables')->and(json_decode($first->taskText(), true))
        ->toHaveKeys(['structure', 'graph', 'to'])->and($first->task['graph'])->not->toHaveKey('kept');
});

it('lays the form of an own model out in steps, folds what is empty, and shows what the model would do', function () {
    $new = OwnModelForm::of(null, null);
    expect($new->title())->toBe('New model')->and($new->action())->toEndWith('/models')->and($new->look)->toBeNull();
    $open = fn (OwnModelForm $form): array => array_column(array_filter(
        array_merge(...array_values($form->steps())),
        fn (array $one) => ! $one['isFolded'],
    ), 'key');
    expect($open($new))->toBe(['sockets', 'points', 'routes'])
        ->and(array_keys($new->steps()))->toBe(['Which sockets', 'What goes where inside', 'What can be turned and chosen',
            'What a computer sees', 'What it shows', 'What else is known of it']);
    // Every sheet is in one step.
    expect(array_column(array_merge(...array_values($new->steps())), 'key'))->toEqualCanonicalizing(array_keys(ModelSheets::all()));
    $model = CatalogueFiles::catalogue()->models['eight-input-desk'];
    $from = OwnModelForm::of(null, $model);
    expect($from->head['name'])->toBe("{$model->name}, own")->and($open($from))->toContain('settings', 'meters')
        ->and($from->look?->level('main', 'ch-1'))->toBe('0.0')->and($from->look?->level('aux-1', 'ch-1'))->toBe('·');
    foreach (array_keys(ModelSheets::all()) as $key) {
        $columns = json_decode(OwnModelForm::columns($key), true);
        expect(array_filter($columns, fn (array $one) => $one['isBasic']))->not->toBe([]);
    }
    $own = $this->owner->ownModels()->create(['key' => 'broken', 'document' => '{}']);
    expect((new OwnModelList($this->owner))->models)->toBe([['id' => $own->id, 'name' => 'broken', 'summary' => '']]);
});

it('shows recipes of the selected unit, else of the first, and programs beside the computers', function () {
    $recipes = new RecipesPage(($this->page)('recipes'));
    expect($recipes->shown?->unit)->toBe($recipes->units[0])->and($recipes->isMatrix)->toBeFalse();
    $mixer = new RecipesPage(($this->page)('recipes', ['select' => 'unit:mixer', 'as' => 'matrix']));
    expect($mixer->shown?->unit->id)->toBe('mixer')->and($mixer->isMatrix)->toBeTrue();
    $list = new Computers(($this->page)('computers'), CatalogueFiles::programsWith($this->owner));
    // One at a time: that with most programs, else the selected one, or that on which what is selected runs.
    $shown = fn (string $select): array => array_map(
        fn ($one) => $one->unit->id,
        (new Computers(($this->page)('computers', ['select' => $select]), CatalogueFiles::programsWith($this->owner)))->computers,
    );
    expect(array_map(fn ($one) => $one->id, $list->hosts))->toContain('cast-pc', 'sim-pc')
        ->and(array_map(fn ($one) => $one->unit->id, $list->computers))->toBe(['cast-pc'])
        ->and([$shown('unit:sim-pc'), $shown('unit:game'), $shown('unit:mixer')])->toBe([['sim-pc'], ['sim-pc'], ['cast-pc']])
        ->and(array_filter($list->programs, fn ($model) => ! $model->isProgram()))->toBe([])->and($list->programs)->not->toBe([]);
});

it('compares two revisions: only situations in which anybody hears something else', function () {
    $edit = fn (array $fields) => $this->actingAs($this->owner)
        ->post("/rigs/{$this->rig->id}/edits", [...$fields, 'revision' => $this->rig->fresh()->revision])->assertSessionHasNoErrors();
    $edit(['edit' => 'rename', 'thing' => 'units', 'id' => 'mixer', 'name' => 'Night desk']);
    $edit(['edit' => 'unplug', 'cable' => 'w-17']);
    $compared = function (int $a, int $b): Comparison {
        [$before, $after] = array_map(fn (int $n) => $this->rig->revisions()->where('number', $n)->first(), [$a, $b]);
        $read = fn ($one) => (new HiddenWire\Core\Document\DocumentReader)->readStored($one->document);

        return new Comparison(($this->page)('history'), $before, $after, new RigDifference($read($before), $read($after)));
    };
    expect($compared(1, 2)->heard())->toBe([])->and($compared(1, 2)->words())->toContain(' → ')
        ->and($compared(2, 3)->heard())->not->toBe([]);
    // The pairs whose cell says that it was otherwise are those that the list names.
    $heard = array_values($compared(2, 3)->heard())[0];
    $marked = [];
    foreach ($compared(2, 3)->table($heard) as $sound => $cells) {
        foreach ($cells as $listener => $cell) {
            $marked = [...$marked, ...($cell['before'] === null ? [] : ["{$sound} at {$listener}"])];
        }
    }
    expect($marked)->toEqualCanonicalizing(array_map(fn ($pair) => "{$pair['after']->source->name} at {$pair['after']->listener->name}", $heard->pairs));
});

it('sets the steps that have a time on a line, in their order, the beginning of the show marked', function () {
    $step = fn (string $text, ?int $at): ShowStep => new ShowStep($text, Phase::Prepare, $text, $at);
    $line = new TimeLine([$step('Begin', 0), $step('Unlock', -90), $step('Whenever', null), $step('End', 30)]);
    // From -90 to +30 over 672 units from 24: 5.6 to a minute.
    expect(array_map(fn (array $row) => [$row['text'], $row['clock'], $row['x'], $row['isLeft']], $line->rows))
        ->toBe([['Unlock', '−1:30', 24.0, false], ['Begin', '+0:00', 528.0, true], ['End', '+0:30', 696.0, true]])
        ->and($line->start)->toBe(528.0)
        ->and(array_map(fn (array $mark) => [$mark['text'], $mark['x']], $line->marks))
        ->toBe([['−1:30', 24.0], ['−1:15', 108.0], ['−1:00', 192.0], ['−0:45', 276.0], ['−0:30', 360.0], ['−0:15', 444.0], ['0:00', 528.0], ['+0:15', 612.0], ['+0:30', 696.0]]);
    expect((new TimeLine([]))->rows)->toBe([]);
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/cards")->assertOk()->assertSee('class="time-line"', false)
        ->assertSee('Call the Navigator and go through the card for guests together');
});

it('shows the book without its maps, and gives each of them when the page asks', function () {
    $id = $this->rig->id;
    $page = $this->actingAs($this->owner)->get("/rigs/{$id}/book")->assertOk()->assertSee("/rigs/{$id}/book/map/cables", false)
        ->assertSee('Drawing the map');
    expect($page->getContent())->not->toContain('class="map"');
    foreach (['cables' => 'Cables between units', 'inside' => 'Programs, devices and what passes inside'] as $depth => $caption) {
        $this->get("/rigs/{$id}/book/map/{$depth}")->assertOk()->assertSee($caption)->assertSee('<svg', false)->assertSee('Desk mixer');
    }
    foreach (['everything', 'nowhere'] as $depth) {
        $this->get("/rigs/{$id}/book/map/{$depth}")->assertNotFound();
    }
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/rigs/{$id}/book/map/cables")->assertNotFound();
});

it('draws a hundred cables at a time, each under its number in the rig', function () {
    $rig = Draft::rig();
    foreach (range(1, 120) as $i) {
        $rig->unit("mic-{$i}", 'dynamic-microphone')->unit("box-{$i}", 'line-booster')->cable('xlr', "mic-{$i}/out", "box-{$i}/in");
    }
    $rows = fn (int $page): array => array_filter((new CableTable($rig->make(), $page))->rows(), fn (array $row) => $row['cable'] !== '');
    expect([array_key_first($rows(1)), array_key_last($rows(1)), array_key_first($rows(2)), array_key_last($rows(2))])->toBe([0, 99, 100, 119])
        ->and($rows(9))->toBe($rows(2))->and($rows(-1))->toBe($rows(1))
        ->and(array_map(fn (array $one) => [$one['words'], $one['isHere']], (new CableTable($rig->make(), 2))->pages()))
        ->toBe([['1 to 100', false], ['101 to 120', true]]);
});
