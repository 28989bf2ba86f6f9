<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Inside;
use HiddenWire\Core\Book\Parts\Mixes;
use HiddenWire\Core\Book\Parts\Models;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Book\Travel;
use HiddenWire\Core\Controls\Acting;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Situations\Adjustable;
use Tests\Support\Draft;

/**
 * A microphone into strip A of a desk, whose main bus goes to the hall and whose monitor bus to a pair of ears; into strip B goes nothing.
 *
 * @param  array<string, mixed>  $settings  of the desk
 * @param  list<array<string, mixed>>  $wishes
 */
function handDesk(array $settings = [], array $wishes = [], array $more = []): Draft
{
    $fader = ['from' => -60, 'to' => 10, 'db' => 0, 'scale' => ['unit' => '%', 'marks' => [[0, -60], [50, -10], [100, 10]]]];
    $sends = fn (string $from, string $to): array => ['from' => $from, 'to' => $to, 'can' => ['on', 'db', 'tap']];
    $draft = Draft::rig()
        ->unit('voice', ['family' => 'microphone', 'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'xlr-m', 'signal' => 'microphone',
            'balanced' => true, 'phantom' => 'needs', 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'capsule']]]],
            'points' => [['id' => 'capsule', 'kind' => 'origin', 'label' => 'Capsule', 'channels' => 1]]])
        ->unit('desk', $more + ['family' => 'mixer', 'sockets' => [
            ['id' => 'mic', 'label' => 'Mic', 'connector' => 'xlr-f', 'signal' => 'microphone', 'balanced' => true, 'phantom' => 'offers',
                'lanes' => [['id' => 'i', 'way' => 'in', 'point' => 'a']]],
            ['id' => 'main', 'label' => 'Main', 'connector' => 'trs-6.35', 'balanced' => true, 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'main']]],
            ['id' => 'phones', 'label' => 'Phones', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'monitor']]]],
            'points' => [
                ['id' => 'a', 'kind' => 'strip', 'label' => 'A', 'channels' => 1, 'gain' => ['from' => 0, 'to' => 60, 'db' => 30], 'fader' => $fader, 'mute' => false],
                ['id' => 'b', 'kind' => 'strip', 'label' => 'B', 'channels' => 1, 'fader' => $fader, 'mute' => false],
                ['id' => 'main', 'kind' => 'bus', 'label' => 'Main', 'channels' => 1, 'fader' => $fader, 'mute' => false],
                ['id' => 'monitor', 'kind' => 'bus', 'label' => 'Monitor', 'channels' => 1, 'mute' => false]],
            'routes' => [$sends('a', 'main'), $sends('a', 'monitor'), $sends('b', 'main'), $sends('b', 'monitor')],
            'auto_mutes' => [['mutes' => 'monitor', 'while_open' => ['a']]],
            'settings' => [['id' => 'phantom', 'label' => 'Phantom', 'kind' => 'switch', 'factory' => true,
                'effects' => [['value' => true, 'socket' => 'mic', 'phantom' => true]]]],
            'made_at' => ['by' => 'unit']], settings: $settings)
        ->ear('hall', 1, 'trs-6.35', true)->ear('ears', 1)
        ->cable('xlr', 'voice/out', 'desk/mic')->cable('trs', 'desk/main', 'hall/in')->cable('trs', 'desk/phones', 'ears/in')
        ->source('ann', 'voice/capsule');
    foreach ($wishes as [$source, $listener, $want]) {
        $draft->wish($source, $listener, $want);
    }

    return $draft;
}

/** @return list<string> what acts at the desk, each with what of it is set */
function actingAt(Draft $draft): array
{
    $rig = $draft->make();
    $hearings = array_map(fn ($situation) => $draft->hear($situation->id), $rig->situations);

    return array_map(
        fn (Adjustable $one) => trim("{$one->what()} {$one->aspect()}"),
        (new Acting($rig, $hearings))->of($rig->units['desk']),
    );
}

/** @return list<list<string>> rows of all tables of the part, with their columns, travels as text; texts as rows of one cell */
function settingsOf(Rig $rig): array
{
    $rows = [];
    foreach (array_slice((new Mixes)->blocks(new BookInput($rig)), 1) as $block) {
        match (true) {
            $block instanceof Heading => $rows[] = ["# {$block->text}"],
            $block instanceof Text => $rows[] = [$block->text],
            $block instanceof Inside => null,
            $block instanceof Table => array_push($rows, $block->columns, ...array_map(
                fn (array $row) => array_map(fn (string|Travel $cell) => (string) $cell, $row),
                $block->rows,
            )),
        };
    }

    return $rows;
}

it('counts as acting what stands on a way, and not the strip that nothing comes into', function () {
    // By hand: Ann runs by A into Main and the Hall. Her way into Monitor ends at the mute that A, being open, sets: no wish, so no setting.
    expect(actingAt(handDesk()))->toBe([
        'Phantom', 'A gain', 'A fader', 'A mute', 'A → Main route', 'A → Main send', 'A → Main tap', 'Main fader', 'Main mute',
    ]);
});

it('counts what alone stops a sound of a wish, and what it follows', function () {
    // By hand: with the wish for Ann at the ears, the mute of Monitor acts, with its rule; the send is behind it and carries to nobody.
    expect(actingAt(handDesk(wishes: [['ann', 'ears', 'must']])))->toContain('Monitor mute', 'Monitor automatic mute')
        ->not->toContain('A → Monitor route', 'B fader')
        // Without the rule the way is open, and a send that is off stops her.
        ->and(actingAt(handDesk(['points' => ['monitor' => ['auto_mute' => false]]], [['ann', 'ears', 'must']])))
        ->toContain('A → Monitor route', 'Monitor mute')
        ->and(actingAt(handDesk(
            ['points' => ['monitor' => ['auto_mute' => false]], 'routes' => ['a>monitor' => ['on' => false]]],
            [['ann', 'ears', 'must-not']],
        )))->toContain('A → Monitor route')
        // What is written down is reported whether or not it does anything.
        ->and(actingAt(handDesk(['points' => ['b' => ['fader' => -5]]])))->toContain('B fader', 'B mute')->not->toContain('B → Main route');
});

