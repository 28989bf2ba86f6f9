<?php

declare(strict_types=1);

use App\Actions\AnswerTest;
use App\Actions\ImportRig;
use App\Models\TestRun;
use App\Models\User;
use App\Rigs\StoredRig;
use App\ViewModels\BenchPage;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Planning\Hearings;
use Illuminate\Http\UploadedFile;

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
        ->and($file['steps'][2]['answer'])->toBe([
            'heard' => 'nothing', 'note' => 'own voice on it', 'at_ms' => 1000, 'by' => 'Bea', 'state' => $step->state,
        ])
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

it('comes in from a file as it went out, stale where the rig is another, and says what is wrong with a spoiled one', function () {
    $run = ($this->begin)();
    [$first, $second] = ($this->plan)()->steps;
    ($this->say)($run, ($this->entry)($first, 'as-planned', 1000), ($this->entry)($second, 'echo', 2000, 'doubled'))->assertOk();
    $text = (string) $this->get("/rigs/{$this->rig->id}/bench/{$run->id}/file")->getContent();
    $bring = fn (string $text) => $this->post("/rigs/{$this->rig->id}/bench/file", ['test' => UploadedFile::fake()->createWithContent('a.json', $text)]);
    $bring($text)->assertSessionHas('said', '2 answers taken over.');
    $again = TestRun::query()->latest('id')->firstOrFail();
    expect($again->id)->not->toBe($run->id)->and($again->started_at->equalTo($run->started_at->startOfSecond()))->toBeTrue()
        ->and(AnswerTest::standing($again))->toBe(AnswerTest::standing($run));
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('2 of 14 steps done, 1 with trouble');
    // What was answered of another state is out of date; what is of no step of the plan stays out.
    $data = json_decode($text, true);
    $data['steps'][0]['answer']['state'] = 'another';
    $data['steps'][1]['key'] = '000000000000';
    $bring((string) json_encode($data))->assertSessionHas('said', '1 answer taken over, 1 answer to steps that the plan does not have left out.');
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('0 of 14 steps done, 1 out of date');
    $count = TestRun::query()->count();
    foreach ([
        ['{', 'JSON'], ['{"format":"hidden-wire/rig"}', 'This is no test'], ['{"format":"hidden-wire/test","version":2}', '/version'],
        ['{"format":"hidden-wire/test","version":1,"steps":{"a":1}}', '/steps'], ['{"format":"hidden-wire/test","version":1,"steps":[]}', '/started'],
        [str_replace('"echo"', '"loud"', $text), '/steps/1/answer/heard'], [str_replace('2000', '-1', $text), '/steps/1/answer/at_ms'],
        [str_replace('"doubled"', json_encode(str_repeat('a', 301)), $text), '/steps/1/answer/note'],
        [preg_replace('/"key": "[0-9a-f]+"/', '"key": "x"', $text), '/steps/0/key'],
        [preg_replace('/"key": "[0-9a-f]+"/', '"key": "000000000000"', $text), 'the test of another rig'],
    ] as [$spoiled, $says]) {
        $bring((string) $spoiled)->assertSessionHasErrors('test');
        expect(session('errors')->first('test'))->toContain($says);
    }
    $this->post("/rigs/{$this->rig->id}/bench/file")->assertSessionHasErrors('test');
    expect(TestRun::query()->count())->toBe($count);
});

it('lists after an update, or a unit plugged in again, only what that can reset', function () {
    $plan = ($this->plan)();
    $events = array_unique(array_merge(...array_map(fn (TestStep $step) => array_keys($step->resetBy), $plan->steps)));
    expect($events)->not->toBe([]);
    foreach ($events as $event) {
        $count = count(array_filter($plan->steps, fn (TestStep $step) => isset($step->resetBy[$event])));
        $page = $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/bench?after={$event}")->assertOk();
        $page->assertSee($count === count($plan->steps) ? "{$count} of {$count} steps" : "{$count} of 14 steps");
        expect(substr_count((string) $page->getContent(), '<th scope="row">'))->toBe($count);
    }
    // What nobody knows of is everything.
    $page = $this->get("/rigs/{$this->rig->id}/bench?after=update:nothing")->assertOk()->assertDontSee('of 14 steps</strong>', false);
    expect(substr_count((string) $page->getContent(), '<th scope="row">'))->toBe(14);
});

