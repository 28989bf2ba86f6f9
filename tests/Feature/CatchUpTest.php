<?php

declare(strict_types=1);

use App\Actions\ChangeRig;
use App\Actions\ImportRig;
use App\Models\Content\Cable;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/*
 * What a web server keeps ready of a rig that another one has changed since.
 */

beforeEach(function () {
    $this->user = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->user, shipped('rigs/night-relay.json'));
    $this->key = 'rig:'.DB::table('identity')->value('id').":{$this->rig->id}";
    // What is in memory, and what is in the cache, as on a web server that has not heard of a change.
    $this->forget = fn () => (new ReflectionProperty(StoredRig::class, 'last'))->setValue(null, null);
    $this->change = fn (object ...$edits) => app(ChangeRig::class)->make(
        $this->rig->fresh(),
        $this->user,
        fn (CoreRig $content) => $edits,
        $this->rig->fresh()->revision,
    );
    $this->elsewhere = function (callable $change): void {
        StoredRig::load($this->rig->fresh());
        $here = Cache::get($this->key);
        $change();
        Cache::put($this->key, $here, 3600);
        ($this->forget)();
    };
    // How many rows of cables are read while the rig is loaded: all tables of a rig are read together, or none.
    $this->loaded = function (): array {
        ($this->forget)();
        DB::flushQueryLog();
        DB::enableQueryLog();
        $loaded = StoredRig::load($this->rig->fresh());
        DB::disableQueryLog();
        $asked = array_filter(DB::getQueryLog(), fn (array $one) => str_contains($one['query'], 'from `cables`'));

        return [(new DocumentWriter)->write($loaded), count($asked)];
    };
    $this->rows = fn (): string => (new DocumentWriter)->write(RigFromRows::rig($this->rig->fresh()));
});

it('catches up with what another web server has changed, without reading rows', function () {
    ($this->elsewhere)(function () {
        ($this->change)(new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(-37))));
        ($this->change)(new Unplug('w-20'), new DescribeUnit('mixer', ['name' => 'Big desk']));
    });
    [$text, $asked] = ($this->loaded)();
    expect($text)->toBe(($this->rows)())->toContain('Big desk', '"fader": -37')->not->toContain('"id": "w-20"')->and($asked)->toBe(0);
    // And from there on.
    ($this->elsewhere)(fn () => ($this->change)(new RemoveUnit('headset-amp')));
    [$text, $asked] = ($this->loaded)();
    expect($text)->toBe(($this->rows)())->not->toContain('"id": "headset-amp"')->and($asked)->toBe(0);
    // The state that it has caught up to is kept as any other.
    expect(($this->loaded)())->toBe([$text, 0]);
});

it('catches up with what another web server has undone', function () {
    ($this->change)(new Unplug('w-20'));
    ($this->elsewhere)(fn () => app(ChangeRig::class)->undo($this->rig->fresh(), $this->rig->fresh()->revision));
    [$text, $asked] = ($this->loaded)();
    expect($text)->toBe(($this->rows)())->toContain('"id": "w-20"')->and($asked)->toBe(0);
});

it('reads the rows where a revision is not what was kept, or is broken', function (callable $break) {
    ($this->elsewhere)(function () use ($break) {
        ($this->change)(new Unplug('w-20'));
        $break($this->rig);
    });
    expect(($this->loaded)())->toBe([($this->rows)(), 1]);
})->with([
    'the first one is another' => fn (Rig $rig) => $rig->revisions()->where('number', 1)->update(['sum' => 'another']),
    'the first one is gone' => fn (Rig $rig) => DB::table('revisions')->where('rig_id', $rig->id)->where('number', 1)->delete(),
    'the last one has no sum' => fn (Rig $rig) => $rig->revisions()->where('number', 2)->update(['sum' => null]),
    'the last one is no document' => fn (Rig $rig) => $rig->revisions()->where('number', 2)->update(['packed' => 'nonsense']),
]);

it('reads the rows where another build has kept the rig', function () {
    ($this->elsewhere)(fn () => ($this->change)(new Unplug('w-20')));
    Cache::put($this->key, igbinary_serialize(['build' => 'another'] + igbinary_unserialize(Cache::get($this->key))), 3600);
    expect(($this->loaded)())->toBe([($this->rows)(), 1]);
});

it('goes by the rows where the last revision says something else', function () {
    Cable::query()->where('rig_id', $this->rig->id)->where('key', 'w-20')->update(['label' => 'By hand']);
    Cache::forget($this->key);
    [$text] = ($this->loaded)();
    expect($text)->toContain('By hand');
    ($this->change)(new DescribeUnit('mixer', ['name' => 'Big desk']));
    $now = $this->rig->fresh()->revisions()->where('number', 2)->sole()->document;
    expect($now)->toContain('By hand', 'Big desk')->toBe(($this->rows)());
});

it('says the same of a change whether or not it has heard what was there before', function () {
    $rig = app(ImportRig::class)($this->user, shipped('starters/lighthouse-log.json'));
    $said = [];
    foreach ([true, false] as $isHeard) {
        $page = "/rigs/{$rig->id}/wishes?situation=listening";
        $this->actingAs($this->user)->get($page)->assertOk();
        $isHeard || Cache::flush();
        ($this->forget)();
        $said[] = $this->actingAs($this->user)->postJson(
            "/rigs/{$rig->id}/edits",
            ['edit' => 'point', 'unit' => 'rec', 'point' => 'source-2', 'mute' => '1', 'situation' => 'reading', 'revision' => $rig->fresh()->revision],
            ['X-Page' => "http://localhost{$page}"],
        )->assertOk()->json('said');
        app(ChangeRig::class)->undo($rig->fresh(), $rig->fresh()->revision);
    }
    expect($said[0])->toContain('Not as wished now in Reading the log: Sea weather at Weather track.')->and($said[1])->toBe($said[0]);
});
