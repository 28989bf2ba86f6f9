<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Http\FormToken;
use App\Http\Middleware\KnownHost;
use App\Jobs\SendResetLink;
use App\Logging\DailyLog;
use App\Models\User;
use App\Providers\AppServiceProvider;
use App\Rigs\KeptByState;
use App\Rigs\Pictures;
use App\Rigs\RigFromRows;
use App\Rigs\UnreadablePicture;
use Database\Seeders\DatabaseSeeder;
use HiddenWire\Core\Document\InvalidDocument;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Storage;
use Psr\Log\LoggerInterface;

it('answers to its own names only, on every address', function () {
    foreach (['/', '/sign-in', '/nothing/here', '/rigs/1/wishes'] as $path) {
        $this->get("http://elsewhere.test{$path}")->assertStatus(400)->assertSee('APP_HOSTS');
    }
    config(['app.hosts' => ['rigs.example.test', 'desk.example.test:8443'], 'app.url' => 'https://rigs.example.test:9443']);
    $this->get('http://rigs.example.test/sign-in')->assertOk();
    // A port: where the server was reached, of its own address, or with the name; no other.
    foreach (['rigs.example.test:8390' => 200, 'rigs.example.test:9443' => 200, 'desk.example.test:8443' => 200, 'rigs.example.test' => 200,
        'rigs.example.test:8443' => 400, 'desk.example.test' => 400, 'rigs.example.test:' => 400,
        'rigs.example.test:80x' => 400] as $host => $status) {
        $request = Request::create('http://rigs.example.test:8390/sign-in');
        $request->headers->set('Host', $host);
        expect(app(KnownHost::class)->handle($request, fn () => response('in'))->getStatusCode())->toBe($status, $host);
    }
});

it('has its own headers on every answer, and says nothing of what it runs on', function (string $method, string $path, int $status) {
    $answer = $this->call($method, $path)->assertStatus($status);
    foreach (['Content-Security-Policy', 'X-Content-Type-Options', 'X-Frame-Options', 'Referrer-Policy', 'Permissions-Policy'] as $header) {
        $answer->assertHeader($header);
    }
    $answer->assertHeaderMissing('X-Powered-By');
})->with([['GET', '/sign-in', 200], ['GET', '/nothing', 404], ['PUT', '/sign-in', 405], ['GET', '/', 302], ['GET', '/up', 200],
    ['GET', '/storage/x', 404]]);

it('takes forms with the session\'s token behind a mask that is new in each answer', function () {
    $this->app['env'] = 'local';
    $token = function (): string {
        preg_match('/name="csrf-token" content="([^"]+)"/', (string) $this->get('/sign-in')->getContent(), $meta);

        return $meta[1] ?? '';
    };
    [$first, $second] = [$token(), $token()];
    $bare = session()->token();
    expect($first)->not->toBe($second)->and(FormToken::bare($first))->toBe($bare)->and(FormToken::bare($second))->toBe($bare);
    $page = (string) $this->get('/sign-in')->getContent();
    expect($page)->not->toContain($bare)->and(substr_count($page, 'name="_token"'))->toBe(1);
    // A page that was drawn earlier counts as well; the token itself, or anything else, does not.
    foreach ([$first => 302, $second => 302, $bare => 419, '' => 419, base64_encode('x') => 419, FormToken::mask('another') => 419] as $sent => $status) {
        $this->post('/sign-in', ['_token' => $sent, 'email' => 'a@example.test', 'password' => 'x'])->assertStatus($status);
    }
});

