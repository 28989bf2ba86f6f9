<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'P' => 'face/phones',
        'O' => 'face/out-1',
        'r' => 'rep/out',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'F' => 'film/sound',
        'U' => 'music/sound',
    ],
    // The first output pair is looped back in place of the first two inputs, which are free; 5 ms of buffer each way, 40 in the
    // repeater, 7 at each side of the cable.
    'table' => '
                ears       viewers
        reader  0          1b:rc/0/59
        film    1b:FP/0/5  1b:FOd/0/10
        music   1b:UP/0/5  0
    ',
    'situations' => [
        'music' => [
            'music viewers' => '1b:UOd/0/10',
        ],
    ],
    'mistakes' => [
        'the loopback is off' => [
            fn (Draft $d) => $d->set('face', 'routes', 'out-1>usb-out', ['on' => false]),
            [
                'film viewers' => 'M0',
            ],
        ],
        'the film plays into the second pair' => [
            fn (Draft $d) => $d->pick('film/sound', ['device' => 'face/usb/play', 'channels' => [3, 4]]),
            [
                'film viewers' => 'M0',
            ],
        ],
    ],
];
