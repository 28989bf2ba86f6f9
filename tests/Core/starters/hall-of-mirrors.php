<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'P' => 'face/phones',
        'O' => 'face/out-1',
        'U' => 'pipe/sound',
    ],
    // Inputs 1, 3 and 4 of the interface are channels 1, 3 and 4; 5 ms of its buffer to a track.
    'table' => '
              conductor  high-track  low-track  solo-track
        high  1b:P/0/0   1b/0/5      0          0
        low   1b:P/0/0   0           1b/0/5     0
        solo  1b:P/0/0   0           0          1b/0/5
        pipe  1b:UP/0/5  0           0          0
    ',
    'situations' => [
        'rehearsal' => [
            'high high-track' => '0',
            'low low-track' => '0',
            'solo solo-track' => '0',
        ],
    ],
    'mistakes' => [
        'the low voices are taken from the third channel' => [
            fn (Draft $d) => $d->pick('rec/track-2', ['channels' => [3]]),
            [
                'low low-track' => 'M0',
                'solo low-track' => 'L1b/0/5',
            ],
        ],
        'the first pair is looped back' => [
            fn (Draft $d) => $d->set('face', 'routes', 'out-1>usb-out', ['on' => true]),
            [
                'high high-track' => 'M0',
                'pipe high-track' => 'L1b:UO/0/10',
            ],
        ],
    ],
];
