<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\StoredRig;
use App\ViewModels\DependencePage;
use App\ViewModels\LevelDiagram;
use App\ViewModels\RigPage;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Http\Request;

/** Findings, levels, returns and dependence on the screen and by the command line. */
beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->edit = fn (array $fields) => $this->actingAs($this->owner)
        ->post("/rigs/{$this->rig->id}/edits", [...$fields, 'revision' => $this->rig->fresh()->revision]);
    $this->now = fn () => StoredRig::load($this->rig->fresh());
    $this->see = fn (string $view) => $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/{$view}")->assertOk();
    $this->finding = fn (string $code): Finding => array_values(array_filter(
        App\Rigs\Causes::of($this->rig->fresh(), ($this->now)())->findings,
        fn (Finding $one) => $one->code === $code,
    ))[0];
});

it('looks once the page is shown, and counts in the frame of every view', function () {
    ($this->see)('checks')->assertSee('Looking at the rig')->assertSee('Run the checks');
    ($this->see)('recipes')->assertSee('x-data="causes"', false)->assertSee('What cures them is being looked for.');
    $this->getJson("/rigs/{$this->rig->id}/causes")->assertOk()->assertJson(['found' => '1 fault, 10 risks, 1 note']);
    ($this->see)('recipes')->assertSeeInOrder(['>Checks</span>', '1 thing open'], false)->assertDontSee('x-data="causes"', false);
    ($this->see)('checks')->assertSee('Line booster needs phantom power, and it is off at Desk mixer · Mic 1');
});

it('shows findings of one severity, kind and place, and nothing for what is none', function () {
    ($this->see)('checks?causes=1&severity=note')->assertSee('follows a default of')->assertDontSee('closes a ground loop')->assertDontSee('5 causes for 32 cells');
    ($this->see)('checks?causes=1&kind=ground')->assertSee('W-32 closes a ground loop')->assertDontSee('stand 1.8 dB over');
    ($this->see)('checks?causes=1&place=hall')->assertSee('W-32 closes a ground loop')->assertDontSee('stand 1.8 dB over');
    ($this->see)('checks?causes=1&severity=none&kind=none&place=nowhere')->assertSee('needs phantom power');
});

it('makes a cure by one change, says what is new, and takes it back', function () {
    $all = App\Rigs\Causes::of($this->rig->fresh(), ($this->now)())->findings;
    $number = array_search('plug.digital-format', array_map(fn (Finding $one) => $one->code, $all), true) + 1;
    $sentence = $all[$number - 1]->cures[0]->sentence;
    ($this->see)("wishes?try=f{$number}.1")->assertSee('Preview.')->assertSee($sentence);
    ($this->edit)(['edit' => 'cure', 'cure' => "f{$number}.1", 'sentence' => 'something else'])->assertSessionHasErrors('edit');
    ($this->edit)(['edit' => 'cure', 'cure' => "f{$number}.1", 'sentence' => $sentence])->assertSessionHasNoErrors();
    expect(($this->now)()->units['old-console']->values)->toContain('Stereo');
    ($this->see)('checks?causes=1')->assertDontSee('sends coded surround');
    // Without it again it is new since somebody last looked.
    $this->post("/rigs/{$this->rig->id}/undo", ['revision' => $this->rig->fresh()->revision]);
    $this->getJson("/rigs/{$this->rig->id}/causes")->assertJson(['found' => '1 fault, 10 risks, 1 note, 1 new']);
});

it('accepts a finding with a reason, which is kept with the rig and in its book, and opens it again', function () {
    $finding = ($this->finding)('ground.loop');
    ($this->edit)(['edit' => 'accept', 'evidence' => $finding->evidence(), 'why' => ''])->assertSessionHasErrors('why');
    ($this->edit)(['edit' => 'accept', 'evidence' => $finding->evidence(), 'why' => 'It does not hum here.'])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->acceptanceOf($finding->evidence())?->says)->toBe($finding->sentence);
    ($this->see)('checks?causes=1')->assertSee('It does not hum here.')->assertSee('1 accepted');
    ($this->edit)(['edit' => 'reopen', 'evidence' => $finding->evidence()])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->accepted)->toBe([]);
});

it('lights the evidence of a finding on the map, and the grounds', function () {
    $finding = ($this->finding)('ground.loop');
    ($this->see)("wiring?finding={$finding->evidence()}")->assertSee($finding->sentence);
    ($this->see)('wiring?layer=ground')->assertSee('2 leads to isolate, 2 channels: 1 isolator of two mono lines.')->assertSee('W-33');
    ($this->see)('wiring?finding=nothing')->assertDontSee('Back to the finding');
});

