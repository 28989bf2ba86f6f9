<?php

declare(strict_types=1);

/* The hostile bench: `hostile.php SEED DOCUMENTS FORMS REQUESTS`. Prints its counts, each failure with its seed,
    and how long and large the slowest rigs were. */

use App\Actions\ImportRig;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Tests\Bench\Hostile;

require dirname(__DIR__, 2).'/vendor/autoload.php';
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

[, $seed, $documents, $forms, $requests] = [...$argv, 0, 0, 0, 0];
$hostile = new Hostile((int) $seed, tell: function (string $what): void {
    echo "      {$what}\n";
    flush();
});
$user = User::query()->create(['name' => 'Hostile', 'email' => 'hostile-'.bin2hex(random_bytes(6)).'@example.test',
    'password' => bin2hex(random_bytes(12))]);
$took = function (string $what, callable $do): void {
    $start = hrtime(true);
    $do();
    printf("  %-10s %7.1f s\n", $what, (hrtime(true) - $start) / 1e9);
};
printf("Seed %d\n", $seed);
$took('rigs', function () use ($hostile) {
    foreach ($hostile->rigs() as $name => [$seconds, $mib, $outcome]) {
        printf("      %-48s %6.2f s %7.1f MiB  %s\n", $name, $seconds, $mib, mb_strimwidth($outcome, 0, 90, '…'));
    }
});
$took('documents', fn () => $hostile->documents((int) $documents));
$took('forms', fn () => $hostile->forms((int) $forms, $user));
$took('requests', fn () => $hostile->requests((int) $requests, $user,
    app(ImportRig::class)($user, (string) file_get_contents(resource_path('rigs/penny-slot.json')))));
foreach ($hostile->counts as $what => $count) {
    printf("  %-24s %7d\n", $what, $count);
}
printf("  %-24s %7s %8s %8s\n", 'each change', 'made', 'refused', 'nothing');
ksort($hostile->edits);
foreach ($hostile->edits as $word => [$made, $refused, $nothing]) {
    printf("      %-20s %7d %8d %8d\n", $word, $made, $refused, $nothing);
}
$made = $hostile->counts['forms made'] ?? 0;
$all = array_sum(array_map(array_sum(...), $hostile->edits));
// Fewer forms, fewer of each.
$least = (int) floor(20 * min(1, $forms / 24_000));
$rare = $hostile->rare($least);
$isEnough = $rare === [] && $made * 2 >= $all;
printf("  %d of %d forms made (limit half)%s   %s\n", $made, $all, $rare === [] ? ", each change {$least} times or more"
    : "; fewer than {$least} times: ".implode(', ', array_keys($rare)), $isEnough ? 'ok' : 'MISSED');
printf("  %d crashes, unreadable rigs, or answers past 10 s or 512 MiB   %s\n", count($hostile->failures), $hostile->failures === []
    ? 'ok' : 'MISSED');
exit($hostile->failures === [] && $isEnough ? 0 : 1);
