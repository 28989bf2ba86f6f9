<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $row = (array) DB::table('revisions')->where('rig_id', $this->rig->id)->first();
    DB::table('revisions')->insert(array_map(fn (int $number) => ['id' => null, 'number' => $number, 'what' => "Change {$number}."] + $row, range(2, 120)));
});

it('shows the history fifty at a time, by number and not by counting, and every one of them once', function () {
    $seen = [];
    $address = "/rigs/{$this->rig->id}/history";
    for ($pages = 0; $address !== null && $pages < 5; $pages++) {
        DB::enableQueryLog();
        $page = $this->actingAs($this->owner)->get($address)->assertOk()->getContent();
        foreach (DB::getQueryLog() as ['query' => $query]) {
            expect(strtolower($query))->not->toContain(' offset ');
        }
        DB::flushQueryLog();
        preg_match_all('/Change (\d+)\./', (string) $page, $found);
        array_push($seen, ...array_values(array_unique(array_map(intval(...), $found[1]))));
        $address = preg_match('/<a[^>]* href="([^"]*cursor=[^"]*)"[^>]*rel="next"/', (string) $page, $next) === 1 ? html_entity_decode($next[1]) : null;
    }
    expect($pages)->toBe(3)->and($seen)->toBe(range(120, 2));
});

it('finds what pages and edits ask for by an index', function () {
    // Enough of others that reading all would be the worse way.
    $other = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $row = (array) DB::table('revisions')->where('rig_id', $other->id)->first();
    foreach (array_chunk(range(2, 3000), 500) as $numbers) {
        DB::table('revisions')->insert(array_map(fn (int $number) => ['id' => null, 'number' => $number] + $row, $numbers));
    }
    DB::statement('ANALYZE TABLE revisions');
    $id = $this->rig->id;
    foreach ([
        'a page of the history' => $this->rig->revisions()->select(['id', 'number'])->where('number', '<', 70)->latest('number')->limit(51),
        'one revision' => $this->rig->revisions()->where('number', 30),
        'the latest number' => Revision::query()->where('rig_id', $id)->latest('number')->limit(1),
        'what redoing goes to' => $this->rig->revisions()->select(['number', 'what'])->where('parent', 40)->latest('number')->limit(1),
        'the last full one' => Revision::query()->where('rig_id', $id)->where('number', '<', 90)->whereNotNull('packed')->latest('number')->limit(1),
    ] as $what => $query) {
        $plan = (array) DB::select('EXPLAIN '.$query->toRawSql())[0];
        expect($plan['key'])->not->toBeNull($what)->and((int) $plan['rows'])->toBeLessThan(200, $what);
    }
});
