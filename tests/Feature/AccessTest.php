<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\MemberRole;
use App\Models\OwnModel;
use App\Models\Rig;
use App\Rigs\CatalogueFiles;
use App\Rigs\Pictures;
use App\Rigs\RigFromRows;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Equipment\DeviceNames;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/** A real picture of a size, as bytes. */
function pictureOf(int $width, int $height, string $type = 'png'): string
{
    $image = imagecreatetruecolor($width, $height);
    imagefill($image, 0, 0, (int) imagecolorallocate($image, 200, 40, 40));
    ob_start();
    match ($type) {
        'png' => imagepng($image), 'jpeg' => imagejpeg($image), 'webp' => imagewebp($image), default => imagegif($image),
    };

    return (string) ob_get_clean();
}

beforeEach(function () {
    Storage::fake('local');
    [$this->rig, $this->people] = sharedRig('rigs/night-relay.json');
    $this->as = function (string $who) {
        // Each comes with a session of their own.
        $this->flushSession();

        return $this->people[$who] === null ? $this : $this->actingAs($this->people[$who]);
    };
});

/*
 * Every action on a rig, by whom. Statuses: 200 shown, 302 done and sent back, 403 not by their role, 404 does not exist for them; a guest
 * is sent to sign in.
 */
it('lets each person do what is theirs, and nothing else', function (string $method, string $path, array $fields, array $expected) {
    Queue::fake();
    $picture = app(Pictures::class)->keep($this->rig, 'mixer', $this->people['owner'], pictureOf(20, 10), 'Top');
    $member = $this->rig->members()->first();
    $path = str_replace(['{picture}', '{member}'], [(string) $picture->id, (string) $member->id], "/rigs/{$this->rig->id}{$path}");
    foreach ($expected as $who => $status) {
        DB::beginTransaction();
        auth()->guard('web')->forgetUser();
        $answer = ($this->as)($who)->from('/here')->call($method, $path, $fields + ['revision' => $this->rig->revision]);
        expect([$who, $answer->baseResponse->getStatusCode()])->toBe([$who, $status]);
        if ($who === 'guest') {
            $answer->assertRedirect('/sign-in');
        }
        DB::rollBack();
        Cache::flush();
    }
    expect((new DocumentWriter)->write(RigFromRows::rig($this->rig->fresh())))->toBe(shipped('rigs/night-relay.json'));
})->with(function () {
    $to = fn (int $owner, int $manager, int $editor, int $tester, int $viewer): array => ['owner' => $owner, 'manager' => $manager,
        'editor' => $editor, 'tester' => $tester, 'viewer' => $viewer, 'stranger' => 404, 'guest' => 302];
    $look = $to(200, 200, 200, 200, 200);
    $test = $to(302, 302, 302, 302, 403);
    $change = $to(302, 302, 302, 403, 403);
    $manage = $to(302, 302, 403, 403, 403);
    $own = $to(302, 403, 403, 403, 403);
    foreach (['wishes', 'stock', 'wiring', 'computers', 'recipes', 'tracks', 'levels', 'controls', 'show', 'checks', 'returns', 'dependence', 'situations', 'cables', 'people', 'history', 'history/1/1',
        'find?q=mixer', 'document'] as $view) {
        yield $view => ['GET', "/{$view}", [], $look];
    }
    yield 'a real edit' => ['POST', '/edits', ['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'mute' => '1'], $change];
    yield 'undo' => ['POST', '/undo', [], $change];
    yield 'redo' => ['POST', '/redo', [], $change];
    yield 'restore' => ['POST', '/revisions/1/restore', [], $change];
    yield 'pulse' => ['POST', '/pulse', ['view' => 'wiring'], $look];
    yield 'a picture' => ['GET', '/pictures/{picture}', [], $look];
    yield 'a picture attached' => ['POST', '/pictures', ['unit' => 'mixer'], $change];
    yield 'a picture deleted' => ['DELETE', '/pictures/{picture}', [], $change];
    yield 'an invitation' => ['POST', '/people', ['email' => 'nobody@hidden-wire.test', 'role' => 'view'], $manage];
    yield 'another role' => ['PUT', '/people/{member}', ['role' => 'view'], $manage];
    yield 'a member away' => ['DELETE', '/people/{member}', [], $manage];
    yield 'a link' => ['POST', '/shares', ['name' => 'Venue', 'days' => 7], $manage];
    yield 'thinning' => ['PUT', '/history/thins', ['thins' => '1'], $manage];
    yield 'a test begun' => ['POST', '/bench', [], $test];
    yield 'a test brought in' => ['POST', '/bench/file', [], $test];
    yield 'a recording of a simulated room' => ['POST', '/tones/simulated', ['unit' => 'broadcast', 'situation' => 'on-air'], $test];
    yield 'a recording announced' => ['POST', '/tones', ['unit' => 'broadcast', 'situation' => 'on-air',
        'files' => [['name' => 'a.wav', 'bytes' => 9]]], ['owner' => 200, 'manager' => 200, 'editor' => 200, 'tester' => 200] + $test];
    yield 'ticks' => ['POST', '/cards/run-down', ['ticks' => []], ['owner' => 200, 'manager' => 200, 'editor' => 200, 'tester' => 200] + $test];
    yield 'another owner' => ['PUT', '/owner', ['to' => 'me'], $own];
    yield 'the rig away' => ['DELETE', '', [], $own];
});

it('invites by account, changes what they may do, and shows the rig among theirs', function () {
    $invite = fn (string $email, string $role) => ($this->as)('owner')->from('/here')
        ->post("/rigs/{$this->rig->id}/people", ['email' => $email, 'role' => $role]);
    $stranger = $this->people['stranger'];
    $invite(strtoupper($stranger->email), 'view')->assertSessionHasNoErrors();
    ($this->as)('stranger')->post("/invitations/{$stranger->invitations()->sole()->id}")->assertRedirect('/');
    ($this->as)('stranger')->get('/')->assertSee('Night relay at the pier arcade');
    ($this->as)('stranger')->get("/rigs/{$this->rig->id}/recipes")->assertOk()->assertSee('view only')->assertDontSee('data-send');
    $invite($stranger->email, 'edit')->assertSessionHas('said', "{$stranger->name} may edit this rig now.");
    expect($this->rig->roleOf($stranger))->toBe(MemberRole::Edit)->and($this->rig->members()->count())->toBe(5);
    $invite($this->people['owner']->email, 'edit')->assertSessionHasErrors(['email' => 'This rig is yours already.']);
    $invite($stranger->email, 'own')->assertSessionHasErrors('role');
});

it('tells an open page who else is here and what they have done', function () {
    $pulse = fn (string $who, int $revision, string $view = 'wiring') => ($this->as)($who)
        ->postJson("/rigs/{$this->rig->id}/pulse", ['revision' => $revision, 'view' => $view]);
    $pulse('owner', 1)->assertExactJson(['revision' => 1, 'here' => [], 'since' => []]);
    ($this->as)('editor')->post("/rigs/{$this->rig->id}/edits", ['edit' => 'unplug', 'cable' => 'w-07', 'revision' => 1]);
    $pulse('editor', 2, 'stock');
    $pulse('owner', 1)->assertExactJson(['revision' => 2, 'here' => [['name' => $this->people['editor']->name, 'view' => 'stock']],
        'since' => [['who' => $this->people['editor']->name, 'what' => 'Unplugged W-07']]]);
    $this->travel(30)->seconds();
    $pulse('owner', 2)->assertExactJson(['revision' => 2, 'here' => [], 'since' => []]);
});

describe('pictures', function () {
    beforeEach(function () {
        $this->attach = fn (UploadedFile|string|null $file, array $more = []) => ($this->as)('owner')->from('/here')
            ->post("/rigs/{$this->rig->id}/pictures", $more + ['unit' => 'mixer', 'picture' => $file, 'caption' => 'Top left']);
    });

    it(
        'are read by their content, made small, and kept outside the web root under a name of our own',
        function (string $type, string $name) {
            ($this->attach)(UploadedFile::fake()->createWithContent($name, pictureOf(3200, 800, $type)))->assertSessionHas('said');
            $picture = $this->rig->pictures()->sole();
            $kept = (string) Storage::disk('local')->get($picture->path());
            expect([$picture->width, $picture->height, $picture->caption])->toBe([1600, 400, 'Top left'])
                ->and(getimagesizefromstring($kept)[2] ?? null)->toBe(IMAGETYPE_JPEG)
                ->and($picture->path())->toMatch('#^pictures/\d+/[a-z0-9]{40}\.jpg$#')->and(Storage::disk('local')->path($picture->path()))
                ->not->toContain('/public/');
            $answer = ($this->as)('viewer')->get("/rigs/{$this->rig->id}/pictures/{$picture->id}")->assertOk()
                ->assertHeader('Content-Type', 'image/jpeg')->assertHeader('X-Content-Type-Options', 'nosniff');
            expect($answer->streamedContent())->toBe($kept);
        },
    )->with([['png', 'panel.png'], ['jpeg', 'panel.jpg'], ['webp', '../../public/panel.php'], ['png', 'panel.svg']]);

    it('that are none are refused, whatever they are called', function (string $content, string $name, string $says) {
        ($this->attach)(UploadedFile::fake()->createWithContent($name, $content))->assertSessionHasErrors('picture');
        expect(session('errors')->first('picture'))->toContain($says)->and(Storage::disk('local')->allFiles())->toBe([])
            ->and($this->rig->pictures()->count())->toBe(0);
    })->with([
        'a script' => ['<?php echo 1;', 'panel.png', 'no JPEG, PNG or WebP'],
        'a drawing with scripts' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>', 'panel.svg',
            'no JPEG, PNG or WebP'],
        'another kind of picture' => [fn () => pictureOf(4, 4, 'gif'), 'panel.gif', 'no JPEG, PNG or WebP'],
        'a torn one' => [fn () => substr(pictureOf(400, 400), 0, 60), 'panel.png', 'damaged'],
        'too large' => [fn () => pictureOf(4, 4).str_repeat('x', Pictures::MAX_BYTES), 'panel.png', 'larger than 8 MB'],
        'empty' => ['', 'panel.png', 'no JPEG, PNG or WebP'],
    ]);

    it('that unpack to too many pixels are refused before they are unpacked', function () {
        // A PNG head that claims 60,000 by 60,000 pixels.
        $head = "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NNCCCCC', 60000, 60000, 8, 2, 0, 0, 0);
        ($this->attach)(UploadedFile::fake()->createWithContent('huge.png', $head.pack('N', crc32(substr($head, 12)))))
            ->assertSessionHasErrors(['picture' => 'The picture has too many pixels: 40 million at most.']);
    });

    it('belong to a unit and a rig, and go with the rig', function () {
        ($this->attach)(UploadedFile::fake()->createWithContent('p.png', pictureOf(4, 4)), ['unit' => 'ghost'])->assertNotFound();
        ($this->attach)(null)->assertSessionHasErrors(['picture' => 'Choose a picture first.']);
        ($this->attach)(UploadedFile::fake()->createWithContent('p.png', pictureOf(4, 4)));
        $picture = $this->rig->pictures()->sole();
        $other = app(ImportRig::class)($this->people['owner'], shipped('rigs/penny-slot.json'));
        ($this->as)('owner')->get("/rigs/{$other->id}/pictures/{$picture->id}")->assertNotFound();
        ($this->as)('owner')->get("/rigs/{$this->rig->id}/stock?select=unit:mixer")->assertSee("/pictures/{$picture->id}")
            ->assertSee('Top left');
        ($this->as)('owner')->delete("/rigs/{$this->rig->id}/pictures/{$picture->id}");
        expect(Storage::disk('local')->allFiles())->toBe([]);
        ($this->attach)(UploadedFile::fake()->createWithContent('p.png', pictureOf(4, 4)));
        ($this->as)('owner')->delete("/rigs/{$this->rig->id}");
        expect(Storage::disk('local')->allFiles())->toBe([])->and(Rig::query()->find($this->rig->id))->toBeNull();
    });
});

describe('own models', function () {
    beforeEach(function () {
        $tabs = fn (string ...$lines): string => strtr(implode("\n", $lines), ['|' => "\t"]);
        $this->fields = [
            'name' => 'Bench box', 'family' => 'mixer', 'summary' => 'Two lines into one.',
            'sheets' => [
                'points' => $tabs(
                    'label|kind|channels|fader from|fader to|mute|gain from|gain to',
                    'Line A|strip|2|-90|10|off||',
                    'Line B|strip|2|||||',
                    'Sum|bus|2||||-12|60',
                    '|||||||',
                ),
                'sockets' => $tabs(
                    'label|connector|lane way|lane point|lane device direction|link',
                    'A in|trs-3.5|in|Line A||',
                    'B in|trs-3.5|in|Line B||',
                    'Out|trs-3.5|out|Sum||',
                    'USB|usb-c|out|Sum|recording|device',
                ),
                'routes' => $tabs('from|to|can', 'Line A|Sum|on, db', 'Line B|Sum|'),
            ],
        ];
        $this->send = fn (array $fields, string $who = 'owner') => ($this->as)($who)->post('/models', $fields);
    });

    it('are written in rows, drawn, heard, kept, and stand in the stock', function () {
        ($this->as)('owner')->post('/models/drawing', $this->fields)->assertOk()->assertSee('Bench box')->assertSee('<svg', false)
            ->assertSeeInOrder(['What it would do', 'Line A', '0.0', 'Line B', '0.0']);
        ($this->send)($this->fields)->assertRedirect('/models');
        $model = OwnModel::query()->sole()->model();
        expect($model?->id)->toBe('bench-box')->and(array_keys($model->points))->toBe(['line-a', 'line-b', 'sum'])
            ->and($model->points['line-a']->mute)->toBeFalse()->and($model->points['line-a']->gain)->toBeNull()
            ->and($model->sockets['usb']->link?->value)->toBe('device')->and($model->sockets['usb']->lanes['out']->device)->not->toBeNull()
            ->and(DeviceNames::of($model, 'usb', 'out'))->toBe('Bench box')->and(array_keys($model->routes))->toBe(['line-a>sum', 'line-b>sum'])
            ->and($model->routes['line-b>sum']->can)->toBe([]);
        ($this->as)('owner')->get("/rigs/{$this->rig->id}/stock?q=bench")->assertSee('Bench box');
        ($this->as)('owner')->post(
            "/rigs/{$this->rig->id}/edits",
            ['edit' => 'add-unit', 'model' => 'bench-box', 'place' => 'hall', 'revision' => 1],
        )->assertSessionHasNoErrors();
        expect(RigFromRows::rig($this->rig->fresh())->models['bench-box']->name)->toBe('Bench box');
    });

    it('say what is wrong, and keep what was written', function () {
        $fields = $this->fields;
        $fields['sheets']['sockets'] = str_replace("in\tLine B", "in\tLine Z", $fields['sheets']['sockets']);
        ($this->as)('owner')->post('/models/drawing', $fields)->assertStatus(422)
            ->assertSee('Sockets, row 2, lane point: The model has no point "line-z"');
        ($this->send)($fields)->assertStatus(422)->assertSee('Line Z')->assertSee('Two lines into one.');
        expect(OwnModel::query()->count())->toBe(0);
        ($this->send)(['name' => '', 'family' => 'nonsense'])->assertStatus(422);
    });

    it('begin with one of the catalogue, and say all of it', function (string $id) {
        $page = ($this->as)('owner')->get("/models/new?from={$id}")->assertOk();
        $document = new DOMDocument;
        @$document->loadHTML('<?xml encoding="utf-8">'.$page->getContent());
        $found = new DOMXPath($document);
        $fields = ['name' => 'Mine', 'summary' => $found->query('//input[@name="summary"]')->item(0)?->getAttribute('value'),
            'family' => $found->query('//select[@name="family"]/option[@selected]')->item(0)?->getAttribute('value')];
        foreach ($found->query('//textarea[@data-sheet]') as $sheet) {
            $fields['sheets'][$sheet->getAttribute('data-sheet')] = $sheet->textContent;
        }
        ($this->send)($fields)->assertRedirect('/models');
        $of = fn ($model): array => array_diff_key((new DocumentWriter)->model($model), ['name' => 0]);
        expect($of(OwnModel::query()->sole()->model()))->toEqual($of(CatalogueFiles::catalogue()->models[$id]));
    })->with(['eight-input-desk', 'pair-interface', 'broadcast-program', 'headphone-desk', 'gaming-computer', 'console']);

    it('go out as files and come in, once', function () {
        ($this->send)($this->fields);
        $own = OwnModel::query()->sole();
        $file = ($this->as)('owner')->get("/models/{$own->id}/file")->assertOk()->assertDownload('bench-box.model.json')->getContent();
        expect(json_decode($file, true))->toMatchArray(['format' => 'hidden-wire/model', 'version' => 3, 'id' => 'bench-box']);
        ($this->as)('stranger')->get("/models/{$own->id}/file")->assertNotFound();
        $upload = fn (string $text, string $who) => ($this->as)($who)->post('/models/file', [
            'model' => UploadedFile::fake()->createWithContent('box.model.json', $text)]);
        // Who has it gets it no second time; who has not, does.
        $upload($file, 'owner')->assertRedirect('/models')->assertSessionHas('said', 'Bench box is there already, just as in the file.');
        expect(OwnModel::query()->count())->toBe(1);
        $upload($file, 'stranger')->assertRedirect('/models')->assertSessionHasNoErrors();
        expect(OwnModel::query()->count())->toBe(2)
            ->and(OwnModel::query()->latest('id')->first()->document)->toBe($own->document);
        // One of the same name that says something else gets an id of its own.
        $upload(str_replace('Two lines into one.', 'Three.', $file), 'owner')->assertSessionHasNoErrors();
        expect(OwnModel::query()->latest('id')->first()->key)->toBe('bench-box-2');
        foreach (['no json', '{}', str_replace('"version": 3', '"version": 9', $file), str_replace('"mixer"', '"kettle"', $file)] as $bad) {
            $upload($bad, 'owner')->assertSessionHasErrors('model');
        }
        expect(OwnModel::query()->count())->toBe(3);
    });

    it('are their maker\'s only', function () {
        ($this->send)($this->fields);
        $own = OwnModel::query()->sole();
        foreach (['stranger' => 404, 'guest' => 302] as $who => $status) {
            auth()->guard('web')->forgetUser();
            ($this->as)($who)->get("/models/{$own->id}")->assertStatus($status);
            ($this->as)($who)->put("/models/{$own->id}", $this->fields)->assertStatus($status);
            ($this->as)($who)->delete("/models/{$own->id}")->assertStatus($status);
        }
        ($this->as)('owner')->put("/models/{$own->id}", ['name' => 'Bench box two'] + $this->fields)
            ->assertRedirect('/models');
        expect($own->fresh()->model()?->name)->toBe('Bench box two')->and($own->fresh()->key)->toBe('bench-box');
        ($this->as)('owner')->delete("/models/{$own->id}")->assertRedirect('/models');
        expect(OwnModel::query()->count())->toBe(0);
    });
});