it('takes what a step has proven into the plan, with who found it and when, and takes it back', function () {
    $rig = StoredRig::load($this->rig);
    $step = array_values(array_filter(($this->plan)()->steps, fn (TestStep $one) => ! $one->isSilence() && $one->expected[0]->isPlanned))[0];
    $unit = $step->listener->at[0]->unit;
    $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/edits", ['edit' => 'fact', 'about' => "units/{$unit}", 'certainty' => 'assumed',
        'what' => 'passes both sides', 'revision' => $this->rig->fresh()->revision, 'state' => StoredRig::stateOf($this->rig->fresh())])
        ->assertRedirect();
    $fact = StoredRig::load($this->rig->fresh())->papers->facts[0] ?? null;
    expect($fact?->certainty->value)->toBe('assumed');
    $step = ($this->plan)()->step($step->key);
    expect($step->proves)->toHaveCount(1);
    $run = ($this->begin)();
    $this->get("/rigs/{$this->rig->id}/bench")->assertDontSee('Proven by this');
    ($this->say)($run, ($this->entry)($step, 'as-planned', 1_764_500_000_000))->assertOk();
    $page = (string) $this->get("/rigs/{$this->rig->id}/bench")->assertSee("Proven by this: {$rig->units[$unit]->name}")->getContent();
    expect(preg_match('#name="_change" value="([^"]+)">\s*<button class="do" type="submit">Proven by this#', $page, $found))->toBe(1);
    $this->post("/rigs/{$this->rig->id}/edits", ['_change' => html_entity_decode($found[1])])->assertRedirect()->assertSessionHasNoErrors();
    $fact = StoredRig::load($this->rig->fresh())->papers->facts[0];
    expect([$fact->certainty->value, $fact->by, $fact->on, $fact->what])->toBe(['proven', 'Bea', '2025-11-30', 'passes both sides']);
    $this->get("/rigs/{$this->rig->id}/bench")->assertDontSee('Proven by this');
});

it('says how far away people are stood in for, and on every other view when the rig was tested', function () {
    $relay = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->actingAs($this->owner)->get("/rigs/{$relay->id}/bench")->assertSee('A second device in the call can stand in for Navigator, with headphones on: else it howls.');
    $this->get("/rigs/{$this->rig->id}/bench/standing")->assertNotFound();
    $this->get("/rigs/{$this->rig->id}/wishes")->assertDontSee('bench/standing');
    $run = ($this->begin)();
    foreach (($this->plan)()->steps as $step) {
        ($this->say)($run, ($this->entry)($step, 'as-planned', 1000))->assertOk();
    }
    $on = $run->started_at->format('j F Y');
    $this->get("/rigs/{$this->rig->id}/wishes")->assertSee('bench/standing');
    $this->get("/rigs/{$this->rig->id}/bench/standing")->assertOk()->assertSee("Tested on {$on}")->assertDontSee('out of date');
    $run->answers()->limit(3)->update(['state' => 'another']);
    $this->get("/rigs/{$this->rig->id}/bench/standing")->assertSee("Tested on {$on}, 3 steps out of date");
});

