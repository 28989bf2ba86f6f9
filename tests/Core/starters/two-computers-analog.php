<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'G' => 'game/sound',
        'H' => 'game/chat',
        'L' => 'game-pc/line-out',
        'l' => 'stream-pc/line-out',
        'R' => 'relay/out',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'M' => 'cast/monitor',
        'p' => 'mic/phones',
    ],
    'table' => '
               me                viewers         team
        voice  0                 1b:d/0/10       1m:Rl/-0.5/130
        game   1b:GLcMp/-0.5/30  1b:GLc/-0.5/20  0
        crew   1b:HLcMp/-0.5/30  1b:HLc/-0.5/20  0
    ',
    'situations' => [
        'pause' => ['voice viewers' => '0'],
    ],
    'mistakes' => [
        'a mono lead where a stereo one belongs' => [
            fn (Draft $d) => $d->retype('iso-a/out', 'ts'),
            [
                'game me' => 'S1l:GLcMp/-0.5/30', 'game viewers' => 'S1l:GLc/-0.5/20', 'crew me' => 'S1l:HLcMp/-0.5/30',
                'crew viewers' => 'S1l:HLc/-0.5/20',
            ],
        ],
        'a wrong pick: the repeater sends the game back instead of the microphone' => [
            fn (Draft $d) => $d->pick('relay/in', ['device' => 'stream-pc/line-in/in']),
            ['voice team' => 'M0', 'game team' => 'L1m:GLRl/-7/140', 'crew team' => 'L1m:HLRl/-1/140'],
        ],
    ],
];
