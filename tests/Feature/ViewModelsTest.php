<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\Geometry;
use App\Rigs\Starters;
use App\ViewModels\MapDepth;
use App\ViewModels\MapDrawing;
use App\ViewModels\MapGraph;
use App\ViewModels\MapPort;
use App\ViewModels\Pen;
use App\ViewModels\PlateInsides;
use App\ViewModels\RigPage;
use App\ViewModels\Sheet;
use App\ViewModels\TextWidth;
use App\ViewModels\WayStrip;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Http\Request;

function relayHearing(?string $situation = null): Hearing
{
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));

    return new Hearing((new GraphBuilder($rig))->build($rig->situation($situation)));
}

it('tells a way as a person follows it: cables between units, what happens inside a unit as one step', function () {
    $hearing = relayHearing();
    $strip = new WayStrip($hearing->pair('rally', 'archive'), $hearing);
    expect(array_map(fn ($step) => $step->title, $strip->ways[0]))->toBe(['Rally game', 'Rally sound', 'W-05', 'Optical splitter', 'W-07', 'Desk mixer', 'W-17', 'Desk programme', 'Broadcast program']);
    $mixer = $strip->ways[0][5];
    expect($mixer->inside)->toBe([['name' => 'Optical', 'fader' => '−6.0'], ['name' => 'Main', 'fader' => '0.0'], ['name' => 'To computer', 'fader' => null]])
        ->and($mixer->changes)->toBeTrue()->and($mixer->select)->toBe('unit:mixer')->and($strip->ways[0][4]->select)->toBe('cable:w-07')->and($strip->ways[0][4]->inside)->toBe([]);
});

it('says each verdict in a sentence', function (string $source, string $listener, string $says) {
    expect(WayStrip::say(relayHearing()->pair($source, $listener)))->toBe($says);
})->with([
    ['voice', 'viewers', 'is heard as wished'], ['voice', 'team', 'is not heard, as wished'], ['chime', 'viewers', 'does not arrive'], ['music', 'archive', 'arrives once and must not'],
    ['rally', 'viewers', 'arrives twice, 120.5 ms apart: an audible echo'], ['console', 'clip', 'arrives on the left side only'], ['crew', 'team', 'is not heard; nothing was wished for it'],
]);

it('shows at each depth what that depth is for', function () {
    $graph = relayHearing()->graph;
    $units = fn (MapDepth $depth) => array_map(fn ($plate) => $plate->unit, array_merge(...array_values((new MapGraph($graph, $depth))->plates)));
    expect($units(MapDepth::Cables))->not->toContain('broadcast')->toContain('cast-pc')->and($units(MapDepth::Inside))->toContain('broadcast')->toHaveCount(38);
    $kinds = fn (MapDepth $depth) => array_count_values(array_map(fn ($edge) => strstr($edge->id, ':', true), (new MapGraph($graph, $depth))->edges));
    expect($kinds(MapDepth::Cables))->toBe(['cable' => 34])->and($kinds(MapDepth::Inside))->toBe(['cable' => 34, 'pick' => 24]);
    $ports = fn (MapDepth $depth) => array_sum(array_map(fn ($plates) => array_sum(array_map(fn ($plate) => count($plate->left) + count($plate->right), $plates)), (new MapGraph($graph, $depth))->plates));
    expect($ports(MapDepth::Everything))->toBeGreaterThan($ports(MapDepth::Inside));
});

it('closes a computer at the Cables depth and hangs its call on the box', function () {
    $map = new MapGraph(relayHearing()->graph, MapDepth::Cables);
    $computer = array_values(array_filter($map->plates['cast'], fn ($plate) => $plate->unit === 'cast-pc'))[0];
    expect($computer->caption)->toBe('7 programs · 14 devices')->and(array_map(fn ($port) => $port->label, $computer->right))->toContain('Call program');
});

it('keeps the structure\'s hash while only levels change, and changes it with a cable', function () {
    $structure = fn (string $text) => (function () use ($text) {
        $rig = (new DocumentReader)->read($text);

        return (new MapGraph((new GraphBuilder($rig))->build($rig->situation()), MapDepth::Cables))->structure();
    })();
    $text = shipped('starters/line-return.json');
    expect($structure(str_replace('"gain": 50', '"gain": 40', $text)))->toBe($structure($text))
        ->and($structure(str_replace('"to": "pc/line-in"', '"to": "pc/mic-in"', $text)))->not->toBe($structure($text))
        ->and($structure(str_replace('"label": "W-04"', '"label": "A much longer label"', $text)))->not->toBe($structure($text));
});