it('logs into a file of whoever owns its folder, and says on standard error what it can\'t write', function () {
    $folder = sys_get_temp_dir().'/hidden-wire-logs-'.getmypid();
    @mkdir($folder);
    $isRoot = posix_geteuid() === 0;
    if ($isRoot) {
        chown($folder, 'nobody');
    }
    $log = fn (string $path): LoggerInterface => (new DailyLog)(['path' => $path, 'level' => 'warning', 'days' => 14]);
    $log("{$folder}/a.log")->error('the first line');
    [$file] = (array) glob("{$folder}/a-*.log");
    expect(file_get_contents($file))->toContain('the first line')->and(fileperms($file) & 0777)->toBe(0600)
        ->and(fileowner($file))->toBe(fileowner($folder));
    // One that an earlier version has left to root is given back with the next line.
    if ($isRoot) {
        chown($file, 'root');
        $log("{$folder}/a.log")->error('the second line');
        clearstatcache();
        expect(fileowner($file))->toBe(fileowner($folder));
    }
    // A folder that is a file can't hold a log.
    $said = Process::run([PHP_BINARY, '-r', 'require $argv[1]."/vendor/autoload.php";
        (new App\Logging\DailyLog)(["path" => $argv[2]."/b.log", "level" => "warning", "days" => 14])->error("nobody reads this");', base_path(), $file]);
    expect($said->successful())->toBeTrue()->and($said->errorOutput())->toContain("can't be written: ERROR: nobody reads this");
    File::deleteDirectory($folder);
});

it('takes nothing for a name that is no character, and reads what was let in once without it', function () {
    $user = User::factory()->create();
    foreach (["\u{FFFE}", "\u{FFFF}", "\u{FDD0}", "\u{1FFFE}", "\u{10FFFF}"] as $none) {
        $document = str_replace('"Penny-slot', "\"Penny{$none} slot", shipped('rigs/penny-slot.json'));
        expect($document)->toContain($none)
            ->and(fn () => app(ImportRig::class)($user, $document))->toThrow(InvalidDocument::class, 'no characters');
    }
    // Neighbours of theirs are characters.
    $rig = app(ImportRig::class)($user, str_replace('"Penny-slot', "\"Penny\u{FFFD}\u{FDCF}\u{FDF0} slot", shipped('rigs/penny-slot.json')));
    $this->actingAs($user)->post("/rigs/{$rig->id}/edits", ['edit' => 'describe-rig', 'name' => "a\u{FFFE}b\u{FFFF}", 'summary' => '', 'revision' => 1])
        ->assertSessionHasNoErrors();
    expect($rig->fresh()->name)->toBe('ab');
    DB::table('rigs')->where('id', $rig->id)->update(['name' => "a\u{FFFE}b"]);
    expect(RigFromRows::rig($rig->fresh())->name)->toBe('ab');
    $this->get("/rigs/{$rig->id}/exports/svg")->assertOk();
});

it('shows error pages of its own with a way on', function () {
    $this->get('/nothing')->assertNotFound()->assertSee('There is nothing here')->assertSee('All rigs');
    $this->put('/sign-in')->assertStatus(405)->assertSee('takes no such request');
    // What only takes changes is no page.
    $this->get('/rigs/1/edits')->assertNotFound()->assertSee('There is nothing here');
    $rig = app(ImportRig::class)(User::factory()->create(), shipped('rigs/penny-slot.json'));
    $this->actingAs(User::factory()->create())->get("/rigs/{$rig->id}/wishes")->assertNotFound()
        ->assertSee('somebody who has not invited you');
});

it('leads nobody to another\'s address, whatever the browser says where it came from', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    $this->actingAs($user)->from('https://elsewhere.test/trap')->post("/rigs/{$rig->id}/edits", ['edit' => 'fly', 'revision' => 1])
        ->assertRedirect('http://127.0.0.1:8390');
});

it('locks the account after five wrong passwords, from wherever they come, and tells when to come again', function () {
    $this->freezeSecond();
    $user = User::factory()->create(['password' => 'a long password']);
    foreach (range(1, 5) as $i) {
        $this->withServerVariables(['REMOTE_ADDR' => "10.0.0.{$i}"])
            ->post('/sign-in', ['email' => strtoupper($user->email), 'password' => 'wrong'])
            ->assertSessionHasErrors(['email' => 'Wrong email or password.']);
    }
    $this->withServerVariables(['REMOTE_ADDR' => '10.0.0.9'])->post('/sign-in', ['email' => $user->email, 'password' => 'a long password'])
        ->assertSessionHasErrors(['email' => 'Too many attempts. Try again in 60 seconds.']);
    $this->travel(61)->seconds();
    $this->post('/sign-in', ['email' => $user->email, 'password' => 'a long password'])->assertRedirect('/');
});

it('does as much for an address that nobody has as for one that somebody has: bcrypt runs once, at as many rounds', function () {
    $user = User::factory()->create(['password' => Hash::make('a long password')]);
    $rounds = (int) config('hashing.bcrypt.rounds');
    // A password is checked by hashing it again, at the rounds that its hash names.
    $runs = [];
    $hashing = Hash::partialMock();
    $hashing->shouldReceive('check')->andReturnUsing(function (string $password, string $hash) use (&$runs): bool {
        $runs[] = password_get_info($hash)['options']['cost'];

        return password_verify($password, $hash);
    });
    $hashing->shouldReceive('make')->andReturnUsing(function (string $password, array $options = []) use (&$runs, $rounds): string {
        $runs[] = $options['rounds'] ?? $rounds;

        return password_hash($password, PASSWORD_BCRYPT, ['cost' => $rounds]);
    });
    foreach ([$user->email, 'nobody@example.test'] as $email) {
        $runs = [];
        $this->post('/sign-in', ['email' => $email, 'password' => 'wrong'])->assertSessionHasErrors(['email' => 'Wrong email or password.']);
        expect($runs)->toBe([$rounds]);
    }
});

it('tells addresses apart by their accents', function () {
    User::factory()->create(['email' => 'rene@example.test', 'password' => 'a long password']);
    $other = User::factory()->create(['email' => 'rené@example.test', 'password' => 'another password']);
    $this->post('/sign-in', ['email' => 'rené@example.test', 'password' => 'a long password'])->assertSessionHasErrors('email');
    $this->post('/sign-in', ['email' => 'rené@example.test', 'password' => 'another password'])->assertRedirect('/');
    expect(auth()->id())->toBe($other->id);
});

it('believes a proxy that it was told of, and no other, where a request came from and whether it was encrypted', function () {
    $ask = fn () => $this->withServerVariables(['REMOTE_ADDR' => '10.0.0.5'])->get(
        'http://127.0.0.1/sign-in',
        ['X-Forwarded-Proto' => 'https', 'X-Forwarded-For' => '198.51.100.7', 'X-Forwarded-Host' => 'elsewhere.test'],
    );
    $ask()->assertOk()->assertSee('action="http://127.0.0.1/sign-in"', false);
    expect(request()->ip())->toBe('10.0.0.5')->and(request()->isSecure())->toBeFalse();

    config(['app.proxies' => ['10.0.0.5']]);
    (new AppServiceProvider($this->app))->boot();
    $answer = $ask()->assertOk()->assertSee('action="https://127.0.0.1/sign-in"', false)->assertDontSee('elsewhere.test');
    expect(request()->ip())->toBe('198.51.100.7')->and(request()->isSecure())->toBeTrue();
    foreach ($answer->headers->getCookies() as $cookie) {
        expect($cookie->isSecure())->toBeTrue($cookie->getName());
    }
    expect($answer->headers->getCookies())->not->toBe([]);
});

it('lets the demo account in from this machine only, unless it is wanted otherwise', function () {
    $this->seed(DatabaseSeeder::class);
    $try = fn () => $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.7'])
        ->post('/sign-in', ['email' => DatabaseSeeder::EMAIL, 'password' => DatabaseSeeder::PASSWORD]);
    $try()->assertSessionHasErrors('email');
    // Also where a web server on this machine passes the request on, where ours listens to others or doesn't say to whom, or where the
    // application is meant for others.
    $here = fn (array $server) => $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.1', ...$server])
        ->post('/sign-in', ['email' => DatabaseSeeder::EMAIL, 'password' => DatabaseSeeder::PASSWORD]);
    foreach ([['HTTP_X_FORWARDED_FOR' => '192.0.2.7'], ['HTTP_VIA' => '1.1 front'], ['LISTENS_ON' => '0.0.0.0'], ['LISTENS_ON' => '']] as $server) {
        $here($server)->assertSessionHasErrors('email');
        RateLimiter::clear('sign-in|'.sha1(DatabaseSeeder::EMAIL));
    }
    config(['app.url' => 'https://rigs.example.test']);
    $here([])->assertSessionHasErrors('email');
    config(['app.url' => 'http://127.0.0.1:8390']);
    $here([])->assertRedirect('/');
    auth()->guard('web')->logout();
    config(['app.demo' => true]);
    $try()->assertRedirect('/');
    User::query()->delete();
    config(['app.demo' => false, 'app.url' => 'https://rigs.example.test']);
    $this->seed(DatabaseSeeder::class);
    expect(User::query()->count())->toBe(0);
});

it('shuts nobody out of a new password by what strangers post, and says nothing of who has an account', function () {
    Notification::fake();
    $user = User::factory()->create();
    $from = fn (string $address) => $this->withServerVariables(['REMOTE_ADDR' => $address]);
    // Five strangers with five wrong links each, and an hour's worth of asking from one more.
    foreach (range(1, 5) as $i) {
        foreach (range(1, 5) as $j) {
            $from("10.0.0.{$i}")->post('/new-password', ['token' => 'wrong', 'email' => $user->email, 'password' => 'nine lamps in a pier',
                'password_confirmation' => 'nine lamps in a pier'])->assertSessionHasErrors('email');
        }
        $from("10.0.0.{$i}")->post('/new-password', ['token' => 'wrong', 'email' => $user->email])->assertStatus(429);
    }
    $from('192.0.2.1')->post('/forgotten', ['email' => $user->email])->assertRedirect('/sign-in');
    Notification::assertSentToTimes($user, ResetPassword::class, 1);
    // Whoever asks too often is who has to wait, and no account gets more than five mails an hour, each with a link that works.
    for ($minute = 1; $minute < 12; $minute++) {
        $this->travel(61)->seconds();
        $from('192.0.2.2')->post('/forgotten', ['email' => $user->email])->assertRedirect('/sign-in');
    }
    Notification::assertSentToTimes($user, ResetPassword::class, 5);
    foreach (range(1, 5) as $i) {
        $from('192.0.2.3')->post('/forgotten', ['email' => ''])->assertSessionHasErrors('email');
    }
    $from('192.0.2.3')->post('/forgotten', ['email' => ''])->assertStatus(429);
    $from('192.0.2.4')->post('/forgotten', ['email' => ''])->assertSessionHasErrors('email');
    // What costs time is done after the answer, for an address that nobody has as well.
    Queue::fake();
    DB::enableQueryLog();
    $queries = [];
    foreach ([$user->email, 'nobody@example.test'] as $email) {
        DB::flushQueryLog();
        $from('192.0.2.9')->post('/forgotten', ['email' => $email])->assertRedirect('/sign-in');
        $queries[] = array_column(DB::getQueryLog(), 'query');
    }
    expect($queries[0])->toBe($queries[1]);
    Queue::assertPushedOn('mail', SendResetLink::class);
    Queue::assertPushed(SendResetLink::class, 2);
});

it('tells addresses apart that differ in an accent only', function () {
    $user = User::factory()->create(['email' => 'jose@example.test', 'password' => 'nine lamps in a pier']);
    $try = fn (string $email) => $this->post('/sign-in', ['email' => $email, 'password' => 'nine lamps in a pier']);
    foreach (['josé@example.test', 'jose@exämple.test', 'jöse@example.test'] as $email) {
        $try($email)->assertSessionHasErrors('email');
    }
    // Both can have an account, with a password and a link of their own.
    Notification::fake();
    $other = User::factory()->create(['email' => 'josé@example.test', 'password' => 'ten lamps on a pier']);
    $try('josé@example.test')->assertSessionHasErrors('email');
    $this->post('/forgotten', ['email' => 'José@example.test'])->assertRedirect('/sign-in');
    Notification::assertSentTo($other, ResetPassword::class);
    Notification::assertNotSentTo($user, ResetPassword::class);
    $try('JOSE@example.test')->assertRedirect('/');
    $this->assertAuthenticatedAs($user);
});

it('refuses passwords that everybody has, and one\'s own name', function (string $password, bool $isRefused) {
    $answer = $this->post(
        '/register',
        ['name' => 'Marigold', 'email' => 'marigold@example.test', 'password' => $password, 'password_confirmation' => $password],
    );
    $isRefused ? $answer->assertSessionHasErrors('password') : $answer->assertSessionHasNoErrors();
    expect(User::query()->count())->toBe($isRefused ? 0 : 1);
})->with([
    ['password123', true], ['Password1234!', true], ['qwertyuiop', true], ['1234567890', true], ['aaaaaaaaaaaa', true],
    ['ababababab', true], ['marigold-2026', true], ['short', true],
    ['nine lamps in a pier', false], ['Tr4m-depot-rain', false],
]);

it('gives a new password by a link to the account\'s address, and says the same to everybody', function () {
    Notification::fake();
    $user = User::factory()->create();
    DB::table('sessions')->insert(['id' => 'old', 'user_id' => $user->id, 'payload' => '', 'last_activity' => time()]);
    $said = [];
    foreach ([$user->email, 'nobody@example.test'] as $email) {
        $this->post('/forgotten', ['email' => $email])->assertRedirect('/sign-in');
        $said[] = session('said');
    }
    expect($said[0])->toBe($said[1])->not->toBeNull();
    $token = null;
    Notification::assertSentToTimes($user, ResetPassword::class, 1);
    Notification::assertSentTo($user, ResetPassword::class, function (ResetPassword $mail) use (&$token) {
        return (bool) ($token = $mail->token);
    });
    $this->get("/new-password/{$token}?email={$user->email}")->assertOk()->assertSee($user->email);
    $set = fn (string $with) => $this->post(
        '/new-password',
        ['token' => $with, 'email' => mb_strtoupper($user->email), 'password' => 'nine lamps in a pier',
            'password_confirmation' => 'nine lamps in a pier'],
    );
    $set('another')->assertSessionHasErrors('email');
    $set($token)->assertRedirect('/sign-in');
    expect(DB::table('sessions')->where('user_id', $user->id)->count())->toBe(0);
    $set($token)->assertSessionHasErrors('email');
    $this->post('/sign-in', ['email' => $user->email, 'password' => 'nine lamps in a pier'])->assertRedirect('/');
});

it('gives a new password by command', function () {
    $user = User::factory()->create();
    expect(Artisan::call('account:password nobody@example.test'))->toBe(1)->and(Artisan::call("account:password {$user->email}"))->toBe(0);
    preg_match('/: ([a-z0-9-]{20,})/', Artisan::output(), $found);
    $this->post('/sign-in', ['email' => $user->email, 'password' => $found[1]])->assertRedirect('/');
});

it('limits registrations by network address, and says when to come again', function () {
    foreach (range(1, 10) as $i) {
        $this->post('/register', ['email' => "x{$i}"])->assertRedirect();
    }
    $this->post('/register', ['email' => 'x'])->assertStatus(429)->assertHeader('Retry-After')->assertSee('Try again in');
    $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.8'])->post('/register', ['email' => 'x'])->assertRedirect();
});

it('counts each purpose on its own', function () {
    $user = User::factory()->create();
    foreach (range(1, 10) as $i) {
        $this->actingAs($user)->get('/account/export')->assertOk();
    }
    $this->get('/account/export')->assertStatus(429);
    $this->post('/rigs/blank', ['name' => 'Still here'])->assertRedirect();
});

it('answers, and makes one revision, though neither cache nor log can be written', function () {
    $file = tempnam(sys_get_temp_dir(), 'full');
    config(['cache.default' => 'file', 'cache.stores.disk.path' => "{$file}/cache", 'cache.stores.disk.lock_path' => "{$file}/cache",
        'logging.default' => 'single', 'logging.channels.days.path' => "{$file}/log"]);
    Cache::clearResolvedInstances();
    app()->forgetInstance('cache');
    app()->forgetInstance('cache.store');
    app()->forgetInstance('log');
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    Log::error('to nowhere');
    $this->actingAs($user)->get("/rigs/{$rig->id}/wishes")->assertOk();
    $this->postJson(
        "/rigs/{$rig->id}/edits",
        ['edit' => 'unplug', 'cable' => 'w-01', 'revision' => 1],
        ['X-Page' => "http://127.0.0.1:8390/rigs/{$rig->id}/wishes"],
    )->assertOk()
        ->assertJsonPath('said', fn (string $says) => str_starts_with($says, 'Unplugged W-01'));
    expect($rig->revisions()->count())->toBe(2);
    unlink($file);
});

it('has made the change though the page can\'t be drawn anew, and says so', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    view()->composer('rigs.wishes', fn () => throw new RuntimeException('No drawing today'));
    $this->actingAs($user)->postJson(
        "/rigs/{$rig->id}/edits",
        ['edit' => 'unplug', 'cable' => 'w-01', 'revision' => 1],
        ['X-Page' => "http://127.0.0.1:8390/rigs/{$rig->id}/wishes"],
    )
        ->assertOk()->assertJsonPath('page', null)->assertJsonPath('said', fn (string $says) => str_starts_with($says, 'Unplugged W-01'));
    expect($rig->revisions()->count())->toBe(2);
});

