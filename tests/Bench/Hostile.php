<?php

declare(strict_types=1);

namespace Tests\Bench;

use App\Actions\ChangeRig;
use App\Actions\DeleteRig;
use App\Actions\ImportRig;
use App\Actions\StaleEdit;
use App\Actions\UnreadableRevision;
use App\Http\Edits\EditFields;
use App\Http\Edits\EditForms;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Defer\DeferredCallbackCollection;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Validation\ValidationException;
use Tests\Support\Draft;
use Tests\Support\Stages;

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

    /** @var array<string, array{int, int, int}> how often each change was made, was refused, and had nothing to work on */
    public array $edits = [];

    /** The rig of the forms as it was begun: what it has become is compared with it. */
    private ?CoreRig $first = null;

    /** Forms one after another on one rig. */
    private const FORMS_A_RIG = 80;

    /** Of a hundred rigs so many are some that have what few have. */
    private const RARE = 40;

    /** Draws until one is found that the rig takes. */
    private const DRAWS = 6;

    /** Of a hundred forms so many are injured. */
    private const INJURED = 30;

    /** @param  \Closure(string): void|null  $tell  what is said as it goes */
    public function __construct(private readonly int $seed, private readonly float $slowness = 1, private readonly ?\Closure $tell = null)
    {
        mt_srand($seed);
    }

    /** Injured documents: a rig that can be heard and written, or an error that says where. */
    public function documents(int $number): void
    {
        $texts = array_map(
            fn (string $name) => (string) file_get_contents(resource_path("rigs/{$name}.json")),
            ['penny-slot', 'ticket-booth'],
        );
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
     * Forms, one after another on the same rig, every kind of change by turns: filled in as a person would, some of them with a field
     * injured. Whatever is answered with success reads back from rows and document, goes back and forth, and can be compared.
     */
    public function forms(int $number, User $user): void
    {
        $files = [...(glob(resource_path('starters/*.json')) ?: []), ...(glob(resource_path('rigs/*.json')) ?: [])];
        // As many rigs for each of the rare changes.
        $rareFiles = [];
        foreach (DrawnForms::HAVE as $names) {
            for ($i = 0; $i < 6; $i++) {
                $rareFiles[] = array_values(array_filter($files, fn (string $file) => basename($file, '.json') === $names[$i % count($names)]))[0];
            }
        }
        $record = null;
        $bag = [];
        for ($i = 0; $i < $number; $i++) {
            if ($record === null || $i % self::FORMS_A_RIG === 0 || count(StoredRig::load($record->refresh())->units) > 120) {
                if ($record !== null) {
                    app(DeleteRig::class)($record);
                }
                // What is cached for rigs that were deleted would fill the memory.
                Cache::flush();
                $file = mt_rand(0, 99) < self::RARE ? $rareFiles[mt_rand(0, count($rareFiles) - 1)] : $files[mt_rand(0, count($files) - 1)];
                $record = app(ImportRig::class)($user, (string) file_get_contents($file));
                $this->first = StoredRig::load($record);
                // What few rigs have comes first, as long as it is there.
                $rare = array_keys(array_filter(DrawnForms::HAVE, fn (array $names) => in_array(basename($file, '.json'), $names, true)));
                $bag = [...$bag, ...$rare];
            }
            $bag = $bag === [] ? $this->round() : $bag;
            $this->form($record->refresh(), $user, $i, array_pop($bag));
            // What is done once the answer is on its way.
            app(DeferredCallbackCollection::class)->invoke();
            if ($i % 1000 === 999) {
                $this->say(sprintf(
                    '%d forms: %d made, %d refused, %d failures',
                    $i + 1,
                    $this->counts['forms made'] ?? 0,
                    $this->counts['forms refused'] ?? 0,
                    count($this->failures),
                ));
            }
        }
    }

    /**
     * Changes that were made fewer than so many times, of those that there are.
     *
     * @param  array<string, array{int, int, int}>  $edits
     * @return list<string>
     */
    public static function rare(array $edits, int $times): array
    {
        return array_values(array_filter(EditForms::words(), fn (string $word) => ($edits[$word][0] ?? 0) < $times));
    }

    /** Every change once, in any order; those that take long in one round of four. @return list<string> */
    private function round(): array
    {
        $words = array_values(array_filter(EditForms::words(), fn (string $word) => ! in_array($word, DrawnForms::SLOW, true) || mt_rand(0, 3) === 0));
        for ($i = count($words) - 1; $i > 0; $i--) {
            $j = mt_rand(0, $i);
            [$words[$i], $words[$j]] = [$words[$j], $words[$i]];
        }

        return $words;
    }

    /** Malformed requests: none is answered by a fault of the server. */
    public function requests(int $number, User $user, Rig $rig): void
    {
        app()->instance('request', Request::create('/'));
        $routes = array_values(array_filter(
            iterator_to_array(app('router')->getRoutes()),
            fn ($route) => ! str_contains($route->uri(), 'export'),
        ));
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

    private function form(Rig $record, User $user, int $number, string $word, bool $isFirst = true): void
    {
        $before = StoredRig::load($record);
        $document = (new DocumentWriter)->write($before);
        $this->edits[$word] ??= [0, 0, 0];
        $fields = ['edit' => $word];
        $change = app(ChangeRig::class);
        try {
            $drawn = $this->drawn($word, $before, $record, $user);
            foreach ($drawn === null && $isFirst ? DrawnForms::FIRST[$word] ?? [] : [] as $other) {
                $this->form($record->refresh(), $user, $number, $other, isFirst: false);
            }
            if ($drawn === null && $isFirst && isset(DrawnForms::FIRST[$word])) {
                $this->form($record->refresh(), $user, $number, $word, isFirst: false);

                return;
            }
            if ($drawn === null) {
                $this->edits[$word][2]++;

                return;
            }
            $fields = mt_rand(0, 99) < self::INJURED ? $this->injuredForm($drawn) : $drawn;
            $made = $change->make(
                $record,
                $user,
                fn (CoreRig $rig) => EditForms::edits($word, new EditFields($fields, $rig, $user, $record)),
                $record->revision,
            );
        } catch (ValidationException|InvalidRig|StaleEdit|UnreadableRevision) {
            $this->count('forms refused');
            $this->edits[$word][1]++;

            return;
        } catch (\Throwable $e) {
            $this->count($this->fail("form {$number} of seed {$this->seed} ".$this->shown($fields).': '.$e::class.": {$e->getMessage()}"));

            return;
        }
        $this->edits[$word][0]++;
        try {
            $record->refresh();
            $now = $record->revisions()->where('number', $record->at)->sole()->document;
            $is = [
                'rows' => (new DocumentWriter)->write(RigFromRows::rig($record)) === $now,
                'document' => (new DocumentWriter)->write((new DocumentReader)->readStored($now)) === $now,
                'words' => mb_check_encoding($made->words, 'UTF-8'),
            ];
            foreach ([[$before, $made->after], [$made->after, $before], [$this->first ?? $before, $made->after], [$made->after, $made->after]] as [$old, $new]) {
                (new RigDifference($old, $new))->lines();
            }
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
                app(DeleteRig::class)($copy);
            }
            $wrong = array_keys(array_filter($is, fn (bool $holds) => ! $holds));
            $this->count($wrong === [] ? 'forms made'
                : $this->fail("form {$number} of seed {$this->seed} ".$this->shown($fields).': not the same: '.implode(', ', $wrong)));
        } catch (\Throwable $e) {
            $this->count($this->fail("after form {$number} of seed {$this->seed} ".$this->shown($fields).': '.$e::class
                .": {$e->getMessage()}"));
        }
    }

    /**
     * A form that the rig takes, where one is found in a few draws; else the last one drawn.
     *
     * @return array<string, mixed>|null null where there is nothing to be drawn
     */
    private function drawn(string $word, CoreRig $rig, Rig $record, User $user): ?array
    {
        $forms = new DrawnForms($rig, $record);
        $drawn = null;
        for ($draw = 0; $draw < self::DRAWS; $draw++) {
            $drawn = $forms->draw($word) ?? $drawn;
            if ($drawn === null) {
                continue;
            }
            try {
                array_reduce(EditForms::edits($word, new EditFields($drawn, $rig, $user, $record)), fn (CoreRig $is, RigEdit $edit) => $edit->applyTo($is), $rig);

                return $drawn;
            } catch (ValidationException|InvalidRig) {
                // Another one.
            }
        }

        return $drawn;
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed> the same with a field or two that hold anything, or are not there
     */
    private function injuredForm(array $fields): array
    {
        $keys = array_values(array_diff(array_keys($fields), ['edit']));
        for ($times = mt_rand(1, 2); $times > 0 && $keys !== []; $times--) {
            $key = $keys[mt_rand(0, count($keys) - 1)];
            match (mt_rand(0, 5)) {
                0 => $fields[$key] = [$this->scalar(), [$this->scalar()]],
                1 => $fields = array_diff_key($fields, [$key => true]),
                default => $fields[$key] = $this->scalar(),
            };
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
                    array_push(
                        $routes,
                        ['from' => "p-{$i}", 'to' => "q-{$i}", 'db' => -6, 'delay_ms' => 1 + $i * 0.37],
                        ['from' => "p-{$i}", 'to' => $i === 39 ? 'ear' : 'p-'.($i + 1), 'db' => -6],
                    );
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
                $draft = Draft::rig()->unit(
                    'u',
                    ['points' => [$point('tone', 'origin'), $point('ear', 'ear')], 'routes' => [['from' => 'tone', 'to' => 'ear']]],
                );
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
            '30 sounds that part and meet again in five stages' => fn (): string => Stages::text(5, 30),
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

    private function say(string $what): void
    {
        ($this->tell ?? fn () => null)($what);
    }

    /** Notes a failure; its kind is what is counted. */
    private function fail(string $says): string
    {
        $this->failures[] = $says;
        $this->say("FAILURE {$says}");

        return 'FAILURES';
    }

    /** @param  array<string, mixed>  $fields */
    private function shown(array $fields): string
    {
        return substr(
            (string) json_encode($fields, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE),
            0,
            900,
        );
    }
}
