<?php

declare(strict_types=1);

use App\Actions\DeleteAccount;
use App\Actions\ImportRig;
use App\Exports\BookPdf;
use App\Exports\Drawings;
use App\Exports\Exports;
use App\Exports\Labels;
use App\Exports\LabelStock;
use App\Exports\MapSheets;
use App\Exports\NotInstalled;
use App\Exports\Paper;
use App\Exports\Typesetter;
use App\Exports\WrittenBook;
use App\Jobs\MakeBook;
use App\Jobs\Stopped;
use App\Models\BookState;
use App\Models\MadeBook;
use App\Models\Share;
use App\Models\User;
use App\Rigs\Causes;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Export\Dot;
use HiddenWire\Core\Export\Network;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Http\UploadedFile;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use PhpOffice\PhpSpreadsheet\Reader\Ods;
use Tests\Bench\GeneratedRig;
use Tests\Support\Draft;

beforeEach(function () {
    $this->relay = resource_path('rigs/night-relay.json');
    $this->out = sys_get_temp_dir().'/hidden-wire-export-'.getmypid();
    $this->export = function (string $format, array $more = []): string {
        @unlink($this->out);
        $this->artisan('rig:export', ['file' => $this->relay, '--format' => $format, '--output' => $this->out, ...$more])->assertSuccessful();

        return (string) file_get_contents($this->out);
    };
    /** What a tool says of what was written. */
    $this->tool = fn (string ...$command): string => tap(Process::run([...$command]), fn ($run) => expect($run->successful())->toBeTrue($run->errorOutput()))->output();
});

afterEach(fn () => @unlink($this->out));

it('writes every form without a database', function () {
    config(['database.connections.mariadb.port' => 1, 'database.default' => 'mariadb']);
    expect(($this->export)('document'))->toBe(shipped('rigs/night-relay.json'));
    expect(($this->export)('cables-csv'))->toContain("W-02,Presenter's desk,Line booster,Out,\"XLR, male\"")
        ->and(substr_count(($this->export)('cables-csv'), "\r\n"))->toBe(35);
    expect(($this->export)('devices-csv'))->toContain('Broadcast computer,Eight-input desk,Desk programme,recording,2,recording,Desk mixer,48000,24');
    expect(($this->export)('markdown'))->toStartWith("# Night relay at the pier arcade\n")->toContain('## Cable schedule');
});

it('writes graphs that other programs read', function () {
    ($this->export)('graphml');
    ($this->tool)('xmllint', '--noout', $this->out);
    $xml = new DOMDocument;
    $xml->load($this->out);
    $path = new DOMXPath($xml);
    $path->registerNamespace('g', 'http://graphml.graphdrawing.org/xmlns');
    // The structure that the published schema asks for: every edge joins two nodes, every datum has a key for its element.
    $ids = array_map(fn ($node) => $node->nodeValue, iterator_to_array($path->query('/g:graphml/g:graph/g:node/@id')));
    foreach ($path->query('/g:graphml/g:graph/g:edge') as $edge) {
        expect($ids)->toContain($edge->getAttribute('source'), $edge->getAttribute('target'));
    }
    expect(array_unique($ids))->toBe($ids)
        ->and($path->query('//g:node/g:data[not(@key = /g:graphml/g:key[@for="node"]/@id)]')->length)->toBe(0)
        ->and($path->query('//g:edge/g:data[not(@key = /g:graphml/g:key[@for="edge"]/@id)]')->length)->toBe(0);
    // Ids are name tokens of the schema; the reference is next to it, as the document has it.
    expect(array_filter($ids, fn (string $id) => preg_match('/^[\w.:-]+$/D', $id) !== 1))->toBe([])
        ->and($path->query('//g:node/g:data[@key = "node-ref" and text() = "presenter-mic/out"]')->length)->toBe(1);
    ($this->export)('dot');
    expect(($this->tool)('dot', '-Tplain', $this->out))->toContain('presenter-mic/out');
});

it('writes every shipped rig so that a graph program draws it', function (string $file) {
    $rig = (new DocumentReader)->read((string) file_get_contents($file));
    file_put_contents($this->out, (new Dot)->write(new BookInput($rig)));
    $plain = ($this->tool)('dot', '-Tplain', $this->out);
    // What a line that nobody can read would leave out: every point and device of the graph is drawn.
    foreach (array_keys((new Network((new GraphBuilder($rig))->build($rig->base())))->nodes) as $node) {
        expect($plain)->toContain((string) $node);
    }
})->with(fn () => [dirname(__DIR__, 2).'/resources/rigs/night-relay.json', ...glob(dirname(__DIR__, 2).'/resources/starters/*.json') ?: []]);

it('draws the map as a picture that needs nothing beside it', function () {
    $svg = ($this->export)('svg', ['--depth' => 'inside']);
    ($this->tool)('xmllint', '--noout', $this->out);
    expect($svg)->toContain('W-17')->toContain('Donation chimes')->not->toContain('href')->not->toContain('class=')->not->toMatch('~url\((?!data:)~');
    $png = ($this->export)('png');
    [$width, $height] = getimagesizefromstring($png) ?: [0, 0];
    expect($width)->toBeGreaterThan(2000)->and($height)->toBeGreaterThan(1000);
});

it('writes a book of one file that opens without a network', function () {
    $html = ($this->export)('html');
    expect($html)->toContain('<svg ')->toContain('<input type="checkbox"')->not->toMatch('#(src|href)="(?!\#)#')->not->toContain('@import')->not->toContain('url(');
    foreach (['W-01', 'W-34', 'Donation chime', 'Mixes and settings'] as $said) {
        expect($html)->toContain($said);
    }
});

