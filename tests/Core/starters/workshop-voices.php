<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'soft/input-1',
        'b' => 'soft/input-2',
        'e' => 'soft/input-3',
        'u' => 'soft/played-1',
        'E' => 'soft/mix-1',
        'F' => 'soft/feed-1',
        'G' => 'soft/feed-2',
        'U' => 'tune/sound',
        'o' => 'pc/line-out',
    ],
    // 10 ms of each microphone, 7 in the mixer, 15 at each of its devices.
    'table' => '
               ears          all          alone
        ann    0             1b:aF/0/32   0
        ben    0             1b:bF/0/32   0
        guest  0             1b:eF/0/32   1b:eG/0/32
        tune   1b:UuEo/0/32  1b:UuF/0/37  0
    ',
    'situations' => [
        'pause' => [
            'ann all' => '0',
            'ben all' => '0',
            'guest all' => '0',
            'guest alone' => '0',
        ],
    ],
    'mistakes' => [
        'the recorder takes one microphone instead of all' => [
            fn (Draft $d) => $d->pick('rec-a/in-1', ['device' => 'mic-a/usb/rec']),
            [
                'ann all' => '1b/0/10',
                'ben all' => 'M0',
                'guest all' => 'M0',
                'tune all' => 'M0',
            ],
        ],
        'the first voice is in the guest\'s feed' => [
            fn (Draft $d) => $d->set('soft', 'routes', 'input-1>feed-2', ['on' => true]),
            [
                'ann alone' => 'L1b:aG/0/32',
            ],
        ],
    ],
];
