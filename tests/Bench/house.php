<?php

declare(strict_types=1);

/*
 * What pages cost in a house with 2,000 rigs of 200 accounts, of which one has 300, and 50,000 revisions, against what they cost with one
 * account's rigs: `house.php SMALL SMALL_DATABASE LARGE LARGE_DATABASE`, two addresses and what they serve. Rigs are copied by their rows.
 * Each page is asked of both by turns: whatever slows the machine for a while slows both. Lists show 50 in both. Ends with 1 where a page
 * takes more than 1.2 times as long.
 */

use App\Models\User;
use App\Rigs\Tables\Tables;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Schema;

require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

const TIMES = 1.2;
const RIGS = 2000;
const ACCOUNTS = 200;
const OF_ONE = 300;
const REVISIONS = 50_000;
const ROUNDS = 40;

[, $small, $smallDatabase, $large, $largeDatabase] = $argv;
/** One for each house, with its cookies. */
$curls = array_map(fn () => curl_init(), [$small => 1, $large => 1]);
$fetch = function (string $base, string $path, ?array $form = null) use ($curls): array {
    curl_setopt_array($curls[$base], [CURLOPT_URL => $base.$path, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '',
        CURLOPT_HTTPGET => $form === null, CURLOPT_POST => $form !== null]
        + ($form === null ? [] : [CURLOPT_POSTFIELDS => http_build_query($form)]));
    $start = hrtime(true);
    $body = (string) curl_exec($curls[$base]);

    return [curl_getinfo($curls[$base], CURLINFO_RESPONSE_CODE), $body, (hrtime(true) - $start) / 1e6];
};
/** From here on it is this database. */
$enter = function (string $database): User {
    config(['database.connections.mariadb.database' => $database]);
    DB::purge();

    return User::query()->where('email', 'demo@hidden-wire.test')->sole();
};
/** Copies of the small rig for these accounts, all that is in its rows. */
$copy = function (array $owners): void {
    $from = DB::table('rigs')->where('name', 'Penny-slot stream')->orderBy('id')->first();
    $first = (int) DB::table('rigs')->max('id') + 1;
    $made = [];
    foreach ($owners as $i => $owner) {
        $made[] = ['id' => $first + $i, 'user_id' => $owner, 'name' => "Rig {$i}", 'at' => 1, 'revision' => 1, 'state' => md5((string) ($first + $i)),
            'updated_at' => now()->subMinutes($i)] + (array) $from;
    }
    foreach (array_chunk($made, 250) as $chunk) {
        DB::table('rigs')->insert($chunk);
    }
    DB::statement('SET foreign_key_checks = 0');
    foreach (Tables::byModel() as $model => $table) {
        $name = (new $model)->getTable();
        $columns = array_diff(Schema::getColumnListing($name), ['id', 'rig_id', 'created_at', 'updated_at', 'label_key']);
        $said = implode(', ', array_map(fn (string $column) => "s.`{$column}`", $columns));
        $into = implode(', ', array_map(fn (string $column) => "`{$column}`", $columns));
        DB::insert("INSERT INTO `{$name}` (rig_id, {$into}) SELECT r.id, {$said} FROM `{$name}` s JOIN rigs r ON r.id >= {$first} WHERE s.rig_id = {$from->id}");
    }
    DB::statement('SET foreign_key_checks = 1');
    DB::statement('INSERT INTO revisions (rig_id, number, user_id, what, document, counts, units, cables, build) SELECT r.id, 1, r.user_id, \'Copied\', '
        ."s.document, s.counts, s.units, s.cables, s.build FROM revisions s JOIN rigs r ON r.id >= {$first} WHERE s.rig_id = {$from->id} AND s.number = 1");
};
/** So many more changes of the demo. */
$revise = function (int $more): void {
    $demo = DB::table('rigs')->where('name', 'Night relay at the pier arcade')->orderBy('id')->value('id');
    $revision = (array) DB::table('revisions')->where('rig_id', $demo)->orderByDesc('number')->first();
    foreach (array_chunk(range($revision['number'] + 1, $revision['number'] + $more), 500) as $chunk) {
        DB::table('revisions')->insert(array_map(fn (int $n) => ['id' => null, 'number' => $n, 'parent' => $n - 1, 'what' => "Change {$n}",
            'document' => ''] + $revision, $chunk));
    }
};
foreach ([$smallDatabase, $largeDatabase] as $database) {
    // Lists that fill their first page.
    $user = $enter($database);
    $copy(array_fill(0, 50 - $user->rigs()->count(), $user->id));
    $revise(60);
}
$accounts = [];
for ($i = 1; $i < ACCOUNTS; $i++) {
    $accounts[] = ['name' => "Person {$i}", 'email' => "person-{$i}@hidden-wire.test", 'password' => Hash::make('x', ['rounds' => 4])];
}
DB::table('users')->insert($accounts);
$others = DB::table('users')->where('email', 'like', 'person-%')->pluck('id')->all();
$owners = array_fill(0, OF_ONE - 50, $user->id);
for ($i = 0; count($owners) < RIGS - 50; $i++) {
    $owners[] = $others[$i % count($others)];
}
$copy($owners);
$revise(REVISIONS - (int) DB::table('revisions')->count());
DB::statement('ANALYZE TABLE rigs, revisions, units, members');
printf(
    "  %d rigs of %d accounts, of which one has %d, and %d revisions\n",
    DB::table('rigs')->count(),
    DB::table('users')->count(),
    $user->rigs()->count(),
    DB::table('revisions')->count(),
);

