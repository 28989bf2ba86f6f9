<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'v' => 'soft/input-1',
        'u' => 'soft/played-1',
        't' => 'soft/played-2',
        'E' => 'soft/mix-1',
        'A' => 'soft/feed-1',
        'B' => 'soft/feed-2',
        'c' => 'cast/source-1',
        'U' => 'tunes/sound',
        'T' => 'storm/sound',
        'K' => 'call/speaker',
        'o' => 'pc/line-out',
    ],
    // 12 ms into the mixer and out of it, 5 inside, 2 more for the equaliser; 10 at each device of the computer.
    'table' => '
                  ears          viewers       prompter-ear
        puppets   0             1b:vAc/0/29   1m:vB/0/99
        music     1b:UuEo/0/27  1b:UuAc/0/29  0
        thunder   1b:TtEo/0/27  1b:TtAc/0/29  0
        prompter  1b:Ko/0/80    0             0
    ',
    'situations' => [
        'prompt' => [
            'puppets viewers' => '0',
        ],
    ],
    'mistakes' => [
        'the music goes to the prompter' => [
            fn (Draft $d) => $d->set('soft', 'routes', 'played-1>feed-2', ['on' => true]),
            [
                'music prompter-ear' => 'L1m:UuB/-6/99',
            ],
        ],
        'the broadcast program takes the prompter\'s feed' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'soft/feed-2']),
            [
                'puppets viewers' => '1b:vBc/0/29',
                'music viewers' => 'M0',
                'thunder viewers' => 'M0',
            ],
        ],
    ],
];
