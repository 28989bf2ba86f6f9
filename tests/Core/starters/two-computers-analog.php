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
               me         viewers  team
        voice  0          1b:d     1m:Rl
        game   1b:GLcMp   1b:GLc   0
        crew   1b:HLcMp   1b:HLc   0
    ',
    'situations' => [
        'pause' => ['voice viewers' => '0'],
    ],
    'mistakes' => [
        'a mono lead where a stereo one belongs' => [
            fn (Draft $d) => $d->retype('iso-a/out', 'ts'),
            ['game me' => 'S1l:GLcMp', 'game viewers' => 'S1l:GLc', 'crew me' => 'S1l:HLcMp', 'crew viewers' => 'S1l:HLc'],
        ],
        'a wrong pick: the repeater sends the game back instead of the microphone' => [
            fn (Draft $d) => $d->pick('relay/in', ['device' => 'stream-pc/line-in/in']),
            ['voice team' => 'M0', 'game team' => 'L1m:GLRl', 'crew team' => 'L1m:HLRl'],
        ],
    ],
];
