<?php

declare(strict_types=1);

namespace Tests\Bench;

use App\Actions\ChangeRig;
use App\Actions\ImportRig;
use App\Actions\StaleEdit;
use App\Actions\UnreadableRevision;
use App\Http\Edits\EditFields;
use App\Http\Edits\EditForms;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Tests\Support\Draft;

/**
 * What a malicious or unlucky person sends: injured documents, forms of any content, malformed requests, and valid rigs made to take
 * long.
 */
final class Hostile
{
    private const TEXTS = [
        '', '0', '007', '-1', '1,1', '1e309', '99999999999999999999', 'NaN', "tab\tand\nline", "bell\x07", "nul\x00", "e\u{301} combined",
        "\u{202E}backwards", '😀', '../../x', 'a/b/c',
        '<script>alert(1)</script>', "'; DROP TABLE rigs; --", '{{ 7 * 7 }}', '*', '>', 'x>y', 'unit:mixer', "\xFF\xFE broken", '1.0005',
        '−3', '3,5', ' ', 'Ünïcödé', 'W-01',
    ];

    /** @var array<string, int> */
    public array $counts = [];

    /** @var list<string> what went wrong, in words */
    public array $failures = [];

    public function __construct(private readonly int $seed, private readonly float $slowness = 1)
    {
        mt_srand($seed);
    }

    /** Injured documents: a rig that can be heard and written, or an error that says where. */
    public function documents(int $number): void
    {
        $texts = array_map(fn (string $name) => (string) file_get_contents(resource_path("rigs/{$name}.json")),
            ['penny-slot', 'ticket-booth']);
        for ($i = 0; $i < $number; $i++) {
            $text = $this->injured($texts[$i % 2]);
            try {
                $rig = (new DocumentReader)->read($text);
                new Hearing((new GraphBuilder($rig))->build($rig->base()));
                $written = (new DocumentWriter)->write($rig);
                $this->count((new DocumentWriter)->write((new DocumentReader)->read($written)) === $written ? 'documents read'
                    : $this->fail("document {$i} of seed {$this->seed} changes when it is written"));
            } catch (InvalidDocument) {
                $this->count('documents refused');
            } catch (\Throwable $e) {
                $this->count($this->fail("document {$i} of seed {$this->seed}: ".$e::class.": {$e->getMessage()}"));
            }
        }
    }

    /**
     * Forms of any content, one after another on the same rig: whatever is answered with success reads back from rows and document, and
     * goes back and forth.
     */
    public function forms(int $number, User $user): void
    {
        foreach (['rigs/night-relay', 'starters/harbour-radio', 'starters/school-visit', 'starters/lost-property',
            'starters/oral-history', 'starters/night-market', 'starters/guided-evening', 'starters/storm-watch', 'starters/quiz-night'] as $file) {
            $record = app(ImportRig::class)($user, (string) file_get_contents(resource_path("{$file}.json")));
            for ($i = 0; $i < intdiv($number, 9); $i++) {
                $this->form($record->refresh(), $user, $i);
                if (count(StoredRig::load($record->refresh())->units) > 120) {
                    $record = app(ImportRig::class)($user, (string) file_get_contents(resource_path("{$file}.json")));
                }
            }
        }
    }

