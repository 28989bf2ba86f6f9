<?php

declare(strict_types=1);

use App\Actions\ChangeRig;
use App\Actions\CreateRig;
use App\Actions\ImportRig;
use App\Models\Crew;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigCounts;
use App\Rigs\StoredRig;
use App\ViewModels\Shelf;
use HiddenWire\Core\Edit\RenumberCables;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->as = function (User $user) {
        auth()->guard('web')->forgetUser();
        $this->flushSession();

        return $this->actingAs($user);
    };
    $this->user = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->user, shipped('rigs/penny-slot.json'));
});

it('shows a page of rigs by what is kept with them, and reads none', function () {
    $row = (array) DB::table('rigs')->find($this->rig->id);
    foreach (range(1, 60) as $i) {
        $id = DB::table('rigs')->insertGetId(['id' => null, 'name' => "Rig {$i}", 'updated_at' => now()->subDays($i)] + $row);
        DB::table('revisions')->insert([
            'rig_id' => $id, 'number' => 1, 'what' => 'Copied', 'document' => 'never read', 'counts' => '{"ok": 3, "missing": 2}',
            'units' => 4, 'cables' => 1, 'build' => 'x',
        ]);
    }
    Cache::flush();
    DB::enableQueryLog();
    $page = $this->actingAs($this->user)->get('/')->assertOk()->assertSee('61 rigs')->assertSee('2 missing')
        ->assertSee('4 units · 1 cable');
    expect(substr_count((string) $page->getContent(), 'data-rig='))->toBe(Shelf::PER_PAGE)->and(count(DB::getQueryLog()))->toBeLessThan(12);
    // The next page begins behind the last rig of this one; a rig that is changed meanwhile moves none to another page.
    preg_match('/href="([^"]+)" rel="next"/', (string) $page->getContent(), $next);
    $first = Rig::query()->where('name', 'Rig 5')->sole();
    DB::table('rigs')->where('id', $first->id)->update(['updated_at' => now()->addMinute()]);
    $second = (string) $this->get(html_entity_decode($next[1]))->assertOk()->assertDontSee('What do you have?')->assertSee('rel="prev"', false)
        ->getContent();
    $named = fn (string $html): array => preg_match_all('/<h2>Rig (\d+)</', $html, $found) > 0 ? array_map(intval(...), $found[1]) : [];
    expect($named((string) $page->getContent()))->toBe(range(1, 49))->and($named($second))->toBe(range(50, 60));
    foreach (DB::getQueryLog() as ['query' => $query]) {
        expect($query)->not->toContain('offset');
    }
});

it('finds a person\'s rigs by indexes', function (bool $hasCrew) {
    $others = array_map(
        fn (int $i) => ['name' => "Somebody {$i}", 'email' => "somebody-{$i}@example.test", 'password' => 'x'],
        range(1, 50),
    );
    DB::table('users')->insert($others);
    $row = array_diff_key((array) DB::table('rigs')->find($this->rig->id), ['id' => 0]);
    foreach (DB::table('users')->where('email', 'like', 'somebody%')->pluck('id') as $owner) {
        DB::table('rigs')->insert(array_fill(0, 40, ['user_id' => $owner] + $row));
    }
    if ($hasCrew) {
        $crew = Crew::query()->create(['name' => 'Night pier']);
        $crew->members()->create(['user_id' => $this->user->id, 'role' => 'edit', 'accepted_at' => now()]);
        DB::table('rigs')->insert(array_fill(0, 5, ['user_id' => null, 'crew_id' => $crew->id] + $row));
    }
    DB::statement('ANALYZE TABLE rigs, members, crew_members');
    $query = $this->user->visibleRigs();
    $plan = DB::select('EXPLAIN '.$query->toSql(), $query->getBindings());
    foreach ($plan as $step) {
        // Derived tables and the union of the two are read whole; what is stored never is.
        if (! str_starts_with((string) $step->table, '<')) {
            expect($step->type)->not->toBe('ALL', json_encode($step))->and($step->key)->not->toBeNull();
        }
    }
    expect(array_sum(array_map(fn ($step) => (int) $step->rows, $plan)))->toBeLessThan(100);
})->with(['without a crew' => [false], 'with a crew' => [true]]);

it('counts at the change what nobody has to count later, and later what was too large or counted by another build', function () {
    expect(RigCounts::isKnown($this->rig->revisions()->sole()))->toBeTrue();
    $this->rig->revisions()->update(['counts' => null, 'build' => 'another']);
    $this->actingAs($this->user)->get('/')->assertSee('not counted yet')->assertSee('data-standings');
    $this->getJson('/rigs/standings')->assertExactJson(['left' => 0]);
    $this->get('/')->assertDontSee('not counted yet')->assertDontSee('data-standings');
    expect(array_sum($this->rig->revisions()->sole()->counts))
        ->toBe(count(StoredRig::load($this->rig)->sources) * count(StoredRig::load($this->rig)->listeners));
});

