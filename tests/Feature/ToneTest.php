<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Jobs\ReadTake;
use App\Models\TakeState;
use App\Models\TestRun;
use App\Models\ToneTake;
use App\Models\User;
use App\Rigs\StoredRig;
use App\Takes\ReadTracks;
use App\Takes\TakeReader;
use HiddenWire\Core\Audio\Noise;
use HiddenWire\Core\Audio\WavFormat;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Tones\ChannelReading;
use HiddenWire\Core\Tones\FoundSignature;
use HiddenWire\Core\Tones\Signature;
use HiddenWire\Core\Tones\TonePlan;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Process\Process;
use Tests\Support\SoundInMemory;

beforeEach(function () {
    Storage::fake();
    $this->owner = User::factory()->create(['name' => 'Bea']);
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->url = "/rigs/{$this->rig->id}/tones";
    /** Sends files as a page does, in pieces of so many bytes; gives the take. */
    $this->bring = function (string $unit, array $files, int $piece = 1_000_000): ToneTake {
        $names = array_map(fn (string $bytes, int $i) => ['name' => "take-{$i}.wav", 'bytes' => strlen($bytes)], $files, array_keys($files));
        $to = $this->actingAs($this->owner)->postJson($this->url, ['unit' => $unit, 'situation' => 'on-air', 'files' => $names])
            ->assertOk()->json('to');
        foreach ($files as $index => $bytes) {
            for ($from = 0; $from < strlen($bytes); $from += $piece) {
                $this->call(
                    'POST',
                    "{$to}/files/{$index}?from={$from}",
                    server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'],
                    content: substr($bytes, $from, $piece),
                )->assertOk();
            }
        }
        $this->postJson("{$to}/ready")->assertOk();

        return ToneTake::query()->latest('id')->firstOrFail();
    };
    $this->silence = fn (int $channels, int $seconds = 1): string => SoundInMemory::made($channels, 16_000, $seconds, 16, fn (array $block) => $block)->bytes;
    /** A recording of 25 s in which the presenter comes to both sides of the archive, 6 dB down, and nothing else. */
    $this->minute = fn (): string => SoundInMemory::made(2, 16_000, 25, 16, function (array $block, int $at): array {
        (new Signature(0))->addTo($block[0], $at, 16_000, 1.5, 0.5);

        return [$block[0], $block[0]];
    })->bytes;
    /** A take that was read, of a room whose streaming computer's card holds back 45 ms; the plan has the usual 10. */
    $this->lateTake = function (): ToneTake {
        $rig = StoredRig::load($this->rig);
        $card = ElementRef::read('units/cast-pc/sockets/line-in') ?? throw new LogicException;
        $there = (new SetMeasure($card, MeasureKind::Delay, 45.0))->applyTo($rig);
        $room = new TonePlan((new Hearings($there))->in('on-air'));
        $readings = [];
        foreach ($room->tracks as $track) {
            $found = array_fill(0, $room->width($track), []);
            foreach ($room->arrivals($track) as $source => $parts) {
                foreach ($parts as $part => $sides) {
                    foreach ($sides as $side => $arrivals) {
                        $found[$side][] = new FoundSignature($room->signatures[$source][$part]->number, 90.0, $arrivals[0]->db, 0.0, 1.0, $arrivals, null);
                    }
                }
            }
            $channel = fn (array $of, int $mark) => new ChannelReading($of, null, 0.5, 0.5, [], [], -90.0, [1.0], [1.0], (float) $mark);
            $readings[] = [$track, array_map($channel, $found, array_keys($found)), 60.0];
        }
        $take = (new ToneTake)->forceFill([
            'rig_id' => $this->rig->id, 'user_id' => $this->owner->id, 'revision' => 1, 'situation' => 'on-air', 'unit' => 'broadcast', 'played' => $room->played(), 'files' => [],
            'marks' => [], 'state' => TakeState::Done, 'read' => ReadTracks::of($readings)->toArray(),
        ]);
        $take->save();

        return $take;
    };
});

