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
                ears      viewers
        chair   1b:aMP    1b:aMc
        first   1b:bMP    1b:bMc
        second  1b:gMP    1b:gMc
        slides  2b:SLsMP  2b:SLsMc
    ',
    'situations' => [
        'by-picture' => ['slides ears' => '0', 'slides viewers' => '1b:SRd'],
        'by-network' => ['slides ears' => '0', 'slides viewers' => '1b:SKe'],
    ],
    'mistakes' => [
        'two of the three at once' => [
            fn (Draft $d) => $d->set('cast', 'points', 'source-2', ['mute' => false]),
            ['slides viewers' => 'D3b:SLsMc'],
        ],
        'a cable is out: the right side of the slides' => [
            fn (Draft $d) => $d->unplug('lead/right'),
            ['slides ears' => 'S1l:SLsMP', 'slides viewers' => 'S1l:SLsMc'],
        ],
    ],
];
