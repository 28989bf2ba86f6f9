<?php

declare(strict_types=1);

namespace App\Exports;

use App\Rigs\NodeScript;

/** QR codes as SVG, drawn under Node. */
final class Codes
{
    private const SECONDS = 60;

    /**
     * @param  list<string>  $texts
     * @return list<string> an SVG for each, as large as its container
     *
     * @throws NotInstalled with the command that installs what is missing
     */
    public static function of(array $texts): array
    {
        $drawn = NodeScript::run('resources/js/codes/headless.js', $texts, self::SECONDS, 'To draw codes');

        /** @var list<array{size: int, path: string}> $drawn */
        return array_map(
            fn (array $one) => "<svg viewBox=\"0 0 {$one['size']} {$one['size']}\"><path d=\"{$one['path']}\"/></svg>",
            $drawn,
        );
    }
}
