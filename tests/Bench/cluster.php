<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\CardTick;
use App\Models\Member;
use App\Models\MemberRole;
use App\Models\Revision;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigFromRows;
use HiddenWire\Core\Document\DocumentWriter;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Schema;

/**
 * Before and after the trial of a cluster.
 *
 *   php tests/Bench/cluster.php people PEOPLE RIGS   makes accounts and rigs, each rig for several of them; prints who edits what
 *   php tests/Bench/cluster.php judge FILE           holds what was acknowledged against what is stored; ends with 1 where they differ
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

/** Seconds, in which everything has to be answered. */
const LONGEST_S = 3.0;
const LONG_TOLD = 12;

if ($argv[1] === 'people') {
    [$count, $rigs] = [(int) $argv[2], (int) $argv[3]];
    $document = (string) file_get_contents(resource_path('rigs/night-relay.json'));
    // Each of those who share a rig has a fader of their own.
    $points = ['ch-1', 'ch-2', 'ch-3', 'ch-4'];
    $password = bin2hex(random_bytes(12));
    $people = $made = [];
    for ($i = 0; $i < $count; $i++) {
        $user = User::query()->create(['name' => 'Person '.($i + 1), 'email' => "person-{$i}@trial.test", 'password' => Hash::make($password)]);
        $rig = $made[$i % $rigs] ??= app(ImportRig::class)($user, $document);
        if ($rig->user_id !== $user->id) {
            (new Member)->forceFill(['rig_id' => $rig->id, 'user_id' => $user->id, 'role' => MemberRole::Edit, 'accepted_at' => now()])->save();
        }
        $people[] = ['id' => $user->id, 'email' => $user->email, 'password' => $password, 'rig' => $rig->id, 'unit' => 'mixer',
            'point' => $points[intdiv($i, $rigs) % count($points)], 'share' => intdiv($i, $rigs), 'of' => (int) ceil($count / $rigs)];
    }
    exit(json_encode($people, JSON_THROW_ON_ERROR));
}

/**
 * @var array{people: list<array{id: int, rig: int, acknowledged: list<string>, unsure: list<string>, ticks: array<string, array{on: bool,
 *   at: int}>, ticked: int}>, refused: int, errors: list<string>, asked: int, longest: float, longestOf: string,
 *   long: list<array{took: float, of: string, taken: float}>, retried: int, machine: string} $told
 */
$told = json_decode((string) file_get_contents($argv[2]), true, flags: JSON_THROW_ON_ERROR);
$acknowledged = $found = $doubled = $lost = $ticked = $ticksLost = 0;
foreach ($told['people'] as $one) {
    $stored = Revision::query()->where('rig_id', $one['rig'])->where('user_id', $one['id'])->where('number', '>', 1)->orderBy('number')
        ->pluck('what')->all();
    $acknowledged += count($one['acknowledged']);
    // One whose answer never came may have been made or not.
    $times = array_count_values($stored);
    foreach ($one['acknowledged'] as $what) {
        $found += ($times[$what] ?? 0) > 0 ? 1 : 0;
        $lost += ($times[$what] ?? 0) === 0 ? 1 : 0;
    }
    $ticked += $one['ticked'];
    foreach ($one['ticks'] as $step => $is) {
        $kept = CardTick::query()->where('rig_id', $one['rig'])->where('card', 'run-down')->where('step', $step)->first();
        $ticksLost += $kept !== null && $kept->is_on === $is['on'] && $kept->at_ms === $is['at'] ? 0 : 1;
    }
    $doubled += count(array_filter($times, fn (int $count) => $count > 1));
    $isUnsure = fn (string $what): bool => in_array((float) preg_replace('/.*?(−?)([\d.]+) dB$/u', '-$2', $what), array_map(floatval(...), $one['unsure']), true);
    $strange = array_filter(array_diff($stored, $one['acknowledged']), fn (string $what) => ! $isUnsure($what));
    if ($strange !== []) {
        $told['errors'][] = 'Stored, and never sent: '.implode('; ', array_slice($strange, 0, 3));
    }
}
$different = 0;
foreach (Rig::query()->orderBy('id')->get() as $rig) {
    $now = $rig->revisions()->where('number', $rig->at)->sole();
    $different += (new DocumentWriter)->write(RigFromRows::rig($rig)) === $now->document ? 0 : 1;
}
$migrated = Schema::hasTable('added_while_serving') && DB::table('rigs')->where('added_while_serving', '!=', 7)->doesntExist();
$isOk = $acknowledged > 0 && $ticked > 0 && $ticksLost === 0 && $found === $acknowledged && $doubled === 0 && $told['errors'] === [] && $different === 0
    && $told['longest'] <= LONGEST_S && $migrated;
printf("  edits acknowledged %d, found %d, made twice %d   %s\n", $acknowledged, $found, $doubled, $found === $acknowledged && $doubled === 0 ? 'ok' : 'MISSED');
printf("  ticks acknowledged %d, steps that stand otherwise than was answered last %d   %s\n", $ticked, $ticksLost, $ticked > 0 && $ticksLost === 0 ? 'ok' : 'MISSED');
printf("  requests answered %d, of them sent again %d; refused because another person changed the same thing %d\n", $told['asked'], $told['retried'], $told['refused']);
printf("  longest time without an answer %.1f s (limit %.0f; %s)   %s\n", $told['longest'], LONGEST_S, $told['longestOf'], $told['longest'] <= LONGEST_S ? 'ok' : 'MISSED');
printf("    %s\n", $told['machine']);
// Beside each, what other machines took from five seconds before it on; longest first.
usort($told['long'], fn (array $a, array $b) => $b['took'] <=> $a['took']);
foreach (array_slice($told['long'], 0, LONG_TOLD) as $one) {
    printf("    %.1f s while others took %.0f %% of the processors: %s\n", $one['took'], 100 * $one['taken'], $one['of']);
}
printf("    longer than %.0f s: %d of %d\n", LONGEST_S, count($told['long']), $told['asked']);
printf("  errors seen %d   %s\n", count($told['errors']), $told['errors'] === [] ? 'ok' : 'MISSED');
foreach (array_slice($told['errors'], 0, 10) as $error) {
    printf("    %s\n", $error);
}
printf("  rigs whose rows differ from their last revision %d   %s\n", $different, $different === 0 ? 'ok' : 'MISSED');
printf("  table and column added while it served   %s\n", $migrated ? 'ok' : 'MISSED');
exit($isOk ? 0 : 1);
