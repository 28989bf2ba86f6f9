<?php

declare(strict_types=1);

use Tests\Support\Draft;

/** @param  callable(array<string, mixed>): array<string, mixed>  $change  of each effect of the mixer */
$effects = fn (callable $change): Closure => fn (Draft $d): Draft => $d->with(function (array $data) use ($change) {
    foreach ($data['units'] as $i => $unit) {
        $data['units'][$i] = $unit['id'] === 'mix' ? ['effects' => array_map($change, $unit['effects'])] + $unit : $unit;
    }

    return $data;
});

return [
    'faders' => [
        'a' => 'mix/input-1',
        'v' => 'mix/virtual-1',
        'e' => 'mix/ears',
        'b' => 'mix/programme',
        'c' => 'mix/call',
        's' => 'cast/source-1',
        'o' => 'pc/line-out',
        'm' => 'music/sound',
    ],
    // The microphone's buffer 10 ms; on air 10 ms of noise removal and 2 ms of compressor, which lifts by 4 dB, and 12 ms of the virtual
    // device. The ears: 10 ms of the line output; the archive: 12 ms. The music: 12 ms into the mixer, then the same. The mixer itself takes
    // 5 ms for each route.
    'table' => '
               me            viewers       archive
        voice  1b:aeo/0/25   1b:abs/4/39   1b:ac/0/27
        music  1b:mveo/0/27  1b:mvbs/0/29  0
    ',
    'situations' => ['plain' => ['voice viewers' => '1b:abs/0/27']],
    'mistakes' => [
        'my ears get it processed' => [
            $effects(fn (array $one) => ['off_for' => ['call']] + $one),
            ['voice me' => 'T1b:aeo/4/37'],
        ],
        'both effects are bypassed' => [
            $effects(fn (array $one) => ['on' => false] + $one),
            ['voice viewers' => 'T1b:abs/0/27'],
        ],
    ],
];
