<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

use HiddenWire\Core\Rig\Format\Things\Rigs;

/**
 * The published schema of a rig document (JSON Schema 2020-12), for others' validators. What a schema can't say is left out: that
 * references lead somewhere, and how many decimals a number has (`multipleOf` of a fraction refuses lawful values where numbers are
 * binary).
 */
final class Schema
{
    /** @return array<string, mixed> */
    public static function rig(): array
    {
        $definitions = new Definitions;
        $rig = Rigs::rig()->schema($definitions);

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://hidden-wire.test/format/rig-'.Rigs::VERSION.'.schema.json',
            'title' => 'Hidden Wire rig document, version '.Rigs::VERSION,
            'description' => 'One rig, complete and self-contained. What a schema can\'t say (that references lead somewhere, that '
                .'settings lie in their range) is said in docs/format/README.md and checked by the reader.',
            ...$rig,
            '$defs' => $definitions->all(),
        ];
    }
}
