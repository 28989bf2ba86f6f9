<?php

declare(strict_types=1);

namespace App\Server;

use App\Database\ClusterConnector;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;

/** How this server is set up, and its current state. What can't be known is null. */
final readonly class ServerFacts
{
    /**
     * @param  string  $url  under which others reach it
     * @param  list<string>  $nodes  hosts of the database
     * @param  int|null  $joined  nodes that take part in the cluster
     * @param  int|null  $waitingS  seconds for which the oldest job waits that nobody has taken
     * @param  list<string>  $pending  migrations that have not run
     * @param  int|null  $backupAgeS  seconds since the last backup
     * @param  int|null  $free  bytes on the disk
     * @param  int|null  $size  bytes of the disk
     * @param  int|null  $settingsMode  permissions of the file of settings
     */
    public function __construct(
        public string $url,
        public bool $debugs = false,
        public bool $hasKey = true,
        public bool $isDatabaseThere = true,
        public array $nodes = ['127.0.0.1'],
        public ?int $joined = null,
        public ?int $waitingS = null,
        public array $pending = [],
        public ?int $backupAgeS = null,
        public ?int $free = null,
        public ?int $size = null,
        public ?int $settingsMode = null,
        public bool $hasDemo = false,
        public bool $isOpen = false,
        public string $mailer = 'smtp',
    ) {
    }

    public static function now(): self
    {
        $isThere = true;
        $joined = $waiting = null;
        $pending = [];
        $hasDemo = false;
        try {
            $size = (array) DB::selectOne("SHOW STATUS LIKE 'wsrep_cluster_size'");
            $joined = isset($size['Value']) ? (int) $size['Value'] : null;
            $pending = self::pending();
            // Behind one that is being done, the next one waits for as long as that takes.
            $busy = DB::table('jobs')->whereNotNull('reserved_at')->select('queue');
            $oldest = DB::table('jobs')->whereNull('reserved_at')->whereNotIn('queue', $busy)->min('available_at');
            $waiting = $oldest === null ? 0 : max(0, time() - (int) $oldest);
            $hasDemo = config('app.demo') && User::query()->where('email', DatabaseSeeder::EMAIL)->exists();
        } catch (\PDOException) {
            $isThere = false;
        }
        $free = @disk_free_space(storage_path());
        $all = @disk_total_space(storage_path());
        $mode = @fileperms(base_path('.env'));

        return new self(
            url: (string) config('app.url'),
            debugs: (bool) config('app.debug'),
            hasKey: (string) config('app.key') !== '',
            isDatabaseThere: $isThere,
            nodes: ClusterConnector::hosts((string) config('database.connections.mariadb.host')),
            joined: $joined,
            waitingS: $waiting,
            pending: $pending,
            backupAgeS: self::backupAge(base_path('backups')),
            free: $free === false ? null : (int) $free,
            size: $all === false ? null : (int) $all,
            settingsMode: $mode === false ? null : $mode & 0777,
            hasDemo: $hasDemo,
            isOpen: (bool) config('app.registration'),
            mailer: (string) config('mail.default'),
        );
    }

    /** Seconds since the last backup in a folder; null where there is none. */
    public static function backupAge(string $folder): ?int
    {
        $made = array_map(filemtime(...), glob("{$folder}/hidden-wire-*.tar.gz*") ?: []);

        return $made === [] ? null : max(0, time() - (int) max($made));
    }

    /** @return list<string> */
    private static function pending(): array
    {
        /** @var Migrator $migrator */
        $migrator = app('migrator');
        $files = array_keys($migrator->getMigrationFiles(database_path('migrations')));

        return array_values(array_diff(array_map(strval(...), $files), $migrator->getRepository()->getRan()));
    }
}
