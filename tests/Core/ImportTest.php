<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Export\CableCsv;
use HiddenWire\Core\Import\CableMapping;
use HiddenWire\Core\Import\CablePlan;
use HiddenWire\Core\Import\CsvTable;
use HiddenWire\Core\Import\PlannedRow;
use HiddenWire\Core\Import\UnreadableTable;
use HiddenWire\Core\Import\WishPlan;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

/** @return list<array{int, string, string}> line, outcome and words of each row */
function planned(Rig $rig, string $csv): array
{
    $table = CsvTable::read($csv);

    return array_map(
        fn (PlannedRow $row) => [$row->line, $row->outcome, $row->words],
        (new CablePlan($rig, $table, CableMapping::guess($table->columns)))->rows,
    );
}

function threeUnits(): Rig
{
    return Draft::rig()->unit('mic', 'dynamic-microphone')->unit('desk', 'eight-input-desk')->unit('phones', 'closed-headphones')
        ->cable('xlr', 'mic/out', 'desk/mic-1')->make();
}

it('reads tables as spreadsheets write them, and says what is wrong with the rest', function () {
    $table = CsvTable::read("\u{FEFF}A;B\r\n\"one; \"\"two\"\"\r\nlines\";x\r\n\r\n'=1;y\n");
    expect($table->columns)->toBe(['A', 'B'])->and($table->rows)->toBe([2 => ["one; \"two\"\r\nlines", 'x'], 5 => ['=1', 'y']]);
    expect(CsvTable::read("A\tB\nx\ty")->rows)->toBe([2 => ['x', 'y']])
        ->and(fn () => CsvTable::read("A,B\n\"open"))->toThrow(UnreadableTable::class, 'line 2 is never closed')
        ->and(fn () => CsvTable::read("one\ntwo"))->toThrow(UnreadableTable::class, 'name the columns')
        ->and(fn () => CsvTable::read("A,B\n\xFF"))->toThrow(UnreadableTable::class, 'not UTF-8')
        ->and(fn () => CsvTable::read(str_repeat('a', CsvTable::MAX_BYTES + 1)))->toThrow(UnreadableTable::class, '1 MB');
});

it('plans new cables, changes, and tells problems by their line', function () {
    $head = "Label,From unit,From socket,To unit,To socket,Type,Length,Owned\n";
    $rows = planned(threeUnits(), $head
        ."W-1,Mic,Out,Desk,Mic 1,XLR,,\n"
        ."W-1,Mic,Out,Desk,Mic 2,XLR,\"2,5\",no\n"
        ."EARS,desk,phones,Phones,Plug,,3,yes\n"
        ."X,Mic,Out,Kettle,Spout,,,\n"
        ."Y,Mic,Elbow,Desk,Mic 1,,,\n"
        ."Q,Desk,Aux 1,Phones,Plug,,,\n"
        ."W-1,Mic,Out,Desk,Mic 2,rope,,\n"
        ."W-1,Mic,Out,Desk,Mic 2,,long,\n");
    expect(array_map(fn (array $row) => [$row[0], $row[1]], $rows))->toBe([
        [2, 'same'], [3, 'changed'], [4, 'new'], [5, 'problem'], [6, 'problem'], [7, 'problem'], [8, 'problem'], [9, 'problem'],
    ])
        ->and($rows[2][2])->toStartWith('EARS: Phones of Desk to Plug of Phones')
        ->and($rows[3][2])->toBe('The rig has no unit called "Kettle".')
        ->and($rows[4][2])->toBe('Mic has no socket called "Elbow"; it has Out.')
        ->and($rows[5][2])->toContain('EARS in it')
        ->and($rows[6][2])->toBe('There is no cable type "rope".')
        ->and($rows[7][2])->toBe('"long" is no length: write "1.5" for metres, or "5 ft 3 in".');
});

it('gives the cable schedule byte for byte again, after it was taken in by a rig without leads', function (string $file) {
    $data = (array) json_decode((string) file_get_contents($file), true);
    // A length of nothing, a label that a spreadsheet would run, and who sells what.
    $data['cables'][0] = ['length_m' => 0, 'label' => '=W+1', 'owned' => false, 'price' => '4.50 EUR', 'supplier' => '@Quayside; shop'] + $data['cables'][0];
    $rig = (new DocumentReader)->read((string) json_encode($data));
    $csv = (new CableCsv)->write(new BookInput($rig));
    $bare = $rig;
    foreach (array_keys($rig->cables) as $id) {
        $bare = (new Unplug((string) $id))->applyTo($bare);
    }
    $table = CsvTable::read($csv);
    $plan = new CablePlan($bare, $table, CableMapping::guess($table->columns));
    expect($plan->count('problem'))->toBe(0)->and((new CableCsv)->write(new BookInput($plan->after)))->toBe($csv)
        ->and($csv)->toContain("'=W+1")->toContain(',0,')->toContain('4.50 EUR');
})->with(fn () => shippedRigs());

