<?php

declare(strict_types=1);

use App\Actions\DeleteAccount;
use App\Actions\ImportRig;
use App\Actions\LeaveCrew;
use App\Models\Crew;
use App\Models\CrewMember;
use App\Models\Deed;
use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigFromRows;
use HiddenWire\Core\Document\DocumentWriter;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

beforeEach(function () {
    Storage::fake('local');
    $this->people = [];
    $this->crew = Crew::query()->create(['name' => 'Night pier']);
    foreach (['manage', 'edit', 'test', 'view'] as $role) {
        $this->people[$role] = User::factory()->create(['name' => ucfirst($role).' Wren']);
        $this->crew->members()->create(['user_id' => $this->people[$role]->id, 'role' => $role, 'accepted_at' => now()]);
    }
    $this->people['stranger'] = User::factory()->create(['name' => 'Otto Krill']);
    $this->rig = app(ImportRig::class)($this->people['manage'], shipped('rigs/night-relay.json'), crew: $this->crew)->refresh();
    $this->as = function (string $who) {
        auth()->guard('web')->forgetUser();
        $this->flushSession();

        return $this->actingAs($this->people[$who]);
    };
});

it('lets each do with a crew\'s rig what their role is for', function (string $method, string $path, array $fields, array $expected) {
    foreach (array_combine(['manage', 'edit', 'test', 'view', 'stranger'], $expected) as $who => $status) {
        DB::beginTransaction();
        $answer = ($this->as)($who)->from('/here')->call($method, "/rigs/{$this->rig->id}{$path}", $fields + ['revision' => 1]);
        expect([$who, $answer->baseResponse->getStatusCode()])->toBe([$who, $status]);
        DB::rollBack();
        Cache::flush();
    }
    expect((new DocumentWriter)->write(RigFromRows::rig($this->rig->fresh())))->toBe(shipped('rigs/night-relay.json'));
})->with([
    'looking' => ['GET', '/wishes', [], [200, 200, 200, 200, 404]],
    'its people' => ['GET', '/people', [], [200, 200, 200, 200, 404]],
    'a test' => ['POST', '/bench', [], [302, 302, 302, 403, 404]],
    'ticks' => ['POST', '/cards/run-down', ['ticks' => []], [200, 200, 200, 403, 404]],
    'an edit' => ['POST', '/edits', ['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1'], [302, 302, 403, 403, 404]],
    'a link' => ['POST', '/shares', ['name' => 'Venue', 'days' => 7], [302, 403, 403, 403, 404]],
    'to an account' => ['PUT', '/owner', ['to' => 'me'], [302, 403, 403, 403, 404]],
    'away' => ['DELETE', '', [], [302, 403, 403, 403, 404]],
]);

it('lets each do with the crew what their role is for', function (string $method, string $path, array $fields, array $expected) {
    $path = strtr($path, ['{view}' => (string) $this->crew->members()->where('user_id', $this->people['view']->id)->sole()->id]);
    foreach (array_combine(['manage', 'edit', 'test', 'view', 'stranger'], $expected) as $who => $status) {
        DB::beginTransaction();
        $answer = ($this->as)($who)->from('/here')->call($method, "/crews/{$this->crew->id}{$path}", $fields);
        expect([$who, $answer->baseResponse->getStatusCode()])->toBe([$who, $status]);
        DB::rollBack();
        Cache::flush();
    }
})->with([
    'looking' => ['GET', '', [], [200, 200, 200, 200, 404]],
    'its name' => ['PUT', '', ['name' => 'Day pier'], [302, 403, 403, 403, 404]],
    'its end' => ['DELETE', '', [], [302, 403, 403, 403, 404]],
    'an invitation' => ['POST', '/people', ['email' => 'nobody@hidden-wire.test', 'role' => 'view'], [302, 403, 403, 403, 404]],
    'another role' => ['PUT', '/people/{view}', ['role' => 'manage'], [302, 403, 403, 403, 404]],
    'somebody out' => ['DELETE', '/people/{view}', [], [302, 403, 403, 403, 404]],
]);

