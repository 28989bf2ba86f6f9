<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\Rigs\Geometry;
use App\Rigs\Starters;
use App\ViewModels\Computer;
use App\ViewModels\Finder;
use App\ViewModels\Knob;
use App\ViewModels\MapDepth;
use App\ViewModels\MapDrawing;
use App\ViewModels\MapGraph;
use App\ViewModels\MapPort;
use App\ViewModels\MeterDrawing;
use App\ViewModels\Pen;
use App\ViewModels\PlateInsides;
use App\ViewModels\Recipe;
use App\ViewModels\Recipes;
use App\ViewModels\RigPage;
use App\ViewModels\Sheet;
use App\ViewModels\SoundsIn;
use App\ViewModels\Stock;
use App\ViewModels\TextWidth;
use App\ViewModels\Tracks;
use App\ViewModels\WayStrip;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Equipment\Dials\Scale;
use HiddenWire\Core\Equipment\Meter;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Http\Request;
use Tests\Support\Draft;

function relayHearing(?string $situation = null): Hearing
{
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));

    return new Hearing((new GraphBuilder($rig))->build($rig->situation($situation)));
}

it('tells a way as a person follows it: cables between units, what happens inside a unit as one step', function () {
    $hearing = relayHearing();
    $strip = new WayStrip($hearing->pair('rally', 'archive'), $hearing, null);
    expect(array_map(fn ($step) => $step->title, $strip->ways[0]))
        ->toBe(['Rally game', 'Rally sound', 'W-05', 'Optical splitter', 'W-07', 'Desk mixer', 'W-17', 'Desk programme',
            'Broadcast program']);
    $mixer = $strip->ways[0][5];
    expect($mixer->inside)->toBe([['name' => 'Optical', 'fader' => '−6.0'], ['name' => 'Main', 'fader' => '0.0'],
        ['name' => 'To computer', 'fader' => null]])
        ->and($mixer->changes)->toBeTrue()->and($mixer->select)->toBe('unit:mixer')->and($strip->ways[0][4]->select)->toBe('cable:w-07')
        ->and($strip->ways[0][4]->inside)->toBe([]);
});

it('says each verdict in a sentence', function (string $source, string $listener, string $says) {
    expect(WayStrip::say(relayHearing()->pair($source, $listener)))->toBe($says);
})->with([
    ['voice', 'viewers', 'is heard as wished'], ['voice', 'team', 'is not heard, as wished'], ['chime', 'viewers',
        'is not heard'], ['music', 'archive', 'is heard, but must not be'],
    ['rally', 'viewers', 'arrives twice, 110.5 ms apart: an audible echo'], ['console', 'clip',
        'is heard on the left side only'], ['crew', 'team', 'is not heard; no wish is set'],
]);

it('shows at each depth what that depth is for', function () {
    $graph = relayHearing()->graph();
    $units = fn (MapDepth $depth) => array_map(
        fn ($plate) => $plate->unit,
        array_merge(...array_values((new MapGraph($graph, $depth))->plates)),
    );
    expect($units(MapDepth::Cables))->not->toContain('broadcast')->toContain('cast-pc')->and($units(MapDepth::Inside))
        ->toContain('broadcast')->toHaveCount(38);
    $kinds = fn (MapDepth $depth) => array_count_values(array_map(
        fn ($edge) => strstr($edge->id, ':', true),
        (new MapGraph($graph, $depth))->edges,
    ));
    expect($kinds(MapDepth::Cables))->toBe(['cable' => 34])->and($kinds(MapDepth::Inside))->toBe(['cable' => 34, 'pick' => 24]);
    $ports = fn (MapDepth $depth) => array_sum(array_map(fn ($plates) => array_sum(array_map(fn ($plate) => count($plate->left) + count($plate->right), $plates)), (new MapGraph($graph, $depth))->plates));
    expect($ports(MapDepth::Everything))->toBeGreaterThan($ports(MapDepth::Inside));
});

it('closes a computer at the Cables depth and hangs its call on the box', function () {
    $map = new MapGraph(relayHearing()->graph(), MapDepth::Cables);
    $computer = array_values(array_filter($map->plates['cast'], fn ($plate) => $plate->unit === 'cast-pc'))[0];
    expect($computer->caption)->toBe('7 programs · 13 devices')->and(array_map(fn ($port) => $port->label, $computer->right))
        ->toContain('Call program');
});

