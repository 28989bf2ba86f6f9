<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Inside;
use HiddenWire\Core\Book\InsideRow;
use HiddenWire\Core\Book\Insides;
use HiddenWire\Core\Controls\Acting;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

/**
 * Two sounds into strips A and B; a group takes A and B, Main the group, and B for itself; what Main and the group give goes to a pair of
 * ears each. Strip C gets nothing.
 *
 * @param  array<string, mixed>  $settings  of the desk
 */
function groupDesk(array $settings = []): Draft
{
    $socket = fn (string $id, string $way, string $point): array => ['id' => $id, 'label' => ucfirst($id), 'connector' => 'trs-6.35',
        'balanced' => true, 'lanes' => [['id' => 'l', 'way' => $way, 'point' => $point]]];
    $point = fn (string $id, string $kind): array => ['id' => $id, 'kind' => $kind, 'label' => ucfirst($id), 'channels' => 1, 'mute' => false];
    $route = fn (string $from, string $to): array => ['from' => $from, 'to' => $to, 'can' => ['on', 'db']];

    return Draft::rig()->tone('one', 1, 'trs-6.35', true)->tone('two', 1, 'trs-6.35', true)
        // Main comes before the group in the unit's own order, and behind it in the order of the signal.
        ->unit('desk', ['family' => 'mixer', 'sockets' => [
            $socket('in-a', 'in', 'a'), $socket('in-b', 'in', 'b'), $socket('in-c', 'in', 'c'), $socket('hall', 'out', 'main'),
            $socket('side', 'out', 'aside'),
        ], 'points' => [$point('a', 'strip'), $point('b', 'strip'), $point('c', 'strip'), $point('main', 'bus'), $point('group', 'bus'),
            $point('aside', 'bus')],
            'routes' => [$route('a', 'group'), $route('b', 'group'), $route('c', 'group'), $route('group', 'main'), $route('b', 'main'),
                $route('group', 'aside')]], settings: $settings)
        ->ear('hall', 1, 'trs-6.35', true)->ear('ears', 1, 'trs-6.35', true)
        ->cable('trs', 'one/out', 'desk/in-a')->cable('trs', 'two/out', 'desk/in-b')->cable('trs', 'desk/hall', 'hall/in')
        ->cable('trs', 'desk/side', 'ears/in')
        ->source('ann', 'one/tone')->source('ben', 'two/tone');
}

/** @return list<Inside> */
function insideOf(Rig $rig, string $unit): array
{
    $of = new BookInput($rig);
    $hearings = array_map(fn ($situation) => $of->hearing($situation->id), $rig->situations);

    return $rig->modelOf($unit)->family->isHost() ? Insides::ofComputer($of, $rig->units[$unit])
        : Insides::ofUnit($of, $rig->units[$unit], new Acting($rig, $hearings));
}

/** @return list<string> "Group > Main", with "(?)" behind what holds in another situation only */
function joinsIn(Inside $inside): array
{
    return array_map(
        fn (array $one) => "{$inside->rows[$one[0]]->label} > {$inside->rows[$one[1]]->label}".($one[2] ? '' : ' (?)'),
        $inside->joins,
    );
}

it('draws what a mixer joins, each below what it takes from, with the leads that hang on it', function () {
    // By hand: C gets nothing and is left out. A and B only give; the group takes both and gives on; Main and Aside only take.
    [$inside] = insideOf(groupDesk()->make(), 'desk');
    $rows = array_map(fn (InsideRow $row) => [$row->label, $row->note, $row->gives, $row->takes], $inside->rows);
    expect($rows)->toBe([
        ['A', 'W-1', true, false], ['B', 'W-2', true, false], ['Group', '', true, true], ['Main', 'W-3', false, true],
        ['Aside', 'W-4', false, true],
    ])->and(joinsIn($inside))->toEqualCanonicalizing(['A > Group', 'B > Group', 'B > Main', 'Group > Main', 'Group > Aside'])
        ->and($inside->caption)->toBe('Inside Desk');
});

