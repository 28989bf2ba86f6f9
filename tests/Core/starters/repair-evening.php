<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'm' => 'mix/mic-1',
        'l' => 'mix/line-1',
        'a' => 'mix/play-1',
        'k' => 'mix/play-2',
        'P' => 'mix/phones-1',
        'F' => 'mix/feed-1',
        'G' => 'mix/feed-2',
        'c' => 'cast/source-1',
        'U' => 'radio/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
                  bench        viewers       caller-ear   record
        mechanic  1b:mP/0/0    1b:mFc/0/10   1m:mG/0/80   1b:mG/0/10
        machine   1b:lP/0/0    1b:lFc/0/10   1m:lG/-6/80  1b:lG/0/10
        radio     1b:UaP/0/10  0             0            0
        caller    1b:KkP/0/80  1b:KkFc/0/90  0            0
    ',
    'situations' => [
        'tea' => [
            'mechanic bench' => '0',
            'mechanic viewers' => '0',
            'mechanic caller-ear' => '0',
            'mechanic record' => '0',
            'radio viewers' => '1b:UaFc/0/20',
        ],
    ],
    'mistakes' => [
        'the caller is let into the feed without them' => [
            fn (Draft $d) => $d->set('mix', 'routes', 'play-2>feed-2', ['on' => true]),
            [
                'caller caller-ear' => 'L1m:KkG/0/160',
                'caller record' => 'L1b:KkG/0/90',
            ],
        ],
        'the radio plays into the caller\'s device' => [
            fn (Draft $d) => $d->pick('radio/sound', ['device' => 'mix/usb/play-2']),
            [
                'radio bench' => '1b:UkP/0/10',
                'radio viewers' => 'L1b:UkFc/0/20',
            ],
        ],
    ],
];
