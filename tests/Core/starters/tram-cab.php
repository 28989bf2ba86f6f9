<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'G' => 'game/sound',
        'C' => 'game/chat',
        'P' => 'conv/phones',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'r' => 'relay/out',
        'o' => 'pc/line-out',
    ],
    // The repeater is 40 ms late, the game's network 60.
    'table' => '
                ears        viewers     crew-ear
        driver  0           1b:c/0/10   1m:ro/-0.5/130
        cab     1b:GP/0/10  1b:Gd/0/19  0
        crew    1b:CP/0/10  1b:Cd/0/19  0
    ',
    'situations' => [
        'siding' => [
            'driver viewers' => '0',
            'driver crew-ear' => '0',
        ],
    ],
    'mistakes' => [
        'the repeater takes the cab\'s sound' => [
            fn (Draft $d) => $d->pick('relay/in', ['device' => 'conv/usb/rec']),
            [
                'driver crew-ear' => 'M0',
                'cab crew-ear' => 'L1m:Gro/-6.5/139',
                'crew crew-ear' => 'L1m:Cro/-0.5/139',
            ],
        ],
        'the game plays into the green socket' => [
            fn (Draft $d) => $d->pick('game/sound', ['device' => 'sim/line-out/out']),
            [
                'cab ears' => 'M0',
                'cab viewers' => 'M0',
            ],
        ],
    ],
];