    /** Malformed requests: none is answered by a fault of the server. */
    public function requests(int $number, User $user, Rig $rig): void
    {
        app()->instance('request', Request::create('/'));
        $routes = array_values(array_filter(iterator_to_array(app('router')->getRoutes()),
            fn ($route) => ! str_contains($route->uri(), 'export')));
        for ($i = 0; $i < $number; $i++) {
            $route = $routes[mt_rand(0, count($routes) - 1)];
            $before = $rig->revisions()->count();
            $method = $route->methods()[0];
            $uri = '/'.preg_replace_callback('/\{(\w+)\??\}/', fn (array $m) => $m[1] === 'rig' && mt_rand(0, 4) > 0 ? (string) $rig->id
                : rawurlencode((string) $this->scalar()), $route->uri());
            $fields = $this->fields();
            if (parse_url($uri) === false) {
                continue;
            }
            $request = Request::create($uri, $method, $fields, [], [], [
                'HTTP_HOST' => '127.0.0.1', 'HTTP_ACCEPT' => mt_rand(0, 1) === 0 ? 'application/json' : 'text/html',
                'HTTP_REFERER' => mt_rand(0, 3) === 0 ? 'https://elsewhere.test/' : 'http://127.0.0.1/',
                'HTTP_X_PAGE' => (string) $this->scalar(), 'HTTP_IF_NONE_MATCH' => (string) $this->scalar(),
            ], mt_rand(0, 5) === 0 ? '{"broken": ' : null);
            if (mt_rand(0, 8) > 0) {
                Auth::guard('web')->setUser($user);
            } else {
                Auth::guard('web')->forgetUser();
            }
            $answer = app(Kernel::class)->handle($request);
            if ($answer->getStatusCode() >= 500) {
                $this->count($this->fail("{$method} {$uri} "
                    .json_encode($fields, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)
                    ." of seed {$this->seed}: {$answer->getStatusCode()} ".(($answer->exception ?? null)?->getMessage() ?? '')));
            } elseif ($answer->getStatusCode() >= 400 && $rig->revisions()->count() !== $before) {
                $this->count($this->fail("{$method} {$uri} of seed {$this->seed} is refused and has made a revision"));
            } elseif ($answer->isRedirection() && parse_url((string) $answer->headers->get('Location'), PHP_URL_HOST) !== '127.0.0.1') {
                $this->count($this->fail("{$method} {$uri} of seed {$this->seed} leads to ".$answer->headers->get('Location')));
            } else {
                $this->count('requests answered');
            }
            if (Rig::query()->whereKey($rig->id)->doesntExist()) {
                $rig = app(ImportRig::class)($user, (string) file_get_contents(resource_path('rigs/penny-slot.json')));
            }
            $user = User::query()->find($user->id) ?? User::factory()->create();
        }
    }

    /**
     * Valid rigs made to take long: each is heard within 10 s and 512 MiB, or says which limit it meets.
     *
     * @return array<string, array{float, float, string}> seconds, MiB and the outcome by name
     */
    public function rigs(): array
    {
        $measured = [];
        foreach ($this->adversaries() as $name => $make) {
            // What was there before is not the rig's.
            gc_collect_cycles();
            $before = memory_get_usage();
            memory_reset_peak_usage();
            $start = hrtime(true);
            try {
                $rig = (new DocumentReader)->read($make());
                $hearing = new Hearing((new GraphBuilder($rig))->build($rig->base()));
                foreach ($hearing->all() as $pair) {
                    $pair->verdict;
                }
                $hearing->loops();
                $outcome = 'heard';
            } catch (InvalidDocument $e) {
                $outcome = "refused: {$e->problems[0]->message}";
            } catch (\Throwable $e) {
                $outcome = $this->fail("{$name}: ".$e::class.": {$e->getMessage()}");
            }
            [$seconds, $mib] = [(hrtime(true) - $start) / 1e9, (memory_get_peak_usage() - $before) / 1048576];
            $measured[$name] = [$seconds, $mib, $outcome];
            if ($seconds > 10 * $this->slowness) {
                $this->count($this->fail("{$name} took ".round($seconds, 1).' s'));
            } elseif ($mib > 512) {
                $this->count($this->fail("{$name} took ".round($mib).' MiB'));
            } else {
                $this->count('rigs heard or refused');
            }
            unset($rig, $hearing);
            gc_collect_cycles();
        }

        return $measured;
    }

    private function form(Rig $record, User $user, int $number): void
    {
        $before = StoredRig::load($record);
        $document = (new DocumentWriter)->write($before);
        $fields = $this->plausible($before);
        $change = app(ChangeRig::class);
        try {
            $made = $change->make($record, $user,
                fn (CoreRig $rig) => EditForms::edits($fields['edit'], new EditFields($fields, $rig, $user, $record)), $record->revision);
        } catch (ValidationException|InvalidRig|StaleEdit|UnreadableRevision) {
            $this->count('forms refused');

            return;
        } catch (\Throwable $e) {
            $this->count($this->fail("form {$number} of seed {$this->seed} ".$this->shown($fields).': '.$e::class.": {$e->getMessage()}"));

            return;
        }
        try {
            $record->refresh();
            $now = $record->revisions()->where('number', $record->at)->sole()->document;
            $is = [
                'rows' => (new DocumentWriter)->write(RigFromRows::rig($record)) === $now,
                'document' => (new DocumentWriter)->write((new DocumentReader)->readStored($now)) === $now,
                'words' => mb_check_encoding($made->words, 'UTF-8'),
            ];
            (new RigDifference($before, $made->after))->lines();
            if ($number % 5 === 0) {
                $change->undo($record, $record->revision);
                $record->refresh();
                $is['undo'] = (new DocumentWriter)->write(RigFromRows::rig($record)) === $document;
                $change->redo($record, $record->revision);
                $record->refresh();
                $is['redo'] = (new DocumentWriter)->write(RigFromRows::rig($record)) === $now;
            }
            if ($number % 50 === 0) {
                $copy = app(ImportRig::class)($user, $now);
                $is['import'] = (new DocumentWriter)->write(RigFromRows::rig($copy)) === $now;
                $copy->delete();
            }
            $wrong = array_keys(array_filter($is, fn (bool $holds) => ! $holds));
            $this->count($wrong === [] ? 'forms made'
                : $this->fail("form {$number} of seed {$this->seed} ".$this->shown($fields).': not the same: '.implode(', ', $wrong)));
        } catch (\Throwable $e) {
            $this->count($this->fail("after form {$number} of seed {$this->seed} ".$this->shown($fields).': '.$e::class
                .": {$e->getMessage()}"));
        }
    }

