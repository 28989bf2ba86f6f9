<?php

declare(strict_types=1);

namespace App\Rigs;

/**
 * Which build this is: objects that were kept by another are not taken up. Read off the files; a server reads them once, when its settings
 * are cached (`app.build`), so that no page looks at six hundred files.
 */
final class CoreBuild
{
    private const CORE = ['core/*.php', 'core/*/*.php', 'core/*/*/*.php', 'core/*/*/*/*.php', 'app/Exports/*.php',
        'resources/book/*'];

    private const PAGES = ['app/*/*.php', 'app/*/*/*.php', 'app/*/*/*/*.php', 'resources/views/*/*.php', 'resources/views/*/*/*.php',
        'routes/web.php', 'public/build/manifest.json'];

    private const DATA = ['resources/catalogue/*.json', 'resources/starters/*.json', 'resources/starters/layouts/*.json',
        'resources/rigs/*.json', 'resources/rigs/layouts/*.json'];

    /** Of the core and the exports: what is made by them is kept under this name. */
    public static function stamp(): string
    {
        return self::known()['core'];
    }

    /** Of the models and rigs that ship with it. */
    public static function dataStamp(): string
    {
        return self::known()['data'];
    }

    /** Of all that a page is made by. */
    public static function pageStamp(): string
    {
        return self::known()['pages'].self::known()['data'];
    }

    /** @return array{core: string, data: string, pages: string} as the files are now */
    public static function read(string $root): array
    {
        $of = fn (array $patterns): string => hash('xxh128', implode("\n", array_map(
            fn (string $file) => $file.filemtime($file),
            array_merge(...array_map(fn (string $pattern) => glob("{$root}/{$pattern}") ?: [], $patterns)),
        )));

        return ['core' => $of(self::CORE), 'data' => $of(self::DATA), 'pages' => $of(self::PAGES)];
    }

    /** @return array{core: string, data: string, pages: string} */
    private static function known(): array
    {
        /** @var array{core: string, data: string, pages: string}|null $build */
        $build = config('app.build');

        return $build ?? once(fn () => self::read(base_path()));
    }
}
