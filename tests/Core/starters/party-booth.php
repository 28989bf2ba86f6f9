<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'h' => 'console/headset-1',
        'l' => 'mix/line-1',
        'm' => 'mix/mic-1',
        'F' => 'mix/feed-1',
        'P' => 'mix/phones-1',
        'c' => 'cast/source-1',
    ],
    'table' => '
                ears       spotter      viewers        party-ear
        player  0          1b:mP/0/0    1b:mFc/0/10    1m/0/0
        game    1b:h/-6/0  1b:hlP/-6/0  1b:hlFc/-6/10  0
        party   1b:h/-6/0  1b:hlP/-6/0  1b:hlFc/-6/10  0
    ',
    'situations' => [
        'no-party' => [
            'game viewers' => '0',
            'party viewers' => '0',
        ],
    ],
    'mistakes' => [
        'the console plays voices alone' => [
            fn (Draft $d) => $d->value('console', 'headset-sound', 'Voices alone'),
            [
                'game ears' => 'M0',
                'game spotter' => 'M0',
                'game viewers' => 'M0',
            ],
        ],
        'the microphone is not in the feed' => [
            fn (Draft $d) => $d->set('mix', 'routes', 'mic-1>feed-1', ['on' => false]),
            [
                'player viewers' => 'M0',
            ],
        ],
    ],
];
