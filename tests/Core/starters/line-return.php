<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'm' => 'mix/mic',
        'g' => 'mix/game',
        's' => 'mix/system',
        'k' => 'mix/chat',
        'P' => 'mix/phones',
        'S' => 'mix/stream-mix',
        'C' => 'mix/chat-mic',
        'L' => 'mix/line-out',
        'c' => 'cast/source-1',
        'G' => 'game/sound',
        'U' => 'music/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
                me      viewers  track   caller-ear
        voice   0       1b:mSc   1b:mL   1m:mC
        game    1b:GgP  1b:GgSc  1b:GgL  0
        music   1b:UsP  1b:UsSc  1b:UsL  0
        caller  1b:KkP  1b:KkSc  0       0
    ',
    'situations' => [
        'off' => ['voice viewers' => '0', 'voice track' => '0', 'game viewers' => '0', 'game track' => '0', 'music viewers' => '0', 'music track' => '0', 'caller viewers' => '0'],
    ],
    'mistakes' => [
        'a route on that should be off: the callers on the line output' => [
            fn (Draft $d) => $d->set('mix', 'routes', 'chat>line-out', ['on' => true]),
            ['caller track' => 'L1b:KkL'],
        ],
        'a cable in the wrong socket: pink instead of blue' => [
            fn (Draft $d) => $d->replug('mix/line-out', 'pc/mic-in'),
            ['voice track' => 'M0', 'game track' => 'M0', 'music track' => 'M0'],
        ],
    ],
];