it('says who plays what, gives each sound its minute, and a page that plays it', function () {
    $situation = StoredRig::load($this->rig)->situations;
    $this->actingAs($this->owner)->get($this->url)->assertOk()->assertSee('Presenter voice')->assertSee('to the microphone: Presenter mic')
        ->assertSee('as the sound of Music player, in stereo')->assertSee('Broadcast program: Archive');
    $this->get("{$this->url}/play/music")->assertOk()->assertSee('Play')->assertSee("{$this->url}/play/music/wav", false);
    $response = $this->get("{$this->url}/play/music/wav")->assertOk()->assertHeader('Content-Type', 'audio/wav');
    $format = WavFormat::read((string) file_get_contents($response->baseResponse->getFile()->getPathname(), length: 1_000));
    expect([$format->channels, $format->rate, $format->frames])->toBe([2, 16_000, 960_000]);
    $this->get("{$this->url}/play/nobody")->assertNotFound();
    expect(array_key_first($situation))->toBe('on-air');
});

it('reads a recording that comes in pieces, and says what is not as planned', function () {
    $take = ($this->bring)('broadcast', [($this->minute)()], 300_000);
    expect($take->fresh()->state)->toBe(TakeState::Done);
    // By hand: the presenter is alone there, at 20 log10(0.5), which counts as planned since nobody knows how loud anybody speaks.
    $page = $this->get("{$this->url}/{$take->id}")->assertOk()->assertSee('Music is not on it')->assertSee('−6.0 dB')->assertSee('planned 0.0 dB')
        ->assertSee('noise floor', false)->assertDontSee('Presenter voice is');
    // Each difference leads to the finder, with what it says.
    $page->assertSee('known='.rawurlencode('hear music archive=nothing'), false);
    $this->getJson("{$this->url}/{$take->id}")->assertJson(['says' => 'read', 'isOpen' => false]);
    $this->get($this->url)->assertSee('Recording of');
    expect($this->rig->fresh()->revision)->toBe($this->rig->revision);
});

it('goes on from where a piece broke off, and takes nothing twice', function () {
    Queue::fake();
    $bytes = ($this->silence)(2);
    // A file of a recording that a restored backup does not have.
    Storage::put("takes/{$this->rig->id}/".(1 + (int) ToneTake::query()->max('id')).'/0', 'old');
    $to = $this->actingAs($this->owner)->postJson($this->url, ['unit' => 'broadcast', 'situation' => 'on-air',
        'files' => [['name' => 'take.wav', 'bytes' => strlen($bytes)]]])->json('to');
    $send = fn (int $from, string $piece) => $this->call(
        'POST',
        "{$to}/files/0?from={$from}",
        server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'],
        content: $piece,
    );
    $send(0, substr($bytes, 0, 1_000))->assertJson(['bytes' => 1_000]);
    $send(0, substr($bytes, 0, 1_000))->assertJson(['bytes' => 1_000]);
    $send(5_000, substr($bytes, 5_000, 10))->assertJson(['bytes' => 1_000]);
    $this->postJson("{$to}/ready")->assertStatus(409)->assertJsonPath('message', 'take.wav is not there yet: 1000 of '.strlen($bytes).' bytes.');
    $send(1_000, substr($bytes, 1_000))->assertJson(['bytes' => strlen($bytes)]);
    $send(strlen($bytes), 'more')->assertJson(['bytes' => strlen($bytes)]);
    $this->postJson("{$to}/ready")->assertOk();
    $take = ToneTake::query()->firstOrFail();
    expect(Storage::get($take->file(0)))->toBe($bytes)->and($take->state)->toBe(TakeState::Waiting);
    Queue::assertPushedOn(ReadTake::QUEUE, ReadTake::class);
    $send(0, 'late')->assertStatus(409);
    $this->postJson("{$to}/files/3?from=0")->assertNotFound();
});