it('deletes what was kept ready and is out of date', function () {
    $folder = sys_get_temp_dir().'/kept-'.bin2hex(random_bytes(4));
    config(['cache.stores.disk.path' => $folder]);
    app()->forgetInstance('cache');
    $store = app('cache')->store('disk');
    $store->put('old', 'x', 1);
    $store->put('new', 'y', 3600);
    sleep(2);
    expect(KeptByState::tidy())->toBe(1)->and($store->get('new'))->toBe('y');
    (new Illuminate\Filesystem\Filesystem)->deleteDirectory($folder);
});

describe('pictures', function () {
    beforeEach(function () {
        Storage::fake('local');
        $this->user = User::factory()->create();
        $this->rig = app(ImportRig::class)($this->user, shipped('rigs/penny-slot.json'));
        // Left half black, right half white; turned by its EXIF orientation.
        $this->jpeg = function (int $orientation): string {
            $image = imagecreatetruecolor(80, 40);
            imagefilledrectangle($image, 40, 0, 79, 39, 0xFFFFFF);
            ob_start();
            imagejpeg($image, null, 95);
            $jpeg = (string) ob_get_clean();
            $exif = "Exif\0\0II*\0".pack('V', 8).pack('v', 1).pack('vvVvv', 0x0112, 3, 1, $orientation, 0).pack('V', 0);

            return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
        };
        $this->keep = fn (string $bytes) => app(Pictures::class)->keep($this->rig, 'pc', $this->user, $bytes, '');
    });

    it('stand upright as the camera says that it was held', function (int $orientation, array $size, array $white) {
        $picture = ($this->keep)(($this->jpeg)($orientation));
        $kept = imagecreatefromstring((string) Storage::disk('local')->get($picture->path()));
        expect([$picture->width, $picture->height])->toBe($size)->and(imagecolorat($kept, ...$white) & 0xFF)->toBeGreaterThan(200);
    })->with([
        'as it is' => [1, [80, 40], [70, 20]], 'upside down' => [3, [80, 40], [10, 20]], 'to the right' => [6, [40, 80], [20, 70]],
        'to the left' => [8, [40, 80], [20, 10]], 'mirrored' => [2, [80, 40], [10, 20]],
    ]);

    it('are refused where only half of them came', function () {
        $whole = ($this->jpeg)(1);
        expect(fn () => ($this->keep)(substr($whole, 0, (int) (strlen($whole) * 0.7))))->toThrow(UnreadablePicture::class, 'damaged')
            ->and(($this->keep)($whole.'a maker\'s note behind the end')->width)->toBe(80);
    });

    it('are read one at a time for each person', function () {
        $lock = Cache::lock("picture:{$this->user->id}", 30);
        $lock->get();
        expect(fn () => ($this->keep)(($this->jpeg)(1)))->toThrow(UnreadablePicture::class, 'Try again in a moment');
        $lock->release();
        expect(($this->keep)(($this->jpeg)(1))->width)->toBe(80);
    });
});

