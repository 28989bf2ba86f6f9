<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'G' => 'game/sound',
        'U' => 'music/sound',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'e' => 'cast/source-3',
        'M' => 'cast/monitor',
    ],
    'table' => '
               me           viewers
        voice  0            1b:d/0/10
        game   1b:GcM/0/33  1b:Gc/0/22
        music  1b:UeM/0/25  1b:Ue/0/14
    ',
    'situations' => [
        'pause' => ['voice viewers' => '0'],
    ],
    'mistakes' => [
        'the converter switched to its analog input' => [
            fn (Draft $d) => $d->set('conv', 'routes', 'analog>usb-out', ['on' => true]),
            ['game me' => 'M0', 'game viewers' => 'M0'],
        ],
        'a wrong pick: the music plays straight to the converter' => [
            fn (Draft $d) => $d->pick('music/sound', ['device' => 'conv/usb/play']),
            ['music me' => '1b:U/0/11', 'music viewers' => 'M0'],
        ],
    ],
];