it('keeps the structure\'s hash while only levels change, and changes it with a cable', function () {
    $structure = fn (string $text) => (function () use ($text) {
        $rig = (new DocumentReader)->read($text);

        return (new MapGraph((new GraphBuilder($rig))->build($rig->situation()), MapDepth::Cables))->structure();
    })();
    $text = shipped('starters/bell-tower.json');
    expect($structure(str_replace('"gain": 50', '"gain": 40', $text)))->toBe($structure($text))
        ->and($structure(str_replace('"to": "card/line"', '"to": "pc/line-in"', $text)))->not->toBe($structure($text))
        ->and($structure(str_replace('"label": "W-04"', '"label": "A much longer label"', $text)))->not->toBe($structure($text));
});

it('marks with a pen the lines that a sound passes, and where it ends', function () {
    $starters = new Starters;
    $rig = $starters->rig('bell-tower');
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situation()));
    $map = new MapGraph($hearing->graph(), MapDepth::Cables);
    $drawing = new MapDrawing(
        $map,
        Geometry::of($starters->layouts('bell-tower')['cables']['geometry'], $map),
        ['coral' => $hearing->pair('ringer', 'archive')->arrivals(), 'sky' => $hearing->pair('caller', 'ears')->arrivals()],
    );
    // The ringer: microphone, mixer, isolator, card, computer. The caller: network, computer, mixer, headphones.
    expect($drawing->edgePens)
        ->toBe(['cable:w-01' => [Pen::Coral], 'cable:w-04' => [Pen::Coral], 'cable:w-05' => [Pen::Coral], 'cable:w-07' => [Pen::Coral],
            'cable:w-08' => [Pen::Sky], 'cable:w-06' => [Pen::Sky], 'cable:w-03' => [Pen::Sky]])
        ->and($drawing->ends)->toBe(['pc/usb-1' => [Pen::Coral], 'head/plug' => [Pen::Sky]])->and($drawing->isHighlighted())
        ->toBeTrue();
});

it('rounds corners and keeps ends', function () {
    expect(MapDrawing::path([[0, 0], [40, 0], [40, 30]], 6))->toBe('M0,0 L34,0 Q40,0 40,6 L40,30')->and(MapDrawing::path([[5, 5]]))
        ->toBe('');
});

it('draws a thin line inside a plate clear of the labels, a pen from edge to edge', function () {
    $in = ['x' => 0.0, 'y' => 10.0, 'port' => new MapPort('u/a', 'In', false, 'socket')];
    $out = ['x' => 200.0, 'y' => 30.0, 'port' => new MapPort('u/b', 'Out', true, 'socket')];
    expect(PlateInsides::line($in, $out, false))->toStartWith('M0,10')->toEndWith('200,30');
    preg_match('/^M([\d.]+),10/', PlateInsides::line($in, $out, true), $found);
    expect((float) $found[1])->toBeGreaterThan(TextWidth::of('In', 11.5));
});

it('cuts a text to its room', function () {
    expect(TextWidth::cut('Short', 12, 100))->toBe('Short')->and(TextWidth::cut('A very long caption indeed', 12, 60))->toEndWith('…')
        ->and(TextWidth::of(TextWidth::cut('A very long caption indeed', 12, 60), 12))->toBeLessThanOrEqual(60.0);
});

it('says on a sheet what passes, what is set, what each mix gets, and what a free socket takes', function () {
    $hearing = relayHearing();
    $sheet = new Sheet($hearing);
    $rig = $hearing->rig;
    $carries = fn (string $cable) => (new Sheet($hearing, cable: $rig->cables[$cable]))->carries();
    expect($carries('w-07'))->toHaveKey('rally')->and($carries('w-07')['rally'])->toContain('Archive', 'Presenter')
        ->and($carries('w-23'))->toBe([])->and($sheet->carries())->toBe([]);
    $controls = collect($sheet->controls($rig->units['mixer']))->keyBy(fn (array $row) => $row['point']->id);
    $parts = collect($controls['ch-1']['control']->parts)->keyBy('field');
    expect($parts->keys()->all())->toBe(['gain', 'fader', 'mute'])->and($parts['gain']->value)->toBe(25)
        ->and([$parts['fader']->value, $parts['fader']->scale->from, $parts['fader']->scale->to, $parts['fader']->scale->unit])
        ->toBe([0, -90, 10, 'dB'])
        ->and([$parts['mute']->isOn, $parts['mute']->does])->toBe([false, 'Mute']);
    $mixes = collect($sheet->mixes($rig->units['mixer']))->keyBy('bus');
    expect(collect($mixes['Main']['feeds'])->where('on', true)->pluck('from')->all())
        ->toBe(['Mic 1', 'Mic 2', 'Line 3/4', 'Line 5/6', 'Optical']);
    $sockets = collect($sheet->sockets($rig->units['card']))->keyBy('socket');
    expect($sockets['Line in']['takes'])->toHaveKey('cast-pc/line-out')->not->toHaveKey('sim-pc/line-out')
        ->and($sockets['USB']['cables'][0]['label'])->toBe('W-16');
    $program = collect($sheet->controls($rig->units['chimes']))->first(fn (array $row) => $row['point']->id === 'sound');
    expect($program['pick']['now'])->toBe('system')->and($program['pick']['choices'])->toHaveKey('softmix/played-1')
        ->and($program['says'])->toBe('now Broadcast monitor');
});

