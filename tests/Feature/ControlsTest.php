<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Rig\Control;

beforeEach(function () {
    $this->owner = User::factory()->create(['name' => 'Bea']);
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->send = fn (array $fields) => $this->actingAs($this->owner)
        ->post("/rigs/{$this->rig->id}/edits", ['revision' => $this->rig->fresh()->revision, ...$fields]);
    $this->file = function (): string {
        $file = (string) tempnam(sys_get_temp_dir(), 'rig');
        file_put_contents($file, (new DocumentWriter)->write(StoredRig::load($this->rig->fresh())));

        return $file;
    };
    $this->control = fn (string $id): ?Control => StoredRig::load($this->rig->fresh())->controls[$id] ?? null;
});

it('shows each control where it lies, what it moves, and for whom what changes', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/controls")->assertOk()
        ->assertSee('Broadcast corner')->assertSee('Broadcast program · Music (Source 2), fader: −90.0 dB to 10.0 dB')
        ->assertSee('silent to 10.0 dB')->assertSee('Its label says something else: it moves Rally engine.')
        ->assertSee('Key 2')->assertSee('18 cells change: 7 sounds at 4 listeners');
    // In another situation it is something else.
    $this->get("/rigs/{$this->rig->id}/controls?situation=off")->assertSee('Changes nothing that anybody hears in Off.');
    // The same text comes back from the rows.
    expect((new DocumentWriter)->write(StoredRig::load($this->rig->fresh())))->toBe(shipped('rigs/night-relay.json'));
});

it('takes a new control and what it moves, with what is usual for the rest', function () {
    ($this->send)(['edit' => 'control', 'name' => 'Big knob', 'kind' => 'knob', 'legend' => 'Hall', 'at' => 'units/mixer', 'position' => '25', 'bank' => ''])
        ->assertSessionHasNoErrors();
    ($this->send)(['edit' => 'control-move', 'control' => 'big-knob', 'what' => 'mixer/main fader'])->assertSessionHasNoErrors();
    $control = ($this->control)('big-knob');
    expect([$control->name, $control->legend, (string) $control->at, $control->position])->toBe(['Big knob', 'Hall', 'units/mixer', 25.0])
        ->and([$control->moves[0]->from, $control->moves[0]->to, $control->moves[0]->law])->toBe([-90.0, 10.0, Law::Taper]);
    $this->get("/rigs/{$this->rig->id}/controls?control=big-knob")->assertSee('Desk mixer · Main, fader')->assertSee('Remove Big knob');
    // The same setting again is moved otherwise, not twice.
    ($this->send)(['edit' => 'control-move', 'control' => 'big-knob', 'what' => 'mixer/main fader', 'from' => '-20', 'law' => 'even'])
        ->assertSessionHasNoErrors();
    expect(($this->control)('big-knob')->moves)->toHaveCount(1)->and(($this->control)('big-knob')->moves[0]->from)->toBe(-20.0);
    // A pad is pressed, and toggles.
    ($this->send)(['edit' => 'control', 'name' => 'Pad', 'kind' => 'pad', 'at' => 'places/desk'])->assertSessionHasNoErrors();
    ($this->send)(['edit' => 'control-move', 'control' => 'pad', 'what' => 'mixer/main mute', 'by' => 'hold', 'law' => 'set', 'with' => 'big-knob'])
        ->assertSessionHasNoErrors();
    ($this->send)(['edit' => 'control-move', 'control' => 'pad', 'what' => 'situations/break situation'])->assertSessionHasNoErrors();
    expect(array_map(fn ($move) => [$move->slot(), $move->by, $move->with], ($this->control)('pad')->moves))->toBe([
        ['mixer/main mute', Gesture::Hold, 'big-knob'], ['situations/break situation', Gesture::Press, null],
    ]);
    ($this->send)(['edit' => 'control-unmove', 'control' => 'pad', 'what' => 'mixer/main mute', 'by' => 'hold'])->assertSessionHasNoErrors();
    ($this->send)(['edit' => 'control', 'control' => 'pad', 'name' => 'Left pad 2', 'kind' => 'pad', 'at' => 'places/desk', 'learned' => '1'])
        ->assertSessionHasNoErrors();
    expect([($this->control)('pad')->name, ($this->control)('pad')->isLearned, count(($this->control)('pad')->moves)])->toBe(['Left pad 2', true, 1]);
    ($this->send)(['edit' => 'remove-control', 'control' => 'big-knob'])->assertSessionHasNoErrors();
    expect(($this->control)('big-knob'))->toBeNull();
    $this->post("/rigs/{$this->rig->id}/undo", ['revision' => $this->rig->fresh()->revision])->assertSessionHasNoErrors();
    expect(($this->control)('big-knob')?->name)->toBe('Big knob');
});

