<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'm' => 'rec/microphone',
        'p' => 'rec/played',
        'G' => 'race/sound',
        'K' => 'call/speaker',
        'E' => 'set/ear',
    ],
    // 10 ms out of the headset or into it; what is taken before the headset's device is not affected by the ears' fader. A call: 10 at
    // each end and 60 between.
    'table' => '
                ears        race-track  voice-track  rival-ear
        player  0           0           1b:m/0/10    1m/0/80
        crabs   1b:GE/0/10  1b:Gp/0/10  0            0
        rival   1b:KE/0/80  1b:Kp/0/80  0            0
    ',
    'situations' => [
        'talk' => [
            'crabs ears' => '0',
            'crabs race-track' => '0',
        ],
    ],
    'mistakes' => [
        'the microphone is not on a track of its own' => [
            fn (Draft $d) => $d->value('rec', 'apart', false),
            [
                'player race-track' => 'L1b:m/0/10',
                'player voice-track' => 'M0',
            ],
        ],
        'the call plays into a socket with nothing in it' => [
            fn (Draft $d) => $d->pick('call/speaker', ['device' => 'pc/line-out/out']),
            [
                'rival ears' => 'M0',
                'rival race-track' => 'M0',
            ],
        ],
    ],
];
