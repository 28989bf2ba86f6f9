<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'O' => 'amp/optical-1',
        'u' => 'amp/usb-in',
        'P' => 'amp/phones-1',
        'Q' => 'amp/phones-2',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'e' => 'cast/source-3',
        'G' => 'ball/sound',
        'K' => 'call/speaker',
    ],
    'table' => '
               left-ears    right-ears   viewers      judge-ear
        left   0            0            1b:c/0/10    1m/0/80
        right  0            0            1b:c/0/10    1m/0/80
        ball   1b:GOP/0/10  1b:GOQ/0/10  1b:Gd/0/100  0
        judge  1b:KuP/0/80  1b:KuQ/0/80  1b:Ke/0/80   0
    ',
    'situations' => [
        'ruling' => [
            'left viewers' => '0',
            'left judge-ear' => '0',
            'right viewers' => '0',
            'right judge-ear' => '0',
        ],
    ],
    'mistakes' => [
        'the game plays into the optical socket, where nothing is' => [
            fn (Draft $d) => $d->pick('ball/sound', ['device' => 'play/optical/out']),
            [
                'ball left-ears' => 'M0',
                'ball right-ears' => 'M0',
                'ball viewers' => 'M0',
            ],
        ],
        'the right headset gets no game' => [
            fn (Draft $d) => $d->set('amp', 'routes', 'optical-1>phones-2', ['on' => false]),
            [
                'ball right-ears' => 'M0',
            ],
        ],
    ],
];
