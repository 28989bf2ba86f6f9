<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'r' => 'mix/mic-1',
        'b' => 'mix/mic-2',
        'u' => 'mix/play-1',
        'k' => 'mix/play-2',
        'P' => 'mix/phones-1',
        'F' => 'mix/feed-1',
        'S' => 'mix/send-1',
        'c' => 'cast/source-1',
        'U' => 'music/sound',
        'K' => 'call/speaker',
    ],
    // The lead back passes an isolator, 0.5 dB; the card is 52 ms late, its buffer 20.
    'table' => '
                ears         viewers       archive         caller-ear
        ringer  1b:rP/0/0    1b:rFc/0/10   1b:rS/-0.5/72   1m:rS/-0.5/142
        bells   1b:bP/0/0    1b:bFc/0/10   1b:bS/-0.5/72   1m:bS/-0.5/142
        music   1b:UuP/0/10  1b:UuFc/0/20  1b:UuS/-0.5/82  1m:UuS/-6.5/152
        caller  1b:KkP/0/80  1b:KkFc/0/90  0               0
    ',
    'situations' => [
        'silence' => [
            'ringer viewers' => '0',
            'bells viewers' => '0',
            'music viewers' => '0',
            'caller viewers' => '0',
        ],
    ],
    'mistakes' => [
        'the caller is in the send' => [
            fn (Draft $d) => $d->set('mix', 'routes', 'play-2>send-1', ['on' => true]),
            [
                'caller archive' => 'L1b:KkS/-0.5/152',
                'caller caller-ear' => 'L1m:KkS/-0.5/222',
            ],
        ],
        'the capture card takes the picture\'s sound' => [
            fn (Draft $d) => $d->set('card', 'routes', 'picture-1>usb-out', ['on' => true])->set('card', 'routes', 'line>usb-out', ['on' => false]),
            [
                'ringer archive' => 'M0',
                'ringer caller-ear' => 'M0',
                'bells archive' => 'M0',
                'bells caller-ear' => 'M0',
                'music archive' => 'M0',
                'music caller-ear' => 'M0',
            ],
        ],
    ],
];
