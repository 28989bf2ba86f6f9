<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\AcceptFinding;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\MoveShowStep;
use HiddenWire\Core\Edit\RemoveShowStep;
use HiddenWire\Core\Edit\RemoveSound;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\ReopenFinding;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\SetReason;
use HiddenWire\Core\Edit\SetShowStep;
use HiddenWire\Core\Edit\Swap;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\History\Elements;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\ShowStep;
use HiddenWire\Core\Rig\WebLink;
use Tests\Support\Draft;

/** A microphone into a desk, with all that can be written down of them. */
function writtenDown(): Draft
{
    return Draft::rig()->unit('mic', 'dynamic-microphone')->unit('desk-8', 'eight-input-desk')->cable('xlr', 'mic/out', 'desk-8/mic-1')
        ->source('v', 'mic/capsule')->with(fn (array $d) => array_replace_recursive($d, [
            'units' => [['price' => '89.00 EUR', 'supplier' => 'Pier Music', 'links' => [['label' => 'Manual',
                'url' => 'https://example.test/mic.pdf']]], ['ready_s' => 12]],
            'cables' => [['price' => '9.50 EUR', 'supplier' => 'Pier Music']],
            'reasons' => [
                ['about' => 'units/mic', 'why' => 'The voice is known by it.'],
                ['about' => 'units/desk-8/points/ch-1', 'leave_alone' => true],
                ['about' => 'cables/w-1', 'why' => 'The other lead crackles.'],
                ['about' => 'sources/v', 'why' => 'The main thing.'],
            ],
            'steps' => [
                ['id' => 'lights', 'phase' => 'prepare', 'text' => 'Switch the lights on', 'at_min' => -30],
                ['id' => 'tea', 'phase' => 'prepare', 'text' => 'Put the kettle on', 'wait_s' => 240],
                ['id' => 'out', 'phase' => 'close', 'text' => 'Lock the door'],
            ],
            'accepted' => [['evidence' => '0123456789abcdef', 'says' => 'Something hums', 'why' => 'Nobody hears it.']],
        ]));
}

it('writes what it has read, byte for byte, and says nothing of what is not there', function () {
    $rig = writtenDown()->make();
    $text = (new DocumentWriter)->write($rig);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
    foreach (['"price": "89.00 EUR"', '"ready_s": 12', '"about": "units/desk-8/points/ch-1", "leave_alone": true', '"at_min": -30',
        '"wait_s": 240', '"evidence": "0123456789abcdef"'] as $said) {
        expect($text)->toContain($said);
    }
    $plain = (new DocumentWriter)->write(Draft::rig()->make());
    expect($plain)->not->toContain('reasons')->not->toContain('steps')->not->toContain('accepted');
});

it('reads a document of version 1, and takes nothing in it that came later', function () {
    $first = fn (callable $change): string => Draft::rig()->unit('mic', 'closed-headphones')->with(fn (array $d) => $change(['version' => 1] + $d))->text();
    $rig = (new DocumentReader)->read($first(fn (array $d) => $d));
    expect((new DocumentWriter)->write($rig))->toContain('"version": 3');
    $pointers = function (string $text): array {
        try {
            (new DocumentReader)->read($text);

            return [];
        } catch (InvalidDocument $e) {
            return array_map(fn ($problem) => $problem->pointer, $e->problems);
        }
    };
    expect($pointers($first(fn (array $d) => $d + ['steps' => []])))->toBe(['/steps'])
        ->and($pointers($first(fn (array $d) => array_replace_recursive($d, ['units' => [['price' => '1']]]))))->toBe(['/units/0/price']);
});

it('points at each offence in what is written down', function (array $change, array $pointers) {
    try {
        writtenDown()->with(fn (array $d) => array_replace_recursive($d, $change))->make();
        $found = [];
    } catch (InvalidDocument $e) {
        $found = array_map(fn ($problem) => $problem->pointer, $e->problems);
    }
    expect($found)->toBe($pointers);
})->with([
    'as it is' => [[], []],
    'a reason for nothing' => [['reasons' => [['about' => 'units/nobody']]], ['/reasons/0/about']],
    'a reason for a point that is none' => [['reasons' => [['about' => 'units/mic/points/ch-9']]], ['/reasons/0/about']],
    'a reference of no form' => [['reasons' => [['about' => 'mic']]], ['/reasons/0/about']],
    'two reasons for one thing' => [['reasons' => [1 => ['about' => 'units/mic']]], ['/reasons/1/about']],
    'a reason that says nothing' => [['reasons' => [['why' => ' ']]], ['/reasons/0/why']],
    'two steps of one id' => [['steps' => [1 => ['id' => 'lights']]], ['/steps/1/id']],
    'a phase that is none' => [['steps' => [['phase' => 'lunch']]], ['/steps/0/phase']],
    'an endless wait' => [['steps' => [1 => ['wait_s' => 3601]]], ['/steps/1/wait_s']],
    'evidence that is none' => [['accepted' => [['evidence' => '0123456789abcdeX']]], ['/accepted/0/evidence']],
    'an address that runs a script' => [['units' => [['links' => [['url' => 'javascript:alert(1)']]]]], ['/units/0/links/0/url']],
    'too long a price' => [['cables' => [['price' => str_repeat('9', 41)]]], ['/cables/0/price']],
]);

