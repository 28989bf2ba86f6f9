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
               me        viewers     party-ear
        voice  0         1b:d/0/10   1m/0/0
        game   1b:h/0/0  1b:hc/0/72  0
        party  1b:h/0/0  1b:hc/0/72  0
    ',
    'situations' => [
        'no-party' => ['game viewers' => '1b:c/0/72', 'party viewers' => '0'],
    ],
    'mistakes' => [
        'the console sends only the party to the headset' => [
            fn (Draft $d) => $d->value('console', 'headset-sound', 'Voices alone'),
            ['game me' => 'M0', 'game viewers' => 'M0'],
        ],
        'the second microphone is disabled' => [
            fn (Draft $d) => $d->device('pc', 'mic/usb/rec', ['enabled' => false]),
            ['voice viewers' => 'M0'],
        ],
    ],
];