it('says what is the matter with a file', function (callable $file, string $says) {
    $take = ($this->bring)('broadcast', [$file->call($this)]);
    expect($take->fresh()->state)->toBe(TakeState::Failed);
    $this->get("{$this->url}/{$take->id}")->assertOk()->assertSee($says);
})->with([
    'empty' => [fn () => '', 'The file is empty. Record again'],
    'no sound' => [fn () => 'a letter', 'No sound can be read from it'],
    'cut off' => [fn () => substr(($this->silence)(2), 0, 40), 'ends before any sound'],
    'nothing behind the header' => [fn () => substr(($this->silence)(2), 0, 44), 'There is no sound in it'],
    'other channels' => [fn () => ($this->silence)(5), 'It has 5 channels. The tracks of Broadcast program in the rig take 2'],
]);

it('says that nothing at all is on a track', function () {
    $take = ($this->bring)('broadcast', [($this->silence)(2)]);
    $this->get("{$this->url}/{$take->id}")->assertSee('Nothing at all is on it, not even noise')->assertSee('silent')
        ->assertSee('As an ordinary recording')->assertSee('Archive has nothing on it but noise.');
});

it('judges an ordinary recording by who was marked to speak', function () {
    $rig = app(ImportRig::class)($this->owner, shipped('starters/school-visit.json'));
    // The guide is marked from 2 s to 6 s, and a pupil's track has the louder voice.
    $noise = new Noise(3, 16_000);
    $bytes = SoundInMemory::made(3, 16_000, 8, 16, function (array $block, int $at) use ($noise): array {
        $by = $at >= 2 * 16_000 && $at < 6 * 16_000 ? [0.02, 0.1, 0.0005] : [0.0002, 0.0002, 0.0002];
        $speech = $noise->speech(16_000);

        return array_map(fn (float $level) => array_map(fn (float $x) => $level * $x, $speech), $by);
    })->bytes;
    $content = StoredRig::load($rig);
    $to = $this->actingAs($this->owner)->postJson("/rigs/{$rig->id}/tones", ['unit' => 'rec', 'situation' => array_key_first($content->situations),
        'files' => [['name' => 'visit.wav', 'bytes' => strlen($bytes)]], 'marks' => [['source' => 'guide', 'from' => 2.0, 'to' => 6.0]]])
        ->assertOk()->json('to');
    $this->call('POST', "{$to}/files/0?from=0", server: ['HTTP_ACCEPT' => 'application/json'], content: $bytes)->assertOk();
    $this->postJson("{$to}/ready")->assertOk();
    $this->get($to)->assertOk()->assertSee('As an ordinary recording')->assertDontSee('is not on it')
        ->assertSee('While Guide spoke, First pupil track was louder than Guide track: the wrong microphone is on one of them.');
    $this->postJson("/rigs/{$rig->id}/tones", ['unit' => 'rec', 'situation' => array_key_first($content->situations),
        'files' => [['name' => 'a', 'bytes' => 1]], 'marks' => [['source' => 'guide', 'from' => 'soon', 'to' => 1]]])->assertStatus(422);
});

it('reads the tracks of Matroska, MP4 and FLAC by ffmpeg, each where it belongs', function (string $container, string $codec) {
    $count = $container === 'flac' ? 1 : 4;
    $wav = Storage::path('in.wav');
    Storage::put('in.wav', ($this->minute)());
    $silent = Storage::path('silent.wav');
    Storage::put('silent.wav', ($this->silence)(2, 25));
    // The archive is the second track of the program; four of its eight are in the file.
    $arguments = [];
    for ($i = 0; $i < $count; $i++) {
        $arguments = [...$arguments, '-map', ($i === 1 || $count === 1 ? '0' : '1').':a'];
    }
    $out = Storage::path("out.{$container}");
    (new Process(['ffmpeg', '-loglevel', 'error', '-i', $wav, '-i', $silent, ...$arguments, '-c:a', $codec, '-strict', '-2', $out]))->mustRun();
    $take = ($this->bring)('broadcast', [(string) file_get_contents($out)]);
    $read = $take->fresh()->read['tracks'][0] ?? [];
    expect($take->fresh()->trouble)->toBe('')->and($read['id'])->toBe('archive')->and($read['channels'][0]['found'][0]['number'])->toBe(0)
        ->and($read['channels'][0]['found'][0]['db'])->toEqualWithDelta(-6.0, 0.2);
})->with([['mkv', 'flac'], ['mp4', 'aac'], ['flac', 'flac']]);

