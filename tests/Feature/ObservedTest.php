<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\StoredRig;
use App\ViewModels\FaultAnswers;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Import\DeviceDifference;
use HiddenWire\Core\Import\DeviceListing;
use HiddenWire\Core\Import\DeviceTrouble;
use HiddenWire\Core\Import\ObservedDevices;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Room\Disturbance;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\SimulatedComputer;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('starters/crab-race.json'));
    $this->compare = fn (string $list) => $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/computers/pc/observed", ['list' => $list]);
    $this->names = fn (): array => array_map(fn ($one) => $one->name, array_values(StoredRig::load($this->rig->fresh())->devices));
    $this->list = "name,direction,default\nEars,playback,yes and calls\n2- Voice,recording,yes and calls\n";
});

it('compares what was pasted with the plan, and keeps nothing of it', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/computers")->assertOk()->assertSee('compare with its real list');
    $this->get("/rigs/{$this->rig->id}/computers/pc/observed")->assertOk()->assertSee('its list against the plan')->assertDontSee('difference');
    ($this->compare)($this->list)->assertOk()->assertSee('Voice (recording) is called 2- Voice there')->assertSee('is planned, and not in the list')
        ->assertSee('2 devices found as planned');
    ($this->compare)('no list')->assertOk()->assertSee('No device was found in it');
    expect(($this->names)())->toBe(['Ears', 'Voice'])->and($this->rig->revisions()->count())->toBe(1);
});

it('takes one difference over, or all of them, by an edit that can be undone', function () {
    $edit = fn (array $more) => $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/edits", ['edit' => 'observed', 'computer' => 'pc',
        'list' => $this->list, 'revision' => $this->rig->fresh()->revision, ...$more]);
    $rig = StoredRig::load($this->rig->fresh());
    $planned = (new DeviceLists($rig, new Wiring($rig)))->of('pc');
    $renamed = array_values(array_filter(
        (new ObservedDevices($rig, 'pc', $planned, DeviceListing::read($this->list)))->differences,
        fn (DeviceDifference $one) => $one->kind === DeviceTrouble::Renamed,
    ))[0];
    $edit(['difference' => $renamed->key()])->assertSessionHasNoErrors();
    expect(($this->names)())->toBe(['Ears', '2- Voice']);
    $edit(['difference' => $renamed->key()])->assertSessionHasErrors('difference');
    $edit([])->assertSessionHasNoErrors();
    ($this->compare)($this->list)->assertSee('All as planned');
    $this->post("/rigs/{$this->rig->id}/undo", ['revision' => $this->rig->fresh()->revision])->assertSessionHasNoErrors();
    ($this->compare)($this->list)->assertDontSee('All as planned');
});

it('gives defaults that are otherwise to the fault finder, which finds them in the plan', function () {
    $relay = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $rig = StoredRig::load($relay);
    $devices = (new DeviceLists($rig, new Wiring($rig)))->of('sim-pc');
    $list = (new SimulatedComputer($devices))->listing([Disturbance::OtherDefault]);
    $page = (string) $this->actingAs($this->owner)->post("/rigs/{$relay->id}/computers/sim-pc/observed", ['list' => $list])
        ->assertOk()->assertSee('The playback default is To the desk, and Rally sound is planned')->getContent();
    expect(preg_match('#href="([^"]+)">Look for a fault#', $page, $found))->toBe(1);
    parse_str((string) parse_url(html_entity_decode($found[1]), PHP_URL_QUERY), $query);
    $faults = array_values(array_filter(
        Fault::all($rig),
        fn (Fault $one) => $query['known'] === 'look devices sim-pc='.FaultAnswers::digest($one->words),
    ));
    expect(array_map(fn (Fault $one) => $one->words, $faults))->toBe(['Rally computer: To the desk default for playback']);
    // A device that is gone says so, and nothing of the default that moved with it.
    $without = implode("\n", array_filter(explode("\n", $list), fn (string $line) => ! str_contains($line, 'Rally sound')));
    $page = (string) $this->post("/rigs/{$relay->id}/computers/sim-pc/observed", ['list' => $without])->assertOk()->getContent();
    expect(preg_match('#href="([^"]+)">Look for a fault#', $page, $found))->toBe(1);
    parse_str((string) parse_url(html_entity_decode($found[1]), PHP_URL_QUERY), $query);
    expect($query['known'])->toBe('list sim-pc sim-pc/optical/out=gone');
    $this->get(strtok($found[1], '?').'/hear?situation=on-air')->assertSuccessful();
    $this->get(html_entity_decode($found[1]))->assertOk()->assertSee('in the list of Rally computer')->assertSee('it is not there, or disabled');
    // A list that is as planned says nothing of mutes and plugs: no link.
    $this->post("/rigs/{$relay->id}/computers/sim-pc/observed", ['list' => (new SimulatedComputer($devices))->listing()])
        ->assertSee('All as planned')->assertDontSee('Look for a fault');
    $this->get("/rigs/{$relay->id}/computers/sim-pc/observed?simulated=3")->assertOk()->assertSee('difference');
});

it('asks what lines are that say nothing of their direction, and compares what it was told', function () {
    $text = "0: Ears\n1: \"Voice\"";
    $page = ($this->compare)($text)->assertOk()->assertSee('Say what these lines are')->assertSee('No device was found in it.');
    $this->post("/rigs/{$this->rig->id}/computers/pc/observed", ['list' => $text, 'tells' => [
        ['as' => 'playback', 'name' => 'Ears'], ['as' => 'recording', 'name' => 'Voice'], ['as' => 'sideways', 'name' => 'x'], 'nonsense',
    ]])->assertOk()->assertDontSee('Say what these lines are')->assertDontSee('No device was found')->assertSee('found as planned');
});

it('is of computers of this rig only', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/computers/set/observed")->assertNotFound();
    $this->get("/rigs/{$this->rig->id}/computers/nobody/observed")->assertNotFound();
});
