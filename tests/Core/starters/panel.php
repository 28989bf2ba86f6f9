<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'panel/ch-1',
        'b' => 'panel/ch-2',
        'g' => 'panel/ch-3',
        's' => 'panel/ch-7-8',
        'M' => 'panel/main',
        'P' => 'panel/phones',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'e' => 'cast/source-3',
        'L' => 'laptop/phones',
        'S' => 'slides/sound',
        'R' => 'mirror/out',
        'K' => 'call/speaker',
    ],
    'table' => '
                ears           viewers
        chair   1b:aMP/0/0     1b:aMc/0/10
        first   1b:bMP/0/0     1b:bMc/0/10
        second  1b:gMP/0/0     1b:gMc/0/10
        slides  2b:SLsMP/0/10  2b:SLsMc/0/20
    ',
    'situations' => [
        'by-picture' => ['slides ears' => '0', 'slides viewers' => '1b:SRd/0/132'],
        'by-network' => ['slides ears' => '0', 'slides viewers' => '1b:SKe/-6/164'],
    ],
    'mistakes' => [
        'two of the three at once' => [
            fn (Draft $d) => $d->set('cast', 'points', 'source-2', ['mute' => false]),
            ['slides viewers' => 'D3b:SLsMc/0/20'],
        ],
        'a cable is out: the right side of the slides' => [
            fn (Draft $d) => $d->unplug('lead/right'),
            ['slides ears' => 'S1l:SLsMP/0/10', 'slides viewers' => 'S1l:SLsMc/0/20'],
        ],
    ],
];
