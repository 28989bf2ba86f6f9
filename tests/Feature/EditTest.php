<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

beforeEach(function () {
    $this->user = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->user, shipped('rigs/night-relay.json'));
    $this->edit = fn (array $fields) => $this->actingAs($this->user)->from('/here')->post("/rigs/{$this->rig->id}/edits", $fields + ['revision' => $this->rig->fresh()->revision]);
    $this->stored = fn (): string => (new DocumentWriter)->write(RigFromRows::rig($this->rig->fresh()));
    $this->verdict = function (string $source, string $listener, ?string $situation = null): string {
        $rig = RigFromRows::rig($this->rig->fresh());

        return (new Hearing((new GraphBuilder($rig))->build($rig->situation($situation))))->pair($source, $listener)->verdict->value;
    };
});

it('makes each kind of change, with a revision that says so in words, and rows that hold what the revision holds', function (array $fields, string $words) {
    ($this->edit)($fields)->assertRedirect('/here')->assertSessionHasNoErrors()->assertSessionHas('said', $words);
    $revision = $this->rig->revisions()->latest('number')->first();
    expect($revision->what)->toBe($words)->and($revision->number)->toBe(2)->and($revision->parent)->toBe(1)->and($revision->user_id)->toBe($this->user->id)
        ->and(($this->stored)())->toBe($revision->document)->not->toBe(shipped('rigs/night-relay.json'))
        ->and((new DocumentWriter)->write(StoredRig::load($this->rig->fresh())))->toBe($revision->document);
})->with([
    'a wish' => [['edit' => 'wish', 'source' => 'voice', 'listener' => 'team', 'want' => 'may'], 'Presenter voice may be heard by Driver\'s team'],
    'a wish taken back' => [['edit' => 'wish', 'source' => 'voice', 'listener' => 'team', 'want' => 'none'], 'No wish for Presenter voice at Driver\'s team'],
    'a wish in one situation' => [['edit' => 'wish', 'source' => 'voice', 'listener' => 'viewers', 'want' => 'may', 'situation' => 'off'], 'Presenter voice may be heard by Viewers in Off'],
    'a row' => [['edit' => 'wish', 'source' => 'ring', 'listener' => '*', 'want' => 'must-not'], 'Call ring must not be heard by every listener'],
    'a route' => [['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-usb>main', 'on' => '1', 'situation' => 'on-air'], 'Desk mixer: Computer → Main on'],
    'a route in a situation' => [['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-usb>main', 'on' => '1', 'situation' => 'break'], 'Desk mixer: Computer → Main on in Break'],
    'a mute' => [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1'], 'Desk mixer: Mic 1 muted'],
    'a fader' => [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'fader' => '-4.5'], 'Desk mixer: Mic 1 fader −4.5 dB'],
    'a cable' => [['edit' => 'plug', 'from' => 'cast-pc/line-out', 'to' => 'card/analog'], 'W-35: Line out · green of Broadcast computer to Analog in of Capture card'],
    'a cable out' => [['edit' => 'unplug', 'cable' => 'w-07'], 'Unplugged W-07'],
    'a pick' => [['edit' => 'pick', 'unit' => 'chimes', 'point' => 'sound', 'device' => 'softmix/virtual-1'], 'Donation chimes: Chimes uses softmix/virtual-1'],
    'a pick taken back' => [['edit' => 'pick', 'unit' => 'chimes', 'point' => 'sound', 'device' => ''], 'Donation chimes: Chimes uses no device'],
    'a pick that taps' => [['edit' => 'pick', 'unit' => 'broadcast', 'point' => 'source-7', 'device' => 'cast-pc/hdmi/sound'], 'Broadcast program: Source 7 uses cast-pc/hdmi/sound'],
    'a place' => [['edit' => 'place', 'name' => 'Balcony', 'kind' => 'desk'], 'New place: Balcony'],
    'a unit' => [['edit' => 'add-unit', 'model' => 'condenser-microphone', 'place' => 'desk', 'name' => 'Spare mic'], 'New unit: Spare mic (Condenser microphone), Presenter\'s desk'],
    'a unit away' => [['edit' => 'remove-unit', 'unit' => 'headset-amp'], 'Removed Headset amp, and with it W-06, W-08, W-09, 3 picks'],
    'a sound' => [['edit' => 'add-source', 'name' => 'Kettle', 'kind' => 'other', 'at' => 'webcam/capsule'], 'New sound: Kettle'],
    'a listener' => [['edit' => 'add-listener', 'name' => 'Nobody yet', 'kind' => 'team'], 'New listener: Nobody yet'],
    'a remedy of a missing sound' => [['edit' => 'remedy', 'source' => 'chime', 'listener' => 'viewers'], 'Donation chimes: Chimes uses softmix/virtual-1'],
    'a remedy of a leak' => [['edit' => 'remedy', 'source' => 'music', 'listener' => 'archive'], 'Broadcast program: Source 2 → Track 2 off'],
]);

