<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'o' => 'pc/line-out',
        'c' => 'broadcast/source-1',
        'd' => 'broadcast/source-2',
        'U' => 'music/sound',
    ],
    // The system lifts the machine by 3 dB, holds the music 12 dB down and the earphones 10; what is taken before the device knows
    // nothing of the 10.
    'table' => '
               ears          viewers
        voice  0             1b:c/0/10
        trams  1b:o/-7/20    1b:d/3/20
        music  1b:Uo/-22/10  1b:Ud/-12/10
    ',
    'situations' => [
        'pause' => [
            'voice viewers' => '0',
            'trams ears' => '0',
            'trams viewers' => '0',
            'music ears' => '1b:Uo/-14/10',
            'music viewers' => '1b:Ud/-4/10',
        ],
    ],
    'mistakes' => [
        'the machine is muted in the system' => [
            fn (Draft $d) => $d->settings('pc/line-in/in', ['mute' => true]),
            [
                'trams ears' => 'M0',
                'trams viewers' => 'M0',
            ],
        ],
        'the broadcast takes the microphone twice' => [
            fn (Draft $d) => $d->pick('broadcast/source-2', ['device' => 'mic/usb/rec']),
            [
                'voice viewers' => 'D2b:c/6/10',
                'trams viewers' => 'M0',
                'music viewers' => 'M0',
            ],
        ],
    ],
];
