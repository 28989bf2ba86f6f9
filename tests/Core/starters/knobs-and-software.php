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
        'c' => 'cast/source-1',
        'G' => 'game/sound',
        'U' => 'music/sound',
        'A' => 'alerts/sound',
        'B' => 'browser/sound',
        'K' => 'call/speaker',
        'b' => 'soft/virtual-1',
        'a' => 'soft/virtual-2',
        'u' => 'soft/virtual-3',
        'E' => 'soft/ears',
    ],
    'table' => '
                me             viewers         caller-ear
        voice   0              1b:mSc/0/10     1m:mC/0/80
        game    1b:GgP/0/10    1b:GgSc/0/20    0
        music   1b:UuEsP/0/27  1b:UuEsSc/0/37  0
        alerts  1b:AaEsP/0/27  1b:AaEsSc/0/37  0
        pages   1b:BbEsP/0/27  1b:BbEsSc/0/37  0
        caller  1b:KkP/0/80    1b:KkSc/0/90    0
    ',
    'situations' => [
        'break' => ['voice viewers' => '0', 'voice caller-ear' => '0'],
    ],
    'mistakes' => [
        'a route on that should be off: the chat goes back to the call' => [
            fn (Draft $d) => $d->set('mix', 'routes', 'pair-3>voice', ['on' => true]),
            ['caller caller-ear' => 'L1m:KkC/0/160'],
        ],
        'a wrong pick: the software mixer plays to the green socket' => [
            fn (Draft $d) => $d->pick('soft/ears', ['device' => 'pc/line-out/out']),
            [
                'music me' => 'M0', 'music viewers' => 'M0', 'alerts me' => 'M0', 'alerts viewers' => 'M0', 'pages me' => 'M0',
                'pages viewers' => '0',
            ],
        ],
    ],
];
