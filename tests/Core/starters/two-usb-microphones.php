<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'i' => 'soft/input-1',
        'j' => 'soft/input-2',
        'E' => 'soft/ears',
        'P' => 'soft/programme',
        'l' => 'pc/line-out',
    ],
    'table' => '
               ears    track
        host   1b:iEl  1b:iP
        guest  1b:jEl  1b:jP
    ',
    'situations' => [
        'pause' => ['host track' => '0', 'guest track' => '0'],
    ],
    'mistakes' => [
        'one device at a time: the recorder opens the first microphone' => [
            fn (Draft $d) => $d->pick('rec/in-1', ['device' => 'mic-a/usb/rec']),
            ['host track' => '1b', 'guest track' => 'M0'],
        ],
        'the wrong one of two that look alike' => [
            fn (Draft $d) => $d->pick('soft/input-2', ['device' => 'mic-a/usb/rec']),
            ['host ears' => 'D2b:iEl', 'host track' => 'D2b:iP', 'guest ears' => '0', 'guest track' => 'M0'],
        ],
    ],
];
