<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'g' => 'wheel/sound',
        'o' => 'pc/line-out',
        'm' => 'band/sound',
        'v' => 'cast/source-1',
        's' => 'cast/source-2',
        't' => 'cast/source-3',
    ],
    // 10 ms of the microphone's buffer, 10 of the line output's, 7 into the cable and 7 out of it.
    'table' => '
               ears        viewers
        voice  0           1b:v/0/50
        wheel  1b:go/0/10  1b:gs/0/10
        band   0           0
    ',
    'situations' => [
        'talk' => [
            'wheel viewers' => '0',
            'band viewers' => '1b:mt/0/14',
        ],
        'break' => [
            'voice viewers' => '0',
            'wheel viewers' => '0',
            'band viewers' => '1b:mt/0/14',
        ],
    ],
    'mistakes' => [
        'the band sounds in every scene' => [
            fn (Draft $d) => $d->with(function (array $data) {
                foreach ($data['units'] as $i => $unit) {
                    $data['units'][$i] = ($unit['id'] === 'cast' ? ['always' => ['source-3']] : []) + $unit;
                }

                return $data;
            }),
            [
                'band viewers' => 'L1b:mt/0/14',
            ],
        ],
        'the wheel\'s picture is not in its scene' => [
            fn (Draft $d) => $d->with(function (array $data) {
                foreach ($data['units'] as $i => $unit) {
                    $unit['id'] === 'cast' && $data['units'][$i]['scenes'][0]['pictures'] = ['camera'];
                }

                return $data;
            }),
            [
                'wheel viewers' => 'M0',
            ],
        ],
    ],
];
