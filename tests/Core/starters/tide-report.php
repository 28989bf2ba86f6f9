<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'P' => 'dac/phones',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'W' => 'page/sound',
        'H' => 'horn/sound',
        'z' => 'pings/sound',
    ],
    // The knob of the converter is at -20 dB; what is taken before the device is not affected.
    'table' => '
                  ears         viewers
        reporter  0            1b:c/0/10
        page      1b:WP/-20/8  1b:Wd/0/8
        horn      1b:HP/-20/8  1b:Hd/0/8
        pings     0            0
    ',
    'situations' => [
        'page' => [
            'reporter viewers' => '0',
        ],
    ],
    'mistakes' => [
        'the horn plays into the laptop\'s own socket' => [
            fn (Draft $d) => $d->pick('horn/sound', ['device' => 'laptop/headset/phones']),
            [
                'horn ears' => 'M0',
                'horn viewers' => 'M0',
            ],
        ],
        'the system\'s default is the converter' => [
            fn (Draft $d) => $d->roles('dac/usb/play', ['playback'])->roles('laptop/headset/phones', []),
            [
                'pings ears' => 'L1b:zP/-20/8',
                'pings viewers' => 'L1b:zd/0/8',
            ],
        ],
    ],
];