it('lets those in who may look, removes for those who may edit, and is gone with the rig', function () {
    $take = ($this->bring)('broadcast', [($this->silence)(2)]);
    $stranger = User::factory()->create();
    $this->flushSession();
    foreach (['get' => ['', "/{$take->id}", '/play/music', '/play/music/wav'], 'post' => ['', '/simulated', "/{$take->id}/ready", "/{$take->id}/keep"],
        'delete' => ["/{$take->id}"]] as $method => $paths) {
        foreach ($paths as $path) {
            expect([$path, $this->actingAs($stranger)->{$method}($this->url.$path)->status()])->toBe([$path, 404]);
        }
    }
    $other = app(ImportRig::class)($stranger, shipped('starters/crab-race.json'));
    $this->get("/rigs/{$other->id}/tones/{$take->id}")->assertNotFound();
    $this->rig->members()->create(['user_id' => $stranger->id, 'role' => 'view', 'accepted_at' => now()]);
    $this->get("{$this->url}/{$take->id}")->assertOk();
    $this->delete("{$this->url}/{$take->id}")->assertForbidden();
    $this->flushSession();
    $this->actingAs($this->owner)->post("{$this->url}/{$take->id}/keep")->assertRedirect();
    expect($take->fresh()->is_kept)->toBeTrue();
    $this->delete("/rigs/{$this->rig->id}")->assertRedirect();
    expect(ToneTake::query()->count())->toBe(0)->and(Storage::allFiles("takes/{$this->rig->id}"))->toBe([]);
});

it('deletes files after 7 days unless they are kept, and leaves what was read', function () {
    [$old, $kept] = [($this->bring)('broadcast', [($this->silence)(2)]), ($this->bring)('broadcast', [($this->silence)(2)])];
    $kept->update(['is_kept' => true]);
    $this->travel(6)->days();
    $this->artisan('cache:tidy')->assertOk();
    Storage::assertExists($old->file(0));
    $this->travel(2)->days();
    $this->artisan('cache:tidy')->assertOk();
    Storage::assertMissing($old->file(0));
    Storage::assertExists($kept->file(0));
    $this->actingAs($this->owner)->get("{$this->url}/{$old->id}")->assertSee('its files are deleted')->assertSee('Nothing at all');
});

it('stops where it is told to', function () {
    Queue::fake();
    $take = ($this->bring)('broadcast', [($this->minute)()]);
    $this->delete("{$this->url}/{$take->id}")->assertRedirect();
    (new ReadTake($take->id))->handle();
    expect($take->fresh()->state)->toBe(TakeState::Stopped)->and($take->fresh()->read)->toBeNull();
    // One that is stopped while it is being read ends there.
    $take->update(['state' => TakeState::Working]);
    $shares = [];
    try {
        (new TakeReader(StoredRig::load($this->rig), $take))->read(function (float $share) use (&$shares): void {
            $shares[] = $share;
            if ($share > 0.1) {
                throw new App\Jobs\Stopped;
            }
        });
    } catch (App\Jobs\Stopped) {
    }
    expect(end($shares))->toBeGreaterThan(0.1)->toBeLessThan(0.2);
});

it('plays what was played, whatever the rig has learnt since', function () {
    $plan = fn (?array $played = null): TonePlan => new TonePlan(
        (new HiddenWire\Core\Planning\Hearings(StoredRig::load($this->rig)))->in('on-air'),
        $played,
    );
    $played = ['music' => [[30, true], [31, true]], 'gone' => [[1, false]]];
    expect($plan($played)->played())->toBe(['music' => [[30, true], [31, true]]])
        ->and($plan()->played()['voice'])->toBe([[0, false]]);
});

