<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'v' => 'mix/input-1',
        'u' => 'mix/played-1',
        'E' => 'mix/mix-1',
        'A' => 'mix/feed-1',
        'B' => 'mix/feed-2',
        'c' => 'cast/source-1',
        'U' => 'music/sound',
        'o' => 'pc/line-out',
    ],
    // 10 ms of the microphone, 5 in the mixer, 12 at its devices; noise removal and compressor take 12 more and give 4 dB, and the feed
    // is at -4.
    'table' => '
               ears          viewers        archive
        voice  0             1b:vAc/0/39    1b:vB/0/27
        music  1b:UuEo/0/27  1b:UuAc/-4/29  0
    ',
    'situations' => [
        'plain' => [
            'voice viewers' => '1b:vAc/-4/27',
        ],
    ],
    'mistakes' => [
        'the compressor is on for the archive, too' => [
            fn (Draft $d) => $d->with(function (array $data) {
                foreach ($data['units'] as $i => $unit) {
                    $unit['id'] === 'mix' && $data['units'][$i]['effects'][1]['off_for'] = ['mix-1'];
                }

                return $data;
            }),
            [
                'voice archive' => 'T1b:vB/4/29',
            ],
        ],
        'the music goes to the archive' => [
            fn (Draft $d) => $d->set('mix', 'routes', 'played-1>feed-2', ['on' => true]),
            [
                'music archive' => 'L1b:UuB/0/29',
            ],
        ],
    ],
];
