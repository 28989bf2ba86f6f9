<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'o' => 'pc/line-out',
        'v' => 'broadcast/source-1',
        's' => 'broadcast/source-2',
        'M' => 'music/sound',
    ],
    // Console: +8 dB in the system, -10 dB to the earphones; both buffers of 10 ms on the way, and the tap costs nothing.
    // Music: -12 dB by the program's level, -10 dB to the earphones.
    'table' => '
                 me            viewers
        voice    0             1b:v/0/10
        console  1b:o/-2/20    1b:s/8/20
        music    1b:Mo/-22/10  1b:Ms/-12/10
    ',
    // The music comes up by 8 dB, the console is muted in the system.
    'situations' => [
        'pause' => [
            'voice viewers' => '0', 'console me' => '0', 'console viewers' => '0', 'music me' => '1b:Mo/-14/10',
            'music viewers' => '1b:Ms/-4/10',
        ],
    ],
    'mistakes' => [
        'somebody muted the console in the system' => [
            fn (Draft $d) => $d->settings('pc/line-in/in', ['mute' => true]),
            ['console me' => 'M0', 'console viewers' => 'M0'],
        ],
        'the system plays the console no longer' => [
            fn (Draft $d) => $d->settings('pc/line-in/in', ['plays_to' => null]),
            ['console me' => 'M0', 'console viewers' => 'M0'],
        ],
    ],
];