it('writes the book as PDF within ten seconds and 256 MiB: fonts embedded, every label found, nothing cut off', function (string $paper) {
    $start = hrtime(true);
    // In a process of its own, which may take no more.
    Process::path(base_path())->timeout(300)->run([PHP_BINARY, '-d', 'memory_limit=256M', 'artisan', 'rig:export', $this->relay, '--format=pdf',
        "--paper={$paper}", "--output={$this->out}"])->throw();
    expect((hrtime(true) - $start) / 1e9)->toBeLessThan(slowness() * 10);
    $fonts = array_slice(explode("\n", trim(($this->tool)('pdffonts', $this->out))), 2);
    expect($fonts)->not->toBe([]);
    foreach ($fonts as $font) {
        expect($font)->toMatch('/\s(yes)\s+(yes|no)\s+(yes|no)\s+\d+\s+\d+$/');
    }
    $text = ($this->tool)('pdftotext', '-layout', $this->out, '-');
    foreach ((new DocumentReader)->read(shipped('rigs/night-relay.json'))->cables as $cable) {
        expect($text)->toContain($cable->label);
    }
    expect($text)->toContain('Contents')->toContain('What stands wrong now');
    // Every word is within its page, and within the margins but for the maps and feet.
    preg_match_all('/<page width="([\d.]+)" height="([\d.]+)">(.*?)<\/page>/s', ($this->tool)('pdftotext', '-bbox', $this->out, '-'), $pages, PREG_SET_ORDER);
    expect(count($pages))->toBeGreaterThan(15);
    foreach ($pages as [, $width, $height, $words]) {
        preg_match_all('/xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)"/', $words, $boxes, PREG_SET_ORDER);
        foreach ($boxes as [, $left, $top, $right, $bottom]) {
            expect($left >= 0 && $top >= 0 && $right <= (float) $width + 80 && $bottom <= (float) $height)->toBeTrue();
        }
    }
})->with(['a4', 'letter']);

it('sets a map at eight points or more, and parts it between units', function (string $file, int $sheets) {
    $scene = (new Drawings(new BookInput((new DocumentReader)->read(shipped($file)))))->at(MapDepth::Cables);
    $html = (new MapSheets($scene, 'cables', 'Cables', Paper::A4))->html();
    $caption = $sheets === 1 ? 'Cables' : 'Cables, sheet \d+ of '.$sheets.'[^<]*';
    preg_match_all("~<figcaption>{$caption}</figcaption><svg[^>]* width=\"([\d.]+)mm\" height=\"[\d.]+mm\" viewBox=\"([-\d. ]+)\"~", $html, $found);
    expect($found[0])->toHaveCount($sheets);
    foreach ($found[2] as $i => $window) {
        [$x, $y, $width, $height] = array_map(floatval(...), explode(' ', $window));
        // By hand: eight points are 2.822 mm, and the smallest letters are 10.5 pixels high.
        expect((float) $found[1][$i] / $width)->toBeGreaterThanOrEqual(2.82 / 10.5);
        // Neighbours show the same for 8 mm: the cut is in the middle of that.
        $edge = $sheets === 1 ? 0.0 : 4 / 0.2688;
        $cuts = [[$x + $edge, $x + $width - $edge, 0], [$y + $edge, $y + $height - $edge, 1]];
        foreach ($cuts as [$from, $to, $side]) {
            foreach ($scene->whole as $box) {
                foreach ([$from, $to] as $cut) {
                    expect($box[$side] >= $cut - 0.1 || $box[$side + 2] <= $cut + 0.1)->toBeTrue("{$file}: {$cut}");
                }
            }
            // The outer edges are no cuts.
            foreach (array_filter([$from, $to], fn (float $cut) => $cut > 1 && $cut < [$scene->width, $scene->height][$side] - 1) as $cut) {
                foreach ($scene->runs[$side] as $run) {
                    expect(abs($run - $cut))->toBeGreaterThan(2.5, "{$file}: a line runs along {$cut}");
                }
            }
        }
    }
})->with([['rigs/night-relay.json', 4], ['starters/bell-tower.json', 1], ['starters/school-visit.json', 1]]);

it('sets a book of up to fifteen leads on twelve pages and one more for each further situation', function (string $file) {
    ($this->export)('pdf', ['file' => resource_path($file)]);
    $rig = (new DocumentReader)->read(shipped($file));
    expect(count($rig->cables))->toBeLessThanOrEqual(15)
        ->and((int) preg_replace('/.*^Pages:\s+(\d+)$.*/ms', '$1', ($this->tool)('pdfinfo', $this->out)))->toBeLessThanOrEqual(11 + count($rig->situations));
    // Tables are set in nine points, and nothing in fewer than eight.
    preg_match_all('/<fontspec [^>]*size="(\d+)"/', ($this->tool)('pdftohtml', '-xml', '-i', '-stdout', '-zoom', '1', $this->out), $sizes);
    expect(min(array_map(intval(...), $sizes[1])))->toBeGreaterThanOrEqual(7);
    // No page but the last ends above three fifths of its height; the foot is in the last 15 mm.
    $pages = explode('<page ', ($this->tool)('pdftotext', '-bbox', $this->out, '-'));
    foreach (array_slice($pages, 1, -1) as $number => $page) {
        preg_match('/height="([\d.]+)"/', $page, $height);
        $room = (float) $height[1] - 42.5;
        preg_match_all('/yMax="([\d.]+)"/', $page, $ends);
        $lowest = max(array_filter(array_map(floatval(...), $ends[1]), fn (float $end) => $end < $room));
        expect($lowest / $room)->toBeGreaterThan(0.6, 'page '.($number + 1));
    }
})->with(fn () => array_map(
    fn (string $name) => "starters/{$name}.json",
    // With the map turned, upright, upright and large, and in the run.
    ['harbour-radio', 'school-visit', 'regatta', 'tram-cab', 'puppet-theatre', 'quiz-night'],
));

