<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'l' => 'pc/line-out',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'e' => 'cast/source-3',
        'G' => 'game/sound',
    ],
    'table' => '
                 me          viewers
        voice    0           1b:c/0/10
        game     1b:Gl/0/10  1b:Gd/0/10
        console  0           0
    ',
    'situations' => [
        'console' => ['game viewers' => '0', 'console viewers' => '1b:e/0/72'],
    ],
    'mistakes' => [
        'the wrong one of several that look alike: the webcam, whose device is off' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'cam/usb/rec']),
            ['voice viewers' => 'M0'],
        ],
        'both games at once' => [
            fn (Draft $d) => $d->set('cast', 'points', 'source-3', ['mute' => false]),
            ['console viewers' => 'L1b:e/0/72'],
        ],
    ],
];
