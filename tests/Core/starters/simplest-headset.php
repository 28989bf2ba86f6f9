<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'l' => 'laptop/phones',
        'c' => 'broadcast-program/source-1',
        'd' => 'broadcast-program/source-2',
        'G' => 'game/sound',
    ],
    'table' => '
               me          viewers
        voice  0           1b:c/0/10
        game   1b:Gl/0/10  1b:Gd/0/10
    ',
    'situations' => [
        'pause' => ['voice viewers' => '0'],
    ],
    'mistakes' => [
        'an update took the default microphone away' => [
            fn (Draft $d) => $d->roles('laptop/headset/mic', []),
            ['voice viewers' => 'M0'],
        ],
        'a wrong pick: the game plays to a picture output where nothing is' => [
            fn (Draft $d) => $d->pick('game/sound', ['device' => 'laptop/hdmi/sound']),
            ['game me' => 'M0', 'game viewers' => 'M0'],
        ],
    ],
];
