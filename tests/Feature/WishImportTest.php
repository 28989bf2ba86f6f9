<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\StoredRig;
use Illuminate\Http\UploadedFile;
use Tests\Support\Draft;

it('shows what a table of sounds and wishes would make, and makes it in one step that can be undone', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, Draft::rig()->tone('music', 2)->ear('ears', 2)->text());
    $this->actingAs($user)->get("/rigs/{$rig->id}/import-wishes")->assertOk()->assertSee('Or paste it')->assertDontSee('What becomes of it');
    $table = "Sound\tKind\tEars\tViewers (stream)\nMusic\t\tmust\tmay\nVoice\tvoice\t\tmust\nWind\tstorm\n";
    $this->post("/rigs/{$rig->id}/import-wishes", ['csv' => $table])->assertOk()->assertSee('2 new, 1 changed, 0 as they are, 1 that can')
        ->assertSee('is no kind of sound');
    $file = UploadedFile::fake()->createWithContent('wishes.csv', strtr($table, "\t", ';'));
    $this->post("/rigs/{$rig->id}/import-wishes", ['file' => $file])->assertOk()->assertSee('2 new, 1 changed');
    $this->post("/rigs/{$rig->id}/import-wishes", ['csv' => 'one column'])->assertOk()->assertSee('The first line has to name the columns');
    $this->post("/rigs/{$rig->id}/edits", ['edit' => 'import-wishes', 'csv' => $table, 'revision' => 1])->assertSessionHasNoErrors();
    $now = StoredRig::load($rig->refresh());
    expect(array_keys($now->sources))->toBe(['music', 'voice'])->and(array_keys($now->listeners))->toBe(['ears', 'viewers'])->and($now->wishes)->toHaveCount(3);
    $this->post("/rigs/{$rig->id}/undo", ['revision' => 2])->assertSessionHasNoErrors();
    expect(StoredRig::load($rig->refresh())->wishes)->toBe([]);
    foreach (['', "Sound\tEars\n", "Sound\tKettle\nMusic\tmust\n"] as $nothing) {
        $this->post("/rigs/{$rig->id}/edits", ['edit' => 'import-wishes', 'csv' => $nothing, 'revision' => 3])->assertSessionHasErrors('csv');
    }
    $this->flushSession();
    $this->actingAs(User::factory()->create())->post("/rigs/{$rig->id}/import-wishes", ['csv' => $table])->assertNotFound();
});