it('sets a sheet for the wall: one page, as small as it can be read, with the map, who hears what and the controls', function (string $file, string $size, array $says) {
    ($this->export)('pdf', ['file' => resource_path($file), '--parts' => 'wall']);
    expect(($this->tool)('pdfinfo', $this->out))->toContain("({$size})")->toMatch('/^Pages:\s+1$/m');
    $text = (string) preg_replace('/\s+/', ' ', ($this->tool)('pdftotext', '-layout', $this->out, '-'));
    foreach ($says as $said) {
        expect($text)->toContain($said);
    }
})->with([
    ['starters/bell-tower.json', 'A3', ['Bells of the tower', 'Tower mixer', 'W-07', 'over a network', 'must hear']],
    ['rigs/night-relay.json', 'A1', ['Desk mixer', 'W-34', 'must hear', 'Cough (Foot switch)', 'Desk mixer · Mic 1, mute: muted', 'goes to Break']],
]);

it('gives a map as a file with its own fonts, its title and a legend', function () {
    $svg = ($this->export)('svg');
    preg_match_all('/base64,([^)]+)/', $svg, $fonts);
    expect($svg)->toContain('Night relay at the pier arcade: Cables')->toContain('>analog<')->toContain('>over a network<')->toContain('>nothing plugged<')
        ->not->toContain('>through the air<')->and(strlen(implode('', $fonts[1])))->toBeGreaterThan(20_000)->toBeLessThan(200_000)
        ->and(simplexml_load_string($svg))->not->toBeFalse();
});

it('gives its tables as a spreadsheet, in which numbers are numbers and no text is a formula', function () {
    $data = (array) json_decode((string) file_get_contents($this->relay), true);
    $data['cables'][0]['label'] = '=1+1';
    $file = (string) tempnam(sys_get_temp_dir(), 'rig');
    file_put_contents($file, json_encode($data));
    ($this->export)('ods', ['file' => $file]);
    unlink($file);
    // The kind of file is readable at its beginning, as OpenDocument wants it.
    expect(substr((string) file_get_contents($this->out), 30, 54))->toBe('mimetypeapplication/vnd.oasis.opendocument.spreadsheet');
    $book = (new Ods)->load($this->out);
    expect($book->getSheetNames())->toBe(['Hearing', 'Findings', 'Cables', 'Devices', 'Shopping', 'Run-down', 'Meters', 'Mixes']);
    $rig = (new DocumentReader)->read((string) json_encode($data));
    $rows = $book->getSheetByName('Hearing')->toArray(null, false, false);
    expect($rows[0])->toBe(['Situation', 'Sound', 'Listener', 'Stands', 'Level (dB)', 'Delay (ms)', 'Wished', 'Besides'])
        ->and(count($rows))->toBe(1 + count($rig->situations) * count($rig->sources) * count($rig->listeners));
    $pairs = [];
    foreach ((new Hearing((new GraphBuilder($rig))->build($rig->base())))->all() as $pair) {
        $pairs["{$pair->source->name} {$pair->listener->name}"] = $pair;
    }
    foreach (array_slice($rows, 1, count($rig->sources) * count($rig->listeners)) as $row) {
        $pair = $pairs["{$row[1]} {$row[2]}"];
        expect($row[3])->toBe($pair->verdict->value)->and($row[4] === null ? null : (float) $row[4])->toBe($pair->level()?->value())
            ->and(is_string($row[4]))->toBeFalse();
    }
    $cables = $book->getSheetByName('Cables')->toArray(null, false, false);
    $label = array_values(array_filter($cables, fn (array $row) => $row[0] === '=1+1'))[0] ?? null;
    // By hand from the rig: the lead of the presenter's microphone is 1 m long, and the first to buy is W-06.
    expect($label[10] ?? null)->toEqual(1)
        ->and($book->getSheetByName('Shopping')->toArray(null, false, false)[1])->toEqual(['lead', 'W-06', 'optical', 1.5, 6.9, 'EUR', 'Harbour Electrics']);
});

it('prints a flag for both ends of every cable and a tag for every unit, on any stock of labels', function (string $stock) {
    ($this->export)('labels', ['--labels' => $stock]);
    $text = ($this->tool)('pdftotext', $this->out, '-');
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));
    foreach ($rig->cables as $cable) {
        expect(preg_match_all("/\b{$cable->label}\b/", $text))->toBe(2);
    }
    expect((string) preg_replace('/\s+/', ' ', $text))->toContain($stock === 'tape-9' ? 'To: Line booster · In' : 'Here: Line booster · Out')->toContain('Desk mixer');
    $size = LabelStock::of($stock);
    [$width, $height] = match ($size->paper) {
        Paper::A4 => [210, 297], Paper::Letter => [215.9, 279.4], null => [$size->width, $size->height],
    };
    [$x, $y] = $size->corner($size->columns * $size->rows - 1);
    expect($x + $size->width)->toBeLessThanOrEqual($width + 0.01)->and($y + $size->height)->toBeLessThanOrEqual($height + 0.6);
})->with(['a4-65', 'a4-24', 'letter-30', 'tape-9', 'tape-12', 'tape-18', 'tape-24']);

it('has a label a page on a tape, sides first, and codes only where they can be read and lead somewhere', function (string $stock, int $codes) {
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));
    $of = new BookInput($rig);
    $address = fn (string $select): string => "https://desk.example/rigs/4/wiring?select={$select}";
    $html = (new Labels(LabelStock::of($stock), $address))->html($of);
    $units = count(array_filter($rig->units, fn ($unit) => ! $rig->modelOf($unit)->isProgram()));
    // By hand: a flag for both ends of 34 leads, and the units; the left leg of the hall's Y-lead says so.
    expect(substr_count($html, '<div class="sheet">'))->toBe(68 + $units)->and($html)->toContain('<h1>W-32 left</h1>', '<h1>W-33 right</h1>', '<h1>W-31</h1>')
        ->not->toContain('class="cuts"')->and(preg_match_all('/<svg width="([\d.]+)mm" height="[\d.]+mm" viewBox="0 0 (\d+) /', $html, $found))
        ->toBe($codes * (68 + $units));
    foreach ($found[1] as $i => $side) {
        expect((float) $side / (int) $found[2][$i])->toBeGreaterThanOrEqual(0.3);
    }
    expect((new Labels(LabelStock::of($stock), null))->html($of))->not->toContain('<svg width=');
})->with([['tape-9', 0], ['tape-12', 0], ['tape-18', 1], ['tape-24', 1]]);

