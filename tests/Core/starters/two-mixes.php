<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'i' => 'fx/microphone',
        'v' => 'fx/virtual-1',
        'w' => 'fx/virtual-2',
        'E' => 'fx/ears',
        'P' => 'fx/programme',
        'C' => 'fx/call',
        'l' => 'pc/line-out',
        'c' => 'cast/source-1',
        'G' => 'game/sound',
        'U' => 'music/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
                me              viewers        caller-ear
        voice   1b:iEl/0/25     1b:Pc/0/29     1m:C/0/99
        game    1b:GvEl/0/27    1b:GvPc/-6/29  0
        music   1b:UwEl/-10/27  1b:UwPc/0/29   0
        caller  1b:Kl/0/80      0              0
    ',
    'situations' => [
        'dry' => ['voice viewers' => '1b:iPc/0/27'],
    ],
    'mistakes' => [
        'a route on that should be off: the game in the call' => [
            fn (Draft $d) => $d->set('fx', 'routes', 'virtual-1>call', ['on' => true]),
            ['game caller-ear' => 'L1m:GvC/-6/99'],
        ],
        'the microphone forgotten on mute' => [
            fn (Draft $d) => $d->set('fx', 'points', 'microphone', ['mute' => true]),
            ['voice me' => 'M0', 'voice viewers' => 'M0', 'voice caller-ear' => 'M0'],
        ],
    ],
];