it('tries a setting that has no control, and enters every fader of a unit at once', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/controls?of=mixer&try=mixer/ch-2+fader")->assertOk()
        ->assertSee('Desk mixer · Mic 2, fader')->assertSee('Visitor voice')->assertSee('silent to 10.0 dB');
    ($this->send)(['edit' => 'controls-of', 'unit' => 'broadcast'])->assertSessionHasNoErrors();
    // By hand: it has eight sources and a monitor; the faders of the box move the second, the third and the fifth already.
    expect(array_keys(StoredRig::load($this->rig->fresh())->controls))->toContain('broadcast-source-1', 'broadcast-source-8', 'broadcast-monitor')
        ->not->toContain('broadcast-source-2', 'broadcast-source-3', 'broadcast-source-5');
    ($this->send)(['edit' => 'controls-of', 'unit' => 'broadcast'])->assertSessionHasErrors('unit');
    $this->get("/rigs/{$this->rig->id}/recipes?select=unit:broadcast")->assertSee('by Fader Monitor');
    // What a unit comes with needs no entering.
    ($this->send)(['edit' => 'controls-of', 'unit' => 'headset-amp'])->assertSessionHasErrors('unit');
});

it('lists what the units come with, says what one does, and lets it be called otherwise here', function () {
    $address = "/rigs/{$this->rig->id}/controls";
    $this->actingAs($this->owner)->get($address)->assertSee('As the units come')->assertSee('Mic 1 fader')->assertDontSee('Its model comes with it');
    // By hand: all that the desk plays to the speakers of the hall goes by its Main, and so does what the broadcast takes of it.
    $this->get("{$address}?control=mixer-fader-ch-2")->assertSee('Desk mixer: Mic 2 fader')->assertSee('Visitor voice')
        ->assertSee('Its model comes with it')->assertDontSee('Remove Desk mixer: Mic 2 fader');
    ($this->send)(['edit' => 'remove-control', 'control' => 'mixer-fader-ch-2'])->assertSessionHasErrors('control');
    ($this->send)(['edit' => 'control', 'control' => 'mixer-fader-ch-2', 'name' => 'Guest fader', 'kind' => 'fader', 'legend' => 'Guest',
        'at' => 'units/mixer', 'position' => '70'])->assertSessionHasNoErrors();
    expect(($this->control)('mixer-fader-ch-2')->moves[0]->slot())->toBe('mixer/ch-2 fader');
    $this->get($address)->assertSee('Guest fader');
    ($this->send)(['edit' => 'remove-control', 'control' => 'mixer-fader-ch-2'])->assertSessionHasNoErrors();
    expect(($this->control)('mixer-fader-ch-2'))->toBeNull();
    $this->get("{$address}?control=mixer-fader-ch-2")->assertSee('Desk mixer: Mic 2 fader');
});

it('assigns a fader to one of several sounds at a time', function () {
    ($this->send)(['edit' => 'control', 'control' => 'box-1', 'name' => 'Fader 1', 'kind' => 'fader', 'legend' => 'Music', 'at' => 'places/corner',
        'assigned' => '1'])->assertSessionHasNoErrors();
    ($this->send)(['edit' => 'control-move', 'control' => 'box-1', 'what' => 'broadcast/source-5 fader'])->assertSessionHasNoErrors();
    $now = fn (): array => array_map(fn ($move) => $move->slot(), ($this->control)('box-1')->movesNow());
    expect($now())->toBe(['broadcast/source-2 fader']);
    $page = fn () => $this->get("/rigs/{$this->rig->id}/controls?control=box-1");
    $page()->assertSee('One of these at a time')->assertSee('assigned to Broadcast program · Old console (Source 5), fader');
    ($this->send)(['edit' => 'control-assign', 'control' => 'box-1', 'what' => 'broadcast/source-5 fader'])->assertSessionHasNoErrors();
    expect($now())->toBe(['broadcast/source-5 fader']);
    ($this->send)(['edit' => 'control-assign', 'control' => 'box-1', 'what' => 'broadcast/source-6 fader'])->assertSessionHasErrors('what');
    ($this->send)(['edit' => 'control-assign', 'control' => 'box-2', 'what' => 'broadcast/source-3 fader'])->assertSessionHasErrors('what');
    // All together again: nothing is chosen any more.
    ($this->send)(['edit' => 'control', 'control' => 'box-1', 'name' => 'Fader 1', 'kind' => 'fader', 'at' => 'places/corner', 'assigned' => '0'])
        ->assertSessionHasNoErrors();
    expect($now())->toBe(['broadcast/source-2 fader', 'broadcast/source-5 fader']);
});