    /** @return array<string, mixed> a form whose fields mostly name what the rig has */
    private function plausible(CoreRig $rig): array
    {
        $unit = $this->one(array_keys($rig->units)) ?? '';
        $model = $unit === '' ? null : $rig->modelOf((string) $unit);
        $sockets = [];
        foreach ($rig->units as $each) {
            foreach (array_keys($rig->modelOf($each)->sockets) as $socket) {
                $sockets[] = "{$each->id}/{$socket}";
            }
        }
        $points = [];
        foreach ($rig->units as $each) {
            foreach (array_keys($rig->modelOf($each)->points) as $point) {
                $points[] = "{$each->id}/{$point}";
            }
        }
        $devices = array_map(fn ($set) => (string) $set->device, $rig->devices);
        $here = $unit === '' ? null : $rig->units[$unit] ?? null;
        $thing = $this->one(['places', 'units', 'sources', 'listeners', 'situations']);
        $words = EditForms::words();
        $fields = [
            // Removals come less often, so that the rig stays one.
            'edit' => $this->one(mt_rand(0, 3) > 0
                ? array_values(array_filter($words, fn (string $word) => ! str_starts_with($word, 'remove') && $word !== 'add-unit'))
                : $words),
            'unit' => $unit, 'point' => $this->one(array_keys($model->points ?? [])),
            'route' => $this->one(array_keys($model->routes ?? [])), 'computer' => $this->one(array_keys($rig->units)),
            'cable' => $this->one(array_keys($rig->cables)), 'source' => $this->one([...array_keys($rig->sources), '*']),
            'listener' => $this->one([...array_keys($rig->listeners), '*']),
            'situation' => $this->one([...array_keys($rig->situations), '']), 'which' => $this->one(array_keys($rig->situations)),
            'copy_of' => $this->one([...array_keys($rig->situations), '']),
            'place' => $this->one(array_keys($rig->places)), 'model' => $this->one(array_keys(CatalogueFiles::catalogue()->models)),
            'name' => $this->text(), 'summary' => $this->text(), 'notes' => $this->text(),
            'firmware' => $this->text(), 'serial' => $this->text(), 'label' => $this->text(), 'colour' => $this->text(),
            'length' => $this->number(), 'owned' => $this->one(['0', '1']),
            'type' => $this->one(['xlr', 'trs', 'ts', 'usb', 'optical', 'captive', 'x']), 'end' => $this->one(['from', 'to']),
            'from' => $this->one($sockets), 'to' => $this->one($sockets),
            'device' => $this->one([...$devices, 'system', 'call', '']),
            'channels' => $this->one(['', '1', '1, 2', '2,1', '1,1', '99999999999', 'x']),
            'roles' => [$this->one(['playback', 'recording', 'call'])],
            'role' => $this->one(['playback', 'recording', 'call']), 'direction' => $this->one(['playback', 'recording']),
            'enabled' => $this->one(['0', '1']), 'rate_hz' => $this->number(), 'bits' => $this->number(),
            'driver_mode' => $this->one(['', 'shared', 'exclusive']), 'gain' => $this->number(), 'fader' => $this->number(),
            'mute' => $this->one(['', '0', '1']), 'mono' => $this->one(['', '0', '1']),
            'auto_mute' => $this->one(['', '0', '1']), 'delay_ms' => $this->number(), 'on' => $this->one(['', '0', '1']),
            'db' => $this->number(), 'tap' => $this->one(['', 'pre-fader', 'post-fader', 'input']),
            'want' => $this->one(['must', 'may', 'must-not', 'none']), 'own_level' => $this->one(['0', '1']),
            'alone' => $this->one(['0', '1']),
            'kind' => $this->one(['voice', 'game', 'music', 'headphones', 'stream', 'desk', 'computer', 'remote', 'gate', 'compressor',
                ...array_map(fn (MeasureKind $kind) => $kind->value, MeasureKind::cases())]),
            'mode' => $this->one(['', 'shared', 'exclusive', 'direct']), 'with_also' => '1', 'also' => [$this->one($devices), $this->one($devices)],
            'unlisted' => $this->one(['', 'hidden', 'no-plug']), 'with_processing' => '1',
            'processing' => [$this->one(['mono', 'room-sound', 'x']), $this->one(['mono', 'tone-correction'])],
            'solo' => $this->one(['', '0', '1']), 'of' => $this->one(['', ...array_keys($model->points ?? [])]),
            'with_fader' => $this->one(['', '1']), 'with_except' => '1',
            'except' => [$this->one(array_keys($model->points ?? [])), $this->one(array_keys($model->points ?? []))],
            'with' => $this->one(['', ...array_keys($model->routes ?? [])]),
            'effect' => $this->one(array_map(fn ($one) => $one->id, $here->effects ?? [])), 'earlier' => $this->one(['', '0', '1']),
            'with_off_for' => '1', 'off_for' => [$this->one(array_keys($model->points ?? []))],
            'scene' => $this->one(['', ...array_map(fn ($one) => $one->id, $here->scenes ?? [])]), 'in' => $this->one(['', '0', '1']),
            'like' => $this->one(['', ...array_map(fn ($one) => $one->id, $here->scenes ?? [])]), 'always' => $this->one(['', '0', '1']),
            'setting' => $this->one(array_keys($model->settings ?? [])),
            'value' => $this->one(['0', '1', 'on', '', $this->text(), $this->number()]),
            'loudness' => $this->number(), 'measured' => $this->one(['', '0', '1']),
            'picture' => $this->one(['', ...array_map(fn ($one) => $one->id, $here->pictures ?? [])]), 'tied' => $this->one(['', '0', '1']),
            'sound' => $this->one(['', ...array_keys($model->points ?? [])]),
            'certainty' => $this->one(['', 'stated', 'assumed', 'proven', 'fails', 'hoped']), 'what' => $this->text(), 'by' => $this->text(),
            'proof' => $this->text(), 'minutes' => $this->number(),
            'about' => $this->one(["units/{$unit}", "units/{$unit}/points/".$this->one(array_keys($model->points ?? [])), 'cables/w-01', '',
                ...array_map(fn (string $kind) => $kind.'/'.$this->one(array_keys($rig->{$kind})),
                    ['places', 'sources', 'listeners', 'situations'])]),
            'treatment' => $this->one(['', 'dry', 'processed']), 'growth' => $this->one(['', ...array_keys($model->grows ?? [])]),
            'at' => $this->one([...$points, '']), 'away' => $this->one(['', '1']), 'count' => $this->one(['1', '2', '25', '-1']),
            'needs' => [$this->one(array_keys($rig->units)), $this->one(array_keys($rig->units))], 'with_running' => '1',
            'thing' => $thing, 'id' => $this->one(array_keys($rig->{$thing})), 'programs' => implode(',', array_keys($rig->units)),
            'back' => $this->one(['', '1']), 'is_pick' => $this->one(['0', '1']),
            'cure' => $this->one(['1.1', 'f1.1', 'f99.1']), 'sentence' => 'x', 'start' => $this->number(), 'at_login' => $this->one(['0', '1']),
            'cables' => [['cable' => $this->one(array_keys($rig->cables)), 'label' => $this->text(), 'type' => 'usb', 'from' => '',
                'to' => '', 'length' => $this->number(), 'colour' => $this->text(), 'owned' => '1']],
        ];
        foreach (array_keys($fields) as $key) {
            if ($key !== 'edit' && mt_rand(0, 11) === 0) {
                $fields[$key] = mt_rand(0, 5) === 0 ? [$this->scalar(), [$this->scalar()]] : $this->scalar();
            }
        }

        return $fields;
    }

