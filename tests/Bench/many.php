<?php

declare(strict_types=1);

/* Gives the demo account 2,000 rigs and its first rig 5,000 revisions, by copying rows: what a page costs then is measured by pages.php. */

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

$rig = DB::table('rigs')->where('name', 'Night relay at the pier arcade')->first();
$revision = (array) DB::table('revisions')->where('rig_id', $rig->id)->where('number', $rig->at)->first();
$user = $rig->user_id;
foreach (array_chunk(range(1, 2000), 500) as $chunk) {
    DB::table('rigs')->insert(array_map(fn (int $i) => ['id' => null, 'name' => "Rig {$i}", 'at' => 1, 'revision' => 1,
        'updated_at' => now()->subDays($i)] + (array) $rig, $chunk));
}
DB::statement(<<<'SQL'
    INSERT INTO revisions (rig_id, number, user_id, what, document, counts, units, cables, build)
    SELECT id, 1, user_id, 'Copied', '{}', ?, 38, 34, ? FROM rigs WHERE user_id = ? AND name LIKE 'Rig %'
    SQL, [$revision['counts'], $revision['build'], $user]);
$number = (int) $rig->at;
foreach (array_chunk(range($number + 1, $number + 5000), 25) as $chunk) {
    DB::table('revisions')->insert(array_map(fn (int $i) => ['id' => null, 'number' => $i, 'parent' => $i - 1,
        'what' => "Change {$i}"] + $revision, $chunk));
}
DB::table('rigs')->where('id', $rig->id)->update(['at' => $number + 5000, 'revision' => (int) $rig->revision + 5000]);
