<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Jobs\ThinRig;
use App\Models\User;
use App\Rigs\ThinHistory;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

beforeEach(function () {
    $this->travelTo('2027-06-01 12:00:00');
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    DB::table('revisions')->where('rig_id', $this->rig->id)->update(['created_at' => '2027-01-01 08:00:00']);
    // Ten revisions a day on three old days, and ten of yesterday; each has a text of its own.
    $this->text = fn (int $number): string => str_replace('"Penny', "\"Penny {$number}", shipped('rigs/penny-slot.json'));
    foreach (range(2, 40) as $number) {
        $day = ['2027-01-01', '2027-01-02', '2027-01-03', '2027-05-31'][intdiv($number - 1, 10)];
        $this->rig->revisions()->create(['number' => $number, 'parent' => $number - 1, 'what' => "Change {$number}.", 'document' => ($this->text)($number)]);
        DB::table('revisions')->where('rig_id', $this->rig->id)->where('number', $number)
            ->update(['created_at' => "{$day} ".sprintf('09:%02d:00', $number)]);
    }
    $this->rig->update(['at' => 40, 'thins' => true]);
    $this->numbers = fn (): array => $this->rig->revisions()->orderBy('number')->pluck('number')->all();
});

it('keeps the first and last of a day, what is named, used or branched from, and all that is young', function () {
    $set = fn (int $number, array $to) => DB::table('revisions')->where('rig_id', $this->rig->id)->where('number', $number)->update($to);
    $set(5, ['name' => 'As shown']);
    // 26 was made from 14, too: somebody went back to it.
    $set(26, ['parent' => 14]);
    $this->rig->testRuns()->create(['revision' => 17, 'started_at' => now()]);
    expect(ThinHistory::of($this->rig))->toBe(21);
    // By hand: 1 and 10, 11 and 20, 21 and 30 are ends of days; 5 has a name, 14 is a branch point, 17 was tested; 31 to 40 are young.
    expect(($this->numbers)())->toBe([1, 5, 10, 11, 14, 17, 20, 21, 30, ...range(31, 40)]);
    $parents = $this->rig->revisions()->orderBy('number')->pluck('parent', 'number')->all();
    // 30 goes back by 29, 28, 27 and 26, all gone, to 14.
    expect($parents)->toMatchArray([1 => null, 5 => 1, 10 => 5, 11 => 10, 14 => 11, 17 => 14, 20 => 17, 21 => 20, 30 => 14, 31 => 30, 40 => 39]);
    expect($this->rig->revisions()->where('gone', '>', 0)->orderBy('number')->pluck('gone', 'number')->all())
        ->toBe([5 => 3, 10 => 4, 14 => 2, 17 => 2, 20 => 2, 30 => 8]);
    // What stays is as it was, though 1 in 50 is kept in full only; a second time does nothing.
    foreach ($this->rig->revisions()->where('number', '>', 1)->get() as $one) {
        expect($one->document)->toBe(($this->text)($one->number));
    }
    expect(ThinHistory::of($this->rig))->toBe(0);
    $this->artisan('history:check')->assertSuccessful();
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/history")->assertSee('8 revisions before it were thinned out');
});

it('packs anew what stood on a full one that goes', function () {
    // The full one is in the middle of a day, and 24 to 30 are differences to it.
    foreach ($this->rig->revisions()->where('number', '>=', 23)->orderBy('number')->get() as $one) {
        $text = $one->document;
        $one->fill(['document' => $text]);
        $one->number === 23 ? DB::table('revisions')->where('id', $one->id)->update(['document' => null, 'base' => null, 'place' => 0,
            'sum' => hash('xxh64', $text), 'packed' => gzcompress($text)]) : tap($one)->pack()->save();
    }
    expect($this->rig->revisions()->where('number', 30)->value('base'))->toBe(23);
    expect(ThinHistory::of($this->rig))->toBeGreaterThan(20)->and(($this->numbers)())->not->toContain(23);
    foreach ($this->rig->revisions()->where('number', '>', 1)->get() as $one) {
        expect($one->document)->toBe(($this->text)($one->number));
    }
});

it('does nothing that the owner has not asked for', function () {
    $this->rig->update(['thins' => false]);
    expect(ThinHistory::of($this->rig))->toBe(0)->and(($this->numbers)())->toBe(range(1, 40));
    $address = "/rigs/{$this->rig->id}/history/thins";
    Queue::fake();
    Cache::flush();
    $this->actingAs($this->owner)->put($address, ['thins' => '1'])->assertSessionHas('said', 'Old revisions are thinned out from now on.');
    Queue::assertPushed(ThinRig::class, 1);
    // Once a day.
    $this->put($address, ['thins' => '1']);
    Queue::assertPushed(ThinRig::class, 1);
    $this->get("/rigs/{$this->rig->id}/history")->assertSee('Keep every revision');
    (new ThinRig($this->rig->id))->handle();
    expect(count(($this->numbers)()))->toBe(16);
});

it('lets nobody but the owner say so', function () {
    $this->actingAs(User::factory()->create())->put("/rigs/{$this->rig->id}/history/thins", ['thins' => '0'])->assertNotFound();
    expect($this->rig->fresh()->thins)->toBeTrue();
});
