<?php

declare(strict_types=1);

use App\Actions\CreateRig;
use App\Actions\ImportRig;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Export\Markdown;
use HiddenWire\Core\Rig\Apart;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->user = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->user, shipped('rigs/night-relay.json'));
    $this->edit = fn (array $fields) => $this->actingAs($this->user)->from('/here')
        ->post("/rigs/{$this->rig->id}/edits", $fields + ['revision' => $this->rig->fresh()->revision]);
    $this->stored = fn (): string => (new DocumentWriter)->write(RigFromRows::rig($this->rig->fresh()));
    $this->verdict = function (string $source, string $listener, ?string $situation = null): string {
        $rig = RigFromRows::rig($this->rig->fresh());

        return (new Hearing((new GraphBuilder($rig))->build($rig->situation($situation))))->pair($source, $listener)->verdict->value;
    };
});

it(
    'makes each kind of change, with a revision that says so in words, and rows that hold what the revision holds',
    function (array $fields, string $words) {
        ($this->edit)($fields)->assertRedirect('/here')->assertSessionHasNoErrors();
        expect(session('said'))->toStartWith($words);
        $revision = $this->rig->revisions()->latest('number')->first();
        // Names, never ids: "mixer/ch-1" is for documents.
        expect($revision->what)->not->toMatch('#(^|[ (])[a-z][a-z0-9-]*/[a-z0-9-]+#');
        expect($revision->what)->toBe($words)->and($revision->number)->toBe(2)->and($revision->parent)->toBe(1)->and($revision->user_id)
            ->toBe($this->user->id)
            ->and(($this->stored)())->toBe($revision->document)->not->toBe(shipped('rigs/night-relay.json'))
            ->and((new DocumentWriter)->write(StoredRig::load($this->rig->fresh())))->toBe($revision->document);
    },
)->with([
    'a wish' => [['edit' => 'wish', 'source' => 'voice', 'listener' => 'team', 'want' => 'may'],
        'Presenter voice may be heard by Driver\'s team'],
    'a wish taken back' => [['edit' => 'wish', 'source' => 'voice', 'listener' => 'team', 'want' => 'none'],
        'No wish for Presenter voice at Driver\'s team'],
    'a wish in one situation' => [['edit' => 'wish', 'source' => 'voice', 'listener' => 'viewers', 'want' => 'may',
        'situation' => 'off'],
        'Presenter voice may be heard by Viewers in Off'],
    'a row' => [['edit' => 'wish', 'source' => 'ring', 'listener' => '*', 'want' => 'must-not'],
        'Call ring must not be heard by any listener'],
    'a column' => [['edit' => 'wish', 'source' => '*', 'listener' => 'team', 'want' => 'must-not'], 'No sound may be heard by Driver\'s team'],
    'painted cells' => [['edit' => 'wishes', 'cells' => 'voice:team,ring:team,music:clip', 'want' => 'may', 'situation' => 'break'],
        'May hear: 3 cells in Break'],
    'a route' => [['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-usb>main', 'on' => '1', 'situation' => 'on-air'],
        'Desk mixer: Computer → Main on'],
    'a route in a situation' => [['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-usb>main', 'on' => '1', 'situation' => 'break'],
        'Desk mixer: Computer → Main on in Break'],
    'a mute' => [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1'], 'Desk mixer: Mic 1 muted'],
    'a fader' => [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'fader' => '-4.5'], 'Desk mixer: Mic 1 fader −4.5 dB'],
    'a cable' => [['edit' => 'plug', 'from' => 'cast-pc/line-out', 'to' => 'card/line'],
        'W-35: Line out · green of Broadcast computer to Line in of Capture card'],
    'a cable out' => [['edit' => 'unplug', 'cable' => 'w-07'], 'Unplugged W-07'],
    'a pick' => [['edit' => 'pick', 'unit' => 'chimes', 'point' => 'sound', 'device' => 'softmix/played-1'],
        'Donation chimes: Chimes uses Chimes in'],
    'a pick taken back' => [['edit' => 'pick', 'unit' => 'chimes', 'point' => 'sound', 'device' => ''],
        'Donation chimes: Chimes uses no device'],
    'a pick that taps' => [['edit' => 'pick', 'unit' => 'broadcast', 'point' => 'source-7', 'device' => 'cast-pc/hdmi/sound'],
        'Broadcast program: Source 7 uses loopback of Broadcast monitor'],
    'a place' => [['edit' => 'place', 'name' => 'Balcony', 'kind' => 'desk'], 'New place: Balcony'],
    'a unit' => [['edit' => 'add-unit', 'model' => 'condenser-microphone', 'place' => 'desk', 'name' => 'Spare mic'],
        'New unit: Spare mic (Condenser microphone), Presenter\'s desk'],
    'a unit of a model as somebody has typed it' => [['edit' => 'add-unit', 'model_name' => 'lapel', 'place' => 'desk', 'name' => 'Tie mic'],
        'New unit: Tie mic (Lapel microphone), Presenter\'s desk'],
    'several units in another place' => [['edit' => 'units', 'do' => 'move', 'units' => ['speakers', 'webcam'], 'place' => 'corner'],
        'Hall loudspeakers moved to Console corner; Webcam moved to Console corner'],
    'several units away' => [['edit' => 'units', 'do' => 'remove', 'units' => ['headset-amp', 'webcam']],
        'Removed Headset amp, and with it W-06, W-08, W-09, 3 picks, Balance knob (Game or talk); Removed Webcam, and with it W-23'],
    'a unit away' => [['edit' => 'remove-unit', 'unit' => 'headset-amp'], 'Removed Headset amp, and with it W-06, W-08, W-09, 3 picks, Balance knob (Game or talk)'],
    'a sound' => [['edit' => 'add-source', 'name' => 'Kettle', 'kind' => 'other', 'at' => 'webcam/capsule'], 'New sound: Kettle, starts at Capsule of Webcam'],
    'a sound named 0' => [['edit' => 'add-source', 'name' => '0', 'kind' => 'other', 'at' => 'webcam/capsule'], 'New sound: 0, starts at Capsule of Webcam'],
    'a situation named 0' => [['edit' => 'add-situation', 'name' => '0', 'copy_of' => 'break'], 'New situation: 0, a copy of Break'],
    'a listener' => [['edit' => 'add-listener', 'name' => 'Nobody yet', 'kind' => 'team'], 'New listener: Nobody yet'],
    'a level of its own' => [['edit' => 'mark-wish', 'source' => 'voice', 'listener' => 'viewers', 'own_level' => 'listeners'],
        'Presenter voice at Viewers: own level, apart from other listeners'],
    'a sound\'s second beginning' => [['edit' => 'place-sound', 'source' => 'voice', 'at' => 'webcam/capsule', 'db' => '-20'],
        'Presenter voice starts at Capsule of Webcam, −20.0 dB'],
    'a listener gone from a point' => [['edit' => 'place-listener', 'listener' => 'hall', 'at' => 'speakers/cone', 'away' => '1'],
        'Arcade hall no longer listens at Loudspeakers of Hall loudspeakers'],
    'a sound away' => [['edit' => 'remove-source', 'source' => 'ring'], 'Removed the sound Call ring'],
    'a listener away' => [['edit' => 'remove-listener', 'listener' => 'team'], 'Removed the listener Driver\'s team'],
    'the rig\'s name' => [['edit' => 'describe-rig', 'name' => 'Day relay', 'summary' => 'By day.'], 'Rig renamed to Day relay'],
    'a place\'s name' => [['edit' => 'rename', 'thing' => 'places', 'id' => 'hall', 'name' => 'Great hall'],
        'Arcade hall renamed to Great hall'],
    'a place away' => [['edit' => 'remove-place', 'place' => 'corner'],
        'Removed Console corner, and with it Old console, Picture splitter, RCA adapter, Corner monitor'],
    'three units' => [['edit' => 'add-unit', 'model' => 'condenser-microphone', 'place' => 'desk', 'name' => 'Spare', 'count' => '3'],
        'New units: Spare, Spare 2, Spare 3 (Condenser microphone), Presenter\'s desk'],
    'a copy' => [['edit' => 'copy-unit', 'unit' => 'webcam'], 'New unit: Webcam 2, a copy of Webcam'],
    'a unit moved' => [['edit' => 'move-unit', 'unit' => 'webcam', 'place' => 'hall'], 'Webcam moved to Arcade hall'],
    'a unit\'s notes' => [['edit' => 'describe-unit', 'unit' => 'card', 'name' => 'Capture card', 'firmware' => '2.1',
        'serial' => 'A-77',
        'notes' => 'slot 3'], 'Capture card: firmware 2.1, serial number A-77, notes'],
    'what a computer\'s system can do' => [['edit' => 'describe-unit', 'unit' => 'cast-pc', 'name' => 'Broadcast computer', 'links' => '', 'system' => '', 'system_kind' => 'plain'],
        'Broadcast computer: runs System: no loopback, one default for all'],
    'how loud what must not be heard may be' => [['edit' => 'mark-wish', 'source' => 'music', 'listener' => 'archive', 'up_to_db' => '-25'],
        'Music at Archive: up to −25.0 dB is fine'],
    'what a program needs' => [['edit' => 'describe-unit', 'unit' => 'music', 'name' => 'Music player', 'with_running' => '1',
        'needs' => ['softmix', 'card'], 'at_login' => '1'], 'Music player: needs Software mixer, Capture card, starts at login'],
    'a unit of another model' => [['edit' => 'swap-unit', 'unit' => 'presenter-mic', 'model' => 'condenser-microphone'],
        'Presenter mic is a Condenser microphone now'],
    'one more guest' => [['edit' => 'grow-unit', 'unit' => 'ferry-call', 'growth' => 'guests', 'count' => '2'], 'Navigator has 2 guests'],
    'an isolator in a cable' => [['edit' => 'between', 'from' => 'mixer/phones', 'to' => 'headphones/plug',
        'model' => 'isolator-stereo'],
        'Stereo isolator, two channels between Phones of Desk mixer and Plug of Headphones'],
    'a cable described' => [['edit' => 'cable', 'cable' => 'w-07', 'label' => 'W-07', 'type' => 'optical', 'length' => '2,5',
        'colour' => 'black', 'owned' => '0'], 'W-07: 2.5 m, black, to buy'],
    'a cable\'s other end' => [['edit' => 'replug', 'cable' => 'w-26', 'end' => 'to', 'to' => 'cast-monitor/hdmi-2'],
        'W-26 goes to HDMI 2 of Broadcast monitor now'],
    'another cable in its stead' => [['edit' => 'replace', 'cable' => 'w-34'],
        'Unplugged W-34; W-35: Session of Call program to Member 1 of Navigator'],
    'a row of the cable table' => [['edit' => 'cables',
        'cables' => [['cable' => 'w-04', 'label' => 'W-04', 'from' => 'Desk mixer · Phones', 'to' => 'Headphones · Plug',
            'type' => 'trs',
            'length' => '3.5', 'colour' => 'red', 'owned' => '1'],
            ['cable' => '', 'label' => 'X-1', 'from' => 'Broadcast computer · Line out · green', 'to' => 'card/line', 'type' => '',
                'length' => '1.5', 'colour' => '', 'owned' => '0']]],
        'W-04: 3.5 m, red; W-35: Line out · green of Broadcast computer to Line in of Capture card; W-35: is labelled X-1 now, '
        .'1.5 m, to buy'],
    'a device' => [['edit' => 'device', 'computer' => 'cast-pc', 'device' => 'card/usb/rec', 'name' => 'Rally picture',
        'enabled' => '1',
        'roles' => ['recording'], 'rate_hz' => '48000', 'bits' => '16', 'driver_mode' => 'shared'],
        'Broadcast computer: Capture card with line in renamed to Rally picture, default for recording, 48000 Hz 16 bits, shared driver mode'],
    'channels of a pick' => [['edit' => 'pick', 'unit' => 'clips', 'point' => 'in-1', 'device' => 'mixer/usb/rec', 'channels' => '1'],
        'Clip recorder: Input 1 uses Desk programme, channel 1'],
    'the start order' => [['edit' => 'start-order', 'place' => 'sim', 'programs' => 'mic-relay,game'],
        'Rally simulator starts Microphone repeater, Rally game'],
    'a tap' => [['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-1>aux-1', 'tap' => 'pre-fader'],
        'Desk mixer: Mic 1 → Aux 1 taken pre-fader'],
    'a delay' => [['edit' => 'point', 'unit' => 'broadcast', 'point' => 'source-5', 'delay_ms' => '80'],
        'Broadcast program: Old console (Source 5) delay 80.0 ms'],
    'a situation' => [['edit' => 'add-situation', 'name' => 'Interval', 'copy_of' => 'break'],
        'New situation: Interval, a copy of Break'],
    'a program that does not run' => [['edit' => 'absent', 'which' => 'break', 'unit' => 'softmix'],
        'Software mixer does not run in Break'],
    'a default that is another in a situation' => [['edit' => 'default', 'situation' => 'off', 'computer' => 'cast-pc',
        'direction' => 'recording', 'role' => 'recording', 'device' => 'card/usb/rec'],
        'Broadcast computer: the default recording device is Capture card with line in in Off'],
    'a cable that is out in a situation' => [['edit' => 'pulled', 'which' => 'off', 'cable' => 'w-07'], 'W-07 is out in Off'],
    'a situation away' => [['edit' => 'remove-situation', 'which' => 'talk'], 'Removed the situation Off-air talk, and with it the way there by Key 3 (Off-air talk)'],
    'a change of a situation back' => [['edit' => 'clear-change', 'which' => 'break', 'at' => 'broadcast/source-3'],
        'Break: Broadcast program · Caller (Source 3) reset to the default'],
    'a cure of a missing sound' => [['edit' => 'cure', 'cure' => '2.1', 'sentence' => 'Donation chimes: play Chimes to "Chimes in"'],
        'Donation chimes: Chimes uses Chimes in'],
    'a cure of a leak' => [['edit' => 'cure', 'cure' => '3.1', 'sentence' => 'Switch off Music (Source 2) → Track 2 of Broadcast program'],
        'Broadcast program: Music (Source 2) → Track 2 off'],
]);