it('is begun, filled by invitation, and tells who did what to whom', function () {
    ($this->as)('stranger')->post('/crews', ['name' => 'Lamp room'])->assertSessionHas('said', 'The crew Lamp room is there. Invite its people next.');
    $crew = Crew::query()->where('name', 'Lamp room')->sole();
    $this->post("/crews/{$crew->id}/people", ['email' => strtoupper($this->people['edit']->email), 'role' => 'edit'])
        ->assertSessionHas('said', "Invited. If {$this->people['edit']->email} has an account here, the invitation waits in their list of rigs.");
    // Nobody learns who has an account.
    $this->post("/crews/{$crew->id}/people", ['email' => 'nobody@hidden-wire.test', 'role' => 'view'])
        ->assertSessionHas('said', 'Invited. If nobody@hidden-wire.test has an account here, the invitation waits in their list of rigs.');
    // Until it is accepted, an invitation opens nothing.
    ($this->as)('edit')->get("/crews/{$crew->id}")->assertNotFound();
    $this->get('/')->assertSee('You are invited to the crew')->assertSee('Lamp room')->assertSee('you may edit its rigs');
    $invitation = $this->people['edit']->crewInvitations()->sole();
    ($this->as)('view')->post("/crews/invitations/{$invitation->id}")->assertNotFound();
    ($this->as)('edit')->post("/crews/invitations/{$invitation->id}")->assertRedirect("/?crew={$crew->id}");
    $this->get("/crews/{$crew->id}")->assertOk()->assertDontSee('Who let whom in');
    ($this->as)('stranger')->put("/crews/{$crew->id}/people/{$invitation->id}", ['role' => 'test'])
        ->assertSessionHas('said', 'Edit Wren may look at the rigs of the crew and test now.');
    $this->delete("/crews/{$crew->id}/people/{$invitation->id}")->assertSessionHas('said');
    expect(Deed::in($crew)->pluck('what')->reverse()->values()->all())->toBe([
        'Began the crew Lamp room.',
        "Invited {$this->people['edit']->email} to edit the rigs of the crew Lamp room.",
        'Invited nobody@hidden-wire.test to look at the rigs of the crew Lamp room.',
        'Joined the crew Lamp room.',
        'In the crew Lamp room: Edit Wren may look at the rigs of the crew and test now.',
        'Removed Edit Wren from the crew Lamp room.',
    ]);
    $this->get("/crews/{$crew->id}")->assertSee('Removed Edit Wren');
    ($this->as)('edit')->get('/account')->assertSee('Removed Edit Wren from the crew Lamp room.');
});

it('owns the rigs that are begun in it, by whoever may edit', function () {
    ($this->as)('edit')->get("/?crew={$this->crew->id}")->assertOk()->assertSee('New rig of Night pier')->assertSee($this->rig->name)
        ->assertDontSee("Delete {$this->rig->name}");
    $this->post('/rigs/blank', ['name' => 'Deck two', 'crew' => $this->crew->id])->assertRedirect();
    $this->post('/rigs/starter', ['starter' => 'crab-race', 'crew' => $this->crew->id])->assertRedirect();
    expect($this->crew->rigs()->count())->toBe(3)->and($this->people['edit']->rigs()->count())->toBe(0)
        ->and(Rig::query()->where('name', 'Deck two')->sole()->revisions()->sole()->user_id)->toBe($this->people['edit']->id);
    foreach (['test', 'view', 'stranger'] as $who) {
        ($this->as)($who)->post('/rigs/blank', ['name' => 'Not theirs', 'crew' => $this->crew->id])->assertNotFound();
    }
    ($this->as)('view')->get("/?crew={$this->crew->id}")->assertOk()->assertSee('Deck two')->assertDontSee('New rig');
    // All rigs and the crew's own are distinguished; another's crew is none.
    app(ImportRig::class)($this->people['view'], shipped('rigs/penny-slot.json'));
    $this->get('/')->assertSee('Deck two')->assertSee('of the crew Night pier')->assertSee('Penny-slot stream');
    $this->get("/?crew={$this->crew->id}")->assertDontSee('Penny-slot stream');
    ($this->as)('stranger')->get("/?crew={$this->crew->id}")->assertOk()->assertDontSee('Deck two')->assertDontSee('Night pier');
});

it('counts its own limits', function () {
    config(['limits.rigs' => 2]);
    ($this->as)('edit')->post('/rigs/blank', ['name' => 'Second', 'crew' => $this->crew->id])->assertSessionHasNoErrors();
    $this->post('/rigs/blank', ['name' => 'Third', 'crew' => $this->crew->id])->assertSessionHasErrors(['rigs' => 'The crew Night pier has '
        .'2 of 2 rigs, and no more are kept for one crew. Delete rigs that are not needed.']);
    $this->post('/rigs/blank', ['name' => 'Own'])->assertSessionHasNoErrors();
    config(['limits.crews' => 1]);
    ($this->as)('manage')->post('/crews', ['name' => 'Another'])->assertSessionHasErrors('name');
});

it('takes a rig over and hands it back, with its people and history', function () {
    $rig = app(ImportRig::class)($this->people['edit'], shipped('rigs/penny-slot.json'));
    $rig->members()->create(['user_id' => $this->people['stranger']->id, 'role' => 'view', 'accepted_at' => now()]);
    ($this->as)('edit')->get("/rigs/{$rig->id}/people")->assertSee('Hand it over')->assertSee('the crew Night pier');
    $this->put("/rigs/{$rig->id}/owner", ['to' => $this->crew->id])->assertSessionHas('said', "{$rig->name} is the crew Night pier's now.");
    expect($rig->refresh())->user_id->toBeNull()->crew_id->toBe($this->crew->id)
        ->and($rig->roleOf($this->people['edit']))->toBe(MemberRole::Edit)
        ->and($rig->roleOf($this->people['stranger']))->toBe(MemberRole::View)
        ->and($rig->revisions()->sole()->user_id)->toBe($this->people['edit']->id);
    // Who handed it over has no more than their role now.
    $this->put("/rigs/{$rig->id}/owner", ['to' => 'me'])->assertForbidden();
    ($this->as)('test')->get("/rigs/{$rig->id}/people")->assertOk()->assertSee('the crew that owns it')->assertDontSee('Hand it over');
    ($this->as)('manage')->put("/rigs/{$rig->id}/owner", ['to' => 'me'])->assertSessionHas('said', "{$rig->name} is yours now.");
    expect($rig->refresh())->user_id->toBe($this->people['manage']->id)->crew_id->toBeNull()
        ->and($rig->roleOf($this->people['edit']))->toBeNull();
    // Not to a crew that somebody is not in, or may only look at.
    ($this->as)('stranger');
    $own = app(ImportRig::class)($this->people['stranger'], shipped('rigs/penny-slot.json'));
    $this->put("/rigs/{$own->id}/owner", ['to' => $this->crew->id])->assertNotFound();
    $looked = app(ImportRig::class)($this->people['view'], shipped('rigs/penny-slot.json'));
    ($this->as)('view')->put("/rigs/{$looked->id}/owner", ['to' => $this->crew->id])->assertNotFound();
});

