<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\TestRun;
use App\Models\User;
use App\Rigs\StoredRig;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Planning\Hearings;

beforeEach(function () {
    $this->owner = User::factory()->create(['name' => 'Bea']);
    $this->rig = app(ImportRig::class)($this->owner, shipped('starters/crab-race.json'));
    $this->plan = fn (): TestPlan => new TestPlan(new Hearings(StoredRig::load($this->rig->fresh())));
    $this->begin = function (): TestRun {
        $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/bench")->assertRedirect();

        return TestRun::query()->latest('id')->firstOrFail();
    };
    $this->say = fn (TestRun $run, array ...$answers) => $this->actingAs($this->owner)->postJson("/rigs/{$this->rig->id}/bench/{$run->id}", ['answers' => $answers]);
    $this->entry = fn (TestStep $step, string $heard, int $at, string $note = ''): array => ['step' => $step->key, 'heard' => $heard, 'note' => $note, 'at' => $at];
});

it('shows the plan with its count beside that of one by one, and begins a test', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/bench")->assertOk()->assertSee('Never tested')->assertSee('14 steps')
        ->assertSee('it would be', false)->assertSee('18.')->assertSee('Rival speaks; Crabs plays');
    $run = ($this->begin)();
    expect([$run->user_id, $run->revision])->toBe([$this->owner->id, $this->rig->fresh()->at]);
    $this->get("/rigs/{$this->rig->id}/bench/{$run->id}")->assertOk()->assertHeader('X-Account', (string) $this->owner->id)->assertSee('All there')
        ->assertSee('Silent');
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('0 of 14 steps done')->assertSee('by Bea, revision');
});

it('keeps the later answer of each step, passes over what the plan does not have, and changes nothing of the rig', function () {
    $run = ($this->begin)();
    [$first, $second] = ($this->plan)()->steps;
    ($this->say)($run, ($this->entry)($first, 'as-planned', 1000), ($this->entry)($second, 'echo', 1000, ' doubled '))->assertOk()
        ->assertJsonPath("answers.{$second->key}.note", 'doubled');
    // An answer that was given earlier on another phone comes later: it does not count.
    ($this->say)($run, ($this->entry)($first, 'hum', 900), ['step' => 'no-such-step', 'heard' => 'hum', 'note' => '', 'at' => 2000])->assertOk()
        ->assertJsonPath("answers.{$first->key}.heard", 'as-planned')->assertJsonMissingPath('answers.no-such-step');
    ($this->say)($run, ($this->entry)($first, 'faint', 1100))->assertJsonPath("answers.{$first->key}.heard", 'faint');
    expect($run->answers()->count())->toBe(2)->and($this->rig->revisions()->count())->toBe(1);
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('2 of 14 steps done, 2 with trouble')->assertSee('Echo')->assertSee('doubled');
    foreach ([['step' => $first->key, 'heard' => 'loud', 'note' => '', 'at' => 1], ['step' => $first->key, 'heard' => 'hum', 'note' => str_repeat('a', 301), 'at' => 1]] as $wrong) {
        ($this->say)($run, $wrong)->assertStatus(422);
    }
});

it('has only those answers out of date whose way has changed', function () {
    $run = ($this->begin)();
    foreach (($this->plan)()->steps as $step) {
        ($this->say)($run, ($this->entry)($step, 'as-planned', 1000))->assertOk();
    }
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('14 of 14 steps done');
    // The game at half its level: by hand, it comes to the ears and the race track, in the race alone; its steps are there together with
    // the rival's.
    $this->post("/rigs/{$this->rig->id}/edits", ['edit' => 'point', 'unit' => 'race', 'point' => 'sound', 'fader' => '-6', 'revision' => $this->rig->fresh()->revision])
        ->assertSessionHasNoErrors();
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('12 of 14 steps done, 2 out of date');
    $this->get("/rigs/{$this->rig->id}/bench/{$run->id}")->assertOk()->assertDontSee(($this->plan)()->steps[0]->key.'&quot;:{', false);
});

it('goes out as a file with what was expected and what was found', function () {
    $run = ($this->begin)();
    $step = ($this->plan)()->steps[2];
    ($this->say)($run, ($this->entry)($step, 'nothing', 1000, 'own voice on it'));
    $file = json_decode((string) $this->get("/rigs/{$this->rig->id}/bench/{$run->id}/file")->assertOk()->getContent(), true);
    expect([$file['format'], $file['version'], $file['rig'], $file['revision'], $file['by']])
        ->toBe(['hidden-wire/test', 1, $this->rig->name, $run->revision, 'Bea'])
        ->and($file['steps'])->toHaveCount(14)
        ->and($file['steps'][2]['expected'])->toBe([['source' => 'player', 'heard' => false]])
        ->and($file['steps'][2]['answer'])->toBe(['heard' => 'nothing', 'note' => 'own voice on it', 'at_ms' => 1000, 'by' => 'Bea'])
        ->and($file['steps'][0]['expected'][0])->toBe(['source' => 'crabs', 'heard' => true, 'level_db' => 0, 'sides' => 'both']);
});

it('is for those who may see the rig, each test at its own rig', function () {
    $run = $this->rig->testRuns()->create(['user_id' => $this->owner->id, 'revision' => 1, 'started_at' => now()]);
    $stranger = User::factory()->create();
    $other = app(ImportRig::class)($stranger, shipped('starters/tide-report.json'));
    $this->actingAs($stranger)->get("/rigs/{$this->rig->id}/bench")->assertNotFound();
    $this->post("/rigs/{$this->rig->id}/bench")->assertNotFound();
    $this->postJson("/rigs/{$this->rig->id}/bench/{$run->id}", ['answers' => []])->assertNotFound();
    // Their own rig has no test of another's.
    $this->get("/rigs/{$other->id}/bench")->assertOk();
    $this->get("/rigs/{$other->id}/bench/{$run->id}")->assertNotFound();
    $this->get("/rigs/{$other->id}/bench/{$run->id}/file")->assertNotFound();
});
