<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\StoredRig;
use HiddenWire\Core\Rig\Ownership;

beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('starters/tram-depot.json'));
    $this->edit = fn (array $fields) => $this->actingAs($this->owner)
        ->post("/rigs/{$this->rig->id}/edits", [...$fields, 'revision' => $this->rig->fresh()->revision]);
    $this->now = fn () => StoredRig::load($this->rig->fresh());
});

it('sets what the system does: a device\'s level, mute and where it is played, and leaves what a form does not name', function () {
    ($this->edit)(['edit' => 'device', 'computer' => 'pc', 'device' => 'pc/line-in/in', 'name' => 'Console', 'enabled' => '1', 'db' => '-3.5', 'mute' => '1',
        'plays_to' => ''])->assertSessionHasNoErrors();
    $set = ($this->now)()->devices[1];
    expect([$set->db?->number(), $set->mute, $set->playsTo])->toBe([-3.5, true, null]);
    ($this->edit)(['edit' => 'device', 'computer' => 'pc', 'device' => 'pc/line-in/in', 'name' => 'Old console', 'enabled' => '1'])->assertSessionHasNoErrors();
    $set = ($this->now)()->devices[1];
    expect([$set->name, $set->db?->number(), $set->mute])->toBe(['Old console', -3.5, true]);
    ($this->edit)(['edit' => 'device', 'computer' => 'pc', 'device' => 'pc/line-in/in', 'name' => 'x', 'enabled' => '1', 'db' => '31'])
        ->assertSessionHasErrors('db');
    ($this->edit)(['edit' => 'device', 'computer' => 'pc', 'device' => 'pc/line-in/in', 'name' => 'x', 'enabled' => '1', 'db' => '', 'plays_to' => 'mic/usb/rec'])
        ->assertSessionHasErrors();
});

it('sets a level in a situation, and takes it back there', function () {
    ($this->edit)(['edit' => 'system-level', 'situation' => 'pause', 'computer' => 'pc', 'device' => 'pc/line-out/out', 'db' => '-20', 'mute' => ''])
        ->assertSessionHasNoErrors();
    expect(($this->now)()->situations['pause']->levels)->toHaveCount(2)->and(($this->now)()->situations['pause']->levels[1]->mute)->toBeNull();
    ($this->edit)(['edit' => 'system-level', 'situation' => 'pause', 'computer' => 'pc', 'device' => 'pc/line-out/out', 'db' => '', 'mute' => ''])
        ->assertSessionHasNoErrors();
    expect(($this->now)()->situations['pause']->levels)->toHaveCount(1);
    ($this->edit)(['edit' => 'system-level', 'situation' => 'on-air', 'computer' => 'pc', 'device' => 'pc/line-out/out', 'db' => '-20'])
        ->assertSessionHasErrors('situation');
    $this->get("/rigs/{$this->rig->id}/situations?situation=pause")->assertOk()->assertSeeInOrder(['Depot computer', 'Recordings', 'system level', 'muted']);
});

it('sets a program\'s level in the system, and keeps it when another device is picked', function () {
    ($this->edit)(['edit' => 'program-level', 'unit' => 'music', 'point' => 'sound', 'db' => '-6', 'mute' => '1'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'pick', 'unit' => 'music', 'point' => 'sound', 'device' => 'pc/line-out/out'])->assertSessionHasNoErrors();
    $pick = ($this->now)()->picks['music/sound'];
    expect([(string) $pick->device, $pick->db?->number(), $pick->mute])->toBe(['pc/line-out/out', -6, true]);
    ($this->edit)(['edit' => 'program-level', 'unit' => 'broadcast', 'point' => 'source-3', 'db' => '-6'])->assertSessionHasErrors('point');
});

