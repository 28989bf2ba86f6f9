<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'desk/mic-1',
        'b' => 'desk/mic-2',
        's' => 'desk/mic-3',
        'M' => 'desk/main',
        'G' => 'desk/group-1',
        'X' => 'desk/aux-1',
        'P' => 'desk/phones',
        'c' => 'cast/source-1',
        'r' => 'horns/cone',
    ],
    // The aux takes all three before their faders. An isolator takes 0.5 dB, the horns are at -6.
    'table' => '
                 ears         pier           viewers
        ann      1b:aMP/0/0   0              1b:Xc/-0.5/9
        ben      1b:bMP/0/0   0              1b:Xc/-0.5/9
        starter  1b:sGMP/0/0  2b:sGr/-6.5/0  1b:Xc/-0.5/9
    ',
    'situations' => [
        'start' => [
            'ann viewers' => '0',
            'ben viewers' => '0',
        ],
    ],
    'mistakes' => [
        'the starter is on the main instead of the pier' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'mic-3>main', ['on' => true])->set('desk', 'routes', 'mic-3>group-1', ['on' => false]),
            [
                'starter ears' => '1b:sMP/0/0',
                'starter pier' => 'M0',
            ],
        ],
        'a commentator is on the pier' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'mic-1>group-1', ['on' => true]),
            [
                'ann ears' => '1b:aGMP/0/0',
                'ann pier' => 'L2b:aGr/-6.5/0',
            ],
        ],
    ],
];
