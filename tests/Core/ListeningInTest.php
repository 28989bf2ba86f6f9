<?php

declare(strict_types=1);

use HiddenWire\Core\Planning\ListeningIn;
use HiddenWire\Core\Rig\Listener;
use Tests\Support\Draft;

/**
 * Two sounds into the programme (a at 0, b at -6 dB) and into a feed (b only); my phones and the host's hang on outputs of their own.
 *
 * @param  list<array<string, mixed>>  $into  routes into the phones
 * @param  array<string, mixed>  $feed  more of the feed's point
 * @param  array<string, mixed>  $phones  more of the point of my phones
 */
function deskToListenTo(array $into, array $feed = [], array $phones = [], bool $isShared = false): Draft
{
    $bus = fn (string $id, array $more = []): array => ['id' => $id, 'kind' => 'bus', 'channels' => 2, 'label' => ucfirst($id)] + $more;
    $ear = fn (string $id): array => ['id' => $id, 'kind' => 'ear', 'channels' => 2];
    $draft = Draft::rig()->unit('desk', [
        'points' => [
            ['id' => 'a', 'kind' => 'origin', 'channels' => 2], ['id' => 'b', 'kind' => 'origin', 'channels' => 2],
            $bus('programme'), $bus('feed', $feed), $bus('phones', $phones), $ear('air'), $ear('far'), $ear('mine'), $ear('theirs'),
        ],
        'routes' => [
            ['from' => 'a', 'to' => 'programme'], ['from' => 'b', 'to' => 'programme', 'db' => -6], ['from' => 'b', 'to' => 'feed', 'can' => ['on', 'db']],
            ['from' => 'a', 'to' => 'feed', 'on' => false, 'can' => ['on', 'db']],
            ['from' => 'programme', 'to' => 'air'], ['from' => 'feed', 'to' => 'far'], ['from' => 'phones', 'to' => 'mine'],
            ...($isShared ? [['from' => 'phones', 'to' => 'theirs']] : []), ...$into,
        ],
    ])->source('a', 'desk/a')->source('b', 'desk/b')->listener('me', 'desk/mine');

    return $draft->listener('host', 'desk/theirs')->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['desk/air']])
        ->add('listeners', ['id' => 'caller', 'name' => 'Caller', 'kind' => 'caller', 'at' => ['desk/far']]);
}

/** @return array{list<string>, array<string, array{string, list<string>}>} who hears a mix now; and the choices, by listener, with who else notices */
function listeningTo(Draft $draft, string $output): array
{
    $hearing = $draft->hear();
    $unit = $hearing->rig->units['desk'];
    $listening = new ListeningIn($hearing, $unit, $hearing->rig->modelOf($unit)->points[$output]);
    $choices = [];
    foreach ($listening->choices() as $choice) {
        $choices[$choice->listener->id] = [$choice->words, array_map(fn (Listener $one) => $one->id, $choice->also)];
    }

    return [array_map(fn (Listener $one) => $one->id, $listening->hear()), $choices];
}

$chosen = [
    ['from' => 'programme', 'to' => 'phones', 'group' => 'listen', 'can' => ['on']],
    ['from' => 'feed', 'to' => 'phones', 'on' => false, 'group' => 'listen', 'can' => ['on']],
];

it('says who hears exactly a mix: the same sounds in the same balance', function () use ($chosen) {
    expect(listeningTo(deskToListenTo($chosen), 'programme'))->toBe([['me', 'viewers'], []])
        // Softer as a whole is the same mix; b at -6 instead of 0 dB is another.
        ->and(listeningTo(deskToListenTo([['from' => 'programme', 'to' => 'phones', 'db' => -20]]), 'programme')[0])->toBe(['me', 'viewers'])
        ->and(listeningTo(deskToListenTo([['from' => 'a', 'to' => 'phones'], ['from' => 'b', 'to' => 'phones']]), 'programme')[0])->toBe(['viewers'])
        ->and(listeningTo(deskToListenTo([['from' => 'a', 'to' => 'phones'], ['from' => 'b', 'to' => 'phones', 'db' => -5.5]]), 'programme')[0])
        ->toBe(['me', 'viewers']);
});

it('finds the choice by which one can listen, the easiest first, and who else in the room notices', function () use ($chosen) {
    expect(listeningTo(deskToListenTo($chosen), 'feed'))->toBe([['caller'], ['me' => ['choose Feed for Phones', []]]])
        ->and(listeningTo(deskToListenTo($chosen, isShared: true), 'feed')[1])
        ->toBe(['me' => ['choose Feed for Phones', ['host']], 'host' => ['choose Feed for Phones', ['me']]])
        ->and(listeningTo(deskToListenTo($chosen, ['solo' => 'phones']), 'feed')[1])->toBe(['me' => ['solo Feed', []]]);
    $own = [['from' => 'a', 'to' => 'phones', 'can' => ['on', 'db']], ['from' => 'b', 'to' => 'phones', 'db' => -3, 'can' => ['on', 'db']]];
    expect(listeningTo(deskToListenTo($own, phones: ['can_follow' => ['feed']]), 'feed')[1])->toBe(['me' => ['let Phones follow Feed', []]])
        ->and(listeningTo(deskToListenTo($own), 'feed')[1])->toBe(['me' => ['copy what Feed gets to Phones', []]]);
});

it('offers nothing that the air would notice, and nothing where there is none', function () use ($chosen) {
    // What the viewers get hangs on my phones: a choice there is theirs, too.
    $onAir = deskToListenTo([...$chosen, ['from' => 'phones', 'to' => 'air']]);
    expect(listeningTo($onAir, 'feed')[1])->toBe([])
        ->and(listeningTo(deskToListenTo([['from' => 'programme', 'to' => 'phones']]), 'feed')[1])->toBe([]);
    $silent = deskToListenTo($chosen)->with(function (array $d) {
        $d['sources'] = [];

        return $d;
    });
    expect(listeningTo($silent, 'feed'))->toBe([[], []]);
});
