<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\MariaDbConnector;
use Illuminate\Support\Facades\Cache;
use PDO;

/**
 * Connects to the first node of a cluster that answers and takes part, in the order in which they are named (`DB_HOST=10.0.0.1,10.0.0.2`):
 * that two web nodes write at two database nodes only while one of these is away keeps conflicts rare. A node that did not answer is passed
 * over for some seconds, and has to greet before it is asked again. Where one host is named, it is that one, as ever.
 */
final class ClusterConnector extends MariaDbConnector
{
    /** Seconds for which a node that did not answer is asked last. */
    private const AWAY_S = 5;

    /** Seconds for which it is asked whether it greets before it is connected to. */
    private const DOUBTED_S = 60;

    /** Seconds that it has for that. */
    private const GREETS_S = 0.5;

    /** Seconds that a node has to take a connection. */
    private const CONNECT_S = 2;

    /** Seconds after which a node that says nothing is lost to a web request. */
    private const READ_S = '20';

    /** Seconds for which it is tried. */
    private const AGREE_S = 4;

    /** Bad values are refused, not bent. */
    private const SQL_MODE = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,'
        .'NO_ENGINE_SUBSTITUTION';

    /** The state of a node that is neither behind nor helping another. */
    private const SYNCED = 4;

    /** How often, in microseconds. */
    private const LOOK_US = 100_000;

    /**
     * @param  array<string, mixed>  $config
     *
     * @throws \PDOException when no node answers
     */
    public function connect(array $config): PDO
    {
        $hosts = self::hosts((string) $config['host']);
        if (count($hosts) === 1) {
            return parent::connect($config);
        }
        PHP_SAPI === 'fpm-fcgi' && ini_set('mysqlnd.net_read_timeout', self::READ_S);
        // When a node dies, the others take a second or two to agree that they go on without it.
        $until = hrtime(true) + self::AGREE_S * 1_000_000_000;
        while (true) {
            try {
                return $this->first($hosts, $config);
            } catch (\PDOException $e) {
                if (hrtime(true) > $until) {
                    throw $e;
                }
                usleep(self::LOOK_US);
            }
        }
    }

    /**
     * How a connection is set up goes with the connecting, as one statement. A web worker keeps its connection for the next request, and
     * one that is taken up again is set up already; of a cluster it connects anew, since a node that is cut off answers nothing, not even
     * that.
     *
     * @param  array<string, mixed>  $config
     * @return array<int, mixed>
     */
    public function getOptions(array $config): array
    {
        $isNode = $config['is_node'] ?? false;
        $says = [
            "NAMES '{$config['charset']}' COLLATE '{$config['collation']}'",
            "SESSION sql_mode = '".self::SQL_MODE."'",
            "SESSION tx_isolation = '".str_replace(' ', '-', (string) $config['isolation_level'])."'",
            // What one node has acknowledged is read from every other.
            ...($isNode ? ['SESSION wsrep_sync_wait = 1'] : []),
        ];

        return [PDO::MYSQL_ATTR_INIT_COMMAND => 'SET '.implode(', ', $says)]
            + ($isNode ? [PDO::ATTR_TIMEOUT => self::CONNECT_S] : [PDO::ATTR_PERSISTENT => PHP_SAPI === 'fpm-fcgi'])
            + parent::getOptions($config);
    }

    /**
     * It is set up as it connects, by {@see getOptions()}.
     *
     * @param  array<string, mixed>  $config
     */
    protected function configureConnection(PDO $connection, array $config): void
    {
    }

    /**
     * @param  non-empty-list<string>  $hosts
     * @param  array<string, mixed>  $config
     *
     * @throws \PDOException
     */
    private function first(array $hosts, array $config): PDO
    {
        $away = $failed = [];
        foreach ($hosts as $host) {
            $failed[$host] = Cache::store('disk')->get(self::key($host));
            $away[$host] = is_int($failed[$host]) && time() - $failed[$host] < self::AWAY_S;
        }
        asort($away);
        $last = $behind = null;
        foreach (array_keys($away) as $host) {
            try {
                $failed[$host] === null || self::greet($host, (int) $config['port']);
                $pdo = parent::connect(['host' => $host, 'is_node' => true] + $config);
                if (self::isLevel($pdo)) {
                    self::catchUp($pdo);
                    $failed[$host] === null || Cache::store('disk')->forget(self::key($host));

                    return $pdo;
                }
                $behind ??= $pdo;
            } catch (\PDOException $e) {
                $last = $e;
                Cache::store('disk')->put(self::key($host), time(), self::DOUBTED_S);
            }
        }

        return $behind ?? throw $last;
    }

    /**
     * A node that is starting takes connections for some seconds before it says anything; who connects then waits until it does, however
     * short the time to connect is set.
     *
     * @throws \PDOException when it does not greet in time
     */
    private static function greet(string $host, int $port): void
    {
        $socket = @stream_socket_client("tcp://{$host}:{$port}", timeout: self::GREETS_S);
        $greeting = '';
        if ($socket !== false) {
            stream_set_timeout($socket, 0, (int) (self::GREETS_S * 1_000_000));
            $greeting = (string) fread($socket, 5);
            fclose($socket);
        }
        // Its length, a number, and the protocol: 10 since ever.
        if (substr($greeting, 4) !== "\x0a") {
            throw new \PDOException('SQLSTATE[HY000] [2002] Connection timed out: this node does not greet yet.');
        }
    }

    /** @return non-empty-list<string> */
    public static function hosts(string $named): array
    {
        return array_map(trim(...), explode(',', $named));
    }

    /**
     * Whether it has all that the others have. One that has come back just now has not, and one that helps it may lag: what is asked of
     * them waits.
     *
     * @throws \PDOException when the node is cut off from the others
     */
    private static function isLevel(PDO $pdo): bool
    {
        $answer = $pdo->query("SHOW STATUS WHERE Variable_name IN ('wsrep_ready', 'wsrep_local_state')");
        $status = $answer === false ? [] : $answer->fetchAll(PDO::FETCH_KEY_PAIR);
        if (($status['wsrep_ready'] ?? 'ON') !== 'ON') {
            throw new \PDOException('SQLSTATE[08S01]: Communication link failure: this node does not take part in the cluster now.');
        }

        return (int) ($status['wsrep_local_state'] ?? self::SYNCED) === self::SYNCED;
    }

    /**
     * Waits once for what other nodes had acknowledged when a web request began: all that it reads is at least as new. Each read waits
     * where one goes on for longer, as a worker does; in a transaction a row that is older than another node's is refused at the commit.
     *
     * @throws \PDOException
     */
    private static function catchUp(PDO $pdo): void
    {
        if (PHP_SAPI === 'fpm-fcgi') {
            $pdo->query('SELECT 1');
            $pdo->exec('SET SESSION wsrep_sync_wait = 0');
        }
    }

    private static function key(string $host): string
    {
        return "database-away:{$host}";
    }
}
