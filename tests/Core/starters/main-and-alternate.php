<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'desk/ch-1',
        'b' => 'desk/ch-5-6',
        'e' => 'desk/ch-7-8',
        'A' => 'desk/alt',
        'M' => 'desk/main',
        'P' => 'desk/phones',
        'x' => 'desk/aux-1',
        'y' => 'desk/aux-2',
        'L' => 'game-pc/line-out',
        'l' => 'stream-pc/line-out',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'f' => 'cast/source-3',
        'G' => 'game/sound',
        'H' => 'game/chat',
        'U' => 'music/sound',
    ],
    'table' => '
               me                viewers         team
        voice  0                 2b:aAc/-0.5/10  1m:x/-0.5/70
        game   2b:GLbMP/-0.5/10  2b:GLbyd/-7/20  0
        crew   2b:HLbMP/-0.5/10  2b:HLbyd/-1/20  0
        music  2b:UleMP/-0.5/10  1b:Uf/0/10      0
    ',
    'situations' => [
        'private' => ['voice me' => '1b:aMP/0/0', 'voice viewers' => '0'],
    ],
    'mistakes' => [
        'the game on the alternate bus too: out of my ears, and twice on the stream' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'ch-5-6>alt', ['on' => true]),
            [
                'game me' => 'M0', 'game viewers' => 'D4b:GLbAc/2.5/20', 'crew me' => 'M0', 'crew viewers' => 'D4b:HLbAc/5/20',
            ],
        ],
        'a cable is out: the right leg of the game' => [
            fn (Draft $d) => $d->unplug('y-a/right'),
            [
                'game me' => 'S1l:GLbMP/-0.5/10', 'game viewers' => 'S1b:GLbyd/-7/20', 'crew me' => 'S1l:HLbMP/-0.5/10',
                'crew viewers' => '1b:HLbyd/-7/20',
            ],
        ],
    ],
];
