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
$hostile = new Hostile((int) $seed);
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
foreach (array_slice($hostile->failures, 0, 20) as $failure) {
    echo '  FAILURE ', $failure, "\n";
}
printf("  %d crashes, unreadable rigs, or answers past 10 s or 512 MiB   %s\n", count($hostile->failures), $hostile->failures === []
    ? 'ok' : 'MISSED');
exit($hostile->failures === [] ? 0 : 1);
