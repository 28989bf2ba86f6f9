<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'P' => 'face/phones',
        'K' => 'call/speaker',
        'r' => 'rep/out',
        'o' => 'pc/line-out',
        'B' => 'bell/cone',
    ],
    // The repeater is 40 ms late, each side of a virtual cable 7, the call 10 in the program and 60 on the network.
    'table' => '
                ears          caller-ear  clerk-track  caller-track  waiting
        clerk   0             1m/0/79     1b/0/9       0             0
        caller  1b:KrP/0/132  0           0            1b:K/0/84     0
        bell    0             0           0            0             1b:oB/-10/10
    ',
    'situations' => [
        'closed' => [
            'clerk caller-ear' => '0',
            'caller ears' => '0',
            'caller caller-track' => '0',
            'bell waiting' => '0',
        ],
    ],
    'mistakes' => [
        'the call takes the callers for its microphone' => [
            fn (Draft $d) => $d->pick('call/microphone', ['device' => 'line/out']),
            [
                'clerk caller-ear' => 'M0',
                'caller caller-ear' => 'L1m:K/0/154',
            ],
        ],
        'the bell rings into the line' => [
            fn (Draft $d) => $d->pick('call/ring', ['device' => 'line/in']),
            [
                'bell ears' => '1b:rP/0/62',
                'bell caller-track' => 'L1b/0/14',
                'bell waiting' => 'M0',
            ],
        ],
    ],
];