it('compares a control with what was seen at the real one, and takes that over', function () {
    $page = fn (string $more) => $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/controls?control=box-3{$more}");
    $page('')->assertSee('What changes?')->assertDontSee('As planned')->assertSee('Try the next: ');
    // By hand: the third fader moves the rally engine's slot, whatever its label says.
    $page('&tried=1&seen-rally=1')->assertSee('As planned: it moves Rally engine.')->assertSee('Seen on the real one');
    $page('&tried=1')->assertSee('Dead: nothing changes. The plan has it move Rally engine.')->assertSee('Let it move nothing');
    $page('&tried=1&seen-music=1')->assertSee('It moves something else: Music, where the plan says Rally engine.')
        ->assertSee('Doubled: Fader 1 (Music) is planned to move just that.')->assertSee('Let it move Broadcast program · Music (Source 2), fader');
    $page('&tried=1&seen-rally=1&seen-music=1')->assertSee('It also moves Music.');
    ($this->send)(['edit' => 'control-tried', 'control' => 'box-3', 'what' => 'broadcast/source-2 fader'])->assertSessionHasNoErrors();
    expect([($this->control)('box-3')->isLearned, ($this->control)('box-3')->moves[0]->slot()])->toBe([true, 'broadcast/source-2 fader']);
    ($this->send)(['edit' => 'control-tried', 'control' => 'box-3', 'what' => 'nothing'])->assertSessionHasNoErrors();
    expect(($this->control)('box-3')->moves)->toBe([]);
    ($this->send)(['edit' => 'control-tried', 'control' => 'box-2', 'what' => 'as-planned'])->assertSessionHasNoErrors();
    expect([($this->control)('box-2')->isLearned, count(($this->control)('box-2')->moves)])->toBe([true, 1]);
    ($this->send)(['edit' => 'control-tried', 'control' => 'box-2', 'what' => 'perhaps'])->assertSessionHasErrors('what');
});

it('says in which field what is wrong', function (array $fields, string $field) {
    ($this->send)($fields)->assertSessionHasErrors($field);
})->with([
    'no kind' => [['edit' => 'control', 'name' => 'X', 'at' => 'places/desk'], 'kind'],
    'nowhere' => [['edit' => 'control', 'name' => 'X', 'kind' => 'pad', 'at' => 'places/attic'], 'at'],
    'on a cable' => [['edit' => 'control', 'name' => 'X', 'kind' => 'pad', 'at' => 'cables/w-01'], 'at'],
    'too far' => [['edit' => 'control', 'name' => 'X', 'kind' => 'fader', 'at' => 'places/desk', 'position' => '101'], 'position'],
    'another control' => [['edit' => 'control-move', 'control' => 'nobody', 'what' => 'mixer/main fader'], 'control'],
    'what is not there' => [['edit' => 'control-move', 'control' => 'box-1', 'what' => 'mixer/attic fader'], 'what'],
    'no switch' => [['edit' => 'control-move', 'control' => 'quiet', 'what' => 'mixer/main mute', 'to' => 'perhaps'], 'to'],
    'gone already' => [['edit' => 'control-unmove', 'control' => 'quiet', 'what' => 'mixer/main mute', 'by' => 'press'], 'what'],
]);

it('is found by what people call it', function () {
    $find = fn (string $q) => $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/find?q=".urlencode($q))->assertOk();
    $find('hotkey')->assertSee('Controls')->assertSee('New control');
    $find('cough')->assertSee('Foot switch (Cough)')->assertSee('controls?');
    $find('cabling card')->assertSee('Tick the cabling')->assertSee('cards/cabling');
    $find('cheat sheet')->assertSee('Show page');
});

it('is read by whoever may look, and changed by nobody else', function () {
    $other = User::factory()->create();
    $this->actingAs($other)->get("/rigs/{$this->rig->id}/controls")->assertNotFound();
});

it('says of a cell which controls move it, and what they move besides', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/wishes?pair=music:viewers")
        ->assertSee('moved-by?source=music&amp;listener=viewers&amp;situation=on-air', false);
    $moved = fn (string $source, string $listener) => $this->get("/rigs/{$this->rig->id}/moved-by?source={$source}&listener={$listener}&situation=on-air");
    $moved('music', 'viewers')->assertOk()->assertSee('moved by Fader 1 (Music), also it at Archive; Left pad (Quiet), also');
    $moved('rally', 'driver-ears')->assertSee('moved by Balance knob (Game or talk), which moves nothing else');
    // By hand: the caller's ring comes by the desk's strip of the computer, which the music and the caller share, for two listeners.
    $moved('ring', 'presenter')->assertSee('moved by Desk mixer: Computer fader, also');
    $moved('crew', 'viewers')->assertSee('moved by no control');
    $moved('nobody', 'viewers')->assertNotFound();
    $this->flushSession();
    $this->actingAs(User::factory()->create());
    $moved('music', 'viewers')->assertNotFound();
});

