<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'h' => 'desk/mic-1',
        'a' => 'desk/first-play-1',
        'b' => 'desk/first-play-2',
        'e' => 'desk/second-play-1',
        'P' => 'desk/phones-1',
        'R' => 'desk/second-record-1',
        'L' => 'desk/speakers',
        'c' => 'cast/source-1',
        'G' => 'gulls/sound',
        'B' => 'band/sound',
        'K' => 'bell/sound',
        'H' => 'horns/cone',
    ],
    // 50 dB of gain make up for the microphone; 10 ms from a computer into the mixer, and out of it. The pavilion's own volume is 10 dB
    // down, its isolator takes half a dB; left and right come by two leads.
    'table' => '
               ears         viewers         hall
        host   1b:hP/0/0    1b:hRc/0/10     0
        chase  1b:GaP/0/10  1b:GaRc/0/20    0
        tunes  1b:BbP/0/10  1b:BbRc/0/20    0
        chime  1b:KeP/0/10  0               0
    ',
    'situations' => [
        'pause' => [
            'host ears' => '0',
            'host viewers' => '0',
            'tunes hall' => '2b:BbLH/-10.5/10',
        ],
    ],
    'mistakes' => [
        'the bell goes out with the stream' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'second-play-1>second-record-1', ['on' => true]),
            [
                'chime viewers' => 'L1b:KeRc/0/20',
            ],
        ],
        'the broadcast takes the pink socket' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'sender/mic-in/in']),
            [
                'host viewers' => 'M0',
                'chase viewers' => 'M0',
                'tunes viewers' => 'M0',
            ],
        ],
        'the host is taken out of the stream' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'mic-1>second-record-1', ['on' => false]),
            [
                'host viewers' => 'M0',
            ],
        ],
    ],
];
