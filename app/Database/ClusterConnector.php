<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\MariaDbConnector;
use Illuminate\Support\Facades\Cache;
use PDO;

/**
 * Connects to the first node of a cluster that answers and takes part, in the order in which they are named (`DB_HOST=10.0.0.1,10.0.0.2`):
 * that two web nodes write at two database nodes only while one of these is away keeps conflicts rare. A node that did not answer is passed
 * over for some seconds. Where one host is named, it is that one, as ever.
 */
final class ClusterConnector extends MariaDbConnector
{
    /** Seconds for which a node that did not answer is asked last. */
    private const AWAY_S = 5;

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
        $away = [];
        foreach ($hosts as $host) {
            $away[$host] = Cache::store('disk')->has(self::key($host));
        }
        asort($away);
        $last = null;
        foreach (array_keys($away) as $host) {
            try {
                $pdo = parent::connect(['host' => $host] + $config);
                self::demandReady($pdo);

                return $pdo;
            } catch (\PDOException $e) {
                $last = $e;
                Cache::store('disk')->put(self::key($host), true, self::AWAY_S);
            }
        }

        throw $last;
    }

    /** @return non-empty-list<string> */
    public static function hosts(string $named): array
    {
        return array_map(trim(...), explode(',', $named));
    }

    /** @throws \PDOException when the node is cut off from the others, or has not caught up with them yet */
    private static function demandReady(PDO $pdo): void
    {
        $answer = $pdo->query("SHOW STATUS LIKE 'wsrep_ready'");
        $row = $answer === false ? false : $answer->fetch(PDO::FETCH_NUM);
        if (is_array($row) && $row[1] !== 'ON') {
            throw new \PDOException('SQLSTATE[08S01]: Communication link failure: this node does not take part in the cluster now.');
        }
    }

    private static function key(string $host): string
    {
        return "database-away:{$host}";
    }
}