it('mends the demo by its cures, click by click', function () {
    // The first cause is cured each time; what is left moves up.
    foreach (['Replace W-28 with a stereo RCA lead', 'Donation chimes: play Chimes to "Chimes in"',
        'Switch off Music (Source 2) → Track 2 of Broadcast program', 'Switch off Old console (Source 5) → Track 1 of Broadcast program'] as $sentence) {
        ($this->edit)(['edit' => 'cure', 'cure' => '1.1', 'sentence' => $sentence])->assertSessionHasNoErrors();
    }
    expect($this->rig->fresh()->revision)->toBe(5)->and(($this->verdict)('chime', 'viewers'))->toBe('ok')
        ->and(($this->verdict)('rally', 'viewers'))->toBe('ok');
});

it('makes all cures as one revision, which one undo takes back', function () {
    $before = ($this->stored)();
    ($this->edit)(['edit' => 'cures'])->assertSessionHasNoErrors();
    expect($this->rig->fresh()->revision)->toBe(2);
    foreach ([['chime', 'viewers'], ['music', 'archive'], ['rally', 'viewers'], ['console', 'hall']] as [$source, $listener]) {
        expect(($this->verdict)($source, $listener))->toBe('ok');
    }
    $this->actingAs($this->user)->post("/rigs/{$this->rig->id}/undo", ['revision' => 2])->assertSessionHasNoErrors();
    expect(($this->stored)())->toBe($before);
});

