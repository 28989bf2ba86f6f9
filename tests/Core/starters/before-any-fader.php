<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'h' => 'headset/ear',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'G' => 'game/sound',
        'U' => 'music/sound',
    ],
    'table' => '
               me            viewers
        voice  0             1b:c/0/10
        game   1b:Gh/-20/10  1b:Gd/0/10
        music  1b:Uh/-20/10  1b:Ud/0/10
    ',
    'situations' => [
        'away' => ['voice viewers' => '0'],
    ],
    'mistakes' => [
        'the wrong source forgotten on mute' => [
            fn (Draft $d) => $d->set('cast', 'points', 'source-2', ['mute' => true]),
            ['game viewers' => 'M0', 'music viewers' => 'M0'],
        ],
        'an update took the default away: nothing is the playback device now' => [
            fn (Draft $d) => $d->roles('headset/usb/play', []),
            ['game me' => 'M0', 'game viewers' => 'M0', 'music me' => 'M0', 'music viewers' => 'M0'],
        ],
    ],
];
