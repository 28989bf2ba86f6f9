<?php

declare(strict_types=1);

use App\Exports\HtmlBook;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Parts;
use HiddenWire\Core\Book\Photo;
use HiddenWire\Core\Book\Plugs;
use HiddenWire\Core\Book\Schedule;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Export\Csv;
use HiddenWire\Core\Export\Markdown;
use HiddenWire\Core\Export\Network;
use HiddenWire\Core\Import\CsvTable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Signal\GraphBuilder;
use Tests\Support\Draft;

function nightRelay(): Rig
{
    return (new DocumentReader)->read(shipped('rigs/night-relay.json'));
}

it('has every part for the demo, each under its own name, and none that is empty', function () {
    $photo = new Photo('Faders', 320, 200, fn () => 'a picture');
    $book = new Book(new BookInput(nightRelay(), 'Revision 7', [['2026-11-20', 'Ines', 'A fader']], photos: ['mixer' => [$photo]]));
    $keys = array_map(fn (array $chapter) => $chapter['part']->key(), $book->chapters);
    // The demo has no effects and no scenes; the change log, the appendix of models and the wall sheet are parts that one asks for.
    expect($keys)->toBe(array_values(array_diff(array_keys(Parts::all()), ['effects', 'scenes', 'changes', 'models', 'wall'])))->and(array_unique($keys))->toBe($keys)->and($book->title)->toBe('Night relay at the pier arcade');
    foreach ($book->chapters as ['blocks' => $blocks]) {
        foreach ($blocks as $block) {
            $block instanceof Table && expect($block->widths === [] || count($block->widths) === count($block->columns))->toBeTrue();
        }
    }
    expect(array_map(fn (array $one) => $one['part']->key(), (new Book(new BookInput(nightRelay()), ['cables', 'cover', 'nonsense']))->chapters))
        ->toBe(['cover', 'cables']);
});

it('has the way to each situation and the way back', function () {
    $blocks = (new Parts\Situations)->blocks(new BookInput(nightRelay()));
    // By hand from the rig: at the break the caller's source is muted and the music's fader goes from −16 to −6 dB.
    expect(array_column($blocks, 'text'))->toBe(['From On air to Break', 'Back from Break to On air', 'From On air to Off-air talk',
        'Back from Off-air talk to On air', 'From On air to Off', 'Back from Off to On air'])
        ->and((string) $blocks[0])->toBe('For On air, the default, set all as in Mixes and settings')
        ->and($blocks[2]->steps)->toContain('Broadcast program: Music (Source 2) fader −6.0 dB', 'Broadcast program: Caller (Source 3) muted')
        ->and($blocks[4]->steps)->toContain('Broadcast program: Music (Source 2) fader −16.0 dB', 'Broadcast program: Caller (Source 3) unmuted')
        ->and(count($blocks[4]->steps))->toBe(count($blocks[2]->steps));
});

it('leaves out what an empty rig has nothing to say about', function () {
    $empty = new BookInput(new Rig(new RigParts('Empty', situations: [new Situation('base', 'Base')])));
    expect(array_map(fn (array $one) => $one['part']->key(), (new Book($empty))->chapters))->toBe(['cover', 'findings'])
        ->and((new Markdown)->write($empty))->toContain('No wishes yet, so nothing can be open.');
});

it('says of a lead which plugs it has', function (string $cable, string $says) {
    $rig = nightRelay();
    expect((new Plugs($rig))->of($rig->cables[$cable]))->toBe($says);
})->with([
    'both ends alike' => ['w-10', 'TRS, 3.5 mm'], 'two large ones' => ['w-04', 'TRS, 6.35 mm'],
    'the plug of a Y-lead' => ['w-31', 'TRS, 6.35 mm'], 'XLR is XLR' => ['w-02', 'XLR'],
    'USB by its plugs' => ['w-17', 'USB, A to B'], 'USB-C' => ['w-08', 'USB, A to C'], 'RCA at a pair of sockets' => ['w-28', 'RCA'],
    'no plug to tell' => ['w-34', 'network'], 'light' => ['w-05', 'optical'],
]);

it('says both plugs of a lead, however it lies', function () {
    $rig = Draft::rig()->tone('large', 2, 'trs-6.35')->ear('small', 2, 'trs-3.5')->cable('trs', 'large/out', 'small/in')
        ->tone('other', 2, 'trs-3.5')->ear('big', 2, 'trs-6.35')->cable('trs', 'other/out', 'big/in')->make();
    foreach ($rig->cables as $cable) {
        expect((new Plugs($rig))->of($cable))->toBe('TRS, 3.5 mm to 6.35 mm');
    }
});