it('lets a blank rig be looked at and laid out', function () {
    $blank = app(CreateRig::class)($this->user, 'Blank');
    $this->actingAs($this->user)->get('/')->assertOk()->assertSee('Blank')->assertSee('0 units · 0 cables');
    foreach (['wishes', 'stock', 'wiring', 'computers', 'recipes', 'tracks', 'levels', 'controls', 'show', 'checks', 'returns', 'dependence', 'situations', 'cables', 'people', 'history'] as $view) {
        $this->get("/rigs/{$blank->id}/{$view}")->assertOk();
    }
    expect(Artisan::call("rig:layout {$blank->id}"))->toBe(0)->and($blank->layouts()->count())->toBe(4);
});

it('says on every page of a rig that it can\'t be read, in the list too, and brings it back', function () {
    DB::table('places')->where('rig_id', $this->rig->id)->limit(1)->update(['name' => "Desk\x07"]);
    Cache::flush();
    (new ReflectionProperty(StoredRig::class, 'last'))->setValue(null, null);
    foreach (['wishes', 'wiring', 'history', 'people', 'stock'] as $view) {
        $this->actingAs($this->user)->get("/rigs/{$this->rig->id}/{$view}")->assertStatus(422)->assertSee('control characters')
            ->assertSee('Restore revision 1');
    }
    $this->postJson("/rigs/{$this->rig->id}/edits", ['edit' => 'describe-rig', 'name' => 'x', 'revision' => 1])->assertStatus(422)
        ->assertJsonPath('message', fn (string $says) => str_contains($says, 'can\'t be read'));
    $this->get('/')->assertOk()->assertSee('This rig can\'t be read', false)->assertSee('Restore revision 1');
    $this->get("/rigs/{$this->rig->id}/document")->assertOk();
    $this->get('/account/export')->assertOk();
    $this->post("/rigs/{$this->rig->id}/recover")->assertRedirect('/');
    $this->get("/rigs/{$this->rig->id}/wishes")->assertOk();
    $this->get('/')->assertDontSee('This rig can\'t be read', false);
});

it('names each state apart, though a restored backup counts its revisions anew', function () {
    $change = app(ChangeRig::class);
    $before = DB::table('rigs')->find($this->rig->id);
    $change->make($this->rig, $this->user, fn () => [new RenumberCables], 1);
    $one = StoredRig::stateOf($this->rig->fresh());
    // The backup of before: the same numbers are given again to other contents.
    DB::table('revisions')->where('rig_id', $this->rig->id)->where('number', 2)->delete();
    DB::table('rigs')->where('id', $this->rig->id)->update((array) $before);
    $change->make($this->rig->fresh(), $this->user, fn () => [new RenumberCables], 1);
    expect($this->rig->fresh()->revision)->toBe(2)->and(StoredRig::stateOf($this->rig->fresh()))->not->toBe($one);
});

it('puts another\'s rig into the list when the invitation is accepted, and out when it is left', function () {
    $guest = User::factory()->create(['name' => 'Guest']);
    ($this->as)($this->user)->post("/rigs/{$this->rig->id}/people", ['email' => $guest->email, 'role' => 'edit'])
        ->assertSessionHas('said', fn (string $says) => str_contains($says, 'waits in their list'));
    ($this->as)($guest)->get('/')->assertSee("{$this->user->name}")->assertSee('invites you to')->assertDontSee('data-rig=', false);
    $this->get("/rigs/{$this->rig->id}/wishes")->assertNotFound();
    $invitation = $guest->invitations()->sole();
    ($this->as)($this->user)->post("/invitations/{$invitation->id}")->assertNotFound();
    ($this->as)($guest)->post("/invitations/{$invitation->id}")->assertRedirect('/');
    $this->get('/')->assertSee('data-rig=', false)->assertDontSee('invites you to');
    $this->get("/rigs/{$this->rig->id}/wishes")->assertOk();
    $this->delete("/rigs/{$this->rig->id}/people")->assertRedirect('/');
    $this->get("/rigs/{$this->rig->id}/wishes")->assertNotFound();
    $this->get('/')->assertDontSee('data-rig=', false);
});

it('says the same whether somebody has an account or not, and lets an invitation be declined', function () {
    $guest = User::factory()->create();
    $said = [];
    foreach ([$guest->email, 'nobody@example.test'] as $email) {
        ($this->as)($this->user)->post("/rigs/{$this->rig->id}/people", ['email' => $email, 'role' => 'view'])->assertSessionHasNoErrors();
        $said[] = str_replace($email, '', (string) session('said'));
    }
    expect($said[0])->toBe($said[1]);
    ($this->as)($guest)->delete("/invitations/{$guest->invitations()->sole()->id}")->assertRedirect('/');
    expect(Rig::query()->whereHas('members')->count())->toBe(0);
});
