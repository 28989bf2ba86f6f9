<?php

declare(strict_types=1);

use Tests\Support\Draft;

/** @param  callable(array<string, mixed>): array<string, mixed>  $change  of the broadcast program */
$cast = fn (callable $change): Closure => fn (Draft $d): Draft => $d->with(function (array $data) use ($change) {
    foreach ($data['units'] as $i => $unit) {
        $data['units'][$i] = $unit['id'] === 'cast' ? $change($unit) : $unit;
    }

    return $data;
});

return [
    'faders' => [
        'g' => 'game/sound',
        'o' => 'pc/line-out',
        'm' => 'music/sound',
        'v' => 'cast/source-1',
        's' => 'cast/source-2',
        't' => 'cast/source-3',
    ],
    // 10 ms of the microphone's buffer, 10 of the line output's, 7 into the cable and 7 out of it.
    'table' => '
               me           viewers
        voice  0            1b:v/0/10
        play   1b:go/0/10   1b:gs/0/10
        tune   0            0
    ',
    'situations' => [
        'talk' => ['play viewers' => '0', 'tune viewers' => '1b:mt/0/14'],
        'break' => ['voice viewers' => '0', 'play viewers' => '0', 'tune viewers' => '1b:mt/0/14'],
    ],
    'mistakes' => [
        'the music sounds in every scene' => [
            $cast(fn (array $unit) => ['always' => ['source-3']] + $unit),
            ['tune viewers' => 'L1b:mt/0/14'],
        ],
        'the screen with the game is not in its scene' => [
            $cast(function (array $unit) {
                $unit['scenes'][0]['pictures'] = ['camera'];

                return $unit;
            }),
            ['play viewers' => 'M0'],
        ],
    ],
];
