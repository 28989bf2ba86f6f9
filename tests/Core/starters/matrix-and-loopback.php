<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'p' => 'face/pair-3-4',
        'q' => 'face/pair-7-8',
        'R' => 'rep/out',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'G' => 'game/sound',
        'U' => 'music/sound',
    ],
    'table' => '
               me         viewers
        voice  0          1b:c/-6/5
        game   1b:Gp/0/5  1b:GqRd/0/64
        music  1b:Up/0/5  0
    ',
    'situations' => [
        'with-music' => ['music viewers' => '1b:UqRd/0/64'],
    ],
    'mistakes' => [
        'the loopback is off' => [
            fn (Draft $d) => $d->set('face', 'routes', 'pair-7-8>usb-out', ['on' => false]),
            ['game viewers' => 'M0'],
        ],
        'a wrong pair: the repeater copies the microphone' => [
            fn (Draft $d) => $d->pick('rep/in', ['device' => 'face/usb/rec', 'channels' => [1, 2]]),
            ['voice viewers' => 'D2b:Rd/0/59', 'game viewers' => 'M0'],
        ],
    ],
];
