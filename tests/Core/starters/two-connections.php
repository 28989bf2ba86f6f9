<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'desk/mic-1',
        'b' => 'desk/mic-2',
        'g' => 'desk/pair-2',
        'm' => 'desk/pair-1a',
        'k' => 'desk/pair-1b',
        'P' => 'desk/phones-1',
        'Q' => 'desk/phones-2',
        'S' => 'desk/speakers',
        'T' => 'desk/to-1a',
        'C' => 'desk/to-1b',
        'D' => 'desk/to-2',
        'r' => 'speakers/cone',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'G' => 'game/sound',
        'U' => 'music/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
                host-ears    co-ears      room  viewers       caller-ear    team
        host    0            1b:aQ/0/0    0     1b:aTc/0/10   1m:aC/0/80    1m:aD/0/70
        cohost  1b:bP/0/0    0            0     1b:bTc/0/10   1m:bC/0/80    0
        game    1b:GgP/0/10  1b:GgQ/0/10  0     1b:GgTc/0/20  1m:GgC/-6/90  0
        music   1b:UmP/0/10  1b:UmQ/0/10  0     1b:Ud/0/10    0             0
        caller  1b:KkP/0/80  1b:KkQ/0/80  0     1b:KkTc/0/90  0             0
    ',
    'situations' => [
        'talk' => ['host viewers' => '0', 'cohost viewers' => '0', 'caller viewers' => '0'],
        'break' => [
            'host co-ears' => '0', 'host viewers' => '0', 'host caller-ear' => '0', 'host team' => '0',
            'cohost host-ears' => '0', 'cohost viewers' => '0', 'cohost caller-ear' => '0', 'game room' => '2b:GgSr/-10/10',
            'music room' => '2b:UmSr/-10/10', 'caller room' => '2b:KkSr/-10/80',
        ],
    ],
    'mistakes' => [
        'a route on that should be off: the caller hears themselves' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'pair-1b>to-1b', ['on' => true]),
            ['caller caller-ear' => 'L1m:KkC/0/160'],
        ],
        'a wrong pick: the broadcast program takes the call device' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'desk/usb-1/rec-b']),
            [
                'host viewers' => '1b:aCc/0/10', 'cohost viewers' => '1b:bCc/0/10', 'game viewers' => '1b:GgCc/0/20',
                'caller viewers' => 'M0',
            ],
        ],
    ],
];
