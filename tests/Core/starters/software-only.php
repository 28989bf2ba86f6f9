<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'i' => 'soft/input-1',
        'j' => 'soft/input-2',
        'v' => 'soft/virtual-1',
        'w' => 'soft/virtual-2',
        'E' => 'soft/ears',
        'P' => 'soft/programme',
        'C' => 'soft/call',
        'l' => 'pc/line-out',
        'c' => 'cast/source-1',
        'G' => 'game/sound',
        'U' => 'music/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
                me            viewers       caller-ear
        voice   0             1b:iPc/0/27   1m:iC/0/97
        game    1b:GvEl/0/27  1b:GvPc/0/29  0
        music   1b:UjEl/0/29  1b:UjPc/0/31  0
        caller  1b:KwEl/0/97  1b:KwPc/0/99  0
    ',
    'situations' => [
        'aside' => ['voice viewers' => '0', 'caller viewers' => '0'],
    ],
    'mistakes' => [
        'a route on that should be off: the caller in the call feed' => [
            fn (Draft $d) => $d->set('soft', 'routes', 'virtual-2>call', ['on' => true]),
            ['caller caller-ear' => 'L1m:KwC/0/169'],
        ],
        'a wrong pick: the broadcast program takes the bare microphone' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'mic/usb/rec']),
            [
                'voice viewers' => '1b:c/0/10', 'game viewers' => 'M0', 'music viewers' => 'M0', 'caller viewers' => 'M0',
            ],
        ],
    ],
];
