<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'm' => 'mix/mic',
        'g' => 'mix/pair-2',
        's' => 'mix/pair-1',
        'k' => 'mix/pair-3',
        'P' => 'mix/phones',
        'S' => 'mix/programme',
        'C' => 'mix/voice',
        'L' => 'mix/line-out',
        'c' => 'cast/source-1',
        'G' => 'game/sound',
        'U' => 'music/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
                me           viewers       track        caller-ear
        voice   0            1b:mSc/0/10   1b:mL/0/10   1m:mC/0/80
        game    1b:GgP/0/10  1b:GgSc/0/20  1b:GgL/0/20  0
        music   1b:UsP/0/10  1b:UsSc/0/20  1b:UsL/0/20  0
        caller  1b:KkP/0/80  1b:KkSc/0/90  0            0
    ',
    'situations' => [
        'off' => [
            'voice viewers' => '0', 'voice track' => '0', 'game viewers' => '0', 'game track' => '0', 'music viewers' => '0',
            'music track' => '0', 'caller viewers' => '0',
        ],
    ],
    'mistakes' => [
        'a route on that should be off: the callers on the line output' => [
            fn (Draft $d) => $d->set('mix', 'routes', 'pair-3>line-out', ['on' => true]),
            ['caller track' => 'L1b:KkL/0/90'],
        ],
        'a cable in the wrong socket: pink instead of blue' => [
            fn (Draft $d) => $d->replug('mix/line-out', 'pc/mic-in'),
            ['voice track' => 'M0', 'game track' => 'M0', 'music track' => 'M0'],
        ],
    ],
];