it('exports a rig of a hundred units within a second each', function () {
    $rig = (new DocumentReader)->read(GeneratedRig::text(100, 300));
    $source = new BookInput($rig);
    foreach (['document', 'cables-csv', 'devices-csv', 'graphml', 'dot'] as $format) {
        $start = hrtime(true);
        Exports::all(new Drawings($source))[$format]->write(new BookInput($rig));
        expect([$format, (hrtime(true) - $start) / 1e9 < slowness()])->toBe([$format, true]);
    }
});

it('says what is wrong with what it is asked for', function () {
    $this->artisan('rig:export', ['file' => $this->relay, '--format' => 'stone'])->expectsOutputToContain('There is no such format')->assertFailed();
    $this->artisan('rig:export', ['file' => $this->relay, '--parts' => 'cover,poem'])->expectsOutputToContain('no part "poem"')->assertFailed();
    $this->artisan('rig:export', ['file' => $this->relay, '--depth' => 'abyss'])->expectsOutputToContain('The depth is')->assertFailed();
    $this->artisan('rig:export', ['file' => '/nowhere.json'])->expectsOutputToContain('no file')->assertFailed();
    $this->artisan('rig:export', ['file' => $this->relay, '--output' => '/nowhere/out'])->expectsOutputToContain('can\'t be written')->assertFailed();
});

it('shows the book and gives every form to those who may look, and to nobody else', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/ticket-booth.json'));
    $this->actingAs($user)->get("/rigs/{$rig->id}/book")->assertOk()->assertSee('Cable schedule')->assertSee('Revision 1,')->assertSee('<svg ', false);
    $this->get("/rigs/{$rig->id}/book?parts[]=cables&paper=letter")->assertOk()->assertSee('id="cables"', false)->assertDontSee('id="cover"', false)
        ->assertSee('paper-letter');
    foreach (['document' => 'application/json', 'cables-csv' => 'text/csv; charset=utf-8', 'graphml' => 'application/xml',
        'html' => 'text/html; charset=utf-8', 'svg' => 'image/svg+xml', 'png' => 'image/png'] as $format => $type) {
        $this->get("/rigs/{$rig->id}/exports/{$format}?parts[]=cover")->assertOk()->assertHeader('Content-Type', $type)
            ->assertHeader('Content-Disposition', 'attachment; filename="ticket-booth-talk.'.(['cables-csv' => 'csv', 'document' => 'json'][$format] ?? $format).'"');
    }
    $this->get("/rigs/{$rig->id}/exports/stone")->assertNotFound();
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $stranger = User::factory()->create();
    foreach (['book', 'exports/html'] as $address) {
        $this->actingAs($stranger)->get("/rigs/{$rig->id}/{$address}")->assertNotFound();
    }
});

it('has long chapters of the book come after its page, word for word as in the file', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    $page = $this->actingAs($user)->get("/rigs/{$rig->id}/book")->assertOk()->getContent();
    expect(strlen($page))->toBeLessThan(150_000);
    preg_match_all('/<section id="([^"]+)">\n<div x-data="fetched" data-own data-key="([^"]+)" data-from="([^"]+)">/', $page, $later, PREG_SET_ORDER);
    expect(array_column($later, 1))->toBe(['computers', 'mixes']);
    $file = $this->get("/rigs/{$rig->id}/exports/html")->assertOk()->getContent();
    preg_match_all('/<section id="([^"]+)">\n(.*?)<\/section>/s', $file, $chapters);
    $chapters = array_combine($chapters[1], $chapters[2]);
    expect(count($chapters))->toBeGreaterThan(20);
    // The map comes after, too.
    foreach (array_diff_key($chapters, ['maps' => true]) as $key => $written) {
        $isLater = in_array($key, array_column($later, 1), true);
        expect(strlen($written) > 20_000)->toBe($isLater)->and($isLater || str_contains($page, $written))->toBeTrue();
    }
    foreach ($later as [, $key, , $address]) {
        expect($this->get(htmlspecialchars_decode($address))->assertOk()->getContent())->toBe($chapters[$key]);
    }
    $this->get("/rigs/{$rig->id}/book/chapter/poem")->assertNotFound();
    // Another name at the desk is another text to ask for; other chapters stay as they are on a page that is shown.
    $this->post("/rigs/{$rig->id}/edits", ['edit' => 'describe-unit', 'unit' => 'mixer', 'name' => 'Pier desk', 'revision' => 1])->assertSessionHasNoErrors();
    $after = $this->get("/rigs/{$rig->id}/book")->assertOk()->getContent();
    preg_match_all('/x-data="fetched" data-own data-key="((?:computers|mixes)-[^"]+)"/', $after, $keys);
    expect(array_intersect($keys[1], array_column($later, 2)))->toBe([]);
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/rigs/{$rig->id}/book/chapter/mixes")->assertNotFound();
});