it('has what a situation opens, though it rests shut', function () {
    $draft = handDesk(['points' => ['main' => ['mute' => true]]])->situation('show', ['desk/main' => ['mute' => false]]);
    expect(actingAt($draft))->toContain('A → Main route', 'Main fader', 'Main mute')
        ->and(settingsOf($draft->make()))->toContain(['Main', '', '├──────●──┤ 0.0 dB = 75 %', 'muted', 'Show: unmuted']);
});

it('prints each unit as tables: mixes in a line each, points with their knobs, then what else is set', function () {
    $draft = handDesk(
        ['points' => ['a' => ['gain' => 45, 'fader' => -30]], 'routes' => ['a>monitor' => ['db' => -6, 'tap' => 'pre-fader']]],
        [['ann', 'ears', 'must']],
    )
        ->situation('show', ['desk/a' => ['fader' => 0], 'desk/a>main' => ['on' => false]])
        ->add('controls', ['id' => 'pedal', 'name' => 'Pedal', 'kind' => 'footswitch', 'at' => 'places/desk',
            'moves' => [['at' => 'desk/a', 'set' => 'mute', 'from' => false, 'to' => true, 'law' => 'toggle', 'by' => 'press']]]);
    // By hand: 45 of 60 dB is three quarters of the knob's way; −30 dB is between the marks 0 (−60) and 50 (−10), at 30.
    expect(settingsOf($draft->make()))->toBe([
        ['# Desk'],
        ['Mix', 'Takes', 'Leaves out', 'For'],
        ['Main', 'A', '', 'Hall'],
        ['Monitor', 'A −6.0 dB, pre-fader', '', 'Ears'],
        ['At', 'Gain', 'Fader', 'Switches', 'Notes'],
        ['A', '├──────●──┤ 45.0 dB', '├──●──────┤ −30.0 dB = 30 %', 'unmuted', 'Show: fader 0.0 dB; mute by Pedal'],
        ['Main', '', '├──────●──┤ 0.0 dB = 75 %', 'unmuted', ''],
        ['Monitor', '', '', 'unmuted, automatic mute on', 'shut while A is open'],
        ['What', 'Set to', 'Notes'],
        ['Phantom', 'on', 'feeds Voice'],
        ['A → Main', 'on', 'Show: off'],
    ]);
});

it('draws where a knob or fader stands by its printed scale, else evenly or as a fader', function (Span $span, float $db, bool $isFader, float $share) {
    $travel = $isFader ? Travel::ofFader($span, Decibels::of($db)) : Travel::ofKnob($span, Decibels::of($db));
    expect($travel->share)->toEqualWithDelta($share, 1e-9)->and($travel->isFader)->toBe($isFader);
})->with(function () {
    $span = fn (float $from, float $to, array $marks = []) => new Span(
        Decibels::of($from),
        Decibels::of($to),
        Decibels::of($to),
        $marks === [] ? null : new OwnScale('', $marks),
    );

    // By hand: a fader of −90 to 10 dB bends at −30, a quarter of its way; the upper 40 dB are three quarters.
    return [
        'a knob' => [$span(0, 60), 45, false, 0.75], 'its lowest' => [$span(-20, 20), -20, false, 0.0], 'its highest' => [$span(-20, 20), 20, false, 1.0],
        'a fader at its bend' => [$span(-90, 10), -30, true, 0.25], 'halfway above' => [$span(-90, 10), -10, true, 0.625],
        'halfway below' => [$span(-90, 10), -60, true, 0.125], 'a short fader is even' => [$span(-20, 10), -5, true, 0.5],
        'by its marks' => [$span(-60, 10, [[2, -60], [6, -20], [10, 10]]), -20, true, 0.5],
        'between marks' => [$span(-60, 10, [[2, -60], [6, -20], [10, 10]]), -40, true, 0.25],
    ];
});

it('has an appendix of what the catalogue does not have so, and knows what is only grown', function () {
    $catalogue = Catalogue::of(['call-service' => shipped('catalogue/call-service.json'), 'headset-line-lead' => shipped('catalogue/headset-line-lead.json')]);
    $of = fn (Draft $draft): array => (new Models)->blocks(new BookInput($draft->make(), usual: $catalogue->has(...)));
    $usual = Draft::rig()->place('far', 'remote')->unit('service', 'call-service', 'far');
    expect($of($usual))->toBe([])->and($of($usual->grown('service', 'guests', 4)))->toBe([]);
    $blocks = $of(handDesk());
    expect(array_values(array_filter(array_map(fn ($block) => $block instanceof Heading ? $block->text : null, $blocks))))->toHaveCount(4)
        ->and(array_merge(...array_map(fn ($block) => $block instanceof Table ? $block->rows : [], $blocks)))
        ->toContain(['A', 'id: a; kind: strip; channels: 1; gain from: 0; gain to: 60; gain db: 30; fader from: -60; fader to: 10; fader db: 0; '
            .'fader scale unit: %; fader scale marks: 0=-60, 50=-10, 100=10; mute: off'], ['A → Main', 'can: on, db, tap']);
});