it('says a document too large in canonical form, and compares with and goes back to nothing that can\'t be read', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    $this->actingAs($user)->postJson("/rigs/{$rig->id}/edits", ['edit' => 'unplug', 'cable' => 'w-01', 'revision' => 1])->assertOk();
    $rig->revisions()->where('number', 1)->update(['document' => '{"format": "hidden-wire/rig", "version": 1}']);
    $this->get("/rigs/{$rig->id}/history/1/2")->assertOk()->assertSee('Revision 1 can\'t be read any more', false);
    $this->postJson("/rigs/{$rig->id}/revisions/1/restore", ['revision' => 2])->assertStatus(422)
        ->assertJsonPath('message', 'Revision 1 can\'t be read any more, so it can\'t be brought back. Nothing is changed.');
    $this->postJson("/rigs/{$rig->id}/undo", ['revision' => 2])->assertStatus(422);
    // A page from before meets a change of now: nobody can say whether they conflict.
    $this->postJson("/rigs/{$rig->id}/edits", ['edit' => 'unplug', 'cable' => 'w-02', 'revision' => 1, 'at_revision' => 1])
        ->assertStatus(409);
    $data = json_decode(shipped('rigs/penny-slot.json'), true);
    // Points that take more than a line each grow by their indents.
    $point = fn (string $id) => ['id' => $id, 'kind' => 'strip', 'label' => str_repeat('x', 40), 'channels' => 2,
        'gain' => ['from' => -1, 'to' => 1, 'db' => 0], 'mute' => false, 'mono' => false];
    for ($i = 0; $i < 9_000; $i++) {
        $data['models']["m-{$i}"] = ['name' => 'x', 'family' => 'mixer', 'sockets' => [],
            'points' => array_map($point, ['a', 'b', 'c', 'd']), 'routes' => []];
    }
    $large = (string) json_encode($data);
    expect(strlen($large))->toBeLessThan(HiddenWire\Core\Document\Json::MAX_BYTES);
    expect(fn () => app(ImportRig::class)($user, $large))->toThrow(HiddenWire\Core\Document\InvalidDocument::class, 'In canonical form');
});

it('has pages that cost less than 30 kB compressed', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    foreach (['wishes', 'wiring', 'stock', 'computers', 'recipes', 'tracks', 'situations', 'cables', 'history'] as $view) {
        $page = (string) $this->actingAs($user)->get("/rigs/{$rig->id}/{$view}")->assertOk()->getContent();
        // As the web server does it.
        expect(strlen((string) gzencode($page, 5)))->toBeLessThan(30_000, $view);
    }
});
