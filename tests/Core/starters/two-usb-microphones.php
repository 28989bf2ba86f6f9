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
               ears         track
        host   1b:iEl/0/25  1b:iP/0/27
        guest  1b:jEl/0/25  1b:jP/0/27
    ',
    'situations' => [
        'pause' => ['host track' => '0', 'guest track' => '0'],
    ],
    'mistakes' => [
        'one device at a time: the recorder opens the first microphone' => [
            fn (Draft $d) => $d->pick('rec/in-1', ['device' => 'mic-a/usb/rec']),
            ['host track' => '1b/0/10', 'guest track' => 'M0'],
        ],
        'the wrong one of two that look alike' => [
            fn (Draft $d) => $d->pick('soft/input-2', ['device' => 'mic-a/usb/rec']),
            [
                'host ears' => 'D2b:iEl/6/25', 'host track' => 'D2b:iP/6/27', 'guest ears' => '0', 'guest track' => 'M0',
            ],
        ],
    ],
];