it('never stores what can\'t be read again', function (array $fields) {
    ($this->edit)($fields);
    // Whatever was answered: the rig reads from its rows and from its document, strictly, and they agree.
    $text = ($this->stored)();
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)
        ->and($this->rig->revisions()->latest('number')->first()->document)->toBe($text);
    $this->actingAs($this->user)->get("/rigs/{$this->rig->id}/wishes")->assertOk();
    $this->actingAs($this->user)->get('/')->assertOk();
})->with([
    'a control character in a name' => [['edit' => 'rename', 'thing' => 'units', 'id' => 'mixer', 'name' => "Desk\x07 mixer\x00"]],
    'letters that are not composed' => [['edit' => 'rename', 'thing' => 'units', 'id' => 'mixer', 'name' => "Cafe\u{301} desk"]],
    'a note with a bell and a C1 control' => [['edit' => 'describe-unit', 'unit' => 'mixer', 'name' => 'Desk mixer',
        'notes' => "One\x07\u{85}two"]],
    'one channel twice' => [['edit' => 'pick', 'unit' => 'broadcast', 'point' => 'source-1', 'device' => 'mixer/usb/rec',
        'channels' => '1,1']],
    'a huge channel' => [['edit' => 'pick', 'unit' => 'broadcast', 'point' => 'source-1', 'device' => 'mixer/usb/rec',
        'channels' => '99999999999999999999']],
    'one need twice' => [['edit' => 'describe-unit', 'unit' => 'broadcast', 'name' => 'Broadcast program', 'with_running' => '1',
        'needs' => ['softmix', 'softmix']]],
    'a wish for an array' => [['edit' => 'wish', 'source' => ['x'], 'listener' => 'team', 'want' => 'may']],
    'invalid UTF-8' => [['edit' => 'rename', 'thing' => 'units', 'id' => 'mixer', 'name' => "Desk \xC3\x28"]],
    'a delay past all bounds' => [['edit' => 'point', 'unit' => 'broadcast', 'point' => 'source-1', 'delay_ms' => '1e300']],
]);

