<?php

declare(strict_types=1);

namespace App\Exports;

use Illuminate\Support\Facades\Process;

/** QR codes as SVG, drawn under Node. */
final class Codes
{
    private const SECONDS = 60;

    /** What a shell answers with where there is no such command. */
    private const NO_COMMAND = 127;

    /**
     * @param  list<string>  $texts
     * @return list<string> an SVG for each, as large as what it stands in
     *
     * @throws NotInstalled with the command that installs what is missing
     */
    public static function of(array $texts): array
    {
        $run = Process::path(base_path())->timeout(self::SECONDS)->input((string) json_encode($texts, JSON_INVALID_UTF8_SUBSTITUTE))
            ->run(['node', 'resources/js/codes/headless.js']);
        if ($run->exitCode() === self::NO_COMMAND || str_contains($run->errorOutput(), 'ERR_MODULE_NOT_FOUND')) {
            throw new NotInstalled('Codes are drawn under Node.js, with libraries that are not there. Run "npm ci", or bin/start.');
        }
        $drawn = json_decode($run->output(), true);
        if (! is_array($drawn)) {
            throw new \RuntimeException('The codes of the labels can\'t be drawn: '.trim($run->errorOutput()));
        }
        /** @var list<array{size: int, path: string}> $drawn */

        return array_map(
            fn (array $one) => "<svg viewBox=\"0 0 {$one['size']} {$one['size']}\"><path d=\"{$one['path']}\"/></svg>",
            $drawn,
        );
    }
}
