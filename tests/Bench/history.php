<?php

declare(strict_types=1);

/*
 * How large a history gets: `history.php COUNT MIB MS`. A rig of 300 units, COUNT revisions of one change each, written as a change writes
 * them. Prints what they take on disk and how long one drawn at random takes to be read, each against its limit, and reads a thousand of
 * them back byte for byte. Ends with 1 where anything is missed.
 */

use App\Actions\ImportRig;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Tests\Bench\GeneratedRig;

require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

[, $count, $mib, $ms] = array_map(intval(...), $argv);
$user = User::query()->create(['name' => 'History', 'email' => 'history-'.bin2hex(random_bytes(6)).'@example.test',
    'password' => bin2hex(random_bytes(12))]);
$text = GeneratedRig::text(300, 900);
$rig = app(ImportRig::class)($user, $text);
$text = $rig->revisions()->sole()->document;
mt_srand(1);
// Names of units, one changed at a time: as long as before, so that each text can be made again from the list of changes.
preg_match_all('/"name": "([^"]{4,})"/', $text, $found, PREG_OFFSET_CAPTURE);
$places = array_map(fn (array $one) => $one[1] + 2, $found[1]);
$kept = [];
$begun = hrtime(true);
for ($number = 2; $number <= $count; $number++) {
    $text = substr_replace($text, sprintf('%02d', mt_rand(0, 99)), $places[mt_rand(0, count($places) - 1)], 2);
    $rig->revisions()->create(['number' => $number, 'parent' => $number - 1, 'user_id' => $user->id, 'what' => 'A name', 'document' => $text]);
    if ($number % max(1, intdiv($count, 1000)) === 0) {
        $kept[$number] = hash('sha256', $text);
    }
    if ($number % 10_000 === 0) {
        printf("      %d revisions, %.1f ms each\n", $number, (hrtime(true) - $begun) / 1e6 / $number);
        flush();
    }
}
DB::statement('ANALYZE TABLE revisions');
$size = (int) DB::table('information_schema.tables')->where('table_schema', DB::connection()->getDatabaseName())->where('table_name', 'revisions')
    ->selectRaw('DATA_LENGTH + INDEX_LENGTH AS size')->value('size') / 1048576;
$times = [];
$wrong = 0;
foreach (array_keys($kept) as $number) {
    // Not what was read just before.
    (new ReflectionProperty(Revision::class, 'full'))->setValue(null, null);
    $start = hrtime(true);
    $document = Revision::query()->where('rig_id', $rig->id)->where('number', $number)->sole()->document;
    $times[] = (hrtime(true) - $start) / 1e6;
    $wrong += hash('sha256', $document) === $kept[$number] ? 0 : 1;
}
sort($times);
$slow = $times[(int) floor(0.99 * count($times))] ?? 0.0;
printf("  %d revisions of %.0f KiB each: %.0f MiB (limit %d)   %s\n", $count, strlen($text) / 1024, $size, $mib, $size <= $mib ? 'ok' : 'MISSED');
printf("  one of them read: median %.1f ms, 99th %.1f ms (limit %d)   %s\n", $times[intdiv(count($times), 2)], $slow, $ms, $slow <= $ms ? 'ok' : 'MISSED');
printf("  %d read back, %d not as they were saved   %s\n", count($kept), $wrong, $wrong === 0 ? 'ok' : 'MISSED');
exit($size <= $mib && $slow <= $ms && $wrong === 0 ? 0 : 1);
