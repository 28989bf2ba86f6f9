<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\StoredRig;
use HiddenWire\Core\Quantity\Lengths;
use Tests\Support\Draft;

beforeEach(function () {
    $this->user = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->user, Draft::rig()->tone('player')->ear('hall')->cable('trs', 'player/out', 'hall/in')
        ->with(function (array $d) {
            $d['cables'][0]['length_m'] = 1.5;

            return $d;
        })->text());
    $this->cable = fn () => array_values(StoredRig::load($this->rig->fresh())->cables)[0];
    $this->edit = fn (array $fields) => $this->actingAs($this->user)
        ->post("/rigs/{$this->rig->id}/edits", [...$fields, 'revision' => $this->rig->fresh()->revision]);
});

it('is in metres until somebody chooses feet and inches, for themselves alone', function () {
    $this->actingAs($this->user)->get("/rigs/{$this->rig->id}/cables")->assertOk()->assertSee('value="1.5"', false);
    $this->put('/account/lengths', ['lengths' => 'imperial'])->assertRedirect(route('account'));
    expect($this->user->fresh()->lengths)->toBe(Lengths::Imperial)->and(User::factory()->create()->fresh()->lengths)->toBe(Lengths::Metric);
    $this->get('/account')->assertOk()->assertSee('Lengths are in feet and inches now.');
    foreach (['cables' => '4 ft 11 in', 'shopping' => '4 ft 11 in', 'book?parts[]=cables' => '4 ft 11 in'] as $view => $says) {
        $this->actingAs($this->user->fresh())->get("/rigs/{$this->rig->id}/{$view}")->assertOk()->assertSee($says);
    }
    $this->put('/account/lengths', ['lengths' => 'cubits'])->assertSessionHasErrors('lengths');
});

it('takes a length in any unit, and leaves as it is what was not written anew', function () {
    $row = ['edit' => 'cable', 'cable' => ($this->cable)()->id, 'label' => ($this->cable)()->label, 'type' => 'trs', 'owned' => '1'];
    ($this->edit)([...$row, 'length' => '250 cm'])->assertSessionHasNoErrors();
    expect(($this->cable)()->lengthM)->toBe(2.5);
    ($this->edit)([...$row, 'length' => 'far'])->assertSessionHasErrors('length');
    $this->user->update(['lengths' => Lengths::Imperial]);
    // 2.5 m are 98.4 inches: as they are said they would be 2.489 m.
    ($this->edit)([...$row, 'length' => '8 ft 2 in', 'colour' => 'red'])->assertSessionHasNoErrors();
    expect([($this->cable)()->lengthM, ($this->cable)()->colour])->toBe([2.5, 'red']);
    ($this->edit)([...$row, 'length' => '10'])->assertSessionHasNoErrors();
    expect(($this->cable)()->lengthM)->toBe(3.048);
    ($this->edit)([...$row, 'length' => ''])->assertSessionHasNoErrors();
    expect(($this->cable)()->lengthM)->toBeNull();
});
