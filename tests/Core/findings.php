<?php

declare(strict_types=1);

/*
 * Every finding of every shipped rig, judged by hand before the checks were changed: whether it is true, whether a practitioner would be glad
 * of it, and why. The check, and the first element that it is about.
 */

const USEFUL = true;
const SKIPPED = false;

$default = [USEFUL, 'whatever takes the default over takes the sound along, and nobody sees it coming'];

return [
    'night-relay' => [
        'plug.stereo-balanced w-28' => [USEFUL, 'planted: one RCA lead where two belong loses the right side'],
        'plug.phantom booster/out' => [USEFUL, 'planted: in Off the desk does not feed the booster'],
        'level.clip w-19' => [USEFUL, 'the desk gives +9.8 dBu to a line input that takes 8'],
        'plug.length w-10' => [USEFUL, '8 m unbalanced'],
        'plug.length w-13' => [USEFUL, '8 m unbalanced'],
        'plug.length w-32' => [USEFUL, '12 m unbalanced into the hall'],
        'plug.length w-33' => [USEFUL, '12 m unbalanced into the hall'],
        'plug.digital-format w-25' => [USEFUL, 'the console sends coded surround into what takes plain stereo'],
        'ground.loop w-32' => [USEFUL, 'desk and loudspeakers both have an earth pin'],
        'ground.loop w-33' => [SKIPPED, 'the same circle by the other side; whoever cures the one cures both'],
        'ground.isolator-place isolator-a' => [USEFUL, '8 m behind the isolator collect what it should keep out'],
        'level.unmatched presenter-mic/capsule' => [USEFUL, 'the driver is 10.6 dB softer on the air'],
        'control.reach broadcast/source-5' => [USEFUL, 'the label says Chimes and the fader moves the rally engine'],
        'computer.default game/microphone' => $default,
    ],
    'penny-slot' => [],
    'ticket-booth' => [
        'computer.one-device rec' => [USEFUL, 'planted: the recorder opens one device, and three tracks want two'],
        'track.purity rec/track-3' => [USEFUL, 'so the guest is not recorded; part of the cause of that'],
    ],
    'bell-tower' => [], 'crab-race' => [], 'ferry-office' => [], 'gull-chase' => [], 'ticket-window' => [],
    'guided-evening' => ['computer.default call/speaker' => $default],
    'hall-of-mirrors' => [], 'harbour-radio' => [], 'kite-club' => [], 'lighthouse-log' => [], 'lost-property' => [], 'machine-of-the-week' => [],
    'night-market' => ['computer.default call/speaker' => $default],
    'oral-history' => ['computer.default call/microphone' => $default],
    'party-booth' => ['plug.level w-03' => [USEFUL, 'a headphone output feeds a line: its volume is a level for the air']],
    'pinball-duel' => [], 'planetarium' => [], 'puppet-theatre' => [],
    'quiz-night' => ['computer.default wheel/sound' => $default],
    'regatta' => ['single.point iso-b' => [USEFUL, 'all that the audience hears passes one small box that nobody thinks of']],
    'repair-evening' => [], 'school-visit' => [],
    'storm-watch' => ['computer.default music/sound' => $default],
    'tide-report' => [], 'tram-cab' => [],
    'tram-depot' => ['computer.default music/sound' => $default],
    'workshop-voices' => [],
];
