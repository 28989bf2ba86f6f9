<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\History\Elements;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Difference;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Things\Units;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\DecibelLevel;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\MapOf;
use HiddenWire\Core\Rig\Format\Types\Number;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Path;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Time;
use HiddenWire\Core\Rig\Format\Types\Value;
use HiddenWire\Core\Rig\Format\Types\Whole;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Unit;
use Tests\Support\Draft;

/** A shelf, as a document could describe one. */
final readonly class ShelfThing
{
    /** @param  list<string>  $holds */
    public function __construct(
        public string $id,
        public int $boards = 3,
        public ?string $leansOn = null,
        public array $holds = [],
        public bool $isOpen = true,
        public string $colour = '',
    ) {
    }
}

function shelfShape(): Shape
{
    return Shape::of(ShelfThing::class, 'shelf', [
        Field::of('id', new Id)->needed(),
        Field::of('boards', new Whole(1, 9))->usual(3),
        Field::of('leans_on', new Id('shelves')),
        Field::of('holds', ListOf::of(new Id('things'))->once('"%s" is named twice.')),
        Field::of('open', new Flag, 'isOpen')->usual(true)->told(fn (bool $is) => $is ? 'stands open' : 'is shut'),
        Field::of('colour', Text::upTo(5))->since(3)->called('paint'),
    ])->rule(fn (array $says, Reading $in) => $says['boards'] > 5 && $says['leansOn'] === null
        ? $in->problem('A tall one leans on another.', 'leans_on') : null);
}

/** @return array{mixed, array<string, string>} what is read, and the problems by their pointers */
function readAs(Type|Shape $type, mixed $value, int $version = 3): array
{
    $in = new Reading($version, ['here']);
    $read = $type->read($value, $in);

    return [$read, array_column(array_map(fn ($one) => (array) $one, $in->problems()), 'message', 'pointer')];
}

it('reads and writes every type, and says what is wrong', function (Type $type, mixed $said, mixed $held, mixed $wrong, string $message) {
    [$read, $problems] = readAs($type, $said);
    expect($problems)->toBe([])->and($read)->toEqual($held)->and($type->write($read, new stdClass))->toEqual($said);
    [, $problems] = readAs($type, $wrong);
    expect($problems)->toHaveCount(1)->and(reset($problems))->toBe($message)->and($type->schema(new Definitions))->not->toBe([]);
})->with([
    'an id' => [new Id, 'desk-1', 'desk-1', 'Desk',
        'An id has 1 to 64 small letters, digits, dots, hyphens and underscores, and begins and ends with a letter or digit.'],
    'an id of a line too much' => [new Id, 'a', 'a', "a\n",
        'An id has 1 to 64 small letters, digits, dots, hyphens and underscores, and begins and ends with a letter or digit.'],
    'a text' => [Text::upTo(3), 'äöü', 'äöü', 'äöüß', 'This text has 3 characters at most.'],
    'a text that may not be empty' => [Text::filled(3), 'a b', 'a b', ' ', 'This text may not be empty.'],
    'a text with a control character' => [Text::upTo(9), "a\tb", "a\tb", "a\x07",
        'This text holds control characters that can\'t be shown.'],
    'a text like another' => [Text::upTo(9)->like('^\d+$', 'Digits only.'), '12', '12', '1a', 'Digits only.'],
    'a choice' => [Choice::of(Tap::class), 'pre-fader', Tap::PreFader, 'after', 'This has to be one of input, before-mute, pre-fader, post-fader.'],
    'a switch' => [new Flag, false, false, 'no', 'This has to be true or false.'],
    'a whole number' => [new Whole(-2, 5), 5, 5, 6, 'This has to be a whole number from -2 to 5.'],
    'a number' => [new Number(0, 2.5), 2.125, 2.125, 2.1251, 'This has to be a number from 0 to 2.5 with three decimals at most.'],
    'decibels' => [new DecibelLevel, -8.2, Decibels::of(-8.2), 0.001,
        'This has to be a number of decibels from -200 to 200 with two decimals at most.'],
    'decibels within bounds' => [new DecibelLevel(-60, 0, 'Down to -60 dB.'), -60, Decibels::of(-60), -60.01, 'Down to -60 dB.'],
    'decibels up to their end' => [new DecibelLevel, 200, Decibels::of(200), 200.01,
        'This has to be a number of decibels from -200 to 200 with two decimals at most.'],
    'milliseconds' => [new Time, 0.001, Milliseconds::of(0.001), -1,
        'This has to be a number of milliseconds from 0 to 60000 with three decimals at most.'],
    'a socket' => [Path::toSocket(), 'desk/mic', new SocketRef('desk', 'mic'), 'desk', 'This has to be a reference of the form unit/socket.'],
    'a point' => [Path::toPoint(), 'desk/ch', new PointRef('desk', 'ch'), 'a/b/c', 'This has to be a reference of the form unit/point.'],
    'a device' => [Path::toDevice(), 'pc/usb/play', DeviceRef::lane('pc', 'usb', 'play'), 'pc//play',
        'This has to be a reference of the form unit/socket/lane, or unit/point for a virtual one.'],
    'a value' => [new Value, 2.5, 2.5, null, 'This is a text, a number, true or false.'],
    'a list' => [ListOf::of(new Whole(1, 3), 2), [3, 1], [3, 1], [1, 2, 3], 'This list has 2 entries at most.'],
    'a list with each once' => [ListOf::of(new Whole(1, 3))->once('Channel %s is named twice.'), [3, 1], [3, 1], [2, 2],
        'Channel 2 is named twice.'],
    'a map' => [new MapOf(new Flag), (object) ['7' => true], ['7' => true], [true], 'This has to be an object, {…}.'],
]);

