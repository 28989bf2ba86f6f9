<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'g' => 'desk/mic-1',
        'a' => 'desk/mic-2',
        'b' => 'desk/mic-3',
        'l' => 'desk/line-1',
        'M' => 'desk/main',
        'P' => 'desk/phones',
        'c' => 'cast/source-1',
        'd' => 'cast/source-2',
        'F' => 'film/sound',
        'o' => 'shows/line-out',
    ],
    // The film comes by a lead for each side. The isolator takes 0.5 dB.
    'table' => '
                 ears              viewers           track-1  track-2  track-3
        guide    1b:gMP/0/0        1b:gMc/0/10       1m/0/10  0        0
        pupil-a  1b:aMP/0/0        1b:aMc/0/10       0        1m/0/10  0
        pupil-b  1b:bMP/0/0        1b:bMc/0/10       0        0        1m/0/10
        film     2b:FolMP/-0.5/10  2b:FolMc/-0.5/20  0        0        0
    ',
    'situations' => [
        'picture' => [
            'film ears' => '0',
            'film viewers' => '1b:Fd/0/100',
        ],
    ],
    'mistakes' => [
        'the film is muted at the desk' => [
            fn (Draft $d) => $d->set('desk', 'points', 'line-1', ['mute' => true]),
            [
                'film ears' => 'M0',
                'film viewers' => 'M0',
            ],
        ],
        'a pupil\'s track takes the other pupil' => [
            fn (Draft $d) => $d->pick('rec/in-2', ['device' => 'desk/usb/rec-all', 'channels' => [3]]),
            [
                'pupil-a track-2' => 'M0',
                'pupil-b track-2' => 'L1m/0/10',
            ],
        ],
    ],
];