it('copies a unit of the longest name to one that fits', function () {
    ($this->edit)(['edit' => 'describe-unit', 'unit' => 'mixer', 'name' => str_repeat('x', 120)])->assertSessionHasNoErrors();
    ($this->edit)(['edit' => 'copy-unit', 'unit' => 'mixer'])->assertSessionHasNoErrors();
    expect((new DocumentWriter)->write((new DocumentReader)->read(($this->stored)())))->toBe(($this->stored)());
});

it('refuses a cure that was offered for another state of the rig', function () {
    ($this->edit)(['edit' => 'cure', 'cure' => '1.1', 'sentence' => 'Unmute the moon'])
        ->assertSessionHasErrors(['edit' => 'The rig has changed since this was offered. Look at the causes again.']);
    expect($this->rig->fresh()->revision)->toBe(1);
});

it('undoes and redoes any number of steps, and keeps what was undone', function () {
    $documents = [($this->stored)()];
    foreach (['ch-1', 'ch-2', 'ch-opt'] as $point) {
        ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => $point, 'mute' => '1']);
        $documents[] = ($this->stored)();
    }
    $go = fn (string $way) => $this->actingAs($this->user)
        ->post("/rigs/{$this->rig->id}/{$way}", ['revision' => $this->rig->fresh()->revision])->assertSessionHasNoErrors();
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
    expect(($this->stored)())->toBe($documents[3])->and($this->rig->revisions()->latest('number')->first()->what)
        ->toBe('Restored revision 4: Desk mixer: Optical muted');
    $this->actingAs($this->user)->get("/rigs/{$this->rig->id}/history")->assertOk()->assertSee('Restored revision 4')
        ->assertSee('Desk mixer: Computer muted')->assertSee('Imported');
});

it('joins a change with what another did meanwhile, where the two touch different things', function () {
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1']);
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-2', 'mute' => '1', 'revision' => 1, 'at_revision' => 1])
        ->assertSessionHasNoErrors();
    expect(session('said'))->toContain('Joined with what was done meanwhile: Desk mixer: Mic 1 muted')
        ->and($this->rig->revisions()->count())->toBe(3);
    $rig = RigFromRows::rig($this->rig->fresh());
    expect($rig->units['mixer']->points['ch-1']->mute)->toBeTrue()->and($rig->units['mixer']->points['ch-2']->mute)->toBeTrue();
});

