<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'v' => 'soft/input-1',
        's' => 'soft/played-1',
        'p' => 'soft/played-2',
        'E' => 'soft/mix-1',
        'H' => 'soft/mix-2',
        'e' => 'headset/ear',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'S' => 'show/sound',
        'U' => 'tune/sound',
        'A' => 'chime/sound',
    ],
    'table' => '
                  ears          viewers
        narrator  0             1b:vHc/0/99
        show      1b:SsEe/0/32  1b:SsHc/0/104
        tune      1b:UpEe/0/32  0
        chime     0             1b:Ad/0/10
    ',
    'situations' => [
        'doors' => [
            'tune viewers' => '1b:UpHc/0/104',
        ],
    ],
    'mistakes' => [
        'the mix for the picture goes to the green socket' => [
            fn (Draft $d) => $d->pick('soft/mix-2', ['device' => 'stars/line-out/out']),
            [
                'narrator viewers' => 'M0',
                'show viewers' => 'M0',
            ],
        ],
        'the capture card takes its line input' => [
            fn (Draft $d) => $d->set('card', 'routes', 'line>usb-out', ['on' => true]),
            [
                'narrator viewers' => 'M0',
                'show viewers' => 'M0',
            ],
        ],
    ],
];