it('writes what is chosen into every address, and nothing that is usual', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    $page = fn (array $query) => new RigPage($rig, 'wiring', Request::create('/', 'GET', $query));
    expect($page([])->url())->toEndWith("/rigs/{$rig->id}/wiring");
    $chosen = $page(['situation' => 'break', 'depth' => 'inside', 'pens' => 'music', 'pair' => 'rally:viewers', 'select' => 'cable:w-07',
        'focus' => '1']);
    parse_str((string) parse_url($chosen->url(), PHP_URL_QUERY), $query);
    expect($query)->toBe(['situation' => 'break', 'depth' => 'inside', 'pens' => 'music,rally', 'pair' => 'rally:viewers', 'focus' => '1',
        'select' => 'cable:w-07']);
    expect($chosen->url(['situation' => 'on-air', 'depth' => 'cables', 'pair' => null, 'focus' => null, 'select' => null,
        'pens' => null]))->toEndWith('/wiring');
    // The pen of a chosen pair marks that pair's ways, another pen all ways of its sound.
    $marked = $chosen->highlighted();
    expect($marked['mint'])->toHaveCount(2)->and(count($marked['lemon']))->toBeGreaterThan(2)->and($chosen->penOf('music'))
        ->toBe(Pen::Lemon);
});

it('takes a geometry only if it fits, whatever a browser sends', function (mixed $data) {
    $starters = new Starters;
    $rig = $starters->rig('lighthouse-log');
    expect(Geometry::of($data, new MapGraph((new GraphBuilder($rig))->build($rig->situation()), MapDepth::Cables)))->toBeNull();
})->with([
    [null], ['text'], [[]], [['width' => -1, 'height' => 1, 'boxes' => [], 'edges' => []]], [['width' => 1, 'height' => 1, 'boxes' => 'x',
        'edges' => []]],
    [['width' => 1, 'height' => 1, 'boxes' => ['place:desk' => [1, 2, 3]], 'edges' => []]], [['width' => 1, 'height' => 1,
        'boxes' => ['place:desk' => ['a' => 1, 'b' => 2, 'c' => 3, 'd' => 4]], 'edges' => []]],
]);

