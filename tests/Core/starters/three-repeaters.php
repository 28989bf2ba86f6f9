<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'A' => 'rep-1/out',
        'B' => 'rep-2/out',
        'C' => 'rep-3/out',
        'K' => 'call/speaker',
        'l' => 'pc/line-out',
    ],
    'table' => '
                me            track        caller-ear
        voice   0             1b:A/0/64    1m/-6/80
        caller  1b:KCl/0/134  1b:KB/0/138  0
        ring    1b:l/0/10     0            0
    ',
    'situations' => [
        'idle' => ['voice track' => '0', 'caller track' => '0'],
    ],
    'mistakes' => [
        'a wrong pick: the ring goes where the callers go' => [
            fn (Draft $d) => $d->pick('call/ring', ['device' => 'cable-2/in']),
            ['ring me' => '1b:Cl/0/64', 'ring track' => 'L1b:B/0/68'],
        ],
        'a loopback on a used cable: the second repeater feeds what it takes' => [
            fn (Draft $d) => $d->pick('rep-2/out', ['device' => 'cable-2/in']),
            ['caller me' => '@1b:KCl/0/134', 'caller track' => 'M0'],
        ],
    ],
];