it('reads an object by its shape, with what is usual where it says nothing, and writes no more than is needed', function () {
    [$shelf, $problems] = readAs(shelfShape(), (object) ['id' => 'low']);
    expect($problems)->toBe([])->and($shelf)->toEqual(new ShelfThing('low'))->and(shelfShape()->write($shelf))->toBe(['id' => 'low']);
    $said = ['id' => 'tall', 'boards' => 6, 'leans_on' => 'low', 'holds' => ['jar'], 'open' => false, 'colour' => 'green'];
    [$shelf] = readAs(shelfShape(), (object) $said);
    expect($shelf)->toEqual(new ShelfThing('tall', 6, 'low', ['jar'], false, 'green'))->and(shelfShape()->write($shelf))->toBe($said);
});

it('says everything that is wrong with an object at once, and where', function () {
    [$read, $problems] = readAs(shelfShape(), (object) ['boards' => 0, 'holds' => ['jar', 'Jar', 'jar'], 'legs' => 4]);
    expect($read)->toBeNull()->and($problems)->toBe([
        '/here/id' => 'This is missing: an id.',
        '/here/boards' => 'This has to be a whole number from 1 to 9.',
        '/here/holds/1' => 'An id has 1 to 64 small letters, digits, dots, hyphens and underscores, and begins and ends with a letter or digit.',
        '/here/holds/2' => '"jar" is named twice.',
        '/here/legs' => 'There is no such key here. Known: id, boards, leans_on, holds, open, colour.',
    ]);
    // Rules look at what is sound in itself.
    expect(readAs(shelfShape(), (object) ['id' => 'tall', 'boards' => 6])[1])->toBe(['/here/leans_on' => 'A tall one leans on another.'])
        ->and(readAs(shelfShape(), [])[1])->toBe(['/here' => 'This has to be an object, {…}.']);
});

it('has a field from its version on', function () {
    expect(readAs(shelfShape(), (object) ['id' => 'low', 'colour' => 'blue'], 2)[1])
        ->toBe(['/here/colour' => 'There is no such key here. Known: id, boards, leans_on, holds, open.'])
        ->and(readAs(shelfShape(), (object) ['id' => 'low'], 2)[0])->toEqual(new ShelfThing('low'));
});

it('points to a key with a slash as the standard has it', function () {
    [, $problems] = readAs(new MapOf(new ObjectOf(shelfShape())), (object) ['a/b~c' => (object) ['id' => 1]]);
    expect(array_keys($problems))->toBe(['/here/a~1b~0c/id']);
});

it('tells what is otherwise, field by field', function () {
    $rig = Draft::rig()->make();
    expect(Difference::between(shelfShape(), new ShelfThing('a'), new ShelfThing('a', 4, 'b', ['jar'], false, 'red'), $rig))->toBe([
        'boards' => 'boards 4', 'leansOn' => 'leans on b', 'holds' => 'other holds', 'isOpen' => 'is shut', 'colour' => 'paint red',
    ])->and(Difference::between(shelfShape(), new ShelfThing('a', colour: 'red'), new ShelfThing('a'), $rig))->toBe(['colour' => 'no paint'])
        ->and(Difference::between(shelfShape(), new ShelfThing('a'), new ShelfThing('a', 4), $rig, ['boards']))->toBe([]);
});

it('knows what a thing refers to, and what it says once that is gone', function () {
    $shelf = new ShelfThing('a', 4, 'b', ['jar', 'cup']);
    expect(References::of(shelfShape(), $shelf))->toBe([
        ['pointer' => '/leans_on', 'list' => 'shelves', 'id' => 'b'],
        ['pointer' => '/holds/0', 'list' => 'things', 'id' => 'jar'],
        ['pointer' => '/holds/1', 'list' => 'things', 'id' => 'cup'],
    ])->and(References::left(shelfShape(), $shelf, 'shelves', 'b'))->toEqual(new ShelfThing('a', 4, null, ['jar', 'cup']))
        ->and(References::left(shelfShape(), $shelf, 'things', 'jar'))->toEqual(new ShelfThing('a', 4, 'b', ['cup']))
        ->and(References::left(shelfShape(), $shelf, 'things', 'b'))->toBe($shelf);
    // What can't be without it goes with it: the thing that a needed field names, or the last that a list names.
    $bound = Shape::of(ShelfThing::class, '', [Field::of('id', new Id('walls'))->needed(), Field::of('holds', ListOf::of(new Id('things')))->goesWithLast()]);
    expect(References::left($bound, $shelf, 'walls', 'a'))->toBeNull()->and(References::left($bound, $shelf, 'walls', 'c'))->toBe($shelf)
        ->and(References::left($bound, new ShelfThing('a', holds: ['jar']), 'things', 'jar'))->toBeNull()
        ->and(References::left($bound, new ShelfThing('a'), 'things', 'jar'))->toEqual(new ShelfThing('a'));
});

