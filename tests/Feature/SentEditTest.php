<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\SentEdit;
use App\Models\User;
use App\Rigs\StoredRig;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $this->send = fn (array $fields, array $headers = []) => $this->actingAs($this->owner)
        ->post("/rigs/{$this->rig->id}/edits", $fields + ['revision' => $this->rig->fresh()->revision], $headers);
    $this->names = fn (): array => array_column(array_map(
        fn ($sound) => ['name' => $sound->name],
        StoredRig::load($this->rig->fresh())->sources,
    ), 'name');
    $this->bell = ['edit' => 'add-source', 'name' => 'Bell', 'kind' => 'music'];
});

it('makes an edit once, however often it is sent, and answers as the first time', function () {
    $json = ['Accept' => 'application/json'];
    $revision = $this->rig->revision;
    $first = ($this->send)($this->bell + ['edit_id' => 'a1', 'revision' => $revision], $json)->assertOk();
    // From the page of before: without the number it would be a change of a page that is out of date.
    $second = ($this->send)($this->bell + ['edit_id' => 'a1', 'revision' => $revision], $json)->assertOk();
    expect(array_count_values(($this->names)())['Bell'])->toBe(1)->and($second->json('said'))->toBe($first->json('said'))
        ->and($first->json('said'))->not->toBe('')->and($this->rig->revisions()->count())->toBe(2);
    // Another number is another edit, which is judged by itself.
    ($this->send)($this->bell + ['edit_id' => 'a2'], $json)->assertStatus(422);
    ($this->send)(['name' => 'Horn'] + $this->bell + ['edit_id' => 'a2'], $json)->assertOk();
    expect(($this->names)())->toContain('Horn');
});

it('keeps the whole answer by one statement, and by none where it is what the edit has stored itself', function () {
    $json = ['Accept' => 'application/json'];
    $writes = 0;
    DB::listen(function ($query) use (&$writes): void {
        $writes += str_starts_with($query->sql, 'update `sent_edits`') ? 1 : 0;
    });
    // A sound that begins nowhere is heard by nobody yet: there is nothing to add to what was done.
    $plain = ($this->send)($this->bell + ['edit_id' => 'a1'], $json)->assertOk()->json('said');
    expect($plain)->toBe(SentEdit::query()->sole()->said)->and($writes)->toBe(0);
    // Without the headset's lead the voice is lost, here and in the other situation.
    $all = ($this->send)(['edit' => 'unplug', 'cable' => 'w-01', 'edit_id' => 'a2'], $json)->assertOk()->json('said');
    $kept = SentEdit::query()->where('more', '!=', '')->sole();
    expect($writes)->toBe(1)->and($kept->more)->toStartWith('Not as wished now in ')->and($all)->toBe("{$kept->said} · {$kept->more}");
});

it('tells in lines once more what it has told, also what it does elsewhere', function () {
    $lines = function (): array {
        $headers = ['Accept' => 'application/json', 'X-Lines' => '1', 'X-Page' => route('rigs.wishes', $this->rig->id)];
        $answer = ($this->send)($this->bell + ['edit_id' => 'b1', 'revision' => 1], $headers);

        return array_map(fn (string $line) => array_diff_key(json_decode($line, true), ['page' => 0]), explode("\n", trim($answer->streamedContent())));
    };
    $first = $lines();
    SentEdit::query()->update(['more' => 'Not as wished now in Break: Bell at Guest.']);
    expect($first)->toHaveCount(2)->and($first[0]['said'])->toContain('Bell')->and($first[1])->toBe(['more' => ''])
        ->and($lines())->toBe([$first[0], ['more' => 'Not as wished now in Break: Bell at Guest.']]);
});

it('knows a plain form by its token and what was filled in', function () {
    $form = fn (string $name, string $token = 'page-1') => ($this->send)(
        ['name' => $name, '_token' => $token, 'revision' => 1, 'at_revision' => 1] + $this->bell,
    )->assertRedirect();
    $said = $form('Bell')->assertSessionHas('said')->getSession()->get('said');
    expect($form('Bell')->assertSessionHasNoErrors()->getSession()->get('said'))->toBe($said);
    $form('Bell', 'page-2')->assertSessionHasErrors(['name' => 'There is a Bell already. Is this "Bell 2"?']);
    $form('Horn')->assertSessionHas('said');
    expect(array_count_values(($this->names)()))->toMatchArray(['Bell' => 1, 'Horn' => 1]);
});

it('knows undoing, redoing and restoring by their numbers too', function () {
    ($this->send)($this->bell);
    ($this->send)(['name' => 'Horn'] + $this->bell);
    $at = fn (): int => $this->rig->fresh()->at;
    $press = fn (string $what, string $id) => $this->postJson("/rigs/{$this->rig->id}/{$what}", ['edit_id' => $id, 'revision' => $this->rig->fresh()->revision])
        ->assertOk()->json('said');
    expect($at())->toBe(3)->and($press('undo', 'u1'))->toBe($press('undo', 'u1'))->and($at())->toBe(2);
    expect($press('undo', 'u2'))->toStartWith('Undone')->and($at())->toBe(1);
    expect($press('redo', 'r1'))->toBe($press('redo', 'r1'))->and($at())->toBe(2);
    $press('revisions/3/restore', 's1');
    $press('revisions/3/restore', 's1');
    expect($at())->toBe(4)->and($this->rig->revisions()->count())->toBe(4);
});

it('undoes, redoes and restores in lines, as pages ask for it', function () {
    ($this->send)($this->bell);
    foreach (['undo' => 'Undone', 'redo' => 'Redone', 'revisions/1/restore' => 'Revision 1 is back.'] as $what => $said) {
        $answer = $this->post(
            "/rigs/{$this->rig->id}/{$what}",
            ['revision' => $this->rig->fresh()->revision, 'edit_id' => $what],
            ['Accept' => 'application/json', 'X-Lines' => '1', 'X-Page' => route('rigs.wishes', $this->rig->id)],
        )->assertOk();
        expect(json_decode(explode("\n", $answer->streamedContent())[0], true)['said'])->toStartWith($said);
    }
});

it('takes the same number from another person, or for another rig, for another edit', function () {
    $json = ['Accept' => 'application/json'];
    ($this->send)($this->bell + ['edit_id' => 'a1'], $json)->assertOk();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    ($this->send)($this->bell + ['edit_id' => 'a1'], $json)->assertOk();
    expect(array_count_values(($this->names)())['Bell'])->toBe(1)->and(SentEdit::query()->count())->toBe(2);
});

it('keeps no number of what was refused: it can be sent again', function () {
    $json = ['Accept' => 'application/json'];
    ($this->send)($this->bell + ['edit_id' => 'a1'], $json);
    ($this->send)(['edit' => 'place-sound', 'source' => 'nothing', 'at' => 'no/where', 'edit_id' => 'c1'], $json)->assertStatus(422);
    expect(SentEdit::query()->count())->toBe(1);
});

it('forgets numbers after seven days', function () {
    ($this->send)($this->bell + ['edit_id' => 'a1']);
    ($this->send)(['name' => 'Horn'] + $this->bell + ['edit_id' => 'a2']);
    DB::table('sent_edits')->orderBy('id')->limit(1)->update(['created_at' => now()->subDays(8)]);
    $this->artisan('cache:tidy')->assertSuccessful();
    expect(SentEdit::query()->count())->toBe(1);
});