it('keeps the book of a large rig in which nobody has looked for the causes, until somebody has', function () {
    $data = json_decode(shipped('rigs/penny-slot.json'), true, flags: JSON_THROW_ON_ERROR);
    // More than 150 units, for which no page waits, and with their situations more than 600, whose book is not written at once.
    for ($i = 1; $i <= 300; $i++) {
        $data['units'][] = ['id' => "spare-{$i}", 'name' => "Spare {$i}"] + $data['units'][0];
    }
    $rig = app(ImportRig::class)(User::factory()->create(), json_encode($data, JSON_THROW_ON_ERROR));
    $book = new WrittenBook($rig, ['cover', 'findings']);
    expect($book->atOnce())->toBeNull();
    $written = $book->html();
    expect($book->atOnce())->toBe($written)->and(Causes::areKnown($rig))->toBeFalse();
    Causes::of($rig, StoredRig::load($rig));
    expect($book->atOnce())->toBeNull()->and($book->html())->not->toBe($written);
});

it('shows the book to whoever has the link, as long as it holds, and nothing else', function () {
    $owner = User::factory()->create();
    $rig = app(ImportRig::class)($owner, shipped('rigs/ticket-booth.json'));
    $make = fn (int $days) => $this->actingAs($owner)->post("/rigs/{$rig->id}/shares", ['name' => 'The hall', 'days' => $days])
        ->assertRedirect()->assertSessionHasNoErrors()->getSession()->get('link');
    $link = $make(7);
    $path = (string) parse_url($link, PHP_URL_PATH);
    expect($path)->toMatch('#^/shared/[A-Za-z0-9]{40}$#')->and(Share::query()->sole()->digest)->not->toContain(basename($path));

    $out = function () {
        auth()->guard('web')->forgetUser();
        $this->flushSession();
    };
    $out();
    $this->get($path)->assertOk()->assertSee('Ticket booth talk')->assertSee('Cable schedule')->assertSee('<svg ', false)->assertHeader('X-Robots-Tag', 'noindex, nofollow')
        ->assertDontSee($owner->name)->assertDontSee('<form', false)->assertDontSee("/rigs/{$rig->id}", false);
    // It opens nothing but this one page.
    foreach (["/rigs/{$rig->id}/book", "/rigs/{$rig->id}/exports/document", "/rigs/{$rig->id}/wishes"] as $address) {
        $this->get($address)->assertRedirect('/sign-in');
    }
    $this->get('/shared/'.str_repeat('a', 40))->assertNotFound();
    $this->get('/shared/short')->assertNotFound();
    $this->travel(8)->days();
    $this->get($path)->assertNotFound();
    $this->travelBack();

    // Only the owner makes and removes links; a removed one opens nothing.
    $editor = User::factory()->create();
    $rig->members()->create(['user_id' => $editor->id, 'role' => 'edit', 'accepted_at' => now()]);
    $this->actingAs($editor)->post("/rigs/{$rig->id}/shares", ['name' => 'Mine', 'days' => 7])->assertForbidden();
    $out();
    $forever = (string) parse_url($make(0), PHP_URL_PATH);
    $this->get($forever)->assertOk();
    $share = Share::query()->latest('id')->first();
    $other = app(ImportRig::class)($owner, shipped('rigs/penny-slot.json'));
    $this->delete("/rigs/{$other->id}/shares/{$share->id}")->assertNotFound();
    $this->delete("/rigs/{$rig->id}/shares/{$share->id}")->assertRedirect();
    $this->get($forever)->assertNotFound();
});

it('names a revision, and writes the book of any one', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/ticket-booth.json'));
    $this->actingAs($user)->post("/rigs/{$rig->id}/edits", ['edit' => 'place', 'name' => 'Balcony', 'kind' => 'desk', 'revision' => 1])->assertSessionHasNoErrors();
    $this->put("/rigs/{$rig->id}/revisions/1/name", ['name' => 'as shown on the night'])->assertRedirect();
    $this->get("/rigs/{$rig->id}/history")->assertSee('as shown on the night');
    $this->get("/rigs/{$rig->id}/book?revision=1")->assertOk()->assertSee('Revision 1, as shown on the night,')->assertDontSee('Balcony (desk)');
    $this->get("/rigs/{$rig->id}/book")->assertOk()->assertSee('Revision 2,')->assertSee('Balcony (desk)');
    $this->get("/rigs/{$rig->id}/exports/markdown?revision=1")->assertOk()->assertDontSee('Balcony');
    $this->get("/rigs/{$rig->id}/book?revision=77")->assertNotFound();
    $this->put("/rigs/{$rig->id}/revisions/1/name", ['name' => str_repeat('x', 61)])->assertSessionHasErrors('name');
    $this->put("/rigs/{$rig->id}/revisions/77/name", ['name' => 'x'])->assertNotFound();
});

it('takes a CSV file of cables in: columns are mapped, all is shown before, and what can be made is made in one step', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    $this->actingAs($user)->get("/rigs/{$rig->id}/import-cables")->assertOk()->assertDontSee('Which column is what');
    $csv = "Name,A,B,C,D\nIN-1,Broadcast computer,Line out · green,Capture card,Line in\nIN-2,Nobody,x,y,z\n";
    $file = UploadedFile::fake()->createWithContent('cables.csv', $csv);
    $this->post("/rigs/{$rig->id}/import-cables", ['file' => $file])->assertOk()->assertSee('Say which column is: From unit, From socket, To unit, To socket.');
    $columns = ['label' => '0', 'from_unit' => '1', 'from_socket' => '2', 'to_unit' => '3', 'to_socket' => '4'];
    $this->post("/rigs/{$rig->id}/import-cables", ['csv' => $csv, 'columns' => $columns])->assertOk()
        ->assertSee('1 new, 0 changed, 0 as they are, 1 that can\'t be made.', false)->assertSee('The rig has no unit called "Nobody".');
    expect($rig->fresh()->revision)->toBe(1);
    $this->post("/rigs/{$rig->id}/edits", ['edit' => 'import-cables', 'csv' => $csv, 'columns' => $columns, 'revision' => 1])->assertSessionHasNoErrors();
    expect($rig->fresh()->revision)->toBe(2)->and(collect(RigFromRows::rig($rig->fresh())->cables)->firstWhere('label', 'IN-1')?->to->unit)->toBe('card');
    $this->post("/rigs/{$rig->id}/edits", ['edit' => 'import-cables', 'csv' => '', 'revision' => 2])->assertSessionHasErrors('csv');
    $viewer = User::factory()->create();
    $rig->members()->create(['user_id' => $viewer->id, 'role' => 'view', 'accepted_at' => now()]);
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $this->actingAs($viewer)->post("/rigs/{$rig->id}/import-cables", ['csv' => $csv])->assertForbidden();
});

