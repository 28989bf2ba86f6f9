<?php

declare(strict_types=1);

use App\Actions\ImportRig;
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
