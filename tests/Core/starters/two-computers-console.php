<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'mixer/ch-1',
        'b' => 'mixer/ch-3-4',
        'o' => 'mixer/ch-opt',
        'm' => 'mixer/main',
        'P' => 'mixer/phones',
        'L' => 'game-pc/line-out',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'e' => 'cast/source-3',
        'G' => 'game/sound',
    ],
    'table' => '
                 me            viewers
        voice    1b:aP/0/0     1b:amc/0/11.5
        game     1b:GLbP/0/10  1b:GLd/0/20
        console  1b:oP/0/0     1b:omc/0/11.5
    ',
    'situations' => [
        'console-only' => ['game viewers' => '0'],
    ],
    'mistakes' => [
        'the microphone of the webcam is open: the voice is picked up twice' => [
            fn (Draft $d) => $d->set('cam', 'points', 'mic', ['mute' => false]),
            ['voice viewers' => 'D2b:amc/0/11.5'],
        ],
        'a route on that should be off: both legs of the splitter reach the stream' => [
            fn (Draft $d) => $d->set('mixer', 'routes', 'ch-3-4>main', ['on' => true]),
            ['game viewers' => 'D2b:GLd/0/20'],
        ],
    ],
];
