<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->import = fn () => $this->actingAs($this->owner)->post('/rigs', [
        'document' => UploadedFile::fake()->createWithContent('rig.json', shipped('rigs/penny-slot.json')),
    ]);
});

it('keeps no more rigs than an account may have, and says so before', function () {
    config(['limits.rigs' => 10]);
    foreach (range(1, 8) as $_) {
        app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    }
    $this->actingAs($this->owner)->get('/')->assertDontSee('of 10 rigs');
    // By hand: nine of ten are nine tenths.
    ($this->import)()->assertRedirect();
    $this->get('/')->assertSee('You have 9 of 10 rigs. Delete rigs that are not needed.');
    $this->get('/account')->assertSee('9 of 10 rigs')->assertSee('0 of 2000 pictures');
    $this->post('/rigs/blank', ['name' => 'The last'])->assertRedirect();
    expect($this->owner->rigs()->count())->toBe(10);
    $refusal = 'You have 10 of 10 rigs, and no more are kept for one account.';
    ($this->import)()->assertStatus(422)->assertSee($refusal);
    $this->post('/rigs/blank', ['name' => 'One more'])->assertSessionHasErrors(['rigs' => "{$refusal} Delete rigs that are not needed."]);
    $this->post('/rigs/starter', ['starter' => 'bell-tower'])->assertSessionHasErrors('rigs');
    $this->get('/')->assertSee($refusal);
    expect($this->owner->rigs()->count())->toBe(10);
    // Another account has its own.
    $this->actingAs(User::factory()->create())->post('/rigs/blank', ['name' => 'Elsewhere'])->assertSessionHasNoErrors();
    // Without a limit there is none.
    config(['limits.rigs' => 0]);
    ($this->import)()->assertRedirect();
    $this->get('/account')->assertSee('11 rigs');
});

it('takes so many documents in an hour, and says when it goes on', function () {
    config(['limits.imports_an_hour' => 2]);
    ($this->import)()->assertRedirect();
    ($this->import)()->assertRedirect();
    ($this->import)()->assertStatus(422)->assertSee('You have 2 of 2 imports in this hour, and no more are kept for one account. Go on in 60 minutes.');
    $this->travel(61)->minutes();
    ($this->import)()->assertRedirect();
    expect($this->owner->rigs()->count())->toBe(3);
});

it('keeps no more pictures than the owner of a rig may have, whoever brings them', function () {
    Storage::fake('local');
    config(['limits.pictures' => 1]);
    $rig = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $unit = array_key_first(App\Rigs\StoredRig::load($rig)->units);
    $send = fn () => $this->actingAs($this->owner)->post("/rigs/{$rig->id}/pictures", ['unit' => $unit, 'picture' => UploadedFile::fake()->image('p.jpg', 40, 30)]);
    $send()->assertSessionHasNoErrors();
    $send()->assertSessionHasErrors(['picture' => 'You have 1 of 1 picture, and no more are kept for one account. Delete pictures that are not needed.']);
    expect(Rig::query()->find($rig->id)->pictures()->count())->toBe(1);
});

it('takes no more recordings than the owner of a rig may have', function () {
    config(['limits.recordings' => 1]);
    $rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $send = fn () => $this->actingAs($this->owner)->postJson("/rigs/{$rig->id}/tones", ['unit' => 'broadcast', 'situation' => 'on-air',
        'files' => [['name' => 'a.wav', 'bytes' => 100]]]);
    $send()->assertOk();
    $send()->assertStatus(422)->assertSee('You have 1 of 1 recording');
});