    /** @return array<string, mixed> fields of any name and shape */
    private function fields(): array
    {
        $names = ['edit', 'revision', 'at_revision', 'situation', 'unit', 'name', 'email', 'password', 'password_confirmation', 'current',
            'role', 'depth', 'structure', 'geometry', 'starter', 'document', 'picture', 'caption',
            'view', 'q', 'pair', 'pens', 'select', 'page', 'points', 'lanes', 'routes', 'summary', 'family', 'token', 'remember', 'try',
            'causes', 'as', 'from', 'with', 'against', 'focus', '_method'];
        $fields = [];
        foreach ((array) array_rand(array_flip($names), mt_rand(1, 9)) as $name) {
            $fields[$name] = match (mt_rand(0, 4)) {
                0 => [$this->scalar(), 'x' => [$this->scalar()]],
                1 => [[['a' => $this->scalar()]]],
                default => $this->scalar(),
            };
        }
        if (isset($fields['edit']) && mt_rand(0, 2) > 0) {
            $fields['edit'] = EditForms::words()[mt_rand(0, count(EditForms::words()) - 1)];
            $fields['revision'] = mt_rand(0, 3) === 0 ? $this->scalar() : 1;
        }

        return $fields;
    }

    /**
     * @param  list<mixed>  $of
     */
    private function one(array $of): string|int|null
    {
        return $of === [] ? null : $of[mt_rand(0, count($of) - 1)];
    }