it('tells what is joined in another situation only, and leaves out what is joined in none', function () {
    $draft = groupDesk(['routes' => ['b>main' => ['on' => false], 'group>aside' => ['on' => false]]])
        ->situation('show', ['desk/b>main' => ['on' => true]]);
    expect(joinsIn(insideOf($draft->make(), 'desk')[0]))->toEqualCanonicalizing(['A > Group', 'B > Group', 'B > Main (?)', 'Group > Main']);
});

it('draws nothing where nothing is mixed', function () {
    // A alone, into the group, Main and Aside: each of them takes one.
    $draft = groupDesk(['routes' => ['b>group' => ['on' => false], 'b>main' => ['on' => false]]]);
    expect(insideOf($draft->make(), 'desk'))->toBe([]);
});

it('draws a unit whose mixes run in a circle', function () {
    $draft = groupDesk()->with(function (array $document): array {
        foreach ($document['models'] as &$model) {
            if (count($model['points']) === 6) {
                $model['routes'][] = ['from' => 'main', 'to' => 'group', 'can' => ['on', 'db'], 'db' => -20];
            }
        }

        return $document;
    });
    [$inside] = insideOf($draft->make(), 'desk');
    expect(joinsIn($inside))->toContain('Group > Main', 'Main > Group')
        ->and(array_column($inside->rows, 'label'))->toEqualCanonicalizing(['A', 'B', 'Group', 'Main', 'Aside']);
});

it('draws what programs take and where they play, a loopback as what gives on', function () {
    $rig = (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2).'/resources/rigs/night-relay.json'));
    // As the demo's computers list it: the picture repeater takes the loopback of what the game plays to.
    [$inside] = insideOf($rig, 'sim-pc');
    $joins = joinsIn($inside);
    expect($joins)->toContain(
        'Rally game: Game sound > Rally sound',
        'Rally sound > Picture repeater: In',
        'Rally game: Team chat > Driver ears',
        'Driver mic > Rally game: Chat microphone',
    )->and(count($joins))->toBe(9)
        ->and(array_column($inside->rows, 'label'))->not->toContain('Pink socket, built-in sound');
});

it('parts what would not find room on a sheet, without losing a join', function () {
    // 40 strips, each sent to 24 mixes by hand: two sheets of mixes, since 20 find room, and for each so many strips as there are rows left.
    $points = $routes = $set = $all = [];
    for ($strip = 1; $strip <= 40; $strip++) {
        $points[] = ['id' => "s{$strip}", 'kind' => 'strip', 'label' => "Strip {$strip}", 'channels' => 1];
        for ($mix = 1; $mix <= 24; $mix++) {
            $routes[] = ['from' => "s{$strip}", 'to' => "m{$mix}", 'can' => ['on', 'db']];
            $set["s{$strip}>m{$mix}"] = ['on' => true, 'db' => -1];
            $all[] = "Strip {$strip} > Mix {$mix}";
        }
    }
    for ($mix = 1; $mix <= 24; $mix++) {
        $points[] = ['id' => "m{$mix}", 'kind' => 'bus', 'label' => "Mix {$mix}", 'channels' => 1];
    }
    $parts = insideOf(Draft::rig()->unit('desk', ['family' => 'mixer', 'points' => $points, 'routes' => $routes], settings: ['routes' => $set])->make(), 'desk');
    // 20 mixes leave 8 rows: 5 parts; the other 4 leave 24: 2 parts.
    expect(count($parts))->toBe(7)
        ->and(array_merge(...array_map(joinsIn(...), $parts)))->toEqualCanonicalizing($all)
        ->and(max(array_map(fn (Inside $part) => count($part->rows), $parts)))->toBe(28)
        ->and($parts[6]->caption)->toBe('Inside Desk, part 7 of 7');
});
