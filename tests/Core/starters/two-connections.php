<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'desk/mic-1',
        'b' => 'desk/mic-2',
        'g' => 'desk/main-2',
        'm' => 'desk/main-1',
        'k' => 'desk/call-1',
        'P' => 'desk/phones-1',
        'Q' => 'desk/phones-2',
        'S' => 'desk/speakers',
        'T' => 'desk/to-main-1',
        'C' => 'desk/to-call-1',
        'D' => 'desk/to-main-2',
        'r' => 'speakers/cone',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'G' => 'game/sound',
        'U' => 'music/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
                host-ears  co-ears  room  viewers  caller-ear  team
        host    0          1b:aQ    0     1b:aTc   1m:aC       1m:aD
        cohost  1b:bP      0        0     1b:bTc   1m:bC       0
        game    1b:GgP     1b:GgQ   0     1b:GgTc  1m:GgC      0
        music   1b:UmP     1b:UmQ   0     1b:Ud    0           0
        caller  1b:KkP     1b:KkQ   0     1b:KkTc  0           0
    ',
    'situations' => [
        'talk' => ['host viewers' => '0', 'cohost viewers' => '0', 'caller viewers' => '0'],
        'break' => ['host co-ears' => '0', 'host viewers' => '0', 'host caller-ear' => '0', 'host team' => '0', 'cohost host-ears' => '0', 'cohost viewers' => '0', 'cohost caller-ear' => '0', 'game room' => '2b:GgSr', 'music room' => '2b:UmSr', 'caller room' => '2b:KkSr'],
    ],
    'mistakes' => [
        'a route on that should be off: the caller hears themselves' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'call-1>to-call-1', ['on' => true]),
            ['caller caller-ear' => 'L1m:KkC'],
        ],
        'a wrong pick: the broadcast program takes the call device' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'desk/usb-1/call-rec']),
            ['host viewers' => '1b:aCc', 'cohost viewers' => '1b:bCc', 'game viewers' => '1b:GgCc', 'caller viewers' => 'M0'],
        ],
    ],
];
