<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'mix/mic-1',
        'b' => 'mix/mic-2',
        'o' => 'mix/optical-1',
        'p' => 'mix/play-1',
        'P' => 'mix/phones-1',
        'Q' => 'mix/phones-2',
        'F' => 'mix/feed-1',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'h' => 'soft/played-1',
        'g' => 'soft/played-2',
        'E' => 'soft/mix-1',
        'X' => 'soft/feed-1',
        'A' => 'chime/sound',
        'B' => 'pages/sound',
    ],
    // The mixer's fader of the computer is at -6 dB; the viewers' chimes and pages do not pass it.
    'table' => '
               ann-ears        ben-ears        viewers
        ann    0               1b:aQ/0/0       1b:aFc/0/10
        ben    1b:bP/0/0       0               1b:bFc/0/10
        kites  1b:oP/0/0       1b:oQ/0/0       1b:oFc/0/10
        chime  1b:AhEpP/-6/32  1b:AhEpQ/-6/32  1b:AhXd/0/37
        pages  1b:BgEpP/-6/32  1b:BgEpQ/-6/32  1b:BgXd/0/37
    ',
    'situations' => [
        'calm' => [
            'ann ben-ears' => '0',
            'ann viewers' => '0',
            'ben ann-ears' => '0',
            'ben viewers' => '0',
        ],
    ],
    'mistakes' => [
        'the software mixer plays into the green socket' => [
            fn (Draft $d) => $d->pick('soft/mix-1', ['device' => 'pc/line-out/out']),
            [
                'chime ann-ears' => 'M0',
                'chime ben-ears' => 'M0',
                'pages ann-ears' => 'M0',
                'pages ben-ears' => 'M0',
            ],
        ],
        'the pages are not in the viewers\' feed' => [
            fn (Draft $d) => $d->set('soft', 'routes', 'played-2>feed-1', ['on' => false]),
            [
                'pages viewers' => 'M0',
            ],
        ],
    ],
];