it('lets a reason go with the thing that it is about, and no other', function (object $edit, array $left) {
    $about = fn (Rig $rig): array => array_map(fn ($one) => (string) $one->about, $rig->papers->reasons);
    expect($about($edit->applyTo(writtenDown()->make())))->toBe($left);
})->with([
    'the microphone' => [new RemoveUnit('mic'), ['units/desk-8/points/ch-1', 'sources/v']],
    'the cable' => [new Unplug('w-1'), ['units/mic', 'units/desk-8/points/ch-1', 'sources/v']],
    'the sound' => [new RemoveSound('v'), ['units/mic', 'units/desk-8/points/ch-1', 'cables/w-1']],
]);

it('says which reason is lost where a model is swapped for one without the point', function () {
    $rig = writtenDown()->make();
    $swap = new Swap($rig, $rig->units['desk-8'], Draft::rig()->unit('x', 'optical-splitter')->make()->models['optical-splitter']);
    expect($swap->rig->papers->reasonFor('units/desk-8/points/ch-1'))->toBeNull()
        ->and(implode('; ', $swap->losses))->toContain('the reason for');
});

it('writes down, changes and removes', function () {
    $rig = writtenDown()->make();
    $mic = ElementRef::unit('mic');
    $changed = (new SetReason($mic, 'Nothing else was there.', true))->applyTo($rig);
    expect($changed->papers->reasonFor($mic)?->words())->toBe('Leave alone. Nothing else was there.')
        ->and((new SetReason($mic, 'x', false))->words($rig))->toBe('Mic: x')
        ->and((new SetReason($mic, '', false))->applyTo($rig)->papers->reasonFor($mic))->toBeNull()
        ->and(count((new SetReason(ElementRef::unit('desk-8'), 'It was cheap.', false))->applyTo($rig)->papers->reasons))->toBe(5);

    $ids = fn (Rig $rig): array => array_map(fn (ShowStep $step) => $step->id, $rig->papers->steps);
    $more = (new SetShowStep(new ShowStep('cat', Phase::Close, 'Feed the cat', 0, 30)))->applyTo($rig);
    expect($ids($more))->toBe(['lights', 'tea', 'out', 'cat'])
        ->and($more->papers->steps[3]->words())->toBe('On the hour: Feed the cat; wait 30 seconds')
        ->and($rig->papers->steps[0]->words())->toBe('30 minutes before: Switch the lights on')
        ->and($ids((new MoveShowStep('cat', true))->applyTo($more)))->toBe(['lights', 'tea', 'cat', 'out'])
        // The first of its phase has nowhere to go, whatever comes before it.
        ->and($ids((new MoveShowStep('out', true))->applyTo($more)))->toBe(['lights', 'tea', 'out', 'cat'])
        ->and($ids((new RemoveShowStep('tea'))->applyTo($rig)))->toBe(['lights', 'out'])
        ->and((new RemoveShowStep('tea'))->words($rig))->toBe('Removed from the run-down: Put the kettle on');

    $accepted = (new AcceptFinding(new Acceptance('ffffffffffffffff', 'W-17 is out', 'On loan')))->applyTo($rig);
    expect(count($accepted->papers->accepted))->toBe(2)->and($accepted->papers->acceptanceOf('ffffffffffffffff')?->why)->toBe('On loan')
        ->and((new ReopenFinding('ffffffffffffffff'))->words($accepted))->toBe('Open again: W-17 is out')
        ->and((new ReopenFinding('ffffffffffffffff'))->applyTo($accepted)->papers->accepted)->toHaveCount(1);

    $bought = (new DescribeUnit('mic', ['price' => '79 EUR', 'supplier' => 'Pier Music', 'links' => [], 'readyS' => null]))->applyTo($rig);
    expect($bought->units['mic']->price)->toBe('79 EUR')->and($bought->units['mic']->links)->toBe([])
        ->and((new DescribeUnit('mic', ['price' => '79 EUR', 'supplier' => 'Pier Music', 'links' => [], 'readyS' => null]))->words($rig))
        ->toBe('Mic: price 79 EUR, 0 links')
        // What does not say leaves it as it is.
        ->and((new DescribeUnit('mic', ['name' => 'Mic']))->applyTo($rig)->units['mic']->price)->toBe('89.00 EUR');
    $cable = (new SetCable('w-1', 'W-1', CableType::Xlr, 3.0, '', true, '12 EUR', ''))->applyTo($rig)->cables['w-1'];
    expect([$cable->price, $cable->supplier])->toBe(['12 EUR', ''])
        ->and((new SetCable('w-1', 'W-1', CableType::Xlr, 3.0, '', true))->applyTo($rig)->cables['w-1']->price)->toBe('9.50 EUR');
});

it('tells what changed in it, and takes each for a thing of its own', function () {
    $rig = writtenDown()->make();
    $after = (new SetReason(ElementRef::unit('mic'), '', false))->applyTo((new SetShowStep(new ShowStep('tea', Phase::Prepare, 'Make coffee')))->applyTo($rig));
    expect((new RigDifference($rig, $after))->lines())->toBe(['Reasons, facts, run-down and accepted findings' => [
        'Prepare: Make coffee', 'removed: Mic: The voice is known by it.',
    ]])->and(Elements::changed($rig, $after))->toEqualCanonicalizing(['reasons/units/mic', 'steps/tea']);
    $dearer = (new DescribeUnit('mic', ['price' => '99 EUR', 'supplier' => '', 'links' => [new WebLink('Manual', 'https://example.test/mic.pdf')], 'readyS' => 3]))->applyTo($rig);
    expect((new RigDifference($rig, $dearer))->lines()['Places and units'])->toBe([
        'Mic costs 99 EUR', 'Mic has no supplier any more', 'Mic takes 3 s to start',
    ]);
});