    private function text(): string
    {
        return match (mt_rand(0, 3)) {
            0 => $this->scalar(),
            1 => str_repeat('Långnamn ', mt_rand(1, 16)),
            default => 'Thing '.mt_rand(1, 40),
        };
    }

    private function number(): string
    {
        return mt_rand(0, 3) === 0 ? $this->scalar() : (string) (mt_rand(-300, 300) / 4);
    }

    private function scalar(): string
    {
        return mt_rand(0, 20) === 0 ? str_repeat('x', mt_rand(100, 20_000)) : self::TEXTS[mt_rand(0, count(self::TEXTS) - 1)];
    }

    private function injured(string $text): string
    {
        $at = mt_rand(0, strlen($text) - 1);
        $values = ['null', 'true', '-1', '1e308', '""', '[]', '{}', '"x/y"', '99999999999999999999', '"\u0000"', '"0"', '[[1]]', '"é"',
            '0.1234567'];

        return match (mt_rand(0, 5)) {
            0 => substr($text, 0, $at),
            1 => substr($text, 0, $at).chr(mt_rand(0, 255)).substr($text, $at + 1),
            2 => substr($text, 0, $at).substr($text, $at, 60).substr($text, $at),
            3 => (string) preg_replace_callback('/: ("[^"]*"|-?\d+(\.\d+)?|true|false)/', fn ($m) => mt_rand(0, 150) === 0 ? ': '
                .$values[array_rand($values)] : $m[0], $text),
            4 => (string) preg_replace_callback('/-?\d+/', fn ($m) => mt_rand(0, 60) === 0 ? (string) mt_rand(-200, 200) : $m[0], $text),
            default => (string) preg_replace_callback('/"([a-z0-9-]+)"/', fn ($m) => mt_rand(0, 200) === 0 ? '"'.mt_rand(0, 3).'"'
                : $m[0], $text),
        };
    }

