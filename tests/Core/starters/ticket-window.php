<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'K' => 'call/speaker',
        'P' => 'lap/phones',
        'F' => 'film/sound',
        'S' => 'lap/speaker',
    ],
    // 10 ms into the laptop or out of it, 10 at each end of the call and 60 between.
    'table' => '
                 ears        queue  curator-ear
        clerk    0           0      1m/0/80
        curator  1b:KP/0/80  0      0
        reel     0           0      0
    ',
    'situations' => [
        'film' => [
            'clerk curator-ear' => '0',
            'curator ears' => '0',
            'reel queue' => '1b:FS/0/10',
        ],
    ],
    'mistakes' => [
        'the call listens to a headset that is not there' => [
            fn (Draft $d) => $d->pick('call/microphone', ['device' => 'lap/headset/mic']),
            [
                'clerk curator-ear' => 'M0',
            ],
        ],
        'the call plays to the picture output' => [
            fn (Draft $d) => $d->pick('call/speaker', ['device' => 'lap/hdmi/sound']),
            [
                'curator ears' => 'M0',
            ],
        ],
    ],
];