it('writes down prices, manuals, systems and licences, and says what is wrong with them', function () {
    $describe = fn (string $unit, array $more) => ($this->edit)(['edit' => 'describe-unit', 'unit' => $unit, 'name' => 'Named', 'price' => '', 'links' => '', ...$more]);
    $describe('pc', ['price' => '450 EUR', 'supplier' => 'A shop', 'ready_s' => '40', 'system' => 'Quay', 'system_version' => '12.1',
        'links' => "Manual https://manuals.example/pc\nhttps://drivers.example/"])->assertSessionHasNoErrors();
    $pc = ($this->now)()->units['pc'];
    expect([$pc->price, $pc->supplier, $pc->readyS, $pc->system?->words()])->toBe(['450 EUR', 'A shop', 40, 'Quay 12.1'])
        ->and(array_map(fn ($link) => [$link->label, $link->url], $pc->links))
        ->toBe([['Manual', 'https://manuals.example/pc'], ['Manual', 'https://drivers.example/']]);
    // Versions are suggested: the one that is noted, and those from which models run on that system; none of another system.
    $sheet = (string) $this->get("/rigs/{$this->rig->id}/stock?select=unit:pc")->assertOk()->getContent();
    preg_match('#<datalist id="system-versions">(.*?)</datalist>#s', $sheet, $found);
    preg_match_all('#<option value="([^"]*)">#', $found[1] ?? '', $versions);
    expect($versions[1][0])->toBe('12.1')->and($versions[1])->toContain('7')->not->toContain('3');
    $describe('pc', ['links' => 'Manual javascript:alert(1)'])->assertSessionHasErrors('links');
    $describe('pc', ['system' => 'Quay', 'system_version' => 'twelve'])->assertSessionHasErrors('system_version');
    $describe('pc', ['ready_s' => '3601'])->assertSessionHasErrors('ready_s');
    // A program has a licence, and no operating system of its own.
    $describe('music', ['licence' => 'one seat', 'edition' => 'Home', 'system' => 'Quay'])->assertSessionHasNoErrors();
    $music = ($this->now)()->units['music'];
    expect([$music->licence, $music->edition, $music->system])->toBe(['one seat', 'Home', null]);
    // A form without it leaves it unchanged.
    ($this->edit)(['edit' => 'describe-unit', 'unit' => 'music', 'name' => 'Player'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['music']->licence)->toBe('one seat');
    $this->get("/rigs/{$this->rig->id}/computers")->assertOk()->assertSee('Quay 12.1');
});

it('notes of a unit what the format describes: a number, a choice, another unit', function () {
    $describe = fn (array $more) => ($this->edit)(['edit' => 'describe-unit', 'unit' => 'pc', 'name' => 'Named', ...$more]);
    $describe(['power_w' => '350', 'ownership' => 'hired', 'spare_for' => 'music'])->assertSessionHasNoErrors();
    $noted = fn (): array => [($this->now)()->units['pc']->powerW, ($this->now)()->units['pc']->ownership, ($this->now)()->units['pc']->spareFor];
    expect($noted())->toBe([350, Ownership::Hired, 'music']);
    $this->get("/rigs/{$this->rig->id}/stock?select=unit:pc")->assertOk()->assertSee('Watts from the wall')->assertSee('Whose it is')
        ->assertSee('Stands in for')->assertSee('value="borrowed"', false)->assertSee('value="music"', false);
    foreach (['power_w' => ['10001', '1,5', 'much', '-1'], 'ownership' => ['stolen'], 'spare_for' => ['nobody']] as $field => $wrong) {
        foreach ($wrong as $value) {
            $describe([$field => $value])->assertSessionHasErrors($field);
        }
    }
    // A unit is no spare for itself.
    $describe(['spare_for' => 'pc'])->assertSessionHasErrors();
    expect($noted())->toBe([350, Ownership::Hired, 'music']);
    $this->post("/rigs/{$this->rig->id}/undo", ['revision' => $this->rig->fresh()->revision])->assertRedirect();
    expect($noted())->toBe([null, Ownership::Own, null]);
    $this->post("/rigs/{$this->rig->id}/redo", ['revision' => $this->rig->fresh()->revision])->assertRedirect();
    $this->get("/rigs/{$this->rig->id}/book/written")->assertOk()->assertSee('Watts from the wall: 350. Hired. Stands in for ');
    $describe(['power_w' => '', 'ownership' => '', 'spare_for' => ''])->assertSessionHasNoErrors();
    expect($noted())->toBe([null, Ownership::Own, null]);
});

it('writes reasons and steps, and refuses those about nothing', function () {
    ($this->edit)(['edit' => 'reason', 'about' => 'units/pc/points/line-in', 'why' => 'It is quiet.', 'leave_alone' => '1'])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->reasons[0]->words())->toBe('Leave alone. It is quiet.');
    ($this->edit)(['edit' => 'reason', 'about' => 'units/pc/points/line-in', 'why' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->reasons)->toBe([]);
    foreach (['units/nobody', 'units/pc/points/none', 'pc', '', 'wishes/a'] as $about) {
        ($this->edit)(['edit' => 'reason', 'about' => $about, 'why' => 'x'])->assertSessionHasErrors('about');
    }
    ($this->edit)(['edit' => 'show-step', 'phase' => 'open', 'text' => 'Wave', 'at_min' => '-3', 'wait_s' => '5'])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->steps[0]->words())->toBe('3 minutes before: Wave; wait 5 seconds');
    ($this->edit)(['edit' => 'show-step', 'phase' => 'lunch', 'text' => 'Eat'])->assertSessionHasErrors('phase');
    ($this->edit)(['edit' => 'show-step', 'phase' => 'open', 'text' => ''])->assertSessionHasErrors('text');
    ($this->edit)(['edit' => 'show-step', 'step' => 'none', 'phase' => 'open', 'text' => 'x'])->assertSessionHasErrors('step');
    ($this->edit)(['edit' => 'remove-show-step', 'step' => 'wave'])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'move-show-step', 'step' => 'wave'])->assertSessionHasErrors('step');
    ($this->edit)(['edit' => 'reopen', 'evidence' => '0000000000000000'])->assertSessionHasErrors('evidence');
});