it('has a Y-lead as one line with all its plugs, and buys no leads for them', function () {
    $of = new BookInput(nightRelay());
    $rows = array_column((new Parts\CableSchedule)->blocks($of)[0]->rows, null, 0);
    // By hand from the rig: three plugs, one line, the lengths of its legs; of the RCA adapter the plug, and its sockets as a lead of its own.
    expect($rows['W-31, W-32, W-33'] ?? [])->toBe([
        'W-31, W-32, W-33',
        'Stereo plug in Presenter\'s desk: Desk mixer · Main out (6.35 mm TRS)',
        'Left plug in Arcade hall: Hall loudspeakers · Left in (6.35 mm TRS); Right plug in Arcade hall: Hall loudspeakers · Right in (6.35 mm TRS)',
        'Hall lead: Y-lead, large stereo to two mono, 0.5 m, 12 m', $rows['W-31, W-32, W-33'][4],
    ])->and($rows)->not->toHaveKeys(['W-31', 'W-32', 'W-33'])->and($rows)->toHaveKeys(['W-28', 'W-29']);
    $shop = (new Parts\Shopping)->blocks($of)[1]->rows;
    $leads = array_filter(nightRelay()->cables, fn ($cable) => ! in_array($cable->type->value, ['captive', 'wireless'], true));
    // Five of the leads are plugs: three of the Y-lead, one of the adapter, one of the USB extension.
    expect(array_sum(array_map(fn (array $row) => (int) $row[2], $shop)))->toBe(count($leads) - 5);
});

it('says what each cable carries, on which channels, and what comes back', function () {
    $rows = array_column((new Schedule(new BookInput(nightRelay())))->rows(), null, 'label');
    // By hand from the rig: a microphone's lead; the stereo main out, parted by the Y-lead; the headset with its microphone.
    expect($rows['W-02']['content'])->toBe('Presenter voice')
        ->and($rows['W-32']['content'])->toEndWith(', left')->and($rows['W-33']['content'])->toEndWith(', right')
        ->and($rows['W-09']['content'])->toContain('back: Driver voice')
        ->and($rows['W-01']['from'])->toBe(['place' => 'Presenter\'s desk', 'unit' => 'Presenter mic', 'socket' => 'Out', 'connector' => 'XLR, male'])
        ->and($rows['W-01']['type'])->toBe('XLR')->and(array_keys($rows)[9])->toBe('W-10');
});

it('writes CSV by the book: quoted, ended by CR LF, and no formula for a spreadsheet', function () {
    expect(Csv::of(['A', 'B'], [['say "hi", twice', "two\nlines"], ['=1+1', -6.5], ['+49', '@x'], ['-dash', null]]))
        ->toBe("A,B\r\n\"say \"\"hi\"\", twice\",\"two\nlines\"\r\n'=1+1,-6.5\r\n'+49,'@x\r\n'-dash,\r\n");
});

it('leaves no formula whatever a spreadsheet splits by, and takes back as many apostrophes as it has set', function () {
    // Worked out by hand.
    expect(Csv::of(['A'], [['x;=1+1']]))->toBe("A\r\n\"x;'=1+1\"\r\n")
        ->and(Csv::of(['A'], [['0 dB; -6 dB']]))->toBe("A\r\n\"0 dB; '-6 dB\"\r\n")
        ->and(Csv::of(['A'], [["x\n=1"]]))->toBe("A\r\n\"x\n'=1\"\r\n")
        ->and(Csv::of(['A'], [["x|'=1"]]))->toBe("A\r\nx|''=1\r\n")
        ->and(Csv::of(['A'], [['5 - 3, a+b, x=1']]))->toBe("A\r\n\"5 - 3, a+b, x=1\"\r\n");
    mt_srand(7);
    $letters = ['a', '=', '+', '-', '@', "'", ';', ',', "\t", '|', ' ', "\n", '"', "\r"];
    for ($i = 0; $i < 3000; $i++) {
        $text = '';
        for ($length = mt_rand(0, 9); $length > 0; $length--) {
            $text .= $letters[mt_rand(0, count($letters) - 1)];
        }
        expect(Csv::restored(Csv::defused($text)))->toBe($text);
        $line = Csv::of(['A', 'B'], [[$text, 'b']]);
        foreach ([';', "\t", '|', "\n", "\r"] as $mark) {
            foreach (explode($mark, $line) as $cell) {
                expect(ltrim($cell))->not->toMatch('/^[=+\-@]/', json_encode([$text, $mark]));
            }
        }
    }
    expect(CsvTable::read("a;b\n'=1;\"x;'=1\"\n")->rows)->toBe([2 => ['=1', 'x;=1']]);
});

it('takes no mark in a name for a mark of Markdown or HTML', function () {
    $rig = Draft::rig()->tone('a')->with(fn (array $data) => ['name' => '<b>*Rig*</b> | #1'] + $data)->make();
    expect((new Markdown)->write(new BookInput($rig)))->toStartWith('# \<b\>\*Rig\*\</b\> \| \#1')
        ->and((new HtmlBook)->write(new BookInput($rig)))->toContain('<h1>&lt;b&gt;*Rig*&lt;/b&gt; | #1</h1>')->not->toContain('<b>');
});

it('writes the signal graph by points and devices: what joins them, and whether it carries', function () {
    $network = new Network((new GraphBuilder(nightRelay()))->build(nightRelay()->base()));
    $edge = fn (string $from, string $to) => array_values(array_filter(
        $network->edges,
        fn (array $one) => $one['from'] === $from && $one['to'] === $to,
    ))[0] ?? null;
    expect($edge('presenter-mic/out', 'booster/in'))->toMatchArray(['kind' => 'cable', 'label' => 'W-01', 'carries' => true])
        ->and($edge('mixer/ch-usb', 'mixer/main'))->toMatchArray(['kind' => 'route', 'carries' => false])
        ->and(array_diff(array_column($network->edges, 'from'), array_keys($network->nodes)))->toBe([]);
});
