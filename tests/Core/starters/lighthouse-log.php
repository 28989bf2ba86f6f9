<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'o' => 'laptop/phones',
        'w' => 'page/sound',
        'k' => 'rec/source-1',
        't' => 'rec/source-2',
    ],
    // 10 ms of buffer at each end of the laptop; what is taken before the device has none.
    'table' => '
                 ears        log        kept
        keeper   0           1b:k/0/10  0
        weather  1b:wo/0/10  0          1b:wt/0/10
    ',
    'situations' => [
        'listening' => [
            'keeper log' => '0',
        ],
    ],
    'mistakes' => [
        'the log takes what is played' => [
            fn (Draft $d) => $d->pick('rec/source-1', ['device' => 'laptop/headset/phones', 'tap' => 'playback']),
            [
                'keeper log' => 'M0',
                'weather log' => 'L1b:wk/0/10',
            ],
        ],
        'the microphone is disabled' => [
            fn (Draft $d) => $d->settings('laptop/headset/mic', ['enabled' => false]),
            [
                'keeper log' => 'M0',
            ],
        ],
    ],
];
