<?php

declare(strict_types=1);

use App\Actions\ChangeRig;
use App\Actions\ImportRig;
use App\Models\Revision;
use App\Models\User;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    // So many changes, one after another; what was saved is what the core wrote.
    $this->saved = [1 => shipped('rigs/night-relay.json')];
    $this->change = function (int $times): void {
        for ($i = 0; $i < $times; $i++) {
            $db = -1 - count($this->saved) / 10;
            $made = app(ChangeRig::class)->make($this->rig->refresh(), $this->owner, fn () => [
                new SetPoint(new PointRef('mixer', 'ch-'.(1 + $i % 2)), new PointSettings(fader: Decibels::of($db))),
            ], $this->rig->revision);
            $this->saved[] = (new DocumentWriter)->write($made->after);
        }
    };
    $this->read = fn (): array => $this->rig->revisions()->orderBy('number')->get()
        ->mapWithKeys(fn (Revision $one) => [$one->number => $one->document])->all();
});

it('keeps revisions packed, a full one in fifty, and gives each back byte for byte', function () {
    ($this->change)(119);
    expect(($this->read)())->toBe($this->saved);
    // By hand: the first is in full and 49 are differences to it; so the 51st and the 101st are.
    $bases = $this->rig->revisions()->orderBy('number')->pluck('base', 'number');
    expect($bases->filter(fn (?int $base) => $base === null)->keys()->all())->toBe([1, 51, 101])
        ->and($bases[50])->toBe(1)->and($bases[52])->toBe(51)->and($bases[120])->toBe(101)
        ->and($this->rig->revisions()->whereNotNull('document')->count())->toBe(0);
    // A change of one fader takes less than a hundredth of the document.
    $sizes = DB::table('revisions')->where('rig_id', $this->rig->id)->selectRaw('number, LENGTH(packed) AS size')->pluck('size', 'number');
    expect($sizes[52])->toBeLessThan(strlen($this->saved[1]) / 100)->and($sizes[1])->toBeLessThan(strlen($this->saved[1]) / 5);
    $this->artisan('history:check')->expectsOutputToContain('120 revisions read, none broken.')->assertSuccessful();
    // Undoing, going back and comparing read them too.
    app(ChangeRig::class)->restore($this->rig->refresh(), $this->owner, 30, $this->rig->revision);
    expect($this->rig->revisions()->where('number', 121)->sole()->document)->toBe($this->saved[30]);
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/history/40/90")->assertOk()->assertSee('fader');
});

it('loses no more than stands on a row that is broken, and says which', function () {
    ($this->change)(109);
    DB::table('revisions')->where('rig_id', $this->rig->id)->where('number', 51)->update(['packed' => random_bytes(500)]);
    DB::table('revisions')->where('rig_id', $this->rig->id)->where('number', 20)->update(['packed' => gzcompress('[[0, 5]]')]);
    $read = ($this->read)();
    expect(array_keys(array_filter($read, fn (string $text) => $text === '')))->toBe([20, ...range(51, 100)])
        ->and(array_filter($read))->toBe(array_diff_key($this->saved, array_flip([20, ...range(51, 100)])));
    expect(Artisan::call('history:check'))->toBe(1)
        ->and(Artisan::output())->toContain("Rig {$this->rig->id}, revision 51, can't be read any more.")
        ->toContain("revision 20, which stands on revision 1, can't be read any more.")->toContain('110 revisions read, 51 broken.');
    // The next change is kept in full, or on one that is whole.
    ($this->change)(1);
    expect($this->rig->revisions()->where('number', 111)->sole()->document)->toBe(end($this->saved));
});

it('reads what an earlier version has kept in full, and packs it when asked', function () {
    ($this->change)(5);
    foreach ($this->saved as $number => $text) {
        DB::table('revisions')->where('rig_id', $this->rig->id)->where('number', $number)
            ->update(['document' => $text, 'packed' => null, 'base' => null, 'place' => 0, 'sum' => null]);
    }
    expect(($this->read)())->toBe($this->saved);
    ($this->change)(1);
    $this->artisan('history:pack')->expectsOutputToContain('6 revisions packed.')->assertSuccessful();
    expect(($this->read)())->toBe($this->saved)
        ->and($this->rig->revisions()->whereNotNull('document')->count())->toBe(0)
        ->and($this->rig->revisions()->whereNull('base')->count())->toBe(2);
});

it('does not take one full document for another whose number came again', function () {
    ($this->change)(2);
    expect(($this->read)())->toBe($this->saved);
    // As after a backup of another rig was put in place of this one: the same numbers, another document.
    $other = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $this->rig->revisions()->delete();
    DB::table('revisions')->where('rig_id', $other->id)->update(['rig_id' => $this->rig->id]);
    $this->rig->update(['at' => 1]);
    $second = $this->rig->revisions()->create(['number' => 2, 'what' => 'The same again', 'document' => shipped('rigs/penny-slot.json')]);
    expect($second->base)->toBe(1)->and(Revision::query()->whereKey($second->id)->sole()->document)->toBe(shipped('rigs/penny-slot.json'));
});
