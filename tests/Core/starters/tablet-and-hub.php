<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'face/ch-1',
        'b' => 'face/ch-2',
        'u' => 'face/usb-in',
        'P' => 'face/phones',
        'K' => 'call/speaker',
    ],
    'table' => '
                 host-ears    co-ears      ear-a      ear-b      card-1  card-2  card-3
        host     1b:aP/0/0    1b:aP/0/0    1m:a/0/78  1m:a/0/78  1m/0/0  0       0
        cohost   1b:bP/0/0    1b:bP/0/0    1m:b/0/78  1m:b/0/78  0       1m/0/0  0
        guest-a  1b:KuP/0/78  1b:KuP/0/78  0          1m/0/0     0       0       1b:K/0/78
        guest-b  1b:KuP/0/78  1b:KuP/0/78  1m/0/0     0          0       0       1b:K/0/78
    ',
    'situations' => [
        'hold' => ['host ear-a' => '0', 'host ear-b' => '0', 'cohost ear-a' => '0', 'cohost ear-b' => '0'],
    ],
    'mistakes' => [
        'a route on that should be off: the guests go back to the call' => [
            fn (Draft $d) => $d->set('face', 'routes', 'usb-in>usb-out', ['on' => true]),
            [
                'guest-a ear-a' => 'L1m:Ku/0/156', 'guest-a ear-b' => 'D2m/0/0', 'guest-b ear-a' => 'D2m/0/0',
                'guest-b ear-b' => 'L1m:Ku/0/156',
            ],
        ],
        'the hub is not in the tablet' => [
            fn (Draft $d) => $d->unplug('hub/up'),
            [
                'host ear-a' => 'M0', 'host ear-b' => 'M0', 'cohost ear-a' => 'M0', 'cohost ear-b' => 'M0',
                'guest-a host-ears' => 'M0', 'guest-a co-ears' => 'M0', 'guest-a card-3' => 'M0', 'guest-b host-ears' => 'M0',
                'guest-b co-ears' => 'M0', 'guest-b card-3' => 'M0',
            ],
        ],
    ],
];
