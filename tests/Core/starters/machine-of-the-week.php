<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'P' => 'mic/phones',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'G' => 'cabinet/sound',
    ],
    'table' => '
                 ears       viewers
        player   0          1b:c/0/10
        console  1b:P/0/82  1b:d/0/82
        cabinet  0          0
    ',
    'situations' => [
        'computer' => [
            'console ears' => '0',
            'console viewers' => '0',
            'cabinet ears' => '1b:GP/0/10',
            'cabinet viewers' => '1b:Gd/0/10',
        ],
    ],
    'mistakes' => [
        'the camera\'s microphone is taken for the player' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'cam/usb/rec']),
            [
                'player viewers' => 'M0',
            ],
        ],
        'the capture card takes its line input' => [
            fn (Draft $d) => $d->set('card', 'routes', 'line>usb-out', ['on' => true]),
            [
                'console ears' => 'M0',
                'console viewers' => 'M0',
            ],
        ],
    ],
];
