<?php

declare(strict_types=1);

use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;

/**
 * What a tool answers as JSON; null where it has no answer (no network, or a registry that does not offer it). @param  list<string>
 * $command @return array<string, mixed>|null
 */
function answerOf(array $command): ?array
{
    $run = Process::path(base_path())->timeout(40)->env(['COMPOSER_ALLOW_SUPERUSER' => '1'])->run($command);
    $answer = json_decode($run->output(), true);

    return is_array($answer) && ! isset($answer['error'], $answer['message']) && ! isset($answer['statusCode']) ? $answer : null;
}

it('names an exact version of every library that is used directly', function () {
    $composer = json_decode((string) file_get_contents(base_path('composer.json')), true);
    $npm = json_decode((string) file_get_contents(base_path('package.json')), true);
    $versions = array_filter(
        [...$composer['require'], ...$composer['require-dev'], ...$npm['dependencies'] ?? [],
            ...$npm['devDependencies']],
        fn (string $name) => $name !== 'php' && ! str_starts_with($name, 'ext-'),
        ARRAY_FILTER_USE_KEY,
    );
    expect(count($versions))->toBeGreaterThan(15);
    foreach ($versions as $name => $version) {
        expect($version)->toMatch('/^\d+\.\d+\.\d+$/', (string) $name);
    }
    // Every extension that is used is named; what only tests use is not installed with the application.
    expect(array_keys($composer['require']))
        ->toContain('ext-dom', 'ext-exif', 'ext-gd', 'ext-intl', 'ext-mbstring', 'ext-pdo_mysql', 'ext-zip')
        ->not->toContain('opis/json-schema');
});

it('holds every library to one version, the indirect ones too, and names no pre-release', function () {
    $check = fn (string $root) => Process::run([PHP_BINARY, "{$root}/bin/pins.php"]);
    expect($check(base_path())->successful())->toBeTrue($check(base_path())->output());
    // Of a set that differs both versions are named.
    $other = sys_get_temp_dir().'/hidden-wire-pins-'.getmypid();
    foreach (['bin', 'vendor/composer'] as $folder) {
        File::ensureDirectoryExists("{$other}/{$folder}");
    }
    foreach (['bin/pins.php', 'composer.json', 'vendor/composer/installed.json'] as $file) {
        File::copy(base_path($file), "{$other}/{$file}");
    }
    $composer = (string) file_get_contents("{$other}/composer.json");
    preg_match('/"psr\/log": "!=([\d.]+)"/', $composer, $pinned);
    file_put_contents("{$other}/composer.json", str_replace($pinned[0], '"psr/log": "!=1.0.0"', $composer));
    expect($check($other)->successful())->toBeFalse()->and($check($other)->output())->toStartWith("psr/log: {$pinned[1]} is installed, composer.json names 1.0.0.");
    // Written again, it is the block that is there.
    Process::run([PHP_BINARY, "{$other}/bin/pins.php", '--write']);
    expect(file_get_contents("{$other}/composer.json"))->toBe($composer);
    File::deleteDirectory($other);
    $lock = json_decode((string) file_get_contents(base_path('package-lock.json')), true);
    foreach ($lock['packages'] as $name => $one) {
        expect($one['version'] ?? '0.0.0')->toMatch('/^\d+\.\d+\.\d+$/', $name)->and($one)->not->toHaveKey('resolved');
    }
});

it('names the licence of every library that is used directly', function () {
    $composer = json_decode((string) file_get_contents(base_path('composer.json')), true);
    $npm = json_decode((string) file_get_contents(base_path('package.json')), true);
    $page = (string) file_get_contents(base_path('docs/licences.md'));
    foreach (array_keys([...$composer['require'], ...$composer['require-dev'], ...$npm['devDependencies']]) as $name) {
        if ($name !== 'php' && ! str_starts_with($name, 'ext-') && ! str_starts_with($name, 'pestphp/pest-plugin')) {
            expect($page)->toContain("`{$name}`");
        }
    }
    expect((string) file_get_contents(base_path('LICENSE')))->toStartWith("{$composer['license']} License");
});

it('uses no PHP library with a known advisory', function () {
    $answer = answerOf(['composer', 'audit', '--format=json', '--no-interaction']);
    $answer === null ? $this->markTestSkipped('The registry gave no answer about advisories.') : expect($answer['advisories'])->toBe([]);
});

it('uses no browser library with a known advisory', function () {
    $answer = answerOf(['npm', 'audit', '--json', '--omit=dev']);
    isset($answer['vulnerabilities']) ? expect($answer['vulnerabilities'])->toBe([])
        : $this->markTestSkipped('The registry gave no answer about advisories.');
});

it('says which library has a newer release', function () {
    $answer = answerOf(['composer', 'outdated', '--direct', '--minor-only', '--format=json', '--no-interaction']);
    if ($answer === null || ! isset($answer['installed'])) {
        $this->markTestSkipped('The registry gave no answer about releases.');
    }
    $newer = array_map(fn (array $one) => "{$one['name']} {$one['version']} → {$one['latest']}", $answer['installed']);
    expect($newer)->toBeArray();
    if ($newer !== []) {
        // Newer is no fault: it is said, and nothing fails.
        $this->markTestIncomplete('Newer releases: '.implode(', ', $newer));
    }
});
