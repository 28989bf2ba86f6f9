<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'g' => 'desk/mic-1',
        'a' => 'desk/mic-2',
        'b' => 'desk/mic-3',
        'M' => 'desk/main',
        'P' => 'desk/phones',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'e' => 'cast/source-3',
        'F' => 'film/sound',
        'o' => 'shows/line-out',
    ],
    // The isolator takes 0.5 dB; 10 ms at each end of the film's lead, 70 and 20 in the stick.
    'table' => '
                 ears        viewers         track-1  track-2  track-3
        guide    1b:gMP/0/0  1b:gMc/0/10     1m/0/10  0        0
        pupil-a  1b:aMP/0/0  1b:aMc/0/10     0        1m/0/10  0
        pupil-b  1b:bMP/0/0  1b:bMc/0/10     0        0        1m/0/10
        film     0           1b:Fod/-0.5/20  0        0        0
    ',
    'situations' => [
        'picture' => [
            'film viewers' => '1b:Fe/0/100',
        ],
    ],
    'mistakes' => [
        'the film is muted in the program' => [
            fn (Draft $d) => $d->set('cast', 'points', 'source-2', ['mute' => true]),
            [
                'film viewers' => 'M0',
            ],
        ],
        'a track takes the other pupil' => [
            fn (Draft $d) => $d->pick('rec/in-2', ['device' => 'desk/usb/rec-all', 'channels' => [3]]),
            [
                'pupil-a track-2' => 'M0',
                'pupil-b track-2' => 'L1m/0/10',
            ],
        ],
    ],
];