it('marks with a pen the lines that a sound passes, and where it ends', function () {
    $starters = new Starters;
    $rig = $starters->rig('line-return');
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situation()));
    $map = new MapGraph($hearing->graph, MapDepth::Cables);
    $drawing = new MapDrawing($map, Geometry::of($starters->layout('line-return')['geometry'], $map), ['coral' => $hearing->pair('voice', 'track')->arrivals, 'sky' => $hearing->pair('caller', 'me')->arrivals]);
    expect($drawing->edgePens)->toBe(['cable:w-01' => [Pen::Coral], 'cable:w-04' => [Pen::Coral], 'cable:w-05' => [Pen::Sky], 'cable:w-03' => [Pen::Sky], 'cable:w-02' => [Pen::Sky]])
        ->and($drawing->ends)->toBe(['pc/line-in' => [Pen::Coral], 'phones/plug' => [Pen::Sky]])->and($drawing->isHighlighted())->toBeTrue();
});

it('rounds corners and keeps ends', function () {
    expect(MapDrawing::path([[0, 0], [40, 0], [40, 30]], 6))->toBe('M0,0 L34,0 Q40,0 40,6 L40,30')->and(MapDrawing::path([[5, 5]]))->toBe('');
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
    $rig = $hearing->graph->rig;
    expect($sheet->carries('w-07', true))->toHaveKey('rally')->and($sheet->carries('w-07', true)['rally'])->toContain('Archive', 'Presenter')
        ->and($sheet->carries('w-23', true))->toBe([]);
    $controls = collect($sheet->controls($rig->units['mixer']))->keyBy('id');
    expect($controls['ch-1']['says'])->toBe('gain 25.0 dB · fader 0.0 dB')->and($controls['ch-1']['mute'])->toBeFalse()->and($controls['ch-1']['fader'])->toBe(['db' => 0, 'from' => -90, 'to' => 10]);
    $mixes = collect($sheet->mixes($rig->units['mixer']))->keyBy('bus');
    expect(collect($mixes['Main']['feeds'])->where('on', true)->pluck('from')->all())->toBe(['Mic 1', 'Mic 2', 'Line 3/4', 'Line 5/6', 'Optical']);
    $sockets = collect($sheet->sockets($rig->units['card']))->keyBy('socket');
    expect($sockets['Analog in']['takes'])->toHaveKey('cast-pc/line-out')->not->toHaveKey('sim-pc/line-out')->and($sockets['USB']['cables'][0]['label'])->toBe('W-16');
    $program = collect($sheet->controls($rig->units['chimes']))->firstWhere('id', 'sound');
    expect($program['choice']['now'])->toBe('system')->and($program['choice']['devices'])->toHaveKey('softmix/virtual-1');
});

it('writes what is chosen into every address, and nothing that is usual', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    $page = fn (array $query) => new RigPage($rig, 'wiring', Request::create('/', 'GET', $query));
    expect($page([])->url())->toEndWith("/rigs/{$rig->id}/wiring");
    $chosen = $page(['situation' => 'break', 'depth' => 'inside', 'pens' => 'music', 'pair' => 'rally:viewers', 'select' => 'cable:w-07', 'focus' => '1']);
    parse_str((string) parse_url($chosen->url(), PHP_URL_QUERY), $query);
    expect($query)->toBe(['situation' => 'break', 'depth' => 'inside', 'pens' => 'music,rally', 'pair' => 'rally:viewers', 'focus' => '1', 'select' => 'cable:w-07']);
    expect($chosen->url(['situation' => 'on-air', 'depth' => 'cables', 'pair' => null, 'focus' => null, 'select' => null, 'pens' => null]))->toEndWith('/wiring');
    // The pen of a chosen pair marks that pair's ways, another pen all ways of its sound.
    $marked = $chosen->highlighted();
    expect($marked['mint'])->toHaveCount(2)->and(count($marked['lemon']))->toBeGreaterThan(2)->and($chosen->penOf('music'))->toBe(Pen::Lemon);
});

it('takes a geometry only if it fits, whatever a browser sends', function (mixed $data) {
    $starters = new Starters;
    $rig = $starters->rig('simplest-headset');
    expect(Geometry::of($data, new MapGraph((new GraphBuilder($rig))->build($rig->situation()), MapDepth::Cables)))->toBeNull();
})->with([
    [null], ['text'], [[]], [['width' => -1, 'height' => 1, 'boxes' => [], 'edges' => []]], [['width' => 1, 'height' => 1, 'boxes' => 'x', 'edges' => []]],
    [['width' => 1, 'height' => 1, 'boxes' => ['place:desk' => [1, 2, 3]], 'edges' => []]], [['width' => 1, 'height' => 1, 'boxes' => ['place:desk' => ['a' => 1, 'b' => 2, 'c' => 3, 'd' => 4]], 'edges' => []]],
]);
