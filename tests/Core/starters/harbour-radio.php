<?php

declare(strict_types=1);

use Tests\Support\Draft;

return [
    'faders' => [
        'a' => 'desk/mic-1',
        'b' => 'desk/mic-2',
        'e' => 'desk/mic-3',
        'u' => 'desk/first-1',
        'k' => 'desk/first-2',
        'h' => 'desk/first-3',
        'n' => 'desk/second-1',
        'P' => 'desk/phones-1',
        'Q' => 'desk/phones-2',
        'S' => 'desk/speakers',
        'F' => 'desk/to-first-1',
        'G' => 'desk/to-first-2',
        'c' => 'cast/source-1',
        'r' => 'speakers/cone',
        'U' => 'music/sound',
        'K' => 'call/speaker',
        'H' => 'horn/sound',
        'N' => 'bulletin/sound',
    ],
    // The rule keeps the loudspeakers shut on air. They are at -10 dB, half a dB less behind the isolator, with a lead for each side.
    'table' => '
                host-ears    reader-ears  studio  viewers       caller-ear
        host    0            1b:aQ/0/0    0       1b:aFc/0/10   1m:aG/0/80
        reader  1b:bP/0/0    0            0       1b:bFc/0/10   1m:bG/0/80
        chair   1b:eP/0/0    1b:eQ/0/0    0       1b:eFc/0/10   1m:eG/0/80
        music   1b:UuP/0/10  1b:UuQ/0/10  0       1b:UuFc/0/20  0
        caller  1b:KkP/0/80  1b:KkQ/0/80  0       1b:KkFc/0/90  0
        horn    1b:HhP/0/10  1b:HhQ/0/10  0       1b:HhFc/0/20  0
        news    1b:NnP/0/10  1b:NnQ/0/10  0       1b:NnFc/0/20  0
    ',
    'situations' => [
        'talk' => [
            'host viewers' => '0',
            'reader viewers' => '0',
            'chair viewers' => '0',
            'caller viewers' => '0',
        ],
        'hour' => [
            'host reader-ears' => '0',
            'host viewers' => '0',
            'host caller-ear' => '0',
            'reader host-ears' => '0',
            'reader viewers' => '0',
            'reader caller-ear' => '0',
            'chair host-ears' => '0',
            'chair reader-ears' => '0',
            'chair viewers' => '0',
            'chair caller-ear' => '0',
            'music studio' => '2b:UuSr/-10.5/10',
            'caller studio' => '2b:KkSr/-10.5/80',
            'horn studio' => '2b:HhSr/-10.5/10',
            'news studio' => '2b:NnSr/-10.5/10',
        ],
    ],
    'mistakes' => [
        'the caller hears themselves' => [
            fn (Draft $d) => $d->set('desk', 'routes', 'first-2>to-first-2', ['on' => true]),
            [
                'caller caller-ear' => 'L1m:KkG/0/160',
            ],
        ],
        'the broadcast program takes the caller\'s feed' => [
            fn (Draft $d) => $d->pick('cast/source-1', ['device' => 'desk/usb-1/to-first-2']),
            [
                'host viewers' => '1b:aGc/0/10',
                'reader viewers' => '1b:bGc/0/10',
                'chair viewers' => '1b:eGc/0/10',
                'music viewers' => 'M0',
                'caller viewers' => 'M0',
                'horn viewers' => 'M0',
                'news viewers' => 'M0',
            ],
        ],
    ],
];
