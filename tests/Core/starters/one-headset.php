<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'o' => 'amp/knob-optical',
        'u' => 'amp/knob-usb',
        'p' => 'amp/phones',
        'R' => 'mirror/out',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'e' => 'cast/source-3',
        'G' => 'game/sound',
        'U' => 'music/sound',
    ],
    'table' => '
               me            viewers
        voice  0             1b:d/0/10
        game   1b:Gop/-3/10  1b:GRc/0/132
        music  1b:Uup/-3/10  1b:Ue/0/10
    ',
    'situations' => [
        'all-game' => ['game me' => '1b:Gop/0/10', 'music me' => '0'],
    ],
    'mistakes' => [
        'the optical cable is out' => [
            fn (Draft $d) => $d->unplug('amp/optical'),
            ['game me' => 'M0'],
        ],
        'a wrong pick: the picture gets no sound' => [
            fn (Draft $d) => $d->pick('mirror/out', ['device' => 'game-pc/line-out/out']),
            ['game viewers' => 'M0'],
        ],
    ],
];