it('mends the demo by its remedies, click by click', function () {
    foreach ([['chime', 'viewers'], ['music', 'archive'], ['rally', 'viewers']] as [$source, $listener]) {
        ($this->edit)(['edit' => 'remedy', 'source' => $source, 'listener' => $listener])->assertSessionHasNoErrors();
        expect(($this->verdict)($source, $listener))->toBe('ok');
    }
    expect($this->rig->fresh()->revision)->toBe(4);
});

it('undoes and redoes any number of steps, and keeps what was undone', function () {
    $documents = [($this->stored)()];
    foreach (['ch-1', 'ch-2', 'ch-opt'] as $point) {
        ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => $point, 'mute' => '1']);
        $documents[] = ($this->stored)();
    }
    $go = fn (string $way) => $this->actingAs($this->user)->post("/rigs/{$this->rig->id}/{$way}", ['revision' => $this->rig->fresh()->revision])->assertSessionHasNoErrors();
    foreach ([2, 1, 0] as $step) {
        $go('undo')->assertSessionHas('said');
        expect(($this->stored)())->toBe($documents[$step]);
    }
    $go('undo')->assertSessionHas('said', 'There is nothing to undo.');
    foreach ([1, 2, 3] as $step) {
        $go('redo');
        expect(($this->stored)())->toBe($documents[$step]);
    }
    $go('redo')->assertSessionHas('said', 'There is nothing to redo.');
    // A change after an undo starts a branch of its own; the other stays in the history and can be brought back.
    $go('undo');
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-usb', 'mute' => '1']);
    $go('redo')->assertSessionHas('said', 'There is nothing to redo.');
    $this->actingAs($this->user)->post("/rigs/{$this->rig->id}/revisions/4/restore", ['revision' => $this->rig->fresh()->revision]);
    expect(($this->stored)())->toBe($documents[3])->and($this->rig->revisions()->latest('number')->first()->what)->toBe('Restored revision 4: Desk mixer: Optical muted');
    $this->actingAs($this->user)->get("/rigs/{$this->rig->id}/history")->assertOk()->assertSee('Restored revision 4')->assertSee('Desk mixer: Computer muted')->assertSee('Imported');
});

it('refuses a stale edit with what was done meanwhile, and changes nothing', function () {
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1']);
    $before = ($this->stored)();
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-2', 'mute' => '1', 'revision' => 1])->assertSessionHasErrors('edit');
    expect(session('errors')->first('edit'))->toContain('Desk mixer: Mic 1 muted')->and(($this->stored)())->toBe($before)->and($this->rig->revisions()->count())->toBe(2);
});