describe('the views in which a rig is built', function () {
    beforeEach(function () {
        $user = User::factory()->create();
        $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
        $this->page = function (array $query = [], string $view = 'recipes') use ($rig, $user): RigPage {
            $request = Request::create('/', 'GET', $query);
            $request->setUserResolver(fn () => $user);

            return new RigPage($rig, $view, $request);
        };
    });

    it('reads each output\'s recipe aloud, with what is left out and who listens', function () {
        $of = fn (RigPage $page) => new Recipes($page->rig->units['mixer'], $page->hearing->graph(), $page->hearing->graph()->field());
        $mixer = $of(($this->page)());
        $aloud = collect($mixer->recipes)->mapWithKeys(fn (Recipe $recipe) => [$recipe->output->id => $recipe->aloud()]);
        expect($aloud['main'])->toBe('Main: Mic 1, Mic 2, Line 3/4, Line 5/6 and Optical. Not in this mix: Computer. Viewers, Archive and '
            .'Arcade hall listen.')
            ->and($aloud['aux-1'])->toBe('Aux 1: Mic 1, Mic 2 and Computer at −4.0 dB. Not in this mix: Line 3/4, Line 5/6 and Optical. '
                .'Driver listens.');
        $off = $of(($this->page)(['situation' => 'off']));
        expect(collect($off->recipes)->first(fn (Recipe $recipe) => $recipe->output->id === 'main')->aloud())->toEndWith('It is muted.');
        $inputs = array_map(fn ($point) => $point->label, $mixer->inputs());
        expect($inputs)->toContain('Mic 1', 'Computer')->and($mixer->feedOf($mixer->recipes[0], $mixer->inputs()[0])?->now->on)->toBeTrue();
    });

    it('draws a mix on one scale: what fader and send add, sounds first, a choice as a choice', function () {
        $of = fn (RigPage $page) => new Recipes($page->rig->units['mixer'], $page->hearing->graph(), $page->hearing->graph()->field());
        $mixer = $of(($this->page)());
        $phones = collect($mixer->recipes)->first(fn (Recipe $recipe) => $recipe->output->id === 'phones');
        // By hand: Mic 1 at 0 dB with a send of -18; Optical at -6 with -3; Line 5/6 at -8 with 0.
        $sent = collect($phones->in())->mapWithKeys(fn ($feed) => [$feed->from => $feed->sent->number()]);
        expect($sent['Mic 1'])->toBe(-18)->and($sent['Optical'])->toBe(-9)->and($sent['Line 5/6'])->toBe(-8);
        // 150 wide from -24 to 6: 5 a dB.
        expect([$mixer->scale->zero, $mixer->scale->at(Decibels::of(-18)), $mixer->scale->at(Decibels::of(-40))])->toBe([120.0, 30.0, 0.0])
            ->and(array_filter(array_column($mixer->scale->lines, 'text')))->toContain('−24', '−12')
            ->and($mixer->tapWords())->toBe('Everything is taken post-fader.');
        $computer = collect($mixer->recipes)->first(fn (Recipe $recipe) => $recipe->isSelector());
        expect($computer->output->label)->toBe('To computer')->and($phones->isSelector())->toBeFalse()
            ->and($computer->heardBy())->toBe('Viewers, Archive');
    });

    it('names an input by its sounds where they are few', function () {
        $sources = array_map(fn (string $id) => new Source($id, ucfirst($id), SourceKind::Voice), ['ann', 'bea', 'cal', 'dot']);
        $said = fn (int $count): array => [(new SoundsIn('Mic 1', array_slice($sources, 0, $count)))->name,
            (new SoundsIn('Mic 1', array_slice($sources, 0, $count)))->also];
        expect([$said(0), $said(1), $said(3), $said(4)])
            ->toBe([['Mic 1', ''], ['Ann', 'Mic 1'], ['Ann, Bea, Cal', 'Mic 1'], ['Mic 1', 'Ann, Bea and 2 more']]);
    });

    it('stands a knob where its printed scale says, else where its range does', function () {
        $scale = new Scale(-60, 10, 'dB', 0.5);
        $printed = new Knob('fader', 'fader', -10, $scale, new OwnScale('', [[0.0, -60.0], [5.0, -10.0], [10.0, 10.0]]));
        expect([$printed->share(), $printed->ticks()])->toBe([0.5, [0.0, 0.5, 1.0]])
            ->and((new Knob('gain', 'gain', -25, $scale))->share())->toBe(0.5);
    });

    it('names an effects chain after what enters it, and says what a choice excludes', function () {
        // Each mix takes the microphone either as it is or behind a gate and a compressor.
        $points = [['id' => 'microphone', 'kind' => 'strip', 'label' => 'Microphone', 'channels' => 2, 'picks' => 'recording']];
        foreach (['gate', 'compressor'] as $id) {
            $points[] = ['id' => $id, 'kind' => 'strip', 'label' => ucfirst($id), 'channels' => 2];
        }
        $points[] = ['id' => 'programme', 'kind' => 'bus', 'label' => 'Programme', 'channels' => 2, 'device' => ['direction' => 'recording']];
        $rig = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('fx', ['family' => 'software-mixer', 'points' => $points, 'routes' => [
            ['from' => 'microphone', 'to' => 'gate'], ['from' => 'gate', 'to' => 'compressor'],
            ['from' => 'microphone', 'to' => 'programme', 'on' => false, 'group' => 'programme-mic', 'can' => ['on', 'db']],
            ['from' => 'compressor', 'to' => 'programme', 'group' => 'programme-mic', 'can' => ['on', 'db']]]], 'room')
            ->pick('fx/microphone', ['default' => 'system'])->make();
        $graph = (new GraphBuilder($rig))->build($rig->situation());
        $recipes = new Recipes($rig->units['fx'], $graph, $graph->field());
        $programme = collect($recipes->recipes)->first(fn (Recipe $recipe) => $recipe->output->id === 'programme');
        expect($programme->in()[0]->from)->toBe('Microphone through gate, compressor')->and($programme->in()[0]->instead)
            ->toBe(['Microphone'])
            ->and($programme->aloud())->toContain('Not in this mix: Microphone.');
    });

    it('lists a computer\'s devices with socket colour and users, and its programs in their order', function () {
        $computers = collect(Computer::all(($this->page)([], 'computers')))->keyBy(fn (Computer $one) => $one->unit->id);
        $devices = collect($computers['sim-pc']->devices)->keyBy(fn (array $row) => (string) $row['device']->ref);
        expect($devices['sim-pc/line-out/out'])->toMatchArray(['colour' => 'green', 'users' => ['Microphone repeater: Out']])
            ->and($devices['sim-pc/optical/out']['users'])->toBe(['Rally game: Game sound', 'Picture repeater: In'])
            ->and(array_map(fn (array $entry) => $entry['unit']->id, $computers['sim-pc']->programs))
            ->toBe(['game', 'voice-relay', 'mic-relay', 'picture-relay']);
    });

    it('says what is on each track, and what is streamed', function () {
        $cast = collect(Tracks::all(($this->page)([], 'tracks')))->first(fn (Tracks $one) => $one->unit->id === 'broadcast');
        $tracks = collect($cast->tracks)->keyBy(fn (array $track) => $track['point']->id);
        expect(array_map(fn ($source) => $source->name, $tracks['track-1']['sources']))->toContain('Presenter voice', 'Music')
            ->and(collect($tracks['track-1']['goals'])->first(fn ($goal) => $goal->from === 'Stream')->now->on)->toBeTrue()
            ->and($cast->between($cast->inputs[0]['point'], $tracks['track-1']['point'])?->on)->toBeTrue()
            ->and($cast->inputs[0]['device'])->toBe('Desk programme');
        $clips = collect(Tracks::all(($this->page)([], 'tracks')))->first(fn (Tracks $one) => $one->unit->id === 'clips');
        expect($clips->tracks[0]['point']->label)->not->toBe('');
    });

    it('draws lanes to the last track that an input is on, and tracks from the first input down to their ends', function () {
        $cast = collect(Tracks::all(($this->page)([], 'tracks')))->first(fn (Tracks $one) => $one->unit->id === 'broadcast');
        $drawn = fn (int $input): string => implode(' ', array_map(
            fn (array $one) => ($one['isOn'] ? '*' : '.').($one['across'] ?: '-').'/'.($one['down'] ?: '-'),
            array_slice($cast->lanes()[$input], 0, 3),
        ));
        // Off the document: sources 1 to 4 are on tracks 1 and 2, source 5 on track 1 alone; nothing is on track 3.
        expect($drawn(0))->toBe('*across/down-begin *across-end/down-begin .-/-')->and($drawn(1))->toBe('*across/down *across-end/down .-/-')
            ->and($drawn(4))->toBe('*across-end/down .-/down .-/-')->and(array_keys($cast->ends()))->toBe(['stream', 'file'])
            ->and($cast->ends()['stream'][0]?->now->on)->toBeTrue()->and($cast->ends()['stream'][1]?->now->on)->toBeFalse()
            ->and($cast->ends()['file'][1]?->now->on)->toBeTrue();
    });

    it('draws a meter with its zones, the usual level, and each sound where it stands', function () {
        $zones = [['Signal', -50.0], ['Nominal', -9.0], ['Peak', 3.0]];
        $drawing = new MeterDrawing(new Meter('m', 'Main', 'main', Tap::PostFader, null, $zones), ['Voice' => 0.0, 'Far' => -80.0, 'Shout' => 40.0]);
        // From -60 to +20 dB over 320: 4 to a dB.
        expect(array_map(fn (array $zone) => [$zone['x'], $zone['width'], $zone['isLast']], $drawing->zones))
            ->toBe([[40.0, 164.0, false], [204.0, 48.0, false], [252.0, 68.0, true]])
            ->and($drawing->usual)->toBe(240.0)->and($drawing->target)->toBe('Nominal')
            ->and(array_map(fn (array $sound) => [$sound['name'], $sound['x'], $sound['reading']], $drawing->sounds))
            ->toBe([['Voice', 240.0, 'Nominal'], ['Far', 0.0, 'stays dark'], ['Shout', 320.0, 'Peak']]);
        $scale = new OwnScale('', [[-20.0, -40.0], [0.0, 0.0], [5.0, 10.0]]);
        $printed = new MeterDrawing(new Meter('m', 'Main', 'main', Tap::PostFader, $scale, []), []);
        expect(array_map(fn (array $tick) => [$tick['x'], $tick['text']], $printed->ticks))->toBe([[80.0, '-20'], [240.0, '0'], [280.0, '5']])
            ->and($printed->zones)->toBe([])->and($printed->sounds)->toBe([]);
    });

    it('lights the sockets that take the other end, and says why the others don\'t', function () {
        $joins = ($this->page)(['select' => 'socket:cast-pc/line-out', 'with' => 'card/picture-1'], 'wiring')->joins;
        expect($joins->stands('card/line'))->toBe('fits')->and($joins->stands('mixer/line-3-4'))->toBe('taken')
            ->and($joins->says('mixer/line-3-4'))->toContain('has W-11 in it')
            ->and($joins->stands('card/picture-1'))->toBe('blocked')->and($joins->says('card/picture-1'))
            ->toBe('no cable has 3.5 mm TRS at one end and HDMI at the other')
            ->and($joins->stands('cast-pc/line-out'))->toBe('here')->and($joins->says('cast-pc/line-in'))->toBe('it is on the same unit');
    });

    it('finds anything by a few letters', function (string $text, string $first, string $kind) {
        expect((new Finder(($this->page)([], 'find'), $text))->found[0])->toMatchArray(['what' => $first, 'kind' => $kind]);
    })->with([['w-17', 'W-17', 'cable'], ['desk mix', 'Desk mixer', 'unit'], ['desk programme', 'Desk programme',
        'recording device'], ['presenter voice', 'Presenter voice', 'sound'], ['tracks', 'Tracks', 'view'],
        ['dsek mixr', 'Desk mixer', 'unit'], ['presentr voise', 'Presenter voice', 'sound'], ['undo', 'Undo', 'action'],
        ['invite', 'Invite someone', 'action'], ['optical in', 'Optical in of Desk mixer', 'socket']]);

    it('finds nothing where nothing is called that', function () {
        expect((new Finder(($this->page)([], 'find'), 'no such thing at all'))->found)->toBe([]);
    });

    it('searches the models by text, family and the socket that is needed', function (array $query, array $some) {
        $stock = new Stock(($this->page)($query, 'stock'), fn () => CatalogueFiles::catalogue()->models);
        expect(array_keys($stock->found))->toContain(...$some)->and(count($stock->found))->toBeLessThan(count($stock->models));
    })->with([[['q' => 'isolator stereo'], ['isolator-stereo']], [['q' => 'dynamc mic'], ['dynamic-microphone']], [['family' => 'splitter'],
        ['hdmi-splitter', 'optical-splitter']], [['has' => 'optical'], ['eight-input-desk', 'optical-splitter']],
        [['family' => 'mixer', 'has' => 'optical'], ['eight-input-desk']]]);
});

it('forgives a typing mistake in a word of four letters, two in one of seven, none in a shorter', function (string $word, ?int $mistakes) {
    expect(App\Words\Likeness::mistakes($word, 'dynamic microphone, handheld · xlr'))->toBe($mistakes);
})->with([['dynamic', 0], ['dynamc', 1], ['micropone', 1], ['mcrphone', 2], ['handh', 0], ['hanhd', 1], ['hxnhd', null], ['xrl', null], ['xlr', 0],
    ['headset', null]]);

it('looks for a bounded number of words, each once, and forgives nothing in a word that is longer than any', function () {
    expect(App\Words\Likeness::words(' Desk  MIXR desk '))->toBe(['desk', 'mixr'])
        ->and(App\Words\Likeness::words(implode(' ', range(1000, 3000))))->toHaveCount(12)
        ->and(App\Words\Likeness::mistakes(str_repeat('ab', 20), str_repeat('ab', 19).'ba'))->toBe(1)
        ->and(App\Words\Likeness::mistakes(str_repeat('ab', 21), str_repeat('ab', 20).'ba'))->toBeNull();
});
