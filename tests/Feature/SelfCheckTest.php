<?php

declare(strict_types=1);

use App\Server\Concern;
use App\Server\SelfCheck;
use App\Server\ServerFacts;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    // A server as it should be, and what differs.
    $this->check = fn (mixed ...$is): SelfCheck => new SelfCheck(new ServerFacts(...$is + [
        'url' => 'https://wire.example.org', 'nodes' => ['10.0.0.1', '10.0.0.2', '10.0.0.3'], 'joined' => 3, 'waitingS' => 0,
        'backupAgeS' => 3600, 'free' => 60_000_000_000, 'size' => 100_000_000_000, 'settingsMode' => 0600,
    ]));
    $this->says = fn (mixed ...$is): array => array_map(
        fn (Concern $one) => ($one->isUrgent ? '! ' : '').$one->what,
        ($this->check)(...$is)->concerns,
    );
});

it('finds nothing where nothing is missing', function () {
    expect(($this->says)())->toBe([])->and(($this->check)()->isSound())->toBeTrue();
});

it('names what is missing or unsafe', function (array $is, array $expected) {
    expect(($this->says)(...$is))->toBe($expected)->and(($this->check)(...$is)->isSound())->toBe(! str_starts_with($expected[0] ?? '', '!'));
})->with([
    'debug' => [['debugs' => true], ['! Errors are shown with the code and the settings around them.']],
    'no key' => [['hasKey' => false], ['! There is no key to close sessions with.']],
    'no TLS' => [['url' => 'http://wire.example.org'], ['! Passwords go over the network as they are.']],
    'this machine needs none' => [['url' => 'http://127.0.0.1:8390', 'nodes' => ['127.0.0.1'], 'isOpen' => true, 'mailer' => 'outbox'], []],
    'the demo account' => [['hasDemo' => true], ['! Anybody may sign in to the demo account: its password is known.']],
    'settings for all' => [['settingsMode' => 0644], ['! Others on this machine can read .env, which holds passwords.']],
    'no database' => [['isDatabaseThere' => false], ['! The database does not answer.']],
    'an earlier version' => [['pending' => ['a', 'b']], ['! The tables are of an earlier version: 2 steps to go.']],
    'a worker that is dead' => [['waitingS' => 1500], ['! A job waits since 25 minutes: no worker takes it.']],
    'a worker that is busy' => [['waitingS' => 600], []],
    'no backup' => [['backupAgeS' => null], ['! There is no backup.']],
    'an old backup' => [['backupAgeS' => 3 * 86400 + 5], ['! The last backup is 3 days old.']],
    'a backup of two days' => [['backupAgeS' => 2 * 86400], []],
    'a full disk, by share' => [['free' => 9_900_000_000], ['! The disk is almost full: 9.9 GB of 100.0 are free.']],
    'a full disk, by size' => [['free' => 2_000_000_000, 'size' => 10_000_000_000], ['! The disk is almost full: 2.0 GB of 10.0 are free.']],
    'a node away' => [['joined' => 2], ['! 2 of 3 database nodes take part.']],
    'one node' => [['nodes' => ['10.0.0.1'], 'joined' => null], ['The database is on one machine: when that is lost, so is all since the last backup.']],
    'open, without mail' => [['isOpen' => true, 'mailer' => 'outbox'], ['Whoever reaches it may begin an account.',
        'Mails are kept and not sent: nobody gets a new password by mail.']],
    'what is urgent first' => [['isOpen' => true, 'debugs' => true], ['! Errors are shown with the code and the settings around them.',
        'Whoever reaches it may begin an account.']],
]);

it('reads how this server stands', function () {
    $is = ServerFacts::now();
    expect($is->isDatabaseThere)->toBeTrue()->and($is->pending)->toBe([])->and($is->waitingS)->toBe(0)->and($is->size)->toBeGreaterThan(0);
    $job = ['queue' => 'takes', 'payload' => '{}', 'attempts' => 0, 'reserved_at' => time(), 'available_at' => time() - 900, 'created_at' => time()];
    DB::table('jobs')->insert($job);
    DB::table('jobs')->insert(['reserved_at' => null] + $job);
    expect(ServerFacts::now()->waitingS)->toBe(0);
    DB::table('jobs')->insert(['queue' => 'default', 'reserved_at' => null] + $job);
    expect(ServerFacts::now()->waitingS)->toBeGreaterThanOrEqual(900);
    DB::table('migrations')->where('migration', 'like', '%sign_in_in_two_steps')->delete();
    expect(ServerFacts::now()->pending)->toBe(['2026_02_26_000000_sign_in_in_two_steps']);
    Artisan::call('server:check --json');
    expect(array_column(json_decode(Artisan::output(), true), 'what'))->toContain('A job waits since 15 minutes: no worker takes it.')
        ->toContain('The tables are of an earlier version: 1 step to go.');
    $this->artisan('server:check')->expectsOutputToContain('urgent')->assertFailed();
});

it('takes the newest backup of a folder', function () {
    $folder = sys_get_temp_dir().'/'.uniqid('backups-');
    mkdir($folder);
    expect(ServerFacts::backupAge($folder))->toBeNull();
    foreach (['hidden-wire-2026-11-01-000000.tar.gz' => 90_000, 'hidden-wire-2026-11-30-000000.tar.gz.enc' => 7_000, 'notes.txt' => 0] as $file => $age) {
        touch("{$folder}/{$file}", time() - $age);
    }
    expect(ServerFacts::backupAge($folder))->toBeGreaterThanOrEqual(7_000)->toBeLessThan(7_100);
    array_map(unlink(...), glob("{$folder}/*"));
    rmdir($folder);
});
