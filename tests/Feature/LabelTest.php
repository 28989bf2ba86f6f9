<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Opens;
use App\Models\Share;
use App\Models\User;
use HiddenWire\Core\Book\AtHand;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Quantity\Lengths;
use Tests\Support\Draft;

it('opens a lead or a unit for whoever has scanned its label and may look', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    // By hand from the rig: the desk's USB lead takes the programme to the broadcast computer and brings the music, the navigator and the ring.
    $this->actingAs($user)->get("/rigs/{$rig->id}/label/cable/w-17")->assertOk()->assertSeeInOrder([
        'W-17', 'USB, A to B, 4 m', 'Desk mixer', 'Computer', 'Presenter\'s desk', 'Broadcast computer', 'USB 2', 'Broadcast corner',
        'On air', 'Presenter voice', 'back: Music, Navigator, Call ring', 'Is it plugged?', 'Viewers', 'lacks Presenter voice', 'Change it on the map',
    ]);
    $this->get("/rigs/{$rig->id}/label/unit/mixer")->assertOk()->assertSeeInOrder(['Desk mixer', 'Eight-input desk', 'Mic 1', 'W-02', 'Line booster · Out'])
        ->assertSee("/rigs/{$rig->id}/label/cable/w-02", false);
    foreach (['cable/kettle', 'unit/kettle', 'socket/w-17'] as $nothing) {
        $this->get("/rigs/{$rig->id}/label/{$nothing}")->assertNotFound();
    }
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/rigs/{$rig->id}/label/cable/w-17")->assertNotFound();
});

it('says what is lost without a lead, situation by situation, and where sockets lead', function () {
    $rig = Draft::rig()->tone('horn', 2)->ear('box', 2)->ear('phones', 2)
        ->unit('splitter', ['family' => 'splitter', 'sockets' => [
            ['id' => 'in', 'label' => 'In', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'i', 'way' => 'in', 'point' => 'p']]],
            ['id' => 'a', 'label' => 'A', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'p']]],
            ['id' => 'b', 'label' => 'B', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'p']]],
            ['id' => 'c', 'label' => 'C', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'p']]]],
            'points' => [['id' => 'p', 'kind' => 'bus', 'channels' => 2]]])
        ->cable('trs', 'horn/out', 'splitter/in')->cable('trs', 'splitter/a', 'box/in')->cable('trs', 'splitter/b', 'phones/in')
        ->situation('quiet', [])->with(fn (array $data) => ['situations' => [$data['situations'][0], ['pulled' => ['w-2']] + $data['situations'][1]]] + $data)
        ->make();
    $atHand = new AtHand(new BookInput($rig));
    // By hand: all go by the first lead; in the quiet situation the box is unplugged already.
    expect($atHand->lostWithout($rig->cables['w-1'], $rig->base()))->toBe(['Box' => ['Horn'], 'Phones' => ['Horn']])
        ->and($atHand->lostWithout($rig->cables['w-1'], $rig->situations['quiet']))->toBe(['Phones' => ['Horn']])
        ->and($atHand->lostWithout($rig->cables['w-2'], $rig->situations['quiet']))->toBe([])
        ->and($atHand->carries($rig->cables['w-2']))->toBe(['Base' => 'Horn, left and right', 'Quiet' => 'out'])
        ->and($atHand->kindOf($rig->cables['w-1'], Lengths::Metric))->toBe('TRS, 3.5 mm')
        ->and(array_map(fn (array $one) => [$one['socket'], $one['cable']?->label, $one['there']], $atHand->socketsOf($rig->units['splitter'])))->toBe([
            ['In', 'W-1', 'Horn · Out at Desk'], ['A', 'W-2', 'Box · In at Desk'], ['B', 'W-3', 'Phones · In at Desk'], ['C', null, 'nothing goes here'],
        ]);
});

it('prints labels whose codes need no account, and lets none that were printed before open anything', function () {
    $owner = User::factory()->create();
    $rig = app(ImportRig::class)($owner, shipped('rigs/night-relay.json'));
    [$old, $share] = Share::withSecret('Labels', null, Opens::Labels);
    $rig->shares()->save($share);
    $this->get("/label/{$old}/cable/w-17")->assertOk()->assertSeeInOrder(['Night relay', 'W-17', 'Where it goes', 'Desk mixer', 'What it carries', 'On air'])
        ->assertHeader('X-Robots-Tag', 'noindex, nofollow')->assertDontSee('Is it plugged?')->assertDontSee('lacks')->assertDontSee("/rigs/{$rig->id}", false)
        ->assertDontSee($owner->name);
    $this->get("/label/{$old}/unit/mixer")->assertOk()->assertSee("/label/{$old}/cable/w-02", false)->assertDontSee("/rigs/{$rig->id}", false);
    foreach (["/shared/{$old}", "/label/{$old}/cable/kettle", '/label/'.str_repeat('a', 40).'/cable/w-17'] as $nothing) {
        $this->get($nothing)->assertNotFound();
    }
    // A link to the book opens no label.
    [$book, $other] = Share::withSecret('The hall', null);
    $rig->shares()->save($other);
    $this->get("/label/{$book}/cable/w-17")->assertNotFound();
    $editor = User::factory()->create();
    $rig->members()->create(['user_id' => $editor->id, 'role' => 'edit', 'accepted_at' => now()]);
    $this->actingAs($editor)->post("/rigs/{$rig->id}/labels", ['labels' => 'a4-65'])->assertForbidden();
    $this->flushSession();
    $answer = $this->actingAs($owner)->post("/rigs/{$rig->id}/labels", ['labels' => 'tape-18'])->assertOk()->assertHeader('Content-Type', 'application/pdf');
    expect($answer->getContent())->toStartWith('%PDF')->and($rig->shares()->where('opens', 'labels')->count())->toBe(1)->and($rig->shares()->count())->toBe(2);
    $this->get("/label/{$old}/cable/w-17")->assertNotFound();
    $this->get("/rigs/{$rig->id}/people")->assertOk()->assertSee('codes on labels, made');
});