it('refuses what the rig does not have or can\'t be, and says why', function (array $fields, string $key, string $says) {
    ($this->edit)($fields)->assertSessionHasErrors($key);
    expect(session('errors')->first($key))->toContain($says)->and(($this->stored)())->toBe(shipped('rigs/night-relay.json'))->and($this->rig->revisions()->count())->toBe(1);
})->with([
    [['edit' => 'fly'], 'edit', 'invalid'],
    [['edit' => 'wish', 'source' => 'nobody', 'listener' => 'viewers', 'want' => 'must'], 'source', 'no source "nobody"'],
    [['edit' => 'wish', 'source' => 'voice', 'listener' => 'viewers', 'want' => 'must', 'situation' => 'lunch'], 'situation', 'no situation'],
    [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'fader' => '60'], 'edit', 'lies outside'],
    [['edit' => 'point', 'unit' => 'mixer', 'point' => 'usb-out', 'mute' => '1'], 'edit', 'has no mute switch'],
    [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1'], 'mute', 'Nothing is asked for'],
    [['edit' => 'route', 'unit' => 'booster', 'route' => 'in>out', 'on' => '0'], 'edit', 'The model fixes'],
    [['edit' => 'unplug', 'cable' => 'w-99'], 'cable', 'no cable'],
    [['edit' => 'place', 'name' => ' ', 'kind' => 'desk'], 'name', 'Give it a name'],
    [['edit' => 'add-unit', 'model' => 'none', 'place' => 'desk', 'name' => 'X'], 'model', 'no model'],
    [['edit' => 'add-unit', 'model' => 'game', 'place' => 'hall', 'name' => 'X'], 'edit', 'A program runs in a place that has a computer'],
    [['edit' => 'add-unit', 'model' => 'laptop', 'place' => 'sim', 'name' => 'X'], 'edit', 'has its computer already'],
    [['edit' => 'pick', 'unit' => 'chimes', 'point' => 'sound', 'device' => 'mixer/usb/rex'], 'device', 'no such device'],
    [['edit' => 'add-source', 'name' => 'X', 'at' => 'mixer/main'], 'edit', 'is no origin'],
    [['edit' => 'plug', 'from' => 'mixer/optical', 'to' => 'card/analog'], 'edit', 'has W-07 in it'],
    [['edit' => 'plug', 'from' => 'cast-pc/line-out', 'to' => 'corner-monitor/hdmi-2'], 'edit', 'No cable has'],
    [['edit' => 'plug', 'from' => 'cast-pc/line-out', 'to' => ''], 'to', 'Choose the socket'],
    [['edit' => 'remedy', 'source' => 'voice', 'listener' => 'viewers'], 'edit', 'There is no remedy'],
]);

it('begins a rig with nothing in it', function () {
    $this->actingAs($this->user)->post('/rigs/blank', ['name' => 'From nothing'])->assertRedirect();
    $rig = Rig::query()->where('name', 'From nothing')->sole();
    $content = RigFromRows::rig($rig);
    expect($content->units)->toBe([])->and($content->situations)->toHaveCount(1);
    foreach (['stock', 'wishes', 'wiring', 'history'] as $view) {
        $this->actingAs($this->user)->get("/rigs/{$rig->id}/{$view}")->assertOk();
    }
    $this->actingAs($this->user)->post('/rigs/blank', ['name' => ''])->assertSessionHasErrors('name');
});

it('lets nobody but the owner change a rig', function (string $path) {
    $path = "/rigs/{$this->rig->id}/{$path}";
    $fields = ['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1', 'revision' => 1];
    $this->post($path, $fields)->assertRedirect('/sign-in');
    $this->actingAs(User::factory()->create())->post($path, $fields)->assertNotFound();
    expect(($this->stored)())->toBe(shipped('rigs/night-relay.json'))->and(Rig::query()->find($this->rig->id)->revision)->toBe(1);
})->with(['edits', 'undo', 'redo', 'revisions/1/restore']);

it('writes anew only the tables that a change touches', function () {
    DB::enableQueryLog();
    ($this->edit)(['edit' => 'wish', 'source' => 'voice', 'listener' => 'team', 'want' => 'may']);
    $written = array_unique(array_filter(array_map(fn (array $query) => preg_match('/^(?:insert into|delete from) `(\w+)`/', $query['query'], $found) ? $found[1] : null, DB::getQueryLog())));
    expect(array_values(array_diff($written, ['revisions', 'cache', 'sessions'])))->toEqualCanonicalizing(['wishes', 'wish_situations']);
});

it('takes two hundred edits of two people in turns, refuses the stale ones, and is a valid rig in the end', function () {
    $seen = ['a' => 1, 'b' => 1];
    $made = $refused = 0;
    mt_srand(11);
    for ($i = 0; $i < 200; $i++) {
        $who = ['a', 'b'][mt_rand(0, 1)];
        $point = ['ch-1', 'ch-2', 'ch-3-4', 'ch-5-6', 'ch-opt', 'ch-usb'][mt_rand(0, 5)];
        $answer = ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => $point, 'fader' => (string) mt_rand(-30, 10), 'revision' => $seen[$who]]);
        // Whoever is told that the page is stale looks again.
        session('errors') === null ? $made++ : $refused++;
        $seen[$who] = $this->rig->fresh()->revision;
        $answer->assertRedirect();
        session()->forget(['errors', 'said']);
    }
    expect($made + $refused)->toBe(200)->and($refused)->toBeGreaterThan(20)->and($this->rig->revisions()->count())->toBe($made + 1)
        ->and(($this->stored)())->toBe($this->rig->revisions()->latest('number')->first()->document);
});