it('makes the PDF in the background, for whoever asked, and stops when told', function () {
    Storage::fake();
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/ticket-booth.json'));
    $this->actingAs($user)->get("/rigs/{$rig->id}/exports/pdf")->assertNotFound();
    $this->post("/rigs/{$rig->id}/books", ['parts' => ['cover', 'cables'], 'paper' => 'letter'])->assertRedirect()->assertSessionHasNoErrors();
    $book = $rig->books()->sole();
    expect($book->state)->toBe(BookState::Done)->and([$book->done, $book->of])->toBe([2, 2]);
    $this->get("/rigs/{$rig->id}/books/{$book->id}")->assertOk()->assertJson(['isOpen' => false]);
    expect($this->get("/rigs/{$rig->id}/books/{$book->id}/file")->assertOk()->assertHeader('Content-Type', 'application/pdf')->streamedContent())->toStartWith('%PDF-');
    $this->get("/rigs/{$rig->id}/book")->assertSee('ready, ')->assertSee('Revision 1, ');

    // One that waits can be stopped; it is not made then, and another can be asked for.
    Queue::fake();
    $this->post("/rigs/{$rig->id}/books")->assertRedirect();
    $this->post("/rigs/{$rig->id}/books")->assertSessionHasErrors('book');
    $waiting = $rig->books()->latest('id')->first();
    $this->delete("/rigs/{$rig->id}/books/{$waiting->id}")->assertRedirect();
    (new MakeBook($waiting->id, 1))->handle();
    expect($waiting->fresh()->state)->toBe(BookState::Stopped);
    // One that is stopped while it is written ends after the part.
    $this->post("/rigs/{$rig->id}/books")->assertSessionHasNoErrors();
    $begun = $rig->books()->latest('id')->first();
    $writer = new BookPdf(
        new Drawings(new BookInput($read = (new DocumentReader)->read(shipped('rigs/ticket-booth.json')))),
        ['cover', 'cables'],
        Paper::A4,
        fn (int $done, int $of) => throw new Stopped,
    );
    expect(fn () => $writer->write(new BookInput($read)))->toThrow(Stopped::class);
    (new MakeBook($begun->id, 1))->failed(null);
    expect($begun->fresh()->says())->toContain('took longer');

    // It is of nobody else, not even of somebody who may look at the rig.
    $other = User::factory()->create();
    $rig->members()->create(['user_id' => $other->id, 'role' => 'view', 'accepted_at' => now()]);
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $this->actingAs($other)->get("/rigs/{$rig->id}/books/{$book->id}/file")->assertNotFound();
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $this->actingAs($user)->delete("/rigs/{$rig->id}/books/{$book->id}")->assertRedirect();
    Storage::assertMissing($book->file());
    // None of it remains when the rig or the one who asked for it is deleted.
    foreach (['rig', 'account'] as $gone) {
        $one = app(ImportRig::class)($user, shipped('rigs/ticket-booth.json'));
        $kept = $one->books()->create(['user_id' => $user->id, 'asked' => ['parts' => null, 'paper' => 'a4', 'revision' => null], 'state' => BookState::Done]);
        Storage::put($kept->file(), '%PDF-');
        $gone === 'rig' ? $this->delete("/rigs/{$one->id}")->assertRedirect() : app(DeleteAccount::class)($user);
        Storage::assertMissing($kept->file());
    }
});

it('begins a book again that was being made when its worker died, three times at most', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/ticket-booth.json'));
    $of = fn (array $more) => $rig->books()->create(['user_id' => $user->id, 'state' => BookState::Working,
        'asked' => ['parts' => ['cover'], 'paper' => 'a4', 'revision' => null], ...$more]);
    // Whoever has died was of this name: a job that is caught in the middle has it.
    Queue::fake();
    $begun = $of(['state' => BookState::Waiting]);
    $name = null;
    MadeBook::updating(function (MadeBook $book) use (&$name) {
        $name ??= $book->worker;
    });
    (new MakeBook($begun->id, 1))->handle();
    expect($begun->fresh()->state)->toBe(BookState::Done)->and($name)->not->toBeNull();
    [$mine, $thrice, $elsewhere] = [$of(['worker' => $name, 'done' => 4, 'of' => 9]), $of(['worker' => $name, 'run' => 3]), $of(['worker' => str_repeat('0', 16)])];
    event(new Looping('database', 'mail'));
    expect($mine->fresh()->state)->toBe(BookState::Working);
    event(new Looping('database', 'default'));
    Queue::assertPushed(MakeBook::class, 1);
    expect($mine->fresh())->state->toBe(BookState::Waiting)->run->toBe(2)->done->toBe(0)
        ->and($thrice->fresh()->says())->toContain('begun 3 times')
        ->and($elsewhere->fresh()->state)->toBe(BookState::Working);
    // The job of the try that was broken off does no harm, neither by running nor by being given up.
    (new MakeBook($mine->id, 1))->handle();
    (new MakeBook($mine->id, 1))->failed(null);
    expect($mine->fresh()->state)->toBe(BookState::Waiting);
    // A database that goes away meanwhile is no fault of the book's.
    $mine->refresh()->update(['state' => BookState::Working, 'worker' => $name]);
    (new MakeBook($mine->id, 2))->failed(new PDOException('SQLSTATE[HY000] [2002] Connection refused'));
    expect($mine->fresh())->state->toBe(BookState::Waiting)->run->toBe(3);
    (new MakeBook($mine->id, 3))->handle();
    expect($mine->fresh()->state)->toBe(BookState::Done);
});

