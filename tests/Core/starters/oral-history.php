<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'P' => 'face/phones',
        'K' => 'call/speaker',
        'M' => 'music/sound',
    ],
    // A microphone is at 0 dB behind 50 dB of gain; 1 ms in the interface and 8 ms of its buffer to a track. The call's microphone takes
    // the mean of two channels, 6 dB less. The guest passes the network, the program, both sides of the cable and the buffer that the
    // system plays to. The music is 12 dB down while the call runs.
    'table' => '
               phones       file-1  file-2  captions   guest-ear
        ann    1b:P/0/0     1b/0/9  0       1b/0/9     1m/-6/79
        ben    1b:P/0/0     0       1b/0/9  0          1m/-6/79
        guest  1b:KP/0/92   0       0       1b:K/0/84  0
        music  1b:MP/-12/8  0       0       0          0
        ring   1b:P/0/8     0       0       0          0
    ',
    'situations' => [
        'alone' => [
            'ann captions' => '0',
            'ann guest-ear' => '0',
            'ben guest-ear' => '0',
            'guest phones' => '0',
            'guest captions' => '0',
            'music phones' => '1b:MP/0/8',
            'ring phones' => '0',
        ],
    ],
    'mistakes' => [
        'the second track takes the first channel' => [
            fn (Draft $d) => $d->pick('work/track-2', ['channels' => [1]]),
            [
                'ann file-2' => 'L1b/0/9',
                'ben file-2' => 'M0',
            ],
        ],
        'the recording program has the interface for itself' => [
            fn (Draft $d) => $d->pick('work/device', ['device' => 'face/usb/rec', 'mode' => 'exclusive']),
            [
                'ann captions' => 'M0',
                'ann guest-ear' => 'M0',
                'ben guest-ear' => 'M0',
            ],
        ],
        'the system silences everything else while the call runs' => [
            fn (Draft $d) => $d->value('pc', 'calls', 60),
            [
                'music phones' => 'M0',
            ],
        ],
        'the cable\'s recording side is hidden' => [
            fn (Draft $d) => $d->settings('cable/out', ['unlisted' => 'hidden']),
            [
                'guest phones' => 'M0',
                'guest captions' => 'M0',
            ],
        ],
        'the captions take the microphone only' => [
            fn (Draft $d) => $d->pick('clips/in-1', ['device' => 'face/usb/rec', 'channels' => [1]]),
            [
                'guest captions' => 'M0',
            ],
        ],
    ],
];
