<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'p' => 'face/pair-3-4',
    ],
    'table' => '
               ears      track-1  track-2
        host   1b:p/0/0  1m/0/5   0
        guest  1b:p/0/0  0        1m/0/5
    ',
    'situations' => [
        'pause' => ['host track-1' => '0', 'guest track-2' => '0'],
    ],
    'mistakes' => [
        'a wrong channel: the neighbour instead of the fourth' => [
            fn (Draft $d) => $d->pick('rec/in-2', ['device' => 'face/usb/rec', 'channels' => [2]]),
            ['guest track-2' => 'M0'],
        ],
        'both tracks on one channel' => [
            fn (Draft $d) => $d->pick('rec/in-1', ['device' => 'face/usb/rec', 'channels' => [4]]),
            ['host track-1' => 'M0', 'guest track-1' => 'L1m/0/5'],
        ],
    ],
];
