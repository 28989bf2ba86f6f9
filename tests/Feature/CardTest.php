<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\CardTick;
use App\Models\User;
use App\Rigs\StoredRig;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->card = Cards::card(new BookInput(StoredRig::load($this->rig)), 'run-down');
    $this->tick = function (array $ticks, ?User $by = null) {
        $this->flushSession();

        return $this->actingAs($by ?? $this->owner)->postJson("/rigs/{$this->rig->id}/cards/run-down", ['ticks' => $ticks]);
    };
});

it('shows every card that it lists, each with boxes to tick, and no card that the rig has not', function () {
    $list = $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/cards")->assertOk()->getContent();
    $titles = array_merge(...array_values(Cards::titles(new BookInput(StoredRig::load($this->rig)))));
    expect(array_keys($titles))->toContain('run-down', 'guest/ferry', 'computer/cast-pc', 'computer/sim-pc', 'unit/mixer', 'unit/broadcast');
    foreach ($titles as $key => $title) {
        expect($list)->toContain("/cards/{$key}\"");
        $card = Cards::card(new BookInput(StoredRig::load($this->rig)), $key);
        $page = $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/cards/{$key}")->assertOk()->getContent();
        expect(substr_count($page, 'type="checkbox"'))->toBe(count($card->stepKeys()))->and($page)->toContain(e($card->title));
    }
    foreach (['unit/nobody', 'computer/mixer', 'guest/viewers', 'lunch'] as $key) {
        $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/cards/{$key}")->assertNotFound();
        $this->actingAs($this->owner)->postJson("/rigs/{$this->rig->id}/cards/{$key}", ['ticks' => []])->assertNotFound();
    }
});

it('keeps ticks, of each step the later one, whoever ticked and in whatever order they arrive', function () {
    [$first, $second, $third] = $this->card->stepKeys();
    $helper = User::factory()->create();
    $this->rig->members()->create(['user_id' => $helper->id, 'role' => 'test', 'accepted_at' => now()]);
    ($this->tick)([['step' => $first, 'on' => true, 'at' => 1000], ['step' => $second, 'on' => true, 'at' => 2000]])
        ->assertOk()->assertJson(['ticks' => [$first => ['on' => true, 'at' => 1000], $second => ['on' => true, 'at' => 2000]]]);
    // A phone that was without a network sends what is older than what is known, and what is newer.
    ($this->tick)([['step' => $first, 'on' => false, 'at' => 900], ['step' => $second, 'on' => false, 'at' => 3000],
        ['step' => $third, 'on' => true, 'at' => 1500]], $helper)
        ->assertJson(['ticks' => [$first => ['on' => true], $second => ['on' => false, 'at' => 3000], $third => ['on' => true]]]);
    expect(CardTick::query()->where('step', $second)->sole()->user_id)->toBe($helper->id)
        ->and(CardTick::query()->where('step', $first)->sole()->user_id)->toBe($this->owner->id);
    $this->flushSession();
    $page = $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/cards/run-down")->getContent();
    expect(preg_match_all('/type="checkbox"\s+checked/', $page))->toBe(2);
});

it('takes a clock that is ahead for now, a step that is none for nothing, and refuses what is no tick', function () {
    $step = $this->card->stepKeys()[0];
    $before = (int) (microtime(true) * 1000);
    $at = ($this->tick)([['step' => $step, 'on' => true, 'at' => $before + 86_400_000], ['step' => 'ffffffffffff', 'on' => true, 'at' => 5]])
        ->assertOk()->json("ticks.{$step}.at");
    expect($at)->toBeGreaterThanOrEqual($before)->toBeLessThan($before + 60_000)->and(CardTick::query()->count())->toBe(1);
    foreach ([[['step' => $step, 'on' => 'perhaps', 'at' => 1]], [['step' => $step, 'on' => true, 'at' => -1]], [['on' => true, 'at' => 1]],
        'none', array_fill(0, 501, ['step' => $step, 'on' => true, 'at' => 1])] as $wrong) {
        $this->actingAs($this->owner)->postJson("/rigs/{$this->rig->id}/cards/run-down", ['ticks' => $wrong])->assertUnprocessable();
    }
});

it('shows and ticks cards only for those who may see the rig', function () {
    $stranger = User::factory()->create();
    $this->actingAs($stranger)->get("/rigs/{$this->rig->id}/cards")->assertNotFound();
    $this->actingAs($stranger)->get("/rigs/{$this->rig->id}/cards/run-down")->assertNotFound();
    ($this->tick)([], $stranger)->assertNotFound();
});

it('makes a step that reads otherwise a step to do again', function () {
    $step = $this->card->stepKeys()[0];
    ($this->tick)([['step' => $step, 'on' => true, 'at' => 1000]]);
    $written = StoredRig::load($this->rig)->papers->steps[0];
    $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/edits", ['edit' => 'show-step', 'step' => $written->id, 'revision' => 1,
        'phase' => $written->phase->value, 'text' => 'Unlock the hall', 'at_min' => '-90'])->assertSessionHasNoErrors();
    expect($this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/cards/run-down")->getContent())->not->toContain(' checked ')
        ->toContain('Unlock the hall');
});
