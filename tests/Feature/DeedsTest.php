<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Deed;
use App\Models\User;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->owner = User::factory()->create(['name' => 'Marigold Finch'])->refresh();
    $this->guest = User::factory()->create(['name' => 'Barnaby Teal'])->refresh();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $this->as = function (User $user) {
        auth()->guard('web')->forgetUser();
        $this->flushSession();

        return $this->actingAs($user);
    };
    $this->what = fn () => Deed::query()->orderBy('id')->get()->map(fn (Deed $one) => "{$one->by}: {$one->what}")->all();
});

it('keeps who let whom into a rig', function () {
    $at = "/rigs/{$this->rig->id}";
    ($this->as)($this->owner)->post("{$at}/people", ['email' => $this->guest->email, 'role' => 'view'])->assertSessionHas('said');
    $this->post("{$at}/people", ['email' => 'nobody@hidden-wire.test', 'role' => 'edit'])->assertSessionHas('said');
    $this->post("{$at}/shares", ['name' => 'For the venue', 'days' => 7])->assertSessionHas('link');
    $invitation = $this->guest->invitations()->sole();
    ($this->as)($this->guest)->post("/invitations/{$invitation->id}")->assertRedirect();
    ($this->as)($this->owner)->delete("{$at}/people/{$invitation->id}")->assertSessionHas('said');
    $this->delete("{$at}/shares/{$this->rig->shares()->sole()->id}")->assertSessionHas('said');
    expect(($this->what)())->toBe([
        "Marigold Finch: Invited {$this->guest->email} to look at {$this->rig->name}.",
        "Marigold Finch: Invited nobody@hidden-wire.test to edit {$this->rig->name}.",
        "Marigold Finch: Made the link For the venue to the book of {$this->rig->name}, for a week.",
        "Barnaby Teal: Took up the invitation to {$this->rig->name}.",
        "Marigold Finch: Removed Barnaby Teal from {$this->rig->name}.",
        "Marigold Finch: Removed the link For the venue to the book of {$this->rig->name}.",
    ]);
    // The owner sees it at the rig, without where a guest was; the guest what they did and what was done to them.
    Deed::query()->where('by', 'Barnaby Teal')->update(['ip_address' => '192.0.2.7']);
    Deed::query()->where('by', 'Marigold Finch')->update(['ip_address' => '192.0.2.9']);
    $this->get("{$at}/people")->assertSee('Took up the invitation')->assertSee('192.0.2.9')->assertDontSee('192.0.2.7');
    ($this->as)($this->guest)->get('/account')->assertSee('Removed Barnaby Teal')->assertSee('192.0.2.7')
        ->assertDontSee('For the venue')->assertDontSee('192.0.2.9');
});

it('shows a rig\'s list to its owner only', function () {
    $this->rig->members()->create(['user_id' => $this->guest->id, 'role' => 'edit', 'accepted_at' => now()]);
    Deed::note('Invited somebody.', $this->owner, $this->rig);
    ($this->as)($this->guest)->get("/rigs/{$this->rig->id}/people")->assertOk()->assertDontSee('Invited somebody.');
    ($this->as)($this->owner)->get("/rigs/{$this->rig->id}/people")->assertOk()->assertSee('Invited somebody.');
});

it('keeps what was done to an account, by itself and by command', function () {
    $this->post('/sign-in', ['email' => $this->owner->email, 'password' => 'password'])->assertRedirect('/');
    $this->put('/account/password', ['current' => 'password', 'password' => 'nine lamps in a pier', 'password_confirmation' => 'nine lamps in a pier'])
        ->assertSessionHasNoErrors();
    $this->artisan('account:one-step', ['email' => $this->owner->email])->assertSuccessful();
    $this->artisan('account:password', ['email' => $this->owner->email])->assertSuccessful();
    expect(($this->what)())->toBe([
        'Marigold Finch: Signed in.', 'Marigold Finch: Changed the password.', 'By command: Turned two-step sign-in off.',
        'By command: Gave the account a new password.',
    ])->and(Deed::of($this->owner)->count())->toBe(4)->and(Deed::of($this->guest)->count())->toBe(0);
});

it('keeps names when accounts and rigs are gone, and forgets after a year', function () {
    ($this->as)($this->owner)->delete("/rigs/{$this->rig->id}")->assertRedirect();
    expect(($this->what)())->toBe(["Marigold Finch: Deleted {$this->rig->name}."]);
    $this->delete('/account', ['current' => 'password'])->assertRedirect('/sign-in');
    expect(Deed::query()->sole())->user_id->toBeNull()->by->toBe('Marigold Finch');
    DB::table('deeds')->update(['created_at' => now()->subDays(366)]);
    $this->artisan('cache:tidy')->assertSuccessful();
    expect(Deed::query()->count())->toBe(0);
});