it('offers a delay that was measured, and takes it over into the plan with undo', function () {
    $take = ($this->lateTake)();
    $page = (string) $this->actingAs($this->owner)->get("{$this->url}/{$take->id}")->assertOk()->assertSee('comes 33.5 ms later than planned')
        ->getContent();
    expect(preg_match_all('#name="_change" value="([^"]+)"[^>]*>\s*<button class="do" type="submit">Take over: ([^<]+)</button>#', $page, $offers))
        ->toBeGreaterThan(0)->and(preg_replace('/\s+/', ' ', $offers[2][0]))->toContain('measured delay 45 ms');
    $this->post("/rigs/{$this->rig->id}/edits", ['_change' => html_entity_decode($offers[1][0])])->assertRedirect()->assertSessionHasNoErrors();
    expect(StoredRig::load($this->rig->fresh())->papers->measured(MeasureKind::Delay))->toBe(['units/cast-pc/sockets/line-in' => 45.0]);
    $this->get("{$this->url}/{$take->id}")->assertDontSee('later than planned');
    $this->post("/rigs/{$this->rig->id}/undo", ['revision' => $this->rig->fresh()->revision])->assertSessionHasNoErrors();
    $this->get("{$this->url}/{$take->id}")->assertSee('later than planned');
});

it('goes out with the test during which it was measured, and comes in as it went out', function () {
    $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/bench")->assertRedirect();
    $run = TestRun::query()->latest('id')->firstOrFail();
    ($this->lateTake)();
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('Measured by tone tests: ')->assertSee('later than planned');
    $file = (string) $this->get("/rigs/{$this->rig->id}/bench/{$run->id}/file")->assertOk()->getContent();
    $measured = json_decode($file, true)['measured'];
    $voice = array_values(array_filter($measured, fn (array $one) => $one['source'] === 'voice' && $one['track'] === 'clip'))[0];
    // By hand: the clip comes 33.5 ms behind the archive, and by the plan before it.
    expect([$voice['late_ms'], $voice['planned_late_ms'], $voice['situation'], $voice['unit']])->toBe([33.5, 0, 'on-air', 'broadcast'])
        ->and($voice['differences'])->toBe(['Presenter voice comes 33.5 ms later than planned, against the other tracks']);
    ToneTake::query()->delete();
    $plan = new TestPlan(new Hearings(StoredRig::load($this->rig)));
    $this->postJson("/rigs/{$this->rig->id}/bench/{$run->id}", ['answers' => [
        ['step' => $plan->steps[0]->key, 'heard' => 'as-planned', 'note' => '', 'at' => 1000],
    ]])->assertOk();
    $again = (string) $this->get("/rigs/{$this->rig->id}/bench/{$run->id}/file")->getContent();
    expect(json_decode($again, true))->not->toHaveKey('measured');
    $upload = fn (string $text) => $this->post("/rigs/{$this->rig->id}/bench/file", ['test' => UploadedFile::fake()->createWithContent('test.json', $text)]);
    $told = json_decode($file, true);
    $told['steps'] = json_decode((string) $this->get("/rigs/{$this->rig->id}/bench/{$run->id}/file")->getContent(), true)['steps'];
    $upload((string) json_encode($told))->assertSessionHasNoErrors();
    $came = TestRun::query()->latest('id')->firstOrFail();
    expect($came->id)->not->toBe($run->id)->and(json_decode((string) json_encode($came->measured), true))->toEqual($measured);
    $this->get("/rigs/{$this->rig->id}/bench")->assertSee('Measured by tone tests: '.count($measured).' values');
    foreach ([['track', 'no id!'], ['db', 'loud'], ['at', 'now'], ['differences', [1]]] as [$key, $wrong]) {
        $spoilt = $told;
        $spoilt['measured'][0][$key] = $wrong;
        $upload((string) json_encode($spoilt))->assertSessionHasErrors('test');
        expect(session('errors')->first('test'))->toContain("/measured/0/{$key}");
    }
});