it('takes the better of two roles', function () {
    $this->rig->members()->create(['user_id' => $this->people['view']->id, 'role' => 'edit', 'accepted_at' => now()]);
    $this->rig->members()->create(['user_id' => $this->people['edit']->id, 'role' => 'view', 'accepted_at' => now()]);
    expect($this->rig->roleOf($this->people['view']))->toBe(MemberRole::Edit)->and($this->rig->roleOf($this->people['edit']))->toBe(MemberRole::Edit);
});

it('is always managed by somebody', function () {
    $last = $this->crew->members()->where('user_id', $this->people['manage']->id)->sole();
    ($this->as)('manage')->delete("/crews/{$this->crew->id}/people")->assertSessionHasErrors(['crew' => 'Somebody has to manage the crew. '
        .'Give another person the role manage first.']);
    $this->delete("/crews/{$this->crew->id}/people/{$last->id}")->assertSessionHasErrors('crew');
    $this->put("/crews/{$this->crew->id}/people/{$last->id}", ['role' => 'edit'])->assertSessionHasErrors('crew');
    $this->post("/crews/{$this->crew->id}/people", ['email' => $this->people['manage']->email, 'role' => 'view'])->assertSessionHasErrors('crew');
    expect($last->refresh()->role)->toBe(MemberRole::Manage);
    // Somebody who is only invited manages nothing yet.
    $this->crew->members()->create(['user_id' => $this->people['stranger']->id, 'role' => 'manage']);
    expect(app(LeaveCrew::class)($this->crew, $last))->toBeFalse();
    CrewMember::query()->where('user_id', $this->people['stranger']->id)->update(['accepted_at' => now()]);
    ($this->as)('manage')->delete("/crews/{$this->crew->id}/people")->assertRedirect('/crews');
    ($this->as)('manage')->get("/rigs/{$this->rig->id}/wishes")->assertNotFound();
});

it('ends without rigs only', function () {
    ($this->as)('manage')->delete("/crews/{$this->crew->id}")->assertSessionHasErrors(['crew' => 'The crew owns 1 rig. Hand them over or '
        .'delete them first.']);
    $this->delete("/rigs/{$this->rig->id}")->assertRedirect('/');
    $this->delete("/crews/{$this->crew->id}")->assertRedirect('/crews');
    expect(Crew::query()->count())->toBe(0)->and(CrewMember::query()->count())->toBe(0);
});

it('keeps its rigs when an account goes, and is managed on', function () {
    $before = (new DocumentWriter)->write(RigFromRows::rig($this->rig));
    app(DeleteAccount::class)($this->people['manage']);
    expect((new DocumentWriter)->write(RigFromRows::rig($this->rig->fresh())))->toBe($before)
        ->and($this->rig->fresh()->roleOf($this->people['edit']))->toBe(MemberRole::Manage)
        ->and($this->rig->fresh()->roleOf($this->people['test']))->toBe(MemberRole::Test)
        ->and(Deed::in($this->crew)->first())->what->toBe("Edit Wren manages the crew Night pier now: Manage Wren's account is deleted.")
        ->whom_id->toBe($this->people['edit']->id);
    foreach (['view', 'test'] as $who) {
        app(DeleteAccount::class)($this->people[$who]);
    }
    expect($this->crew->managers()->sole()->user_id)->toBe($this->people['edit']->id)->and(Rig::query()->count())->toBe(1);
    // Who is only invited keeps no crew.
    $this->crew->members()->create(['user_id' => $this->people['stranger']->id, 'role' => 'edit']);
    ($this->as)('edit')->get('/account')->assertSee('Night pier has nobody else');
    app(DeleteAccount::class)($this->people['edit']);
    expect(Rig::query()->count())->toBe(0)->and(Crew::query()->count())->toBe(0);
});

it('has one owner for each rig, said by the database', function () {
    expect(fn () => DB::table('rigs')->where('id', $this->rig->id)->update(['user_id' => $this->people['edit']->id]))
        ->toThrow(Illuminate\Database\QueryException::class);
});