$times = [];
foreach ([$small => $smallDatabase, $large => $largeDatabase] as $base => $database) {
    $demo = $enter($database)->rigs()->where('name', 'Night relay at the pier arcade')->sole();
    preg_match('/name="_token" value="([^"]+)"/', $fetch($base, '/sign-in')[1], $token);
    $fetch($base, '/sign-in', ['_token' => $token[1], 'email' => 'demo@hidden-wire.test', 'password' => 'night-relay']);
    $fetch($base, '/rigs/standings');
    $pages[$base] = ['Wishes' => "/rigs/{$demo->id}/wishes", 'Map' => "/rigs/{$demo->id}/wiring", 'Equipment' => "/rigs/{$demo->id}/stock",
        'History' => "/rigs/{$demo->id}/history", 'People' => "/rigs/{$demo->id}/people", 'Bench' => "/rigs/{$demo->id}/bench",
        'Account' => '/account', 'Rigs, 50 of them' => '/'];
}
for ($i = -2; $i < ROUNDS; $i++) {
    foreach (array_keys($pages[$small]) as $name) {
        foreach ($i % 2 === 0 ? [$small, $large] : [$large, $small] as $base) {
            [$code, , $ms] = $fetch($base, $pages[$base][$name]);
            $code === 200 || exit("  {$name}: answered {$code}\n");
            if ($i >= 0) {
                $times[$name][$base][] = $ms;
            }
        }
    }
}
$median = function (array $times): float {
    sort($times);

    return $times[intdiv(count($times), 2)];
};
$missed = 0;
foreach ($times as $name => $of) {
    [$ms, $alone] = [$median($of[$large]), $median($of[$small])];
    $ok = $ms <= TIMES * $alone;
    $missed |= $ok ? 0 : 1;
    printf("  %-20s median %6.1f ms, alone %6.1f: %4.2f times (limit %.1f)   %s\n", $name, $ms, $alone, $ms / $alone, TIMES, $ok ? 'ok' : 'MISSED');
}
$found = [];
for ($i = 0; $i < ROUNDS; $i++) {
    [$code, , $found[]] = $fetch($large, '/find?q='.urlencode(['mixer', 'W-0'.($i % 9), 'presenter', 'headphones', "Rig {$i}"][$i % 5]));
    $code === 200 || exit("  Find in all rigs: answered {$code}\n");
}
sort($found);
printf("  %-20s median %6.1f ms, 95th %6.1f\n", 'Find in all rigs', $found[intdiv(ROUNDS, 2)], $found[(int) (ROUNDS * 0.95)]);
exit($missed);