it('writes down what was measured, and refuses what can not be', function () {
    ($this->edit)(['edit' => 'measure', 'about' => 'sources/voice', 'kind' => 'speech', 'value' => '71.5'])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->measured(MeasureKind::Speech))->toBe(['sources/voice' => 71.5]);
    // 5.5 dB more than usual: so much less gain.
    ($this->see)('levels')->assertSee('17.2 dB');
    foreach ([['about', ['about' => 'sources/nobody']], ['kind', ['kind' => 'noise']], ['kind', ['kind' => 'weight']], ['value', ['value' => '121']], ['value', ['value' => 'loud']]] as [$field, $wrong]) {
        ($this->edit)([...['edit' => 'measure', 'about' => 'sources/voice', 'kind' => 'speech', 'value' => '60'], ...$wrong])->assertSessionHasErrors($field);
    }
    $text = (new DocumentWriter)->write(($this->now)());
    expect($text)->toContain('"measures": [{"about": "sources/voice", "kind": "speech", "value": 71.5}]')->and((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
    ($this->edit)(['edit' => 'measure', 'about' => 'sources/voice', 'kind' => 'speech', 'value' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->measures)->toBe([]);
});

it('draws a level diagram: each stage in order, peaks above it, the maximum at one height', function () {
    $rig = ($this->now)();
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->base()));
    $pair = $hearing->pair('voice', 'viewers');
    $diagram = new LevelDiagram($pair, Chain::of($hearing->graph(), $pair));
    expect(count($diagram->columns))->toBe(count($diagram->chain->stages))->and(array_unique(array_filter(array_column($diagram->columns, 'max'), fn ($max) => $max !== null)))->toHaveCount(1);
    foreach ($diagram->columns as $i => $column) {
        expect($column['peak'])->toBeLessThan($column['level'])->and($column['level'])->toBeLessThanOrEqual($column['floor'])->and($column['x'])->toBe(LevelDiagram::LEFT + LevelDiagram::STAGE * $i + 59);
    }
    ($this->see)('levels?at=viewers')->assertSee('Stage by stage to Viewers')->assertSee('Balance at Viewers');
    ($this->see)('levels?at=nobody')->assertSee('Stage by stage to Viewers');
});

it('shows what callers get, and makes the right mix by one change', function () {
    ($this->see)('returns')->assertSee('own voice, not in this mix')->assertSee('Set this return');
    $hears = fn (): bool => (new Hearing((new GraphBuilder($now = ($this->now)()))->build($now->base())))->pair('navigator', 'ferry')->isHeard();
    expect($hears())->toBeFalse();
    // What comes from the computer into the mix that goes to the navigator: the navigator is in it.
    ($this->edit)(['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-usb>aux-2', 'on' => '1'])->assertSessionHasNoErrors();
    expect($hears())->toBeTrue();
    ($this->see)('returns')->assertSee('ms late');
    expect(($this->finding)('hear.own-return')->sentence)->toStartWith('Navigator hears Navigator back, ')->toEndWith(' ms late, by Desk mixer · Computer → Aux 2');
    ($this->edit)(['edit' => 'right-mix', 'listener' => 'ferry'])->assertSessionHasNoErrors();
    expect($hears())->toBeFalse();
    ($this->edit)(['edit' => 'right-mix', 'listener' => 'nobody'])->assertSessionHasErrors('listener');
});

it('says what hangs on what', function () {
    $page = fn (array $query = []): DependencePage => new DependencePage(new RigPage(
        $this->rig->fresh(),
        'dependence',
        tap(Request::create('/', 'GET', $query), fn (Request $request) => $request->setUserResolver(fn () => $this->owner)),
    ));
    $all = $page();
    // 34 cells must be heard and are; what takes a sixth of them, 6 or more, is drawn, and the rest when it is asked for.
    expect([$all->wanted, $all->from, $all->rows[0]->name(), $all->rows[0]->count, $all->selected])->toBe([34, 6, 'Desk mixer', 27, null])
        ->and($all->hears)->toBe(['presenter' => 7, 'driver-ears' => 4, 'viewers' => 7, 'archive' => 6, 'clip' => 5, 'ferry' => 2, 'team' => 1, 'hall' => 2])
        ->and($page(['all' => '1'])->rows)->toHaveCount($all->all)->and(count($all->rows))->toBeLessThan($all->all)
        ->and(array_map(fn ($row) => $row->count, $page(['all' => '1'])->rows))->each->toBeGreaterThan(0);
    $one = $page(['select' => 'cable:w-19'])->selected;
    expect([$one->name(), $one->count, array_map(count(...), $one->lost)])->toBe(['W-18 – Isolator B – W-19', 7, ['clip' => 5, 'ferry' => 2]]);
    ($this->see)('dependence?select=unit:mixer')->assertSee('takes 27 of 34 wanted sounds along.')
        ->assertSee('is not touched.');
    ($this->see)('wiring?select=unit:mixer&layer=dark')
        ->assertSee('Without Desk mixer, 27 of 34 wanted sounds are lost.');
    ($this->see)('dependence')->assertSee('When this fails')->assertSee('Desk mixer')->assertSee('What has to run first')->assertSee('When something takes the defaults');
});

it('tells findings on the command line, and makes their cures', function () {
    $file = resource_path('rigs/night-relay.json');
    $this->artisan("rig:mend {$file}")->expectsOutputToContain('plug.digital-format: Old console')->assertSuccessful();
    $out = tempnam(sys_get_temp_dir(), 'mended');
    $number = array_search('plug.digital-format', array_map(fn (Finding $one) => $one->code, App\Rigs\Causes::of($this->rig->fresh(), ($this->now)())->findings), true) + 1;
    $this->artisan("rig:mend {$file} --finding={$number} -o {$out}")->assertSuccessful();
    expect((new DocumentReader)->read((string) file_get_contents((string) $out))->units['old-console']->values)->toContain('Stereo');
    $this->artisan("rig:mend {$file} --finding=99 -o {$out}")->expectsOutputToContain('There is no finding 99: this document has 1 to 12.')->assertFailed();
    $this->artisan("rig:mend {$file} --finding={$number} --cure=9 -o {$out}")->expectsOutputToContain('has no cure 9')->assertFailed();
    unlink((string) $out);
});
