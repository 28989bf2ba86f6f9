<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\ViewModels\RigPage;
use App\ViewModels\SituationCell;
use App\ViewModels\SituationsPage;
use Illuminate\Http\Request;

/** Situations side by side: each cell's forms do what they say, and nothing else. */
beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->open = function (string $file): void {
        $this->rig = app(ImportRig::class)($this->owner, shipped($file));
    };
    $this->send = function (array $fields): void {
        $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/edits", [...$fields, 'revision' => $this->rig->fresh()->revision])
            ->assertSessionHasNoErrors();
    };
    $this->table = fn (array $query = []): SituationsPage => new SituationsPage(new RigPage(
        $this->rig->fresh(),
        'situations',
        tap(Request::create('/', 'GET', $query), fn (Request $request) => $request->setUserResolver(fn () => $this->owner)),
    ));
    /** @return array<string, SituationCell> by what and situation, but the default's */
    $this->cells = function (): array {
        $cells = [];
        $table = ($this->table)();
        foreach ($table->groups as $group) {
            foreach ($group['rows'] as $line) {
                foreach (array_slice($line['cells'], 1, null, true) as $situation => $cell) {
                    $cells[$line['row']->of->key()." in {$situation}"] = $cell;
                }
            }
        }

        return $cells;
    };
    $this->stands = fn (): array => array_map(fn (SituationCell $cell) => $cell->stands, ($this->cells)());
});

it('sets by a click what has two positions, and has it as in the default by another', function (string $file, array $before) {
    ($this->open)($file);
    array_map($this->send, $before);
    $clicked = 0;
    foreach (array_filter(($this->cells)(), fn (SituationCell $cell) => $cell->other !== null) as $key => $cell) {
        $was = ($this->stands)();
        ($this->send)($cell->other);
        $now = ($this->cells)()[$key];
        expect([$key, $now->stands, $now->isOwn])->toBe([$key, $cell->otherwise, true])
            ->and([$key, array_keys(array_diff_assoc(($this->stands)(), $was))])->toBe([$key, [$key]]);
        ($this->send)($now->reset);
        expect([$key, ($this->stands)()])->toBe([$key, $was]);
        $clicked++;
    }
    expect($clicked)->toBeGreaterThan(1);
})->with([
    'the demo' => ['rigs/night-relay.json', [
        ['edit' => 'absent', 'which' => 'break', 'unit' => 'clips'], ['edit' => 'pulled', 'which' => 'break', 'cable' => 'w-01'],
        ['edit' => 'point', 'unit' => 'mixer', 'point' => 'main', 'mute' => '1', 'situation' => 'talk'],
    ]],
    'effects' => ['starters/storm-watch.json', [['edit' => 'add-situation', 'name' => 'Third']]],
]);

it('takes back everything that a situation says, one by one', function (string $file, array $before) {
    ($this->open)($file);
    array_map($this->send, $before);
    $left = fn (): int => count(array_filter(($this->cells)(), fn (SituationCell $cell) => $cell->isOwn));
    $count = $left();
    expect($count)->toBeGreaterThan(0);
    foreach (array_filter(($this->cells)(), fn (SituationCell $cell) => $cell->isOwn) as $key => $cell) {
        ($this->send)($cell->reset);
        expect([$key, $left()])->toBe([$key, --$count]);
    }
    $page = ($this->table)();
    expect($page->groups)->toBe([])->and($page->steps)->toBe([]);
    $this->get("/rigs/{$this->rig->id}/situations")->assertOk()->assertSee('Nothing differs yet.');
})->with([
    'the demo, with devices, levels, picks and taps' => ['rigs/night-relay.json', [
        ['edit' => 'default', 'situation' => 'break', 'computer' => 'sim-pc', 'direction' => 'playback', 'role' => 'playback', 'device' => 'headset-amp/usb/play'],
        ['edit' => 'system-level', 'situation' => 'off', 'computer' => 'sim-pc', 'device' => 'headset-amp/usb/play', 'db' => '-12', 'mute' => '1'],
        ['edit' => 'pick', 'situation' => 'talk', 'unit' => 'music', 'point' => 'sound', 'device' => 'mixer/usb/play'],
        ['edit' => 'route', 'situation' => 'talk', 'unit' => 'mixer', 'route' => 'ch-1>main', 'tap' => 'pre-fader', 'db' => '-3.25'],
        ['edit' => 'route', 'situation' => 'off', 'unit' => 'card', 'route' => 'line>usb-out', 'on' => '1'],
        ['edit' => 'plug-last', 'situation' => 'off', 'cable' => 'w-01'], ['edit' => 'pulled', 'which' => 'break', 'cable' => 'w-02'],
    ]],
    'scenes' => ['starters/quiz-night.json', []],
]);

