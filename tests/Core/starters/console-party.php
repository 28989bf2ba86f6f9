<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'h' => 'console/headset',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
    ],
    'table' => '
               me    viewers  party-ear
        voice  0     1b:d     1m
        game   1b:h  1b:hc    0
        party  1b:h  1b:hc    0
    ',
    'situations' => [
        'no-party' => ['game viewers' => '1b:c', 'party viewers' => '0'],
    ],
    'mistakes' => [
        'the console sends only the party to the headset' => [
            fn (Draft $d) => $d->set('console', 'routes', 'game>headset', ['on' => false]),
            ['game me' => 'M0', 'game viewers' => 'M0'],
        ],
        'the second microphone is disabled' => [
            fn (Draft $d) => $d->device('pc', 'mic/usb/rec', ['enabled' => false]),
            ['voice viewers' => 'M0'],
        ],
    ],
];