it('takes every field of a unit that people note there and back, tells it, and takes it for a part of the unit', function () {
    $rig = Draft::rig()->place('hall')->unit('mic', 'dynamic-microphone')->unit('box', 'line-booster')->make();
    $noted = 0;
    foreach (Units::unit()->allFields() as $field) {
        $other = match (true) {
            $field->note === null => null,
            $field->type instanceof Text => 'Something',
            $field->type instanceof Whole => 7,
            $field->type instanceof Choice => (fn (string $value) => readAs($field->type, $value)[0])(last($field->type->schema(new Definitions)['enum'])),
            $field->type instanceof Id => 'box',
            default => null,
        };
        if ($other === null) {
            continue;
        }
        $noted++;
        $with = fn (Unit $unit): Unit => $unit->id === 'mic' ? $unit->with(...[$field->property => $other]) : $unit;
        $said = new Rig($rig->parts()->with(units: array_map($with, array_values($rig->units))));
        $text = (new DocumentWriter)->write($said);
        expect($text)->toContain("\"{$field->key}\": ")->and((new DocumentReader)->read($text))->toEqual($said)
            ->and(Elements::changed($rig, $said))->toBe(['units/mic'])
            ->and((new RigDifference($rig, $said))->lines()['Places and units'] ?? [])->toHaveCount(1)
            ->and((new RigDifference($said, $rig))->lines()['Places and units'] ?? [])->toHaveCount(1);
    }
    expect($noted)->toBeGreaterThan(1);
});

it('lets go of a unit that is removed', function () {
    $rig = Draft::rig()->unit('mic', 'dynamic-microphone')->unit('box', 'line-booster')
        ->with(fn (array $d) => array_replace_recursive($d, ['units' => [['spare_for' => 'box', 'needs' => ['box']]]]))->make();
    expect($rig->units['mic']->spareFor)->toBe('box');
    $left = (new RemoveUnit('box'))->applyTo($rig)->units;
    expect(array_keys($left))->toBe(['mic'])->and([$left['mic']->spareFor, $left['mic']->needs])->toBe([null, []]);
});

it('refuses a reference to what is not there, or to itself', function () {
    $needs = fn (string $id) => Draft::rig()->unit('mic', 'dynamic-microphone')
        ->with(fn (array $d) => array_replace_recursive($d, ['units' => [['needs' => [$id]]]]))->text();
    $problem = function (string $text): string {
        try {
            (new DocumentReader)->read($text);
        } catch (InvalidDocument|InvalidRig $e) {
            return "{$e->problems[0]->pointer}: {$e->problems[0]->message}";
        }

        return '';
    };
    expect($problem($needs('ghost')))->toBe('/units/0/needs/0: There is no unit "ghost".')
        ->and($problem($needs('mic')))->toBe('/units/0/needs/0: This is the unit itself: name another.');
});

it('tells every field of a thing that comes or goes, whichever it is', function () {
    // One thing of each list, with a field that has no words of its own in a difference.
    $rig = Draft::rig()->place('hall')->unit('mic', 'dynamic-microphone')->unit('desk-8', 'eight-input-desk')
        ->cable('xlr', 'mic/out', 'desk-8/mic-1')->source('v', 'mic/capsule')->make();
    $parts = $rig->parts();
    $changed = fn (string $list, array $says): array => (new RigDifference($rig, new Rig($parts->with(...[$list => array_map(
        fn (object $one) => $one->id === array_key_first($rig->{$list}) ? new ($one::class)(...[...get_object_vars($one), ...$says]) : $one,
        array_values($rig->{$list}),
    )]))))->lines();
    expect($changed('cables', ['lanes' => [['out', 'in']]]))->toBe(['Cables' => ['W-1: its lanes are paired by hand']])
        ->and($changed('places', ['kind' => PlaceKind::Remote]))->toBe(['Places and units' => [
            "{$rig->places[array_key_first($rig->places)]->name}: a place of kind remote",
        ]])
        ->and($changed('sources', ['kind' => SourceKind::Alerts]))->toBe(['Sounds, listeners and wishes' => [
            "{$rig->sources['v']->name}: a sound of kind alerts",
        ]]);
});