it('takes what somebody far away says by a link that holds a day, at their own steps and nowhere else', function () {
    $relay = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->actingAs($this->owner)->post("/rigs/{$relay->id}/bench")->assertRedirect();
    $run = TestRun::query()->latest('id')->firstOrFail();
    $page = (string) $this->get("/rigs/{$relay->id}/bench")->assertSee('Links for people far away')->getContent();
    expect(preg_match_all('#href="([^"]*/far/[^"]+)"#', $page, $found))->toBeGreaterThan(1);
    $links = array_map(html_entity_decode(...), $found[1]);
    $link = array_values(array_filter($links, fn (string $one) => str_contains($one, '/ferry?')))[0];
    $plan = new TestPlan(new Hearings(StoredRig::load($relay)));
    $own = array_values(array_filter($plan->steps, fn (TestStep $step) => $step->listener->id === 'ferry'));
    $others = array_values(array_filter($plan->steps, fn (TestStep $step) => $step->listener->id !== 'ferry'));
    // Without an account.
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $this->get($link)->assertOk()->assertSee('What do you hear, Navigator?')->assertHeader('X-Robots-Tag', 'noindex');
    $this->postJson($link, ['answers' => [
        ($this->entry)($own[0], 'echo', 1000, 'twice'), ($this->entry)($others[0], 'hum', 1000),
    ]])->assertOk()->assertJsonPath("answers.{$own[0]->key}.note", 'Navigator: twice')->assertJsonMissingPath("answers.{$others[0]->key}");
    // What comes back to them goes out again as it is.
    $this->postJson($link, ['answers' => [($this->entry)($own[0], 'echo', 1001, 'Navigator: twice')]])
        ->assertJsonPath("answers.{$own[0]->key}.note", 'Navigator: twice');
    $this->postJson($link, ['answers' => [($this->entry)($own[0], 'echo', 1002, 'Navigator')]])
        ->assertJsonPath("answers.{$own[0]->key}.note", 'Navigator');
    expect($run->answers()->pluck('heard', 'step')->map->value->all())->toBe([$own[0]->key => 'echo'])
        ->and($run->answers()->sole()->user_id)->toBeNull();
    // Nobody makes one of another listener, or of another test, out of it; and not tomorrow.
    foreach ([str_replace('/ferry?', '/viewers?', $link), str_replace("/far/{$run->id}/", '/far/9999/', $link), strtok($link, '?')] as $forged) {
        expect([$this->get($forged)->status(), $this->postJson($forged, ['answers' => []])->status()])->toBe([403, 403]);
    }
    $this->travel(25)->hours();
    $this->get($link)->assertForbidden();
});

it('tells whoever is far away what was played when, so that it is answered when it comes to them', function () {
    $this->freezeTime();
    $run = ($this->begin)();
    $plan = ($this->plan)();
    $away = array_values(array_filter($plan->steps, fn (TestStep $step) => $step->listener->id === 'rival-ear'));
    $link = BenchPage::farUrl($run, $away[0]->listener);
    $playing = "/rigs/{$this->rig->id}/bench/{$run->id}/playing";
    $this->get("/rigs/{$this->rig->id}/bench/{$run->id}")->assertSee("Tell {$away[0]->listener->name} that it plays now")
        ->assertDontSee('Tell Player that it plays now');
    $this->getJson($link)->assertExactJson(['played' => []]);
    $this->postJson($playing, ['step' => 'none'])->assertStatus(422);
    $this->postJson($playing, ['step' => $away[0]->key])->assertOk();
    $this->travel(3)->seconds();
    $this->postJson($playing, ['step' => $away[1]->key])->assertOk();
    $this->travel(500)->milliseconds();
    $this->getJson($link)->assertExactJson(['played' => [
        ['step' => $away[0]->key, 'ago' => 3500, 'late' => $away[0]->lateMs], ['step' => $away[1]->key, 'ago' => 500, 'late' => $away[1]->lateMs],
    ]]);
    $this->get($link)->assertSee('It comes to me later by');
    $this->flushSession();
    $this->actingAs(User::factory()->create())->postJson($playing, ['step' => $away[0]->key])->assertNotFound();
});

it('is practised in a simulated room with something hidden in it', function () {
    $page = $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/bench/practise?room=3")->assertOk()->assertSee('Show what is hidden')
        ->assertSee('I hear');
    expect((string) $page->getContent())->not->toContain('<p>Nothing.</p>');
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('Practise in a simulated room');
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/rigs/{$this->rig->id}/bench/practise")->assertNotFound();
});
