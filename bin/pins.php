<?php

declare(strict_types=1);

/*
 * Which versions of PHP libraries are installed. There is no lock file: composer.json names the direct ones in exact versions, and holds
 * the indirect ones to theirs in its block "conflict", which this script writes.
 *
 *   php bin/pins.php            says where what is installed differs from composer.json, and ends with 1 then
 *   php bin/pins.php --write    writes the block from what is installed
 */
$root = dirname(__DIR__);
$composer = json_decode((string) file_get_contents("{$root}/composer.json"), true, flags: JSON_THROW_ON_ERROR);
$installed = [];
foreach (json_decode((string) file_get_contents("{$root}/vendor/composer/installed.json"), true, flags: JSON_THROW_ON_ERROR)['packages'] as $one) {
    $installed[$one['name']] = ltrim($one['version'], 'v');
}
ksort($installed);
$direct = array_filter(
    [...$composer['require'], ...$composer['require-dev']],
    fn (string $name) => $name !== 'php' && ! str_starts_with($name, 'ext-'),
    ARRAY_FILTER_USE_KEY,
);
$indirect = array_diff_key($installed, $direct);

if (($argv[1] ?? '') === '--write') {
    // Whatever else is no other version of it: the installer has one choice left.
    $composer['conflict'] = array_map(fn (string $version) => "!={$version}", $indirect);
    file_put_contents("{$root}/composer.json", json_encode($composer, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n");
    printf("%d indirect libraries are held to their versions.\n", count($indirect));
    exit(0);
}
$wanted = [...$direct, ...array_map(fn (string $not) => ltrim($not, '!='), $composer['conflict'] ?? [])];
$differ = [];
foreach ($wanted + $installed as $name => $version) {
    $is = $installed[$name] ?? 'missing';
    $wants = $wanted[$name] ?? 'none';
    if ($is !== $wants) {
        $differ[] = "{$name}: {$is} is installed, composer.json names {$wants}.";
    }
}
if ($differ === []) {
    exit(0);
}
echo implode("\n", $differ), "\nRun \"composer update\" to get what it names; where the new ones are wanted, \"php bin/pins.php --write\".\n";
exit(1);
