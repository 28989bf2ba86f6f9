<?php

declare(strict_types=1);

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\LostPicks;
use Tests\Support\Draft;

/** The starter with a USB mixer, whose setting says how many devices a computer lists. */
function modesRig(?string $virtual = null, ?string $situation = null): Rig
{
    $rig = (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2).'/resources/starters/repair-evening.json'));

    return $virtual === null ? $rig : (new SetValue('mix', 'devices', $virtual, $situation))->applyTo($rig);
}

/** @return array<string, string> trouble by device of the unit */
function troubles(Rig $rig, string $computer, string $unit, ?string $situation = null): array
{
    $devices = (new GraphBuilder($rig))->build($rig->situation($situation))->devices->of($computer);
    $own = array_filter($devices, fn (Device $device) => $device->ref->unit === $unit);

    return array_combine(array_map(fn (Device $device) => $device->ref->inside(), $own), array_map(fn (Device $device) => $device->trouble(), $own));
}

/** @return list<string> what is not as wished */
function modesAtOdds(Rig $rig, string $situation): array
{
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situation($situation)));

    return array_values(array_map(
        fn (HeardPair $pair) => "{$pair->source->id} at {$pair->listener->id}: {$pair->verdict->value}",
        array_filter(iterator_to_array($hearing->all(), false), fn (HeardPair $pair) => $pair->verdict->isAtOdds()),
    ));
}

it('lists what the mode gives and says what keeps the rest out', function (string $virtual, array $out) {
    $expected = array_replace(
        array_fill_keys(['usb/play-1', 'usb/play-2', 'usb/feed-1', 'usb/feed-2'], ''),
        array_fill_keys($out, "kept out: The computer lists is {$virtual}"),
    );
    expect(troubles(modesRig($virtual), 'pc', 'mix'))->toBe($expected);
})->with([['Every device', []], ['One each way', ['usb/play-2', 'usb/feed-2']]]);

it('takes away what is played to a device that is not listed', function (string $virtual, string $situation, array $atOdds) {
    expect(modesAtOdds(modesRig($virtual), $situation))->toBe($atOdds);
})->with([
    ['Every device', 'repairing', []], ['Every device', 'tea', []],
    // The call plays to the second device and takes the second feed, as the recorder does: both are gone.
    ['One each way', 'repairing', ['mechanic at caller-ear: missing', 'mechanic at record: missing', 'machine at caller-ear: missing',
        'machine at record: missing', 'caller at bench: missing', 'caller at viewers: missing']],
    // Over tea the mechanic must not be heard anyway.
    ['One each way', 'tea', ['machine at caller-ear: missing', 'machine at record: missing', 'caller at bench: missing', 'caller at viewers: missing']],
]);

it('can be so in one situation only', function () {
    $rig = modesRig('One each way', 'tea');
    expect(modesAtOdds($rig, 'repairing'))->toBe([])
        ->and(modesAtOdds($rig, 'tea'))->toHaveCount(4)
        ->and(troubles($rig, 'pc', 'mix')['usb/feed-2'])->toBe('')
        ->and(troubles($rig, 'pc', 'mix', 'tea')['usb/feed-2'])->toBe('kept out: The computer lists is One each way');
});

it('names the picks that break', function () {
    $graph = fn (Rig $rig) => (new GraphBuilder($rig))->build($rig->base());
    $all = $graph(modesRig());
    expect(LostPicks::between($all, $graph(modesRig('One each way'))))
        ->toBe(['Call program: Microphone (Without the caller)', 'Call program: Speaker (Caller)', 'Repair recorder: Input 1 (Without the caller)'])
        ->and(LostPicks::between($all, $graph(modesRig('Every device'))))->toBe([])
        ->and(LostPicks::between($graph(modesRig('One each way')), $all))->toBe([]);
});

it('is the cause, and the mode is the cure', function (?string $situation) {
    $rig = modesRig('One each way', $situation);
    $causes = (new Diagnosis(new Hearings($rig)))->causes();
    expect($causes[0]->sentence)->toBe('Bench mixer: The computer lists is One each way');
    $cured = $causes[0]->cures[0]->applyTo($rig);
    expect(modesAtOdds($cured, 'repairing'))->toBe([])->and(modesAtOdds($cured, 'tea'))->toBe([]);
})->with(['in the base' => null, 'in a situation' => 'tea']);

it('counts as it comes: a device that a mode adds is not there before', function () {
    $model = fn (array $effects) => ['name' => 'Box', 'family' => 'interface',
        'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-b', 'signal' => 'usb-audio', 'link' => 'device', 'lanes' => [
            ['id' => 'play', 'way' => 'in', 'point' => 'a', 'device' => ['direction' => 'playback', 'system_name' => 'Box 1']],
            ['id' => 'more', 'way' => 'in', 'point' => 'b', 'device' => ['direction' => 'playback', 'system_name' => 'Box 2']]]]],
        'points' => [['id' => 'a', 'kind' => 'in', 'channels' => 2], ['id' => 'b', 'kind' => 'in', 'channels' => 2]], 'routes' => [],
        'settings' => [['id' => 'mode', 'label' => 'USB mode', 'kind' => 'choice', 'choices' => ['Two', 'Many'], 'factory' => 'Two', 'effects' => $effects]]];
    $rig = fn (array $effects, array $values) => Draft::rig()->place('room')->unit('pc', 'streaming-computer', 'room')
        ->unit('box', $model($effects), 'room', $values === [] ? [] : ['values' => $values])->cable('usb', 'pc/usb-1', 'box/usb')->make();
    $more = [['value' => 'Many', 'device' => 'usb/more', 'on' => true]];
    expect(troubles($rig($more, []), 'pc', 'box'))->toBe(['usb/play' => '', 'usb/more' => 'kept out: USB mode is Two'])
        ->and(troubles($rig($more, ['mode' => 'Many']), 'pc', 'box'))->toBe(['usb/play' => '', 'usb/more' => '']);
    $written = (new DocumentWriter)->write($rig($more, ['mode' => 'Many']));
    expect((new DocumentWriter)->write((new DocumentReader)->read($written)))->toBe($written)
        ->and($written)->toContain('{"value": "Many", "device": "usb/more", "on": true}');
    foreach ([
        '/models/model-box/settings/0/effects/0/device' => [['value' => 'Many', 'device' => 'usb/none', 'on' => true]],
        '/models/model-box/settings/0/effects/0' => [['value' => 'Many', 'device' => 'usb/more', 'point' => 'a', 'on' => true]],
    ] as $pointer => $wrong) {
        expect(fn () => $rig($wrong, []))->toThrow(function (InvalidDocument $e) use ($pointer) {
            expect(array_map(fn ($problem) => $problem->pointer, $e->problems))->toContain($pointer);
        });
    }
});
