<?php

declare(strict_types=1);

use App\Database\AwayDetector;
use App\Database\ClusterConnector;
use App\Jobs\HearOn;
use App\Rigs\OneOfServer;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;
use App\Rigs\Turn;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\Process\Process;

/** @return list<string> lines of the application and the core that hold something */
function linesWith(string $pattern): array
{
    $found = [];
    foreach (['app', 'core', 'routes', 'database'] as $room) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path($room), FilesystemIterator::SKIP_DOTS)) as $file) {
            foreach ($file->getExtension() === 'php' ? (array) file($file->getPathname()) : [] as $number => $line) {
                if (preg_match($pattern, (string) $line) === 1) {
                    $found[] = substr($file->getPathname(), strlen(base_path()) + 1).':'.($number + 1);
                }
            }
        }
    }

    return $found;
}

it('locks rows in one place, which writes what it locks, and nothing by name on one node only', function () {
    foreach (linesWith('/lockForUpdate\(|sharedLock\(|for update/i') as $line) {
        expect($line)->toStartWith('app/Rigs/RowLock.php:');
    }
    expect(linesWith('/\bGET_LOCK\b/i'))->toBe([])->and(linesWith('/Cache::lock\(/'))->toBe([]);
});

it('waits for a hearing that another worker computes, and not for a worker that was killed', function () {
    $holds = (new Process([PHP_BINARY, '-r', 'require "vendor/autoload.php";
        $app = require "bootstrap/app.php"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
        config(["cache.stores.disk.lock_path" => $argv[1]]); $held = App\Rigs\OneOfServer::waitFor("hearing", 1);
        echo $held === null ? "no" : "held"; flush(); sleep(60);', '--', (string) config('cache.stores.disk.lock_path')], base_path()));
    $holds->start();
    $holds->waitUntil(fn (string $type, string $said) => $said !== '');
    expect($holds->getOutput())->toBe('held')->and(OneOfServer::waitFor('hearing', 0.05))->toBeNull();
    $other = OneOfServer::waitFor('another', 0.05) ?? throw new LogicException('Another name is free');
    $other->release();
    $holds->signal(SIGKILL);
    $freed = OneOfServer::waitFor('hearing', 20);
    expect($freed)->not->toBeNull();
    $freed->release();
    expect(OneOfServer::waitFor('hearing', 0))->not->toBeNull();
});

it('gives the folder of locks to whoever has the folder around it, also where root makes it', function () {
    $around = sys_get_temp_dir().'/hidden-wire-locks-'.getmypid();
    mkdir($around, 0755);
    if (posix_geteuid() === 0) {
        chown($around, 'nobody');
    }
    config(['cache.stores.disk.lock_path' => $around]);
    expect(OneOfServer::waitFor('hearing', 0))->not->toBeNull()
        ->and(fileowner("{$around}/alone"))->toBe(fileowner($around))->and(fileperms("{$around}/alone") & 0700)->toBe(0700);
    File::deleteDirectory($around);
});

it('writes the row that it locks', function () {
    $user = App\Models\User::factory()->create();
    $rig = app(App\Actions\ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    $changed = $rig->fresh()->updated_at;
    $locks = fn (): int => (int) DB::table('rigs')->where('id', $rig->id)->value('locks');
    $before = $locks();
    DB::transaction(fn () => RowLock::rig($rig->id));
    expect($locks())->toBe($before + 1)->and($rig->fresh()->updated_at)->toEqual($changed);
});

it('has a primary key in every table', function () {
    $tables = DB::select('SELECT t.table_name AS name, k.constraint_name AS own FROM information_schema.tables t
        LEFT JOIN information_schema.table_constraints k ON k.table_schema = t.table_schema AND k.table_name = t.table_name
        AND k.constraint_type = "PRIMARY KEY" WHERE t.table_schema = DATABASE()');
    expect(count($tables))->toBeGreaterThan(30);
    foreach ($tables as $table) {
        expect($table->own)->toBe('PRIMARY', $table->name);
    }
});

it('tries again at another node what was not committed, and what may have been only where that does nothing twice', function () {
    // The test's own transaction would enclose it.
    DB::rollBack();
    $lost = new PDOException('SQLSTATE[HY000]: General error: 2006 MySQL server has gone away');
    $runs = 0;
    $made = RigTransaction::do(function () use (&$runs, $lost): string {
        return ++$runs < 3 ? throw $lost : 'made';
    });
    expect($made)->toBe('made')->and($runs)->toBe(3);

    $commits = 0;
    Event::listen(TransactionCommitting::class, function () use (&$commits, $lost) {
        return ++$commits === 1 ? throw $lost : null;
    });
    $runs = 0;
    $do = function () use (&$runs): int {
        return ++$runs;
    };
    expect(fn () => RigTransaction::do($do))->toThrow(PDOException::class)->and($runs)->toBe(1);
    // Nothing was lost in truth: the transaction is still open.
    DB::reconnect();
    $commits = $runs = 0;
    expect(RigTransaction::do($do, isOnce: true))->toBe(2);

    $runs = 0;
    $fails = function () use (&$runs) {
        $runs++;
        throw new LogicException('Something else.');
    };
    expect(fn () => RigTransaction::do($fails, isOnce: true))->toThrow(LogicException::class)->and($runs)->toBe(1);
});

it('knows a node that is cut off, and a statement that gave way, for away', function (string $says, bool $isAway) {
    expect(app(LostConnectionDetector::class))->toBeInstanceOf(AwayDetector::class)
        ->and(app(LostConnectionDetector::class)->causedByLostConnection(new PDOException($says)))->toBe($isAway);
})->with([
    ['SQLSTATE[08S01]: Communication link failure: 1047 WSREP has not yet prepared node for application use', true],
    ['SQLSTATE[HY000]: General error: 1180 Error while appending streaming replication fragment(provider status: Not connected to Primary Component)', true],
    ['SQLSTATE[HY000]: General error: 1205 Lock wait timeout exceeded; try restarting transaction', true],
    ['SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock; try restarting transaction', true],
    ['SQLSTATE[HY000] [2002] Connection refused', true],
    ['SQLSTATE[42S02]: Base table or view not found: 1146', false],
    ['SQLSTATE[23000]: Integrity constraint violation: 1062 Duplicate entry', false],
]);

it('passes over a node that is not there, and takes none that is no part of a cluster', function () {
    $away = Cache::store('disk');
    $away->forget('database-away:127.0.0.9');
    $config = ['host' => '127.0.0.9, 127.0.0.1'] + config('database.connections.mariadb');
    // The tests' database is at the second address, and by itself.
    expect(fn () => (new ClusterConnector)->connect($config))->toThrow(PDOException::class, 'does not take part')
        ->and($away->has('database-away:127.0.0.9'))->toBeTrue()
        ->and(ClusterConnector::hosts($config['host']))->toBe(['127.0.0.9', '127.0.0.1']);
    $away->forget('database-away:127.0.0.9');
    $away->forget('database-away:127.0.0.1');
    // One host is no cluster.
    expect((new ClusterConnector)->connect(['host' => '127.0.0.1'] + $config)->query('SELECT 1')->fetchColumn())->toBe(1);
});

it('passes over a node that takes connections and says nothing yet, as one that is starting does', function () {
    $config = ['host' => '127.0.0.9,127.0.0.1'] + config('database.connections.mariadb');
    $starting = stream_socket_server("tcp://127.0.0.9:{$config['port']}") ?: throw new LogicException('The port is free there');
    $away = Cache::store('disk');
    // It did not answer a while ago, and is the first to be asked again.
    $away->put('database-away:127.0.0.9', time() - 30, 60);
    // Without a greeting to wait for, this would never end. The other one is no part of a cluster.
    expect(fn () => (new ClusterConnector)->connect($config))->toThrow(PDOException::class, 'does not take part')
        ->and($away->get('database-away:127.0.0.9'))->toBeGreaterThan(time() - 30);
    fclose($starting);
    $away->forget('database-away:127.0.0.9');
    $away->forget('database-away:127.0.0.1');
});

it('sets a connection up as it connects, once', function () {
    $config = ['host' => '127.0.0.1'] + config('database.connections.mariadb');
    $pdo = (new ClusterConnector)->connect($config);
    expect($pdo->query('SELECT @@tx_isolation, @@collation_connection, @@character_set_client, database()')->fetch(PDO::FETCH_NUM))
        ->toBe(['READ-COMMITTED', 'utf8mb4_unicode_ci', 'utf8mb4', $config['database']])
        ->and(fn () => $pdo->exec("INSERT INTO cache_locks VALUES ('key', repeat('a', 1000), 1)"))->toThrow(PDOException::class, 'too long')
        // Only a web worker keeps it for the next request; and never one of a cluster.
        ->and($pdo->getAttribute(PDO::ATTR_PERSISTENT))->toBeFalse();
    // The statements of a setting up, by what the server counts.
    $count = fn (): int => (int) $pdo->query("SHOW SESSION STATUS LIKE 'Com_set_option'")->fetch(PDO::FETCH_NUM)[1];
    expect($count())->toBe(1);
    $options = (new ClusterConnector)->getOptions(['is_node' => true] + $config);
    expect($options[PDO::MYSQL_ATTR_INIT_COMMAND])->toEndWith('SESSION wsrep_sync_wait = 1')
        ->and($options)->toHaveKey(PDO::ATTR_TIMEOUT)->not->toHaveKey(PDO::ATTR_PERSISTENT);
});

it('counts attempts and takes turns in the database where several servers share it', function () {
    config(['cache.limiter' => 'database', 'cache.shared' => 'database']);
    app()->forgetInstance(Illuminate\Cache\RateLimiter::class);
    RateLimiter::clearResolvedInstances();
    RateLimiter::hit('somebody', 60);
    expect(DB::table('cache')->count())->toBeGreaterThan(0);
    $turn = Turn::of('picture:1', 10);
    expect($turn->get())->toBeTrue()->and(Turn::of('picture:1', 10)->get())->toBeFalse()
        ->and(DB::table('cache_locks')->count())->toBe(1);
    $turn->release();
    expect(Turn::of('picture:1', 10)->get())->toBeTrue();
});

it('hears in the background where the page waits', function () {
    expect(HearOn::queueOfNode())->toBe('default');
    config(['app.node' => 'b']);
    expect(HearOn::queueOfNode())->toBe('node-b');
});