it('refuses a stale edit of the same thing with what was done meanwhile, and changes nothing', function (array $fields) {
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1']);
    $before = ($this->stored)();
    ($this->edit)($fields + ['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'fader' => '-3', 'revision' => 1])
        ->assertSessionHasErrors('edit');
    expect(session('errors')->first('edit'))->toContain('Desk mixer: Mic 1 muted')->and(($this->stored)())->toBe($before)
        ->and($this->rig->revisions()->count())->toBe(2);
    // A page that sends by itself hears the same.
    $this->actingAs($this->user)
        ->postJson(
            "/rigs/{$this->rig->id}/edits",
            $fields + ['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'fader' => '-3', 'revision' => 1],
        )->assertStatus(409)
        ->assertJsonPath('message', fn (string $says) => str_contains($says, 'Mic 1 muted'));
})->with(['said what it showed' => [['at_revision' => 1]], 'not said' => [[]], 'said nonsense' => [['at_revision' => 77]]]);

it('refuses a change of what another has taken away', function () {
    ($this->edit)(['edit' => 'remove-unit', 'unit' => 'mixer']);
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1', 'revision' => 1, 'at_revision' => 1])
        ->assertSessionHasErrors('unit');
    expect($this->rig->revisions()->count())->toBe(2);
});

it('says for whom the hearing changes', function () {
    ($this->edit)(['edit' => 'point', 'unit' => 'broadcast', 'point' => 'source-2', 'mute' => '1', 'situation' => 'on-air']);
    expect(session('said'))->toContain('Broadcast program: Music (Source 2) muted · No longer heard at Viewers: Music; now as wished at Archive: Music.');
});

it('compares two revisions: cables moved, routes changed, verdicts changed', function () {
    ($this->edit)(['edit' => 'unplug', 'cable' => 'w-07']);
    ($this->edit)(['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-usb>main', 'on' => '1']);
    $this->actingAs($this->user)->get("/rigs/{$this->rig->id}/history/1/3")->assertOk()
        ->assertSee('W-07 is out: it joined Out 2 of Optical splitter and Optical in of Desk mixer')
        ->assertSee('Desk mixer: Computer → Main on')->assertSee('Who hears a difference');
    $this->actingAs($this->user)->get("/rigs/{$this->rig->id}/history/1/9")->assertNotFound();
});

it('refuses what the rig does not have or can\'t be, and says why', function (array $fields, string $key, string $says) {
    ($this->edit)($fields)->assertSessionHasErrors($key);
    expect(session('errors')->first($key))->toContain($says)->and(($this->stored)())->toBe(shipped('rigs/night-relay.json'))
        ->and($this->rig->revisions()->count())->toBe(1);
})->with([
    [['edit' => 'fly'], 'edit', 'invalid'],
    [['edit' => 'wish', 'source' => 'nobody', 'listener' => 'viewers', 'want' => 'must'], 'source', 'no source "nobody"'],
    [['edit' => 'wishes', 'cells' => 'voice:viewers,voice:nobody', 'want' => 'must'], 'cells', 'not in the rig any more'],
    [['edit' => 'wishes', 'cells' => '', 'want' => 'must'], 'cells', 'Choose the cells first'],
    [['edit' => 'units', 'do' => 'copy'], 'units', 'Choose the units first'],
    [['edit' => 'units', 'do' => 'remove', 'units' => array_map(fn (int $i) => "u-{$i}", range(1, 101))], 'units', '100 units at most'],
    [['edit' => 'units', 'do' => 'copy', 'units' => ['mixer', 'nothing']], 'units', 'not in the rig any more'],
    [['edit' => 'units', 'do' => 'sell', 'units' => ['mixer']], 'do', 'move, copy or remove'],
    [['edit' => 'add-unit', 'model_name' => 'dynamic', 'place' => 'desk'], 'model_name', 'Several models answer to that'],
    [['edit' => 'add-unit', 'model_name' => 'teapot', 'place' => 'desk'], 'model_name', 'No model is called "teapot"'],
    [['edit' => 'wish', 'source' => 'voice', 'listener' => 'viewers', 'want' => 'must', 'situation' => 'lunch'], 'situation',
        'no situation'],
    [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'fader' => '60'], 'edit', 'lies outside'],
    [['edit' => 'point', 'unit' => 'mixer', 'point' => 'usb-out', 'mute' => '1'], 'edit', 'has no mute'],
    [['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1'], 'mute', 'Nothing to change was sent'],
    [['edit' => 'route', 'unit' => 'booster', 'route' => 'in>out', 'on' => '0'], 'edit', 'The model fixes'],
    [['edit' => 'unplug', 'cable' => 'w-99'], 'cable', 'no cable'],
    [['edit' => 'place', 'name' => ' ', 'kind' => 'desk'], 'name', 'Give it a name'],
    [['edit' => 'add-unit', 'model' => 'none', 'place' => 'desk', 'name' => 'X'], 'model', 'no model'],
    [['edit' => 'add-unit', 'model' => 'game', 'place' => 'hall', 'name' => 'X'], 'edit', 'A program runs in a place that has a computer'],
    [['edit' => 'add-unit', 'model' => 'laptop', 'place' => 'sim', 'name' => 'X'], 'edit', 'has its computer already'],
    [['edit' => 'pick', 'unit' => 'chimes', 'point' => 'sound', 'device' => 'mixer/usb/rex'], 'device', 'no such device'],
    [['edit' => 'add-source', 'name' => 'X', 'at' => 'mixer/main'], 'edit', 'is no origin'],
    [['edit' => 'plug', 'from' => 'mixer/optical', 'to' => 'card/line'], 'edit', 'has W-07 in it'],
    [['edit' => 'plug', 'from' => 'cast-pc/line-out', 'to' => 'corner-monitor/hdmi-2'], 'edit', 'No cable has'],
    [['edit' => 'plug', 'from' => 'cast-pc/line-out', 'to' => ''], 'to', 'Choose the socket'],
    [['edit' => 'add-source', 'name' => 'Music', 'kind' => 'music'], 'name', 'There is a Music already. Is this "Music 2"?'],
    [['edit' => 'cure', 'cure' => '9.1', 'sentence' => 'Anything'], 'edit', 'Look at the causes again'],
    [['edit' => 'cure', 'cure' => 'x', 'sentence' => ''], 'edit', 'Look at the causes again'],
    [['edit' => 'cable', 'cable' => 'w-07', 'label' => 'W-07', 'length' => 'long'], 'length', 'Write a length like "1.5 m", "50 cm" or "5 ft 3 in", up to 10000 m'],
    [['edit' => 'cable', 'cable' => 'w-07', 'label' => str_repeat('W', 21)], 'label', '20 characters at most'],
    [['edit' => 'cables', 'cables' => [2 => ['cable' => 'w-04', 'from' => 'Desk mixer · Phones', 'to' => 'nowhere']]], 'cables.2.to',
        'W-04, To: Choose the socket'],
    [['edit' => 'cables', 'cables' => [['cable' => 'w-04', 'from' => 'mixer/phones', 'to' => 'mixer/aux-1']]], 'cables.0.to', 'W-04, To: '],
    [['edit' => 'cables', 'cables' => []], 'cables', 'No row changes anything'],
    [['edit' => 'between', 'from' => 'mixer/phones', 'to' => 'headphones/plug', 'model' => 'webcam'], 'model', 'does not fit between'],
    [['edit' => 'pick', 'unit' => 'clips', 'point' => 'in-1', 'device' => 'mixer/usb/rec', 'channels' => '1, x'], 'channels',
        'numbers from 1'],
    [['edit' => 'pick', 'unit' => 'clips', 'point' => 'in-1', 'device' => 'mixer/usb/rec', 'channels' => '9'], 'edit', 'channel'],
    [['edit' => 'start-order', 'place' => 'sim', 'programs' => 'music'], 'programs', 'no program "music"'],
    [['edit' => 'device', 'computer' => 'cast-pc', 'device' => 'card/usb/rec', 'roles' => ['playback']], 'edit',
        'can\'t be the default for playback'],
    [['edit' => 'remove-situation', 'which' => 'on-air'], 'edit', 'it stays'],
    [['edit' => 'add-unit', 'model' => 'webcam', 'place' => 'desk', 'count' => '99'], 'count', 'from 1 to 24'],
    [['edit' => 'describe-unit', 'unit' => 'music', 'name' => 'M', 'with_running' => '1', 'needs' => ['ghost']], 'needs', 'no such unit'],
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

it('never says that all is as wished where nothing is wished', function () {
    $rig = app(CreateRig::class)($this->user, 'Empty');
    $this->actingAs($this->user)->get('/')->assertSee('Empty')->assertSee('no wishes yet');
    foreach (['wishes', 'stock', 'wiring'] as $view) {
        $this->actingAs($this->user)->get("/rigs/{$rig->id}/{$view}")->assertDontSee('ll as wished')->assertSee('o sounds or listeners yet');
    }
});

it('takes sounds, listeners and wishes before there is any equipment', function () {
    $this->actingAs($this->user)->post('/rigs/blank', ['name' => 'Wishes first']);
    $rig = Rig::query()->where('name', 'Wishes first')->sole();
    $this->actingAs($this->user)->get("/rigs/{$rig->id}/wishes")->assertOk()->assertSee('Voice')->assertSee('Viewers');
    foreach ([['edit' => 'add-source', 'name' => 'Voice', 'kind' => 'voice'],
        ['edit' => 'add-source', 'name' => 'Music', 'kind' => 'music'], ['edit' => 'add-listener', 'name' => 'Viewers', 'kind' => 'stream'],
        ['edit' => 'wish', 'source' => '*', 'listener' => 'viewers', 'want' => 'must'], ['edit' => 'mark-wish', 'source' => 'voice',
            'listener' => 'viewers', 'own_level' => 'listeners', 'alone' => '1']] as $fields) {
        $this->actingAs($this->user)->post("/rigs/{$rig->id}/edits", $fields + ['revision' => $rig->fresh()->revision])
            ->assertSessionHasNoErrors();
    }
    $content = RigFromRows::rig($rig->fresh());
    expect(array_map(fn ($wish) => [$wish->source, $wish->want->value, $wish->ownLevel, $wish->alone], $content->wishes))
        ->toBe([['voice', 'must', Apart::Listeners, true], ['music', 'must', null, false]]);
    $this->actingAs($this->user)->get("/rigs/{$rig->id}/wishes?pair=voice:viewers")->assertOk()->assertSee('must hear, own level, apart from other listeners, alone')
        ->assertSee('2</strong> not as wished', false);
});

it('writes anew only the tables that a change touches', function () {
    DB::enableQueryLog();
    ($this->edit)(['edit' => 'wish', 'source' => 'voice', 'listener' => 'team', 'want' => 'may']);
    $written = array_unique(array_filter(array_map(fn (array $query) => preg_match('/^(?:insert into|delete from|update) `(\w+)`/', $query['query'], $found) ? $found[1] : null, DB::getQueryLog())));
    expect(array_values(array_diff($written, ['revisions', 'rigs', 'cache', 'sessions'])))->toBe(['wishes']);
});

it('takes two hundred edits of two people in turns: what touches different things is joined, the rest is refused, none is lost, and the '
    .'rig is valid', function () {
        $seen = ['a' => [1, 1], 'b' => [1, 1]];
        $made = $refused = 0;
        $last = [];
        mt_srand(11);
        for ($i = 0; $i < 200; $i++) {
            $who = ['a', 'b'][mt_rand(0, 1)];
            $point = ['ch-1', 'ch-2', 'ch-3-4', 'ch-5-6', 'ch-opt', 'ch-usb'][mt_rand(0, 5)];
            $fader = mt_rand(-30, 10);
            $answer = $this->actingAs($this->user)
                ->postJson(
                    "/rigs/{$this->rig->id}/edits",
                    ['edit' => 'point', 'unit' => 'mixer', 'point' => $point, 'fader' => (string) $fader, 'revision' => $seen[$who][0],
                        'at_revision' => $seen[$who][1]],
                );
            if ($answer->status() === 200) {
                $made++;
                $last[$point] = $fader;
            } else {
                $answer->assertStatus(409);
                $refused++;
            }
            // Each looks again now and then only, so that pages grow stale.
            $rig = $this->rig->fresh();
            $seen[$who] = mt_rand(0, 2) === 0 || $answer->status() === 409 ? [$rig->revision, $rig->at] : $seen[$who];
        }
        $rig = RigFromRows::rig($this->rig->fresh());
        expect($made + $refused)->toBe(200)->and($refused)->toBeGreaterThan(10)->and($made)->toBeGreaterThan(100)
            ->and($this->rig->revisions()->count())->toBe($made + 1)
            ->and(($this->stored)())->toBe($this->rig->revisions()->latest('number')->first()->document);
        foreach ($last as $point => $fader) {
            expect($rig->units['mixer']->points[$point]->fader?->value())->toBe((float) $fader);
        }
    });

it('answers a page that sends by itself with the page drawn anew, and with no other page', function (string $from, bool $isDrawn) {
    $from = str_replace('ID', (string) $this->rig->id, $from);
    $answer = $this->actingAs($this->user)->withHeaders(['X-Page' => "http://localhost{$from}"])
        ->postJson(
            "/rigs/{$this->rig->id}/edits",
            ['edit' => 'rename', 'thing' => 'units', 'id' => 'mixer', 'name' => 'Big desk', 'revision' => 1],
        )->assertOk();
    expect($answer->json('said'))->toBe('Desk mixer renamed to Big desk');
    $page = $answer->json('page');
    expect($page !== null)->toBe($isDrawn);
    if ($isDrawn) {
        // It is the page that the address gives, and says what was done.
        expect($page)->toContain('</html>', 'Big desk', 'data-revision="2"', 'Desk mixer renamed to Big desk');
        $again = $this->actingAs($this->user)->get($from)->getContent();
        $bare = fn (string $html): string => (string) preg_replace(['#<p class="message".*?</p>#s',
            '#content="[A-Za-z0-9+/=]{108}"|value="[A-Za-z0-9+/=]{108}"#', '/\s+/'], ['', '', ' '], $html);
        expect($bare($page))->toBe($bare($again));
    }
})->with([
    'stock' => ['/rigs/ID/stock?select=unit:mixer', true],
    'recipes in a situation' => ['/rigs/ID/recipes?situation=break&select=unit:mixer', true],
    'the map' => ['/rigs/ID/wiring?depth=inside&select=unit:mixer', true],
    'another rig' => ['/rigs/999999/stock', false], 'no view' => ['/rigs/ID/nothing', false], 'no page' => ['/account', false],
    'nonsense' => ['', false],
]);

it('says what a change breaks in situations that the page does not show', function () {
    $rig = app(ImportRig::class)($this->user, shipped('starters/lighthouse-log.json'));
    $make = fn (string $shown, array $fields) => $this->actingAs($this->user)
        ->postJson(
            "/rigs/{$rig->id}/edits",
            $fields + ['revision' => $rig->fresh()->revision, 'situation' => 'reading'],
            ['X-Page' => "http://localhost/rigs/{$rig->id}/wishes?situation={$shown}"],
        )->assertOk()->json('said');
    // The weather's source is muted in the base; listening is shown, and has no mute of its own there.
    expect($make('listening', ['edit' => 'point', 'unit' => 'rec', 'point' => 'source-2', 'mute' => '1']))
        ->toContain('No longer heard at Weather track: Sea weather.')->toContain('Not as wished now in Reading the log: Sea weather at Weather track.');
    // Already broken, so not reported again; and nothing is reported of what is as it was.
    expect($make('listening', ['edit' => 'point', 'unit' => 'rec', 'point' => 'source-2', 'fader' => '-3']))
        ->not->toContain('Not as wished now');
    expect($make('reading', ['edit' => 'wish', 'source' => 'weather', 'listener' => 'ears', 'want' => 'must-not', 'situation' => '']))
        ->toContain('Not as wished now in Listening only: Sea weather at Keeper.');
});

it('answers a page that reads lines at once, and says in a second line what is otherwise elsewhere', function () {
    $rig = app(ImportRig::class)($this->user, shipped('starters/lighthouse-log.json'));
    $lines = fn (array $fields): array => array_map(
        fn (string $line) => (array) json_decode($line, true),
        explode("\n", trim($this->actingAs($this->user)->postJson(
            "/rigs/{$rig->id}/edits",
            $fields + ['revision' => $rig->fresh()->revision, 'situation' => ''],
            ['X-Page' => "http://localhost/rigs/{$rig->id}/wishes?situation=listening", 'X-Lines' => '1'],
        )->assertOk()->assertHeader('X-Accel-Buffering', 'no')->streamedContent())),
    );
    [$now, $then] = $lines(['edit' => 'point', 'unit' => 'rec', 'point' => 'source-2', 'mute' => '1']);
    expect($now['said'])->toContain('No longer heard at Weather track: Sea weather.')->not->toContain('Reading the log')
        ->and($now['page'])->toContain('</html>')
        ->and($then)->toBe(['more' => 'Not as wished now in Reading the log: Sea weather at Weather track.']);
    expect($lines(['edit' => 'point', 'unit' => 'rec', 'point' => 'source-2', 'fader' => '-3'])[1])->toBe(['more' => '']);
});

it('counts how a changed rig stands when the answer is on its way', function () {
    ($this->edit)(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1'])->assertSessionHasNoErrors();
    $rig = $this->rig->fresh();
    $revision = $rig->revisions()->where('number', $rig->at)->sole();
    $content = RigFromRows::rig($rig);
    expect($revision->counts)->toBe((new Hearing((new GraphBuilder($content))->build($content->base())))->counts());
});

it('sets a polarity switch by its form, keeps it in a column, shows it in the recipe and prints it in the book', function () {
    $data = (array) json_decode(shipped('rigs/night-relay.json'), true);
    $model = array_column($data['units'], 'model', 'id')['mixer'];
    foreach ($data['models'][$model]['points'] as $i => $point) {
        $data['models'][$model]['points'][$i] += $point['id'] === 'ch-1' ? ['inverted' => false] : [];
    }
    $rig = app(ImportRig::class)($this->user, (string) json_encode(['version' => 3] + $data, JSON_PRESERVE_ZERO_FRACTION));
    $send = fn (array $fields) => $this->actingAs($this->user)->post("/rigs/{$rig->id}/edits", $fields + ['revision' => $rig->fresh()->revision, 'situation' => '']);
    $page = fn (): string => (string) $this->actingAs($this->user)->get("/rigs/{$rig->id}/recipes?select=unit:mixer")->assertOk()->getContent();
    expect($page())->toContain('Polarity switch on');
    $send(['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'inverted' => '1'])->assertSessionHasNoErrors();
    expect(DB::table('unit_point_settings')->where('rig_id', $rig->id)->where('unit', 'mixer')->where('point', 'ch-1')->value('inverted'))->toBe(1)
        ->and(RigFromRows::rig($rig->fresh())->units['mixer']->points['ch-1']->inverted)->toBeTrue()
        ->and($page())->toContain('Polarity switch off')
        ->and((new Markdown)->write(new BookInput(RigFromRows::rig($rig->fresh()))))->toContain('polarity inverted');
    $this->actingAs($this->user)->post("/rigs/{$rig->id}/undo", ['revision' => $rig->fresh()->revision])->assertSessionHasNoErrors();
    expect(RigFromRows::rig($rig->fresh())->units['mixer']->points['ch-1']->inverted ?? null)->toBeNull();
});

it('says everything that is wrong in the cable table at once, by row and column, and changes nothing', function () {
    $errors = $this->actingAs($this->user)->postJson("/rigs/{$this->rig->id}/edits", [
        'edit' => 'cables', 'revision' => $this->rig->fresh()->revision, 'cables' => [
            0 => ['cable' => 'w-23', 'label' => 'W-23', 'from' => 'extension/port-1', 'to' => 'webcam/usb', 'type' => 'hdmi'],
            1 => ['cable' => 'w-07', 'out' => '1'],
            2 => ['cable' => 'w-04', 'label' => 'W-04', 'from' => 'Desk mixer · Phones', 'to' => 'Headphones · Plug', 'length' => 'long'],
            100_002 => ['cable' => '', 'from' => 'mixer/main', 'to' => 'nowhere'],
        ]])->assertUnprocessable()->json('errors');
    expect(array_keys($errors))->toBe(['cables.0.from', 'cables.2.length', 'cables.100002.to'])
        ->and($errors['cables.0.from'][0])->toStartWith('W-23, From: An HDMI lead does not go into')->toEndWith('These two take a USB lead.')
        ->and($errors['cables.2.length'][0])->toStartWith('W-04, Length: ')
        ->and($errors['cables.100002.to'][0])->toStartWith('New row 2, To: ')
        ->and($this->rig->fresh()->revision)->toBe(1);
});

it('takes cables out before it plugs new ones, in one step of the cable table', function () {
    $lead = RigFromRows::rig($this->rig)->cables['w-23'];
    ($this->edit)(['edit' => 'cables', 'cables' => [
        100_001 => ['cable' => '', 'label' => 'CAM', 'from' => (string) $lead->from, 'to' => (string) $lead->to],
        3 => ['cable' => 'w-23', 'out' => '1'],
    ]])->assertSessionHasNoErrors();
    $cables = RigFromRows::rig($this->rig->fresh())->cables;
    expect(array_map(fn ($cable) => $cable->label, array_values(array_filter($cables, fn ($cable) => (string) $cable->to === 'webcam/usb'))))
        ->toBe(['CAM']);
});

it('forgets the channels of the device before when another is picked', function () {
    $pick = fn (string $device, string $channels) => ($this->edit)(['edit' => 'pick', 'unit' => 'clips', 'point' => 'in-1', 'device' => $device,
        'channels' => $channels])->assertSessionHasNoErrors();
    $now = fn () => array_values(array_filter(RigFromRows::rig($this->rig->fresh())->picks, fn ($pick) => (string) $pick->at === 'clips/in-1'))[0];
    $pick('mixer/usb/rec', '2');
    expect($now()->channels)->toBe([2]);
    // The form sends the channels field along as it was.
    $pick('system', '2');
    expect($now()->channels)->toBeNull();
    $pick('system', '1');
    expect($now()->channels)->toBe([1]);
});
