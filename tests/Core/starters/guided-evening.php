<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'h' => 'desk/mic-1',
        'e' => 'desk/mic-2',
        'c' => 'desk/computer',
        'A' => 'desk/main',
        'G' => 'desk/guests',
        'H' => 'desk/hall',
        'P' => 'desk/phones',
        's' => 'cast/source-1',
        'm' => 'music/sound',
        'K' => 'call/speaker',
        'S' => 'speakers/cone',
    ],
    // Main is at -2 dB, 8 ms of buffer each way. To the guest: 8 ms, 10 ms in the program, 60 ms of network; back the same. On air
    // the rule keeps the hall silent. In the interval it gets what main gets, by main's fader: -2, half a dB less behind the isolator,
    // by two leads.
    'table' => '
                ears         viewers        hall  guest-ear
        host    1b:hP/0/0    1b:hAs/-2/8    0     1m:hG/0/78
        second  1b:eP/0/0    1b:eAs/-2/8    0     1m:eG/0/78
        music   1b:mcP/0/8   1b:mcAs/-2/16  0     0
        caller  1b:KcP/0/78  1b:KcAs/-2/86  0     0
    ',
    'situations' => [
        'break' => [
            'host ears' => '0',
            'host viewers' => '0',
            'host guest-ear' => '0',
            'second ears' => '0',
            'second viewers' => '0',
            'second guest-ear' => '0',
            'music hall' => '2b:mcHS/-12.5/8',
            'caller hall' => '2b:KcHS/-12.5/78',
        ],
        'check' => [
            'host ears' => '0',
            'second ears' => '1b:P/0/0',
            'music ears' => '0',
            'caller ears' => '0',
        ],
    ],
    'mistakes' => [
        'the solo was left on' => [
            fn (Draft $d) => $d->set('desk', 'points', 'mic-2', ['solo' => true]),
            [
                'host ears' => '0',
                'second ears' => '1b:P/0/0',
                'music ears' => 'M0',
                'caller ears' => 'M0',
            ],
        ],
        'the guests follow main' => [
            fn (Draft $d) => $d->with(function (array $data) {
                foreach ($data['units'] as $i => $unit) {
                    $data['units'][$i] = ($unit['id'] === 'desk' ? ['follows' => ['guests' => ['of' => 'main']]] : []) + $unit;
                }

                return $data;
            }),
            [
                'music guest-ear' => 'L1m:mcG/-6/86',
                'caller guest-ear' => 'L1m:KcG/0/156',
            ],
        ],
    ],
];