it('chooses and types in its own situation', function () {
    ($this->open)('rigs/night-relay.json');
    ($this->send)(['edit' => 'route', 'situation' => 'talk', 'unit' => 'card', 'route' => 'line>usb-out', 'on' => '1']);
    $key = 'broadcast/source-2 fader in talk';
    $level = ($this->cells)()[$key]->level;
    expect([$level->value, $level->scale->unit, ($this->cells)()[$key]->isOwn])->toBe([-16.0, 'dB', false]);
    ($this->send)([...$level->fields, $level->name => '-9.5']);
    expect([($this->cells)()[$key]->stands, ($this->cells)()['broadcast/source-2 fader in off']->stands])->toBe(['−9.5 dB', '−16.0 dB']);
    $choice = ($this->cells)()['card group sound in off']->choice;
    $talk = ($this->cells)()['card group sound in talk']->choice;
    expect($talk['now'])->toBe('line>usb-out')->and($choice['of'])->toBe(['picture-1>usb-out' => 'Picture sound 1', 'line>usb-out' => 'Line']);
    ($this->send)([...$talk['fields'], $talk['name'] => 'picture-1>usb-out']);
    expect(($this->cells)()['card group sound in talk']->stands)->toBe('Picture sound 1');
});

it('counts what lies between two, and tells who hears a difference', function () {
    ($this->open)('rigs/night-relay.json');
    $table = ($this->table)();
    // Without a pair chosen: from the default to the next.
    expect([$table->from()?->id, $table->to()?->id, $table->pairTitle()])->toBe(['on-air', 'break', 'On air to Break: 6 changes'])
        ->and($table->distances['on-air'])->toBe(['on-air' => 0, 'break' => 6, 'talk' => 7, 'off' => 8])
        ->and(array_map(fn (array $group) => [$group['name'], $group['place'], count($group['rows'])], $table->steps))
        ->toBe([['Desk mixer', 'Presenter\'s desk', 3], ['Broadcast program', 'Broadcast corner', 2], ['Clip recorder', 'Broadcast corner', 1]]);
    $says = array_column(array_map(fn (array $one) => [$one['listener']->id, $one['says']], $table->heard), 1, 0);
    // Music goes from -16 to -6 dB; voices and caller are switched off.
    expect($says['viewers'])->toContain('no longer heard')->toContain('Music 10.0 dB louder')->and($says)->not->toHaveKey('driver');
    $chosen = ($this->table)(['situation' => 'off', 'against' => 'talk']);
    expect($chosen->pairTitle())->toBe('Off-air talk to Off: 11 changes');
    $own = ($this->table)(['situation' => 'talk']);
    expect([$own->from()?->id, $own->to()?->id])->toBe(['on-air', 'talk']);
});

it('lists the wishes that a situation has of its own, with a way to each', function () {
    ($this->open)('rigs/night-relay.json');
    $table = ($this->table)();
    expect(array_keys($table->wishColumns))->toBe(['break', 'talk', 'off'])
        ->and(array_map(fn (array $row) => $row['source']->id, $table->wishRows))->not->toContain('call-ring');
    $own = array_sum(array_map(fn (array $row) => array_sum(array_map(count(...), $row['cells'])), $table->wishRows));
    $wishes = json_decode(shipped('rigs/night-relay.json'), true)['wishes'];
    expect($own)->toBe(array_sum(array_map(fn (array $wish) => count($wish['situations'] ?? []), $wishes)));
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/situations")->assertOk()
        ->assertSee('Presenter voice at Viewers in Break: must not')->assertSee('Presenter voice at Arcade hall in Break: may hear');
});