    /** @return array<string, callable(): string> */
    private function adversaries(): array
    {
        $point = fn (string $id, string $kind, int $channels = 1) => ['id' => $id, 'kind' => $kind, 'channels' => $channels];

        return [
            'a matrix of 40 by 40 with feedback' => function () use ($point): string {
                $points = [$point('tone', 'origin', 2), $point('ear', 'ear', 2)];
                $routes = [['from' => 'tone', 'to' => 'b-1'], ['from' => 'b-40', 'to' => 'ear']];
                for ($i = 1; $i <= 40; $i++) {
                    $points[] = $point("b-{$i}", 'bus', 2);
                    for ($j = 1; $j <= 40; $j++) {
                        $routes = $i === $j ? $routes
                            : [...$routes, ['from' => "b-{$i}", 'to' => "b-{$j}", 'db' => -40, 'delay_ms' => ($i * 41 + $j) % 29 / 7 > 3
                            ? 1.5 : 0.5]];
                    }
                }

                return Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->source('s', 'u/tone')->listener('l', 'u/ear')
                    ->wish('s', 'l', 'must')->text();
            },
            'two ways each through 40 stages of other delays' => function () use ($point): string {
                $points = [$point('tone', 'origin'), $point('ear', 'ear')];
                $routes = [['from' => 'tone', 'to' => 'p-0']];
                for ($i = 0; $i < 40; $i++) {
                    array_push($points, $point("p-{$i}", 'bus'), $point("q-{$i}", 'bus'));
                    array_push($routes, ['from' => "p-{$i}", 'to' => "q-{$i}", 'db' => -6, 'delay_ms' => 1 + $i * 0.37],
                        ['from' => "p-{$i}", 'to' => $i === 39 ? 'ear' : 'p-'.($i + 1), 'db' => -6]);
                    $routes[] = ['from' => "q-{$i}", 'to' => $i === 39 ? 'ear' : 'p-'.($i + 1)];
                }

                return Draft::rig()->unit('u', ['points' => $points, 'routes' => array_values(array_unique($routes, SORT_REGULAR))])
                    ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must')->text();
            },
            'maps of 32 by 32 channels between 100 points' => function () use ($point): string {
                $map = [];
                for ($a = 1; $a <= 32; $a++) {
                    for ($b = 1; $b <= 32; $b++) {
                        $map[] = [$a, $b];
                    }
                }
                $points = [$point('tone', 'origin', 32), $point('ear', 'ear', 32)];
                $routes = [['from' => 'tone', 'to' => 'p-0', 'db' => -20]];
                for ($i = 0; $i < 100; $i++) {
                    $points[] = $point("p-{$i}", 'bus', 32);
                    $routes[] = ['from' => "p-{$i}", 'to' => $i === 99 ? 'ear' : 'p-'.($i + 1), 'map' => $map, 'db' => -31];
                }

                return Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->source('s', 'u/tone')->listener('l', 'u/ear')
                    ->wish('s', 'l', 'must')->text();
            },
            '3,000 sources at 3,000 listeners' => function () use ($point): string {
                $draft = Draft::rig()->unit('u',
                    ['points' => [$point('tone', 'origin'), $point('ear', 'ear')], 'routes' => [['from' => 'tone', 'to' => 'ear']]]);
                $data = [];
                $draft->with(function (array $all) use (&$data) {
                    return $data = $all;
                });
                foreach (range(1, 3000) as $i) {
                    $data['sources'][] = ['id' => "s-{$i}", 'name' => "S {$i}", 'kind' => 'voice', 'origins' => [['at' => 'u/tone']]];
                    $data['listeners'][] = ['id' => "l-{$i}", 'name' => "L {$i}", 'kind' => 'headphones', 'at' => ['u/ear']];
                }

                return (string) json_encode($data);
            },
            '199 sources at 199 listeners through one mixer' => function () use ($point): string {
                $points = $routes = $sources = $listeners = [];
                foreach (range(1, 199) as $i) {
                    array_push($points, $point("t-{$i}", 'origin'), $point("e-{$i}", 'ear'));
                    array_push($routes, ['from' => "t-{$i}", 'to' => 'mix'], ['from' => 'mix', 'to' => "e-{$i}"]);
                    $sources[] = ['id' => "s-{$i}", 'name' => "S {$i}", 'kind' => 'voice', 'origins' => [['at' => "u/t-{$i}"]]];
                    $listeners[] = ['id' => "l-{$i}", 'name' => "L {$i}", 'kind' => 'headphones', 'at' => ["u/e-{$i}"]];
                }

                return Draft::rig()->unit('u', ['points' => [...$points, $point('mix', 'bus')], 'routes' => $routes])
                    ->with(fn (array $d) => ['sources' => $sources, 'listeners' => $listeners] + $d)->text();
            },
            '4.8 MB of empty models' => function (): string {
                $models = [];
                for ($i = 0; $i < 30_000; $i++) {
                    $models["m-{$i}"] = ['name' => str_repeat('x', 60), 'family' => 'mixer', 'sockets' => [], 'points' => [],
                        'routes' => []];
                }

                return Draft::rig()->with(fn (array $d) => ['models' => $models] + $d)->text();
            },
        ];
    }

    private function count(string $what): void
    {
        $this->counts[$what] = ($this->counts[$what] ?? 0) + 1;
    }

    /** Notes a failure; its kind is what is counted. */
    private function fail(string $says): string
    {
        $this->failures[] = $says;

        return 'FAILURES';
    }

    /** @param  array<string, mixed>  $fields */
    private function shown(array $fields): string
    {
        return substr((string) json_encode($fields, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE),
            0, 900);
    }
}
