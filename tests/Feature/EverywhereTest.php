<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Crew;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Everywhere;
use App\Rigs\RigFromRows;
use App\Rigs\TwiceBooked;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Rig\Days;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->other = User::factory()->create();
    $this->relay = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->slot = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $this->foreign = app(ImportRig::class)($this->other, shipped('rigs/night-relay.json'));
    $this->edit = fn (Rig $rig, array $fields) => $this->actingAs($rig->user ?? $this->owner)
        ->post("/rigs/{$rig->id}/edits", $fields + ['revision' => $rig->refresh()->revision])->assertSessionHasNoErrors();
    $this->found = fn (string $text, ?User $who = null): array => array_map(
        fn ($page) => array_map(fn (stdClass $one) => "{$one->rig}: {$one->name}", $page->items()),
        (new Everywhere($who ?? $this->owner, $text))->found(),
    );
    $this->number = fn (Rig $rig, string $unit, string $number) => ($this->edit)($rig, ['edit' => 'describe-unit', 'unit' => $unit,
        'name' => RigFromRows::rig($rig)->units[$unit]->name, 'inventory' => $number]);
    $this->days = fn (Rig $rig, string $first, string $last) => ($this->edit)($rig, ['edit' => 'describe-rig', 'name' => $rig->name,
        'summary' => $rig->summary, 'first_day' => $first, 'last_day' => $last]);
});

it('finds a name, a number, a cable and a person in all rigs that somebody may see, and in no other', function () {
    ($this->number)($this->relay, 'mixer', 'PA-07');
    $id = $this->relay->id;
    expect(($this->found)('pa-07'))->toBe(['units' => ["{$id}: Desk mixer"]])
        ->and(($this->found)('w-07'))->toHaveKey('cables')
        ->and(($this->found)('w-07')['cables'][0])->toBe("{$id}: W-07")
        ->and(($this->found)('PRESENTER')['listeners'])->toContain("{$id}: Presenter")
        ->and(($this->found)('penny'))->toHaveKey('rigs')
        ->and(($this->found)('no such thing at all'))->toBe([])
        ->and(($this->found)(''))->toBe([])
        // A sign of the database's patterns is a letter like any other.
        ->and(($this->found)('%'))->toBe([])->and(($this->found)('_'))->toBe([]);
    foreach (($this->found)('e') as $rows) {
        foreach ($rows as $row) {
            expect($row)->not->toStartWith("{$this->foreign->id}: ");
        }
    }
    expect(($this->found)('pa-07', $this->other))->toBe([])->and(($this->found)('presenter', $this->other)['listeners'])->not->toBe([]);
    // By invitation, once it is accepted, and by a crew.
    $member = $this->relay->members()->create(['user_id' => $this->other->id, 'role' => 'view']);
    expect(($this->found)('pa-07', $this->other))->toBe([]);
    $member->update(['accepted_at' => now()]);
    expect(($this->found)('pa-07', $this->other))->toBe(['units' => ["{$id}: Desk mixer"]]);
    $member->delete();
    $crew = Crew::query()->create(['name' => 'Pier']);
    $crew->members()->create(['user_id' => $this->other->id, 'role' => 'view', 'accepted_at' => now()]);
    Rig::query()->whereKey($id)->update(['user_id' => null, 'crew_id' => $crew->id]);
    expect(($this->found)('pa-07', $this->other))->toBe(['units' => ["{$id}: Desk mixer"]])->and(($this->found)('pa-07'))->toBe([]);
});

it('says where a model is used, also by what else it is called', function () {
    $counts = fn (string $text): array => array_map(
        fn (stdClass $one) => [$one->rig, $one->name, $one->count],
        (new Everywhere($this->owner, $text))->found()['models']->items(),
    );
    $model = RigFromRows::rig($this->relay)->modelOf(RigFromRows::rig($this->relay)->units['mixer']);
    $units = count(array_filter(RigFromRows::rig($this->relay)->units, fn ($unit) => $unit->model === $model->id));
    expect($counts($model->name))->toContain([$this->relay->id, $model->name, $units]);
    $headphones = RigFromRows::rig($this->relay);
    $worn = array_filter($headphones->units, fn ($unit) => str_contains(strtolower($headphones->modelOf($unit)->name), 'headphones'));
    expect($worn)->not->toBe([])->and(array_column($counts('cans'), 0))->toContain($this->relay->id);
});

it('shows what it found with the way there', function () {
    ($this->number)($this->relay, 'mixer', 'PA-07');
    $this->actingAs($this->owner)->get('/find?q=PA-07')->assertOk()->assertSee('Desk mixer')->assertSee('number PA-07')
        ->assertSee("/rigs/{$this->relay->id}/stock?select=unit%3Amixer", false)->assertSee($this->relay->name);
    $this->get('/find?q='.urlencode('<qqxz>"'))->assertOk()->assertSee('Nothing in your rigs is called that.')->assertDontSee('<qqxz>"', false);
    $this->get('/find')->assertOk()->assertDontSee('Nothing in your rigs');
    // The finder of a rig leads here last.
    $last = $this->getJson("/rigs/{$this->relay->id}/find?q=mixer")->assertOk()->json();
    expect(end($last))->toBe(['what' => '“mixer” in all rigs', 'kind' => 'find', 'url' => '/find?q=mixer']);
});