it('says on the catalogue why a model can\'t go to a place, and changes nothing', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('starters/lighthouse-log.json'));
    $this->actingAs($user)->from('/catalogue')->post('/catalogue', ['model' => 'laptop', 'to' => "{$rig->id}:room"])
        ->assertRedirect('/catalogue')->assertSessionHasErrors('to');
    expect($rig->fresh()->revision)->toBe(1);
    $this->post('/catalogue', ['model' => 'webcam', 'to' => "{$rig->id}:lamp"])->assertSessionHasNoErrors();
    expect($rig->fresh()->revision)->toBe(2);
});

it('leads back to the history where the revision of a book can\'t be read', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('starters/lighthouse-log.json'));
    $this->actingAs($user)->post('/catalogue', ['model' => 'webcam', 'to' => "{$rig->id}:lamp"]);
    $rig->revisions()->where('number', 1)->update(['document' => '{}']);
    $this->get("/rigs/{$rig->id}/book?revision=1")->assertRedirect("/rigs/{$rig->id}/history");
});

it('sets names of any script on paper, and shows what no font has', function () {
    $names = ['سماعة 🎧', "\u{202E}", 'Ναός Пирс', 'אוזניות', 'หูฟัง', 'हेडफ़ोन', '𓀀 日本', '<b>&"\'</b>', str_repeat('𝕳', 60)];
    $rig = Draft::rig()->tone('a')->with(function (array $data) use ($names): array {
        $data['name'] = 'سماعة 🎧 \\ " } 日';
        foreach ($names as $i => $name) {
            $data['units'][] = ['name' => $name, 'id' => "u-{$i}"] + $data['units'][0];
        }

        return $data;
    })->make();
    $source = new BookInput($rig);
    $pdf = (new BookPdf(new Drawings($source), null, Paper::A4))->write($source);
    file_put_contents($this->out, $pdf);
    $text = ($this->tool)('pdftotext', '-raw', $this->out, '-');
    expect($text)->toContain('Ναός Пирс')->toContain('หูฟัง')->toContain('हेडफ़ोन')->toContain('<b>&"\'</b>')->toContain('🎧')
        ->toContain('سماع')->toContain('אוזניות');
    $fonts = ($this->tool)('pdffonts', $this->out);
    foreach (['NotoSans-', 'NotoSansArabic', 'NotoSansHebrew', 'NotoSansThai', 'NotoEmoji'] as $face) {
        expect($fonts)->toContain($face);
    }
    expect($fonts)->not->toMatch('/\sno\s+(yes|no)\s+(yes|no)\s+\d+\s+\d+$/m');
    $labels = (new Labels(LabelStock::of('a4-65'), null))->write($source);
    expect($labels)->toStartWith('%PDF-');
});

it('sets on paper what it is given and nothing else: no network, no files, no scripts, not for ever', function () {
    $secret = base_path('.env');
    $html = fn (string $body) => '<!DOCTYPE html><title>x</title>'.$body;
    // Even without the policy that a book brings along.
    file_put_contents($this->out, (new Typesetter)->pdf($html("<iframe src=\"file://{$secret}\" width=600></iframe><iframe src=\"file:///etc/hostname\"></iframe>
        <object data=\"file:///etc/shadow\"></object><p id=a>plain</p><iframe src=\"http://127.0.0.1:8390/sign-in\"></iframe>")));
    $text = ($this->tool)('pdftotext', $this->out, '-');
    expect($text)->toContain('plain')->not->toContain('APP_KEY')->not->toContain('Sign in')->not->toContain(php_uname('n'));
    expect(glob(storage_path('framework/print/'.getmypid().'-*')))->toBe([]);
    // What a process leaves that is killed goes with the next tidying, not while somebody may still work in it.
    foreach (['old' => 7200, 'new' => 60] as $name => $seconds) {
        File::ensureDirectoryExists(storage_path("framework/print/{$name}-of-a-test"));
        touch(storage_path("framework/print/{$name}-of-a-test"), time() - $seconds);
    }
    Typesetter::tidy();
    expect(array_map(basename(...), glob(storage_path('framework/print/*-of-a-test'))))->toBe(['new-of-a-test']);
    File::deleteDirectory(storage_path('framework/print/new-of-a-test'));
    // One that would never end is ended, and says so.
    $started = hrtime(true);
    $endless = new Typesetter(seconds: 3);
    expect(fn () => $endless->pdf($html('<script>for (;;) {}</script>')))->toThrow(RuntimeException::class, 'longer than 3 s');
    expect((hrtime(true) - $started) / 1e9)->toBeLessThan(20);
    expect(fn () => (new Typesetter(mib: 20))->pdf($html('<p>x')))->toThrow(RuntimeException::class, 'more than 20 MiB');
    // Where there is no Chromium, it is said what to install.
    $path = getenv('PATH');
    putenv('PATH=/nonexistent');
    try {
        expect(fn () => (new Typesetter)->pdf('x'))->toThrow(NotInstalled::class, 'apt-get install chromium-headless-shell bubblewrap');
    } finally {
        putenv("PATH={$path}");
    }
});