it('says how sure something is, proves it, and shows what hangs on it', function () {
    ($this->edit)(['edit' => 'fact', 'about' => 'units/pc', 'what' => 'Its line in takes the desk', 'certainty' => 'assumed', 'proof' => 'Play a tone.', 'minutes' => '2'])
        ->assertSessionHasNoErrors();
    $this->get("/rigs/{$this->rig->id}/doubts")->assertOk()->assertSee('Its line in takes the desk')->assertSee('Play a tone. (2 minutes)');
    ($this->edit)(['edit' => 'prove', 'about' => 'units/pc', 'certainty' => 'proven', 'by' => 'Technician', 'on' => '2026-02-01', 'firmware' => '1.4'])
        ->assertSessionHasNoErrors();
    expect(($this->now)()->papers->facts[0]->words())->toBe('Proven: Its line in takes the desk (Technician, 2026-02-01, firmware 1.4)');
    $this->get("/rigs/{$this->rig->id}/stock?select=unit:pc")->assertOk()->assertSee('Proven: Its line in takes the desk');
    foreach ([['about', ['about' => 'units/none']], ['with', ['with' => 'units/none']], ['what', ['what' => '']], ['on', ['on' => 'today']],
        ['minutes', ['minutes' => '-1']]] as [$field, $wrong]) {
        ($this->edit)([...['edit' => 'fact', 'about' => 'units/pc', 'what' => 'x', 'certainty' => 'stated'], ...$wrong])->assertSessionHasErrors($field);
    }
    ($this->edit)(['edit' => 'prove', 'about' => 'units/music', 'certainty' => 'proven'])->assertSessionHasErrors('about');
    ($this->edit)(['edit' => 'fact', 'about' => 'units/pc', 'certainty' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->papers->facts)->toBe([]);
});

it('sets a named setting in the base and in a situation, and a fader by what is printed at it', function () {
    $this->rig = app(ImportRig::class)($this->owner, shipped('starters/party-booth.json'));
    ($this->edit)(['edit' => 'value', 'unit' => 'console', 'setting' => 'headset-sound', 'value' => 'Voices alone'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['console']->values)->toBe(['headset-sound' => 'Voices alone']);
    ($this->edit)(['edit' => 'value', 'unit' => 'console', 'setting' => 'headset-sound', 'value' => 'Everything', 'situation' => 'no-party'])
        ->assertSessionHasNoErrors();
    expect(($this->now)()->situations['no-party']->settings[0]->value)->toBe('Everything');
    $this->get("/rigs/{$this->rig->id}/wiring?select=unit:console")->assertOk()->assertSee('Headsets play')->assertSee('Sound');
    $this->get("/rigs/{$this->rig->id}/situations")->assertOk()->assertSeeInOrder(['Headsets play', 'selected', 'Everything']);
    ($this->edit)(['edit' => 'value', 'unit' => 'console', 'setting' => 'headset-sound', 'value' => ''])->assertSessionHasNoErrors();
    expect(($this->now)()->units['console']->values)->toBe([]);
    ($this->edit)(['edit' => 'value', 'unit' => 'console', 'setting' => 'headset-sound', 'value' => 'Nothing'])->assertSessionHasErrors('value');
    ($this->edit)(['edit' => 'value', 'unit' => 'console', 'setting' => 'none', 'value' => 'x'])->assertSessionHasErrors('setting');

    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    // On the desk's scale 6 is -10 dB and 4 is -20 dB: 5 is half way.
    ($this->edit)(['edit' => 'printed', 'unit' => 'mixer', 'point' => 'main', 'control' => 'fader', 'mark' => '5'])->assertSessionHasNoErrors();
    expect(($this->now)()->units['mixer']->points['main']->fader?->value())->toBe(-15.0);
    $this->get("/rigs/{$this->rig->id}/recipes?select=unit:mixer")->assertOk()->assertSee('Fader of Main as printed');
    ($this->edit)(['edit' => 'printed', 'unit' => 'mixer', 'point' => 'main', 'control' => 'fader', 'mark' => '11'])->assertSessionHasErrors('mark');
    ($this->edit)(['edit' => 'printed', 'unit' => 'broadcast', 'point' => 'source-1', 'control' => 'fader', 'mark' => '5'])->assertSessionHasErrors('mark');
});

it('says which picks a mode breaks, and shows what it keeps out of the list', function () {
    $this->rig = app(ImportRig::class)($this->owner, shipped('starters/repair-evening.json'));
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/recipes?select=unit:mix")->assertOk()
        ->assertSee('Would break at One each way: Call program: Microphone (Without the caller); Call program: Speaker (Caller); Repair recorder: Input 1 (Without the caller)')
        ->assertDontSee('Would break at Every device');
    ($this->edit)(['edit' => 'value', 'unit' => 'mix', 'setting' => 'devices', 'value' => 'Every device'])
        ->assertSessionHas('said', fn (string $said) => ! str_contains($said, 'Not listed'));
    ($this->edit)(['edit' => 'value', 'unit' => 'mix', 'setting' => 'devices', 'value' => 'One each way'])
        ->assertSessionHas('said', fn (string $said) => str_contains(
            $said,
            'Not listed any more, though picked: Call program: Microphone (Without the caller); Call program: Speaker (Caller); Repair recorder: Input 1 '
            .'(Without the caller).',
        ));
    $this->get("/rigs/{$this->rig->id}/computers")->assertOk()
        ->assertSee('kept out: The computer lists is One each way')->assertSee('Caller (kept out: The computer lists is One each way)');
});

it('shows the channels of a device side by side, on the page and in the book', function () {
    $this->rig = app(ImportRig::class)($this->owner, shipped('starters/hall-of-mirrors.json'));
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/computers")->assertOk()->assertSeeInOrder(['Printed at Interface', 'In 2 right', 'Recording program: Low (Track 2)', 'Optical in 1, left']);
    $this->get("/rigs/{$this->rig->id}/exports/markdown")->assertOk()->assertSee('| 4 | In 2 right | Recording program: Low (Track 2) |', false);
});