it('goes through what was found page by page, fifty at a time', function () {
    for ($i = 1; $i <= 51; $i++) {
        DB::table('sources')->insert(['rig_id' => $this->relay->id, 'key' => "owl-{$i}", 'position' => 1000 + $i,
            'name' => sprintf('Owl %02d', $i), 'kind' => 'voice']);
    }
    $pages = fn (?string $of, int $page): array => array_map(
        fn ($one) => [count($one->items()), $one->items()[0]->name, $one->hasMorePages()],
        (new Everywhere($this->owner, 'owl'))->found($of, $page),
    );
    expect($pages(null, 1))->toBe(['sounds' => [50, 'Owl 01', true]])->and($pages('sounds', 2))->toBe(['sounds' => [1, 'Owl 51', false]])
        ->and($pages('sounds', 3))->toBe([])->and($pages('units', 1))->toBe([]);
    $this->actingAs($this->owner)->get('/find?q=owl')->assertOk()->assertSee('Owl 50')->assertDontSee('Owl 51')
        ->assertSee('/find?q=owl&amp;of=sounds&amp;page=2', false);
    $this->get('/find?q=owl&of=sounds')->assertOk()->assertSee('page=2', false)->assertSee('Next');
    $this->get('/find?q=owl&of=sounds&page=2')->assertOk()->assertSee('Owl 51')->assertDontSee('Owl 50')->assertSee('Before')
        ->assertDontSee('Next');
    // What is no page and no kind is the first of all.
    $this->get('/find?q=owl&of=nothing&page=-1')->assertOk()->assertSee('Owl 01');
    $this->get('/find?q=owl&of=sounds&page=99')->assertOk()->assertSee('There are no more of them.');
});

it('keeps the days of a rig, through rows, revisions and documents', function () {
    ($this->days)($this->relay, '2026-12-05', '2026-12-06');
    $text = (new DocumentWriter)->write(RigFromRows::rig($this->relay->refresh()));
    expect(RigFromRows::rig($this->relay)->days)->toEqual(new Days('2026-12-05', '2026-12-06'))
        ->and($this->relay->revisions()->latest('number')->value('what'))->toBe('The rig is used on 5 to 6 December 2026')
        ->and($text)->toContain('"from": "2026-12-05"');
    $again = app(ImportRig::class)($this->owner, $text)->refresh();
    expect([$again->first_day, $again->last_day])->toBe(['2026-12-05', '2026-12-06']);
    $this->actingAs($this->owner)->get("/rigs/{$this->relay->id}/history/1/2")->assertOk()
        ->assertSee('used on 5 to 6 December 2026 instead of no given days');
    // One day alone is both; both empty are none.
    ($this->days)($this->relay, '', '2026-12-07');
    expect($this->relay->refresh()->first_day)->toBe('2026-12-07');
    ($this->days)($this->relay, '', '');
    expect($this->relay->refresh()->first_day)->toBeNull()->and(RigFromRows::rig($this->relay)->days)->toBeNull();
    foreach ([['2026-12-06', '2026-12-05', 'last_day'], ['2026-02-30', '', 'first_day'], ['tomorrow', '', 'first_day']] as [$from, $to, $field]) {
        $this->post("/rigs/{$this->relay->id}/edits", ['edit' => 'describe-rig', 'name' => 'A', 'summary' => '', 'first_day' => $from,
            'last_day' => $to, 'revision' => $this->relay->refresh()->revision])->assertSessionHasErrors($field);
    }
    // A form without days leaves them unchanged.
    ($this->days)($this->relay, '2026-12-05', '2026-12-06');
    ($this->edit)($this->relay, ['edit' => 'describe-rig', 'name' => 'Other', 'summary' => '']);
    expect($this->relay->refresh())->first_day->toBe('2026-12-05')->name->toBe('Other');
});

it('tells of a number that is in two rigs on the same days', function (string $from, string $to, bool $isTold) {
    ($this->number)($this->relay, 'mixer', 'PA-07');
    $unit = array_key_first(RigFromRows::rig($this->slot)->units);
    ($this->number)($this->slot, $unit, 'PA-07');
    ($this->number)($this->foreign, 'mixer', 'PA-07');
    ($this->days)($this->relay, '2026-12-05', '2026-12-06');
    ($this->days)($this->foreign, '2026-12-05', '2026-12-06');
    ($this->days)($this->slot, $from, $to);
    $twice = TwiceBooked::in($this->relay->refresh(), $this->owner);
    expect(array_map(fn (array $one) => [$one['key'], $one['number'], $one['rig'], $one['otherKey']], $twice))
        ->toBe($isTold ? [['mixer', 'PA-07', $this->slot->id, $unit]] : []);
    $page = $this->actingAs($this->owner)->get("/rigs/{$this->relay->id}/twice")->assertOk();
    $isTold ? $page->assertSee('PA-07')->assertSee('Penny-slot stream') : $page->assertDontSee('PA-07');
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $this->actingAs($this->other)->get("/rigs/{$this->relay->id}/twice")->assertNotFound();
})->with([
    'the same days' => ['2026-12-05', '2026-12-06', true],
    'one day of both' => ['2026-12-06', '2026-12-09', true],
    'up to its first day' => ['2026-12-01', '2026-12-05', true],
    'around it' => ['2026-12-01', '2026-12-31', true],
    'the day after' => ['2026-12-07', '2026-12-09', false],
    'the day before' => ['2026-12-01', '2026-12-04', false],
    'no days' => ['', '', false],
]);

it('does not take a number along when a unit is copied', function () {
    ($this->number)($this->relay, 'mixer', 'PA-07');
    ($this->edit)($this->relay, ['edit' => 'copy-unit', 'unit' => 'mixer', 'units' => ['mixer']]);
    $numbers = array_map(fn ($unit) => $unit->inventory, RigFromRows::rig($this->relay->refresh())->units);
    expect(array_count_values(array_filter($numbers)))->toBe(['PA-07' => 1]);
});
