<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'i' => 'soft/input-1',
        'v' => 'soft/virtual-1',
        'w' => 'soft/virtual-3',
        'E' => 'soft/ears',
        'R' => 'soft/room',
        'h' => 'headset/ear',
        'c' => 'cast/source-1',
        'G' => 'game/sound',
        'U' => 'music/sound',
    ],
    'table' => '
               me            viewers
        voice  0             1b:iRc/0/97
        game   1b:GvEh/0/27  1b:GvRc/0/99
        music  1b:UwEh/0/27  0
    ',
    'situations' => [
        'with-music' => ['music viewers' => '1b:UwRc/0/99'],
    ],
    'mistakes' => [
        'a wrong pick: both buses play to the headset' => [
            fn (Draft $d) => $d->pick('soft/room', ['device' => 'headset/usb/play']),
            [
                'voice me' => '1b:iRh/0/25', 'voice viewers' => 'M0', 'game me' => 'D2b:GvEh/6/27', 'game viewers' => 'M0',
            ],
        ],
        'the card switched to its analog input' => [
            fn (Draft $d) => $d->set('card', 'routes', 'analog>usb-out', ['on' => true]),
            ['voice viewers' => 'M0', 'game viewers' => 'M0'],
        ],
    ],
];
