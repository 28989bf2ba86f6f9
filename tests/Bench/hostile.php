<?php

declare(strict_types=1);

/*
 * The hostile bench: `hostile.php SEED DOCUMENTS FORMS REQUESTS`. Rigs that are made to take long are timed first, alone; then two processes,
 * one a core, do half of the rest each, with a seed of their own: `hostile.php SEED DOCUMENTS FORMS REQUESTS PART`, which ends with its counts
 * as JSON. Prints how it goes, what was made of each change, each failure with its seed, and how long and large the slowest rigs were.
 */

use App\Actions\ImportRig;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Symfony\Component\Process\Process;
use Tests\Bench\Hostile;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const RIGS = 0;

[, $seed, $documents, $forms, $requests, $part] = array_map(intval(...), $argv) + [5 => null];
if ($part === null) {
    all($seed, [$documents, $forms, $requests]);
}

$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('middleware.disable', false);
$app->bind(ThrottleRequests::class, fn () => new class
{
    public function handle(mixed $request, Closure $next): mixed
    {
        return $next($request);
    }
});
$say = function (string $what) use ($part): void {
    echo '      '.['rigs', 'a', 'b'][$part].": {$what}\n";
    flush();
};
$hostile = new Hostile(10 * $seed + $part, tell: $say);
$user = User::query()->create(['name' => 'Hostile', 'email' => 'hostile-'.bin2hex(random_bytes(6)).'@example.test',
    'password' => bin2hex(random_bytes(12))]);
$took = function (string $what, callable $do) use ($say): void {
    $start = hrtime(true);
    $do();
    $say(sprintf('%s, %.1f s', $what, (hrtime(true) - $start) / 1e9));
};
if ($part === RIGS) {
    foreach ($hostile->rigs() as $name => [$seconds, $mib, $outcome]) {
        $say(sprintf('%-50s %6.2f s %7.1f MiB  %s', $name, $seconds, $mib, mb_strimwidth($outcome, 0, 80, '…')));
    }
} else {
    $took("{$documents} documents", fn () => $hostile->documents($documents));
    $took("{$forms} forms", fn () => $hostile->forms($forms, $user));
    $took("{$requests} requests", fn () => $hostile->requests(
        $requests,
        $user,
        app(ImportRig::class)($user, (string) file_get_contents(resource_path('rigs/penny-slot.json'))),
    ));
}
echo json_encode(['counts' => $hostile->counts, 'edits' => $hostile->edits, 'failures' => $hostile->failures], JSON_INVALID_UTF8_SUBSTITUTE), "\n";

/**
 * Runs the parts, says what they say, and adds up what they have counted.
 *
 * @param  array{int, int, int}  $numbers  of documents, forms and requests
 */
function all(int $seed, array $numbers): never
{
    printf("Seed %d\n", $seed);
    $begun = hrtime(true);
    $begin = function (int $part) use ($seed, $numbers): Process {
        $share = array_map(fn (int $all) => (string) intdiv($all + $part - 1, 2), $numbers);
        $process = new Process([PHP_BINARY, '-d', 'memory_limit=2G', __FILE__, (string) $seed, ...$share, (string) $part], timeout: null);
        $process->start(fn (string $type, string $output) => print preg_replace('/^\{.*\n?/m', '', $output));

        return $process;
    };
    $rigs = $begin(RIGS);
    $rigs->wait();
    $counts = $edits = $failures = [];
    foreach ([$rigs, $begin(1), $begin(2)] as $part) {
        $part->wait();
        $lines = explode("\n", trim($part->getOutput()));
        $told = json_decode((string) end($lines), true);
        $failures = [...$failures, ...(is_array($told) ? $told['failures'] : ['A part did not come to its end: '.end($lines).$part->getErrorOutput()])];
        foreach ($told['counts'] ?? [] as $what => $count) {
            $counts[$what] = ($counts[$what] ?? 0) + $count;
        }
        foreach ($told['edits'] ?? [] as $word => $each) {
            $edits[$word] = array_map(fn (int $a, int $b) => $a + $b, $each, $edits[$word] ?? [0, 0, 0]);
        }
    }
    foreach ($counts as $what => $count) {
        printf("  %-24s %7d\n", $what, $count);
    }
    printf("  %-24s %7s %8s %8s\n", 'each change', 'made', 'refused', 'nothing');
    ksort($edits);
    foreach ($edits as $word => $each) {
        printf("      %-20s %7d %8d %8d\n", $word, ...$each);
    }
    $made = $counts['forms made'] ?? 0;
    $all = array_sum(array_map(array_sum(...), $edits));
    // Fewer forms, fewer of each.
    $least = (int) floor(20 * min(1, $numbers[1] / 24_000));
    $rare = Hostile::rare($edits, $least);
    $isEnough = $rare === [] && $made * 2 >= $all;
    printf("  %d of %d forms made (limit half)%s   %s\n", $made, $all, $rare === [] ? ", each change {$least} times or more"
        : "; fewer than {$least} times: ".implode(', ', $rare), $isEnough ? 'ok' : 'MISSED');
    $minutes = (hrtime(true) - $begun) / 6e10;
    printf("  %.1f minutes (limit 40)   %s\n", $minutes, $minutes <= 40 ? 'ok' : 'MISSED');
    foreach (array_slice($failures, 0, 20) as $failure) {
        echo '  FAILURE ', $failure, "\n";
    }
    printf("  %d crashes, unreadable rigs, or answers past 10 s or 512 MiB   %s\n", count($failures), $failures === [] ? 'ok' : 'MISSED');
    exit($failures === [] && $isEnough && $minutes <= 40 ? 0 : 1);
}