it('draws two revisions beside each other, what was added, removed and changed marked by sign and word', function () {
    $owner = User::factory()->create();
    $rig = app(ImportRig::class)($owner, shipped('rigs/night-relay.json'));
    $edit = fn (array $fields) => $this->actingAs($owner)
        ->post("/rigs/{$rig->id}/edits", [...$fields, 'revision' => $rig->fresh()->revision])->assertSessionHasNoErrors();
    $edit(['edit' => 'unplug', 'cable' => 'w-17']);
    $edit(['edit' => 'rename', 'thing' => 'units', 'id' => 'mixer', 'name' => 'Night desk']);
    $edit(['edit' => 'add-unit', 'model' => 'optical-splitter', 'place' => 'desk', 'name' => 'Spare splitter']);
    $this->actingAs($owner)->get("/rigs/{$rig->id}/history/1/4")->assertOk()->assertSee('history/1/4/maps?depth=cables');
    $maps = $this->actingAs($owner)->get("/rigs/{$rig->id}/history/4/1/maps")->assertOk()->getContent();
    [$before, $after] = array_slice(explode('<figure', $maps), 1);
    $words = fn (string $svg): array => array_count_values((preg_match_all('~>(added|removed|changed)</text>~', $svg, $found) ? $found : [[], []])[1]);
    expect($words($before))->toBe(['removed' => 1, 'changed' => 1])->and($words($after))->toEqualCanonicalizing(['changed' => 1, 'added' => 1])
        ->and($before)->toContain('>W-17<')->not->toContain('Spare splitter')->and($after)->not->toContain('>W-17<')->toContain('Spare splitter')
        ->toContain('Night desk')->and($before)->toContain('Desk mixer');
    // With itself: one map without a mark.
    $this->actingAs($owner)->get("/rigs/{$rig->id}/history/4/4")->assertOk();
    $own = (string) $this->actingAs($owner)->get("/rigs/{$rig->id}/history/4/4/maps")->assertOk()->getContent();
    expect($words($own))->toBe([])->and(substr_count($own, '<figure'))->toBe(1)->and($own)->toContain('Night desk');
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/rigs/{$rig->id}/history/1/4/maps")->assertNotFound();
});

it('sums the prices that are figures, and counts the others', function () {
    expect(HiddenWire\Core\Quantity\Price::sum(['89', '9.50 EUR', '€ 1.299,00', '', '1,299.00 EUR', 'ask', '12 EUR', '4,5 €']))
        // 9.50 + 1,299.00 + 12.00; 1,299.00 + 4.50
        ->toBe('89.00 and 1320.50 EUR and 1303.50 € and 1 price without a figure')
        ->and(HiddenWire\Core\Quantity\Price::sum([]))->toBe('')->and(HiddenWire\Core\Quantity\Price::sum(['3 for 2']))->toBe('1 price without a figure');
});

it('prints what is written down with a rig: run-down, reasons, manuals, pictures, accepted findings, prices and their total', function () {
    $owner = User::factory()->create();
    $rig = app(ImportRig::class)($owner, shipped('rigs/night-relay.json'));
    Storage::fake('local');
    $image = imagecreatetruecolor(320, 200);
    ob_start();
    imagejpeg($image);
    app(App\Rigs\Pictures::class)->keep($rig, 'mixer', $owner, (string) ob_get_clean(), 'Faders on the night');
    $causes = App\Rigs\Causes::of($rig, App\Rigs\StoredRig::load($rig))->causes;
    $this->actingAs($owner)->post("/rigs/{$rig->id}/edits", ['edit' => 'accept', 'evidence' => $causes[0]->evidence(), 'why' => 'It is a loan.',
        'revision' => 1])->assertSessionHasNoErrors();
    $this->actingAs($owner)->post("/rigs/{$rig->id}/edits", ['edit' => 'accept', 'evidence' => str_repeat('0', 16), 'why' => 'x', 'revision' => 2])
        ->assertSessionHasErrors('edit');
    $book = $this->actingAs($owner)->get("/rigs/{$rig->id}/book")->assertOk()->getContent();
    foreach (['Unlock the hall', 'Why', 'Leave alone', 'https://manuals.example/desk-mixer.pdf', 'Faders on the night', 'data:image/jpeg;base64,',
        'It is a loan.', '504.30 EUR', 'Use headphones', 'Best found on'] as $said) {
        expect($book)->toContain($said);
    }
    $pdf = (new BookPdf(($edition = App\Exports\Edition::of($rig->fresh()))->drawings, ['pictures', 'run-down', 'findings'], Paper::A4))->write($edition->source);
    file_put_contents($this->out, $pdf);
    expect(($this->tool)('pdftotext', '-layout', $this->out, '-'))->toContain('Faders on the night')->toContain('It is a loan.')
        ->and(($this->tool)('pdfimages', '-list', $this->out))->toContain('jpeg');
    // Accepted, it is out of the list of what is open, and a cure of everything leaves it alone; opened again, it is back.
    $open = fn () => count((new App\ViewModels\RigPage($rig->fresh(), 'wishes', Illuminate\Http\Request::create('/')))->openCauses());
    App\Rigs\Causes::of($rig->fresh(), App\Rigs\StoredRig::load($rig->fresh()));
    expect($open())->toBe(count($causes) - 1);
    $this->actingAs($owner)->post("/rigs/{$rig->id}/edits", ['edit' => 'reopen', 'evidence' => $causes[0]->evidence(), 'revision' => 2]);
    App\Rigs\Causes::of($rig->fresh(), App\Rigs\StoredRig::load($rig->fresh()));
    expect($open())->toBe(count($causes));
});

it('sorts the cable schedule by label, place or run', function (string $order, callable $key) {
    $rows = (new HiddenWire\Core\Book\Schedule(new BookInput(
        (new DocumentReader)->read(shipped('rigs/night-relay.json')),
        order: HiddenWire\Core\Book\ScheduleOrder::from($order),
    )))->rows();
    $keys = array_map($key, $rows);
    $sorted = $keys;
    sort($sorted);
    expect($keys)->toBe($sorted)->and(count($rows))->toBe(34);
})->with([['label', fn ($row) => $row['label']], ['place', fn ($row) => $row['from']['place']],
    ['run', fn ($row) => [$row['from']['place'], $row['to']['place']]]]);