it('takes its own cable schedule in again: the same cables as went out', function () {
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));
    $table = CsvTable::read((new CableCsv)->write(new BookInput($rig)));
    expect(array_unique(array_column(planned($rig, (new CableCsv)->write(new BookInput($rig))), 1)))->toBe(['same']);
    $bare = new Rig($rig->parts()->with(cables: [], situations: array_values(array_map(fn ($one) => $one->without([], array_keys($rig->cables)), $rig->situations))));
    $plan = new CablePlan($bare, $table, CableMapping::guess($table->columns));
    $plain = function (Rig $rig): array {
        $cables = array_map(
            fn (Cable $one) => [$one->label, $one->type->value, (string) $one->from, (string) $one->to, $one->lengthM, $one->colour, $one->owned],
            array_values($rig->cables),
        );
        sort($cables);

        return $cables;
    };
    expect($plan->count('problem'))->toBe(0)->and($plain($plan->after))->toBe($plain($rig));
});

it('reads no more of a table of wishes than a request can bear, and says what is left', function () {
    $rig = Draft::rig()->tone('music', 2)->ear('ears', 2)->make();
    // By hand: 200 of 300 columns are new listeners, and one line says that there are more.
    $heads = implode(',', array_map(fn (int $i) => "L{$i} (stream)", range(1, 300)));
    $wide = new WishPlan($rig, CsvTable::read("Sound,{$heads}\nMusic".str_repeat(',', 300)."\n"));
    expect($wide->after->listeners)->toHaveCount(201)->and($wide->rows[200]->outcome)->toBe('problem')
        ->and($wide->rows[200]->words)->toContain('Only 200 columns');
    $long = new WishPlan($rig, CsvTable::read("Sound,Ears\n".implode("\n", array_map(fn (int $i) => "S{$i},must", range(1, 2000)))));
    expect($long->rows[1999]->words)->toBe('Too many at once. Import the file again for the rest.')
        ->and($long->count('new') + $long->count('problem'))->toBe(2000)->and($long->count('new'))->toBeGreaterThan(400);
});

it('takes sounds and wishes from a table, row by row', function () {
    $rig = Draft::rig()->tone('music', 2)->ear('ears', 2)->wish('music', 'ears', 'may')->make();
    $plan = fn (string $text): WishPlan => new WishPlan($rig, CsvTable::read($text));
    // By hand: Ears is there, Viewers is new, Kettle is nobody; Music changes, Voice is new, Wind has a kind that there is not, Rain a cell.
    $of = $plan("Sound,Kind,Ears,Viewers (stream),Kettle\nMusic,,must,may not,\nmusic,,must,,\nVoice,voice,must not,x,\nWind,storm,,,\nRain,,often,,\nMusic,,must,,\n");
    expect(array_map(fn (PlannedRow $row) => [$row->line, $row->outcome], $of->rows))->toBe([
        [1, 'new'], [1, 'problem'], [2, 'problem'], [3, 'changed'], [4, 'new'], [5, 'problem'], [6, 'problem'], [7, 'same'],
    ])->and($of->rows[1]->words)->toStartWith('There is no listener called "Kettle". Write "Kettle (stream)" to add one')
        ->and($of->rows[2]->words)->toBe('"may not" is no wish: write must, may or must not, or nothing.')
        ->and($of->rows[5]->words)->toStartWith('"storm" is no kind of sound: write voice, game')
        ->and($of->rows[6]->words)->toBe('"often" is no wish: write must, may or must not, or nothing.');
    $after = array_reduce($of->all(), fn (Rig $rig, $edit) => $edit->applyTo($rig), $rig);
    $wishes = array_map(fn ($wish) => [$after->sources[$wish->source]->name, $after->listeners[$wish->listener]->name, $wish->want->value], $after->wishes);
    expect(array_values($wishes))->toBe([['Music', 'Ears', 'must'], ['Voice', 'Ears', 'must-not'], ['Voice', 'Viewers', 'must']])
        ->and($after->sources['voice']->kind->value)->toBe('voice')->and($after->listeners['viewers']->kind->value)->toBe('stream')
        // What somebody pastes from a spreadsheet has tabs between, and an empty rig takes all of it.
        ->and((new WishPlan(Draft::rig()->make(), CsvTable::read("\tViewers (stream)\nVoice\tmust\n")))->count('new'))->toBe(2)
        ->and($plan("Sound\tEars\n\tmust\n")->rows[0]->words)->toBe('The first column names the sound.');
});