it('has a page to lie beside the keyboard, locked until it is unlocked', function () {
    $show = $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/show")->assertOk()->assertSee('Music at Viewers and Archive')
        ->assertSee('here now')->assertSee('goes to Break')->assertDontSee('Seen on the real one');
    expect((string) $show->getContent())->toContain('−16.0 dB');
    $this->get("/rigs/{$this->rig->id}/show?situation=break")->assertSee('does nothing now');
    $page = (string) $this->get("/rigs/{$this->rig->id}/show?unlocked=1")->assertSee('Seen on the real one')->getContent();
    expect(preg_match('#name="_change" value="([^"]+)">\s*<button class="do" type="submit">Seen on the real one<span[^>]*>:\s*Fader 3#', $page, $found))
        ->toBe(1);
    $this->post("/rigs/{$this->rig->id}/edits", ['_change' => html_entity_decode($found[1])])->assertSessionHasNoErrors();
    $control = ($this->control)('box-3');
    expect([$control->isLearned, $control->position, $control->legend, count($control->moves)])->toBe([true, 72.0, 'Chimes', 1]);
});

it('tells the way to another situation by hand, with what is heard in another order', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/show?to=break")->assertOk()->assertSee('by-hand?from=on-air', false);
    $this->get("/rigs/{$this->rig->id}/by-hand?from=on-air&to=break")->assertOk()->assertSee('From On air to Break: 6 presses on 3 units')
        ->assertSee('At once by Key 2 (Break).')->assertSee('Any order will do')->assertDontSee('In another order:');
    $studio = app(ImportRig::class)($this->owner, shipped('starters/harbour-radio.json'));
    $this->get("/rigs/{$studio->id}/by-hand?from=hour&to=talk")->assertSee('In this order nothing is heard on the way that must not be.')
        ->assertSee('Host is heard at Viewers after Studio mixer: Host (Mic 1) unmuted');
    foreach (['from=on-air&to=on-air', 'from=on-air&to=noon', 'from=&to=', ''] as $wrong) {
        $this->get("/rigs/{$this->rig->id}/by-hand?{$wrong}")->assertNotFound();
    }
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/rigs/{$this->rig->id}/by-hand?from=on-air&to=break")->assertNotFound();
});

it('chooses a device by a key, and tells faders on air that no hand has', function () {
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/controls")->assertSee('moved by no control: ')->assertSee('Broadcast program · Desk (Source 1)');
    // The broadcast program's music from the desk instead: the archive loses the player's music.
    ($this->send)(['edit' => 'control-move', 'control' => 'key-1', 'what' => 'broadcast/source-2 device', 'to' => 'mixer/usb/rec', 'by' => 'long'])
        ->assertSessionHasNoErrors();
    $this->get("/rigs/{$this->rig->id}/by-hand?from=on-air&to=off")->assertSee('One key could do it: one that goes to Off');
    Illuminate\Support\Facades\Artisan::call('rig:reach', ['file' => ($this->file)(), '--json' => true, '--control' => 'key-1', '--situation' => 'on-air']);
    $reach = json_decode(Illuminate\Support\Facades\Artisan::output(), true)['controls'][0]['situations'][0]['reach'];
    $music = array_values(array_filter($reach, fn (array $one) => $one['source'] === 'music' && $one['listener'] === 'archive'))[0];
    expect([$music['by'], $music['levels'][0]['db'], $music['levels'][1]['db']])->toBe(['long', -16, null]);
    ($this->send)(['edit' => 'control-move', 'control' => 'key-1', 'what' => 'broadcast/source-2 device', 'to' => 'nothing'])
        ->assertSessionHasErrors();
});

it('says it without a database, as a table and as data', function () {
    $file = base_path('resources/rigs/night-relay.json');
    $this->artisan('rig:reach', ['file' => $file, '--control' => 'box-1', '--situation' => 'on-air'])
        ->expectsOutputToContain('Fader 1 (Music): Broadcast program')->assertSuccessful();
    $this->artisan('rig:reach', ['file' => $file, '--control' => 'nobody'])->expectsOutputToContain('There is no control "nobody"')->assertFailed();
    Illuminate\Support\Facades\Artisan::call('rig:reach', ['file' => $file, '--json' => true, '--control' => 'box-1', '--situation' => 'on-air']);
    $said = json_decode(Illuminate\Support\Facades\Artisan::output(), true);
    expect($said['controls'][0]['situations'][0]['reach'][0])->toMatchArray(['source' => 'music', 'listener' => 'viewers', 'by' => 'move', 'with' => null])
        ->and($said['controls'][0]['situations'][0]['reach'][0]['levels'][0])->toBe(['at' => 0, 'db' => null])
        ->and(array_column($said['controls'][0]['situations'][0]['reach'][0]['levels'], 'at'))->toBe([0, 25, 50, 65, 100]);
});
