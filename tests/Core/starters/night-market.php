<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'm' => 'face/mic-1',
        'l' => 'face/line',
        'p' => 'face/play-1',
        'P' => 'face/phones',
        'K' => 'call/speaker',
    ],
    // The card takes each input before its fader.
    'table' => '
               ears         guest-ear   card-1  card-2  card-3
        host   1b:mP/0/0    1m:m/0/78   1b/0/0  0       0
        organ  1b:lP/0/0    1m:l/-6/78  0       1b/0/0  0
        guest  1b:KpP/0/78  0           0       0       1b:K/0/78
    ',
    'situations' => [
        'hold' => [
            'host guest-ear' => '0',
            'organ guest-ear' => '0',
        ],
    ],
    'mistakes' => [
        'the guest is sent back to the tablet' => [
            fn (Draft $d) => $d->set('face', 'routes', 'play-1>usb-out', ['on' => true]),
            [
                'guest guest-ear' => 'L1m:Kp/0/156',
            ],
        ],
        'the guest is on the host\'s track too' => [
            fn (Draft $d) => $d->set('face', 'routes', 'play-1>track-1', ['on' => true]),
            [
                'guest card-1' => 'L1b:K/0/78',
            ],
        ],
    ],
];
