<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Curing;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\FindingsReport;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;

/*
 * What is true of each shipped rig besides its hearing, gone through by hand, and nothing else: the check and the first element that it is
 * about. Analog leads between units that both have an earth pin, or share a USB lead, close ground loops; line outputs into microphone
 * inputs, headphone outputs into line inputs and professional into consumer lines are what they are; programs that follow a default do so; a
 * situation that sets two controls or more takes two hands.
 */
const TRUE_FINDINGS = [
    'night-relay' => ['plug.stereo-balanced w-28', 'plug.phantom booster/out', 'level.clip w-19', 'plug.length w-10', 'plug.length w-13', 'plug.length w-32',
        'plug.length w-33', 'plug.digital-format w-25', 'ground.loop w-32', 'ground.loop w-33', 'ground.isolator-place isolator-a',
        'level.unmatched presenter-mic/capsule', 'computer.default game/microphone', 'situation.forgotten mixer/ch-1>main', 'situation.forgotten mixer/ch-1>main', 'situation.forgotten broadcast/source-1', 'single.point cast-pc'],
    'penny-slot' => ['single.point cast'],
    // Its recorder opens one device, and three tracks want two.
    'ticket-booth' => ['computer.one-device rec', 'situation.forgotten face/in-1>phones'],
    'before-any-fader' => ['computer.default game/sound', 'computer.default music/sound', 'single.point headset'],
    'console-party' => ['level.clip w-03', 'ground.loop w-03', 'plug.level w-03', 'single.point cast'],
    'dry-and-processed' => ['level.headroom mix/programme', 'time.monitor mic/capsule', 'computer.default music/sound', 'single.point mix'],
    'knobs-and-software' => ['single.point mix'],
    'line-return' => ['ground.loop w-04', 'situation.forgotten cast/source-1', 'single.point mix'],
    // Two computers' microphone sockets get a desk's line outputs; everything analog is isolated.
    'main-and-alternate' => ['level.clip w-12', 'plug.level w-14', 'plug.level w-16', 'plug.level w-06', 'plug.level w-07', 'plug.level w-12', 'plug.level w-20',
        'plug.level w-21', 'single.point stream-pc'],
    'matrix-and-loopback' => ['single.point face'],
    'one-device' => ['computer.default call/microphone', 'computer.default call/ring', 'computer.default music/sound'],
    'one-headset' => ['single.point stream-pc'],
    'panel' => ['ground.loop w-06', 'ground.loop w-07', 'plug.level w-06', 'plug.level w-07', 'situation.forgotten panel/ch-7-8', 'situation.forgotten panel/ch-7-8', 'single.point panel'],
    'scenes' => ['time.sync cast/source-1', 'computer.default game/sound', 'single.point pc'],
    'simplest-headset' => ['computer.default game/sound', 'computer.default broadcast-program/source-1', 'single.point laptop'],
    'simplest-microphone' => ['computer.default game/sound', 'situation.forgotten cast/source-2', 'single.point pc'],
    'software-only' => ['situation.forgotten soft/input-1>programme', 'single.point soft'],
    'solo-and-rules' => ['ground.loop w-04', 'ground.loop w-07', 'computer.default call/speaker', 'computer.default music/sound', 'situation.forgotten desk/mic-1', 'single.point desk'],
    'system-plays-console' => ['level.clip pc/line-out/out', 'computer.default music/sound', 'situation.forgotten broadcast/source-1', 'single.point pc'],
    // A tablet's programs can't choose; its hub charges it.
    'tablet-and-hub' => ['computer.default call/speaker', 'computer.default call/microphone', 'situation.forgotten face/ch-1>usb-out'],
    'three-repeaters' => ['computer.needs rep-1', 'computer.needs rep-2', 'computer.needs rep-3'],
    'two-computers-analog' => ['single.point stream-pc'],
    'two-computers-console' => ['ground.loop w-04', 'ground.loop w-05', 'single.point cast'],
    'two-computers-optical' => ['plug.level w-03', 'single.point cast'],
    'two-computers-picture' => ['single.point soft'],
    'two-connections' => ['ground.loop w-05', 'ground.loop w-06', 'computer.default call/speaker', 'computer.default call/microphone', 'situation.forgotten desk/mic-1>to-1a', 'situation.forgotten desk/mic-1', 'single.point desk'],
    'two-mixes' => ['time.monitor mic/capsule', 'single.point pc'],
    'two-usb-microphones' => ['time.monitor mic-a/capsule', 'time.monitor mic-b/capsule'],
    'two-xlr-tracks' => ['situation.forgotten rec/in-1'],
];

it('says of each shipped rig what is true, and nothing else', function (string $name) {
    $rig = (new DocumentReader)->read((string) file_get_contents(shippedRigs()[$name]));
    $found = array_map(fn (Finding $one) => "{$one->code} {$one->about[0]}", Checks::findings(new Inspection(new Hearings($rig))));
    expect($found)->toBe(TRUE_FINDINGS[$name]);
})->with(array_keys(TRUE_FINDINGS));

it('leaves no shipped rig out', function () {
    expect(array_diff(array_keys(shippedRigs()), array_keys(TRUE_FINDINGS)))->toBe([]);
});

it('cures what it says, with nothing worse: no cell, and no finding of any check that was not there', function (string $name) {
    $rig = (new DocumentReader)->read((string) file_get_contents(shippedRigs()[$name]));
    $hearings = new Hearings($rig);
    $in = new Inspection($hearings, wholeCatalogue());
    $findings = Checks::findings($in);
    $before = array_map(fn ($pair) => $pair->verdict->rank(), iterator_to_array($hearings->cells()));
    // By check: a lead that is cut in two is another lead to a check, and no other trouble.
    $counts = fn (array $of): array => array_count_values(array_map(fn (Finding $one) => $one->code, array_filter($of, fn (Finding $one) => $one->severity !== Severity::Note)));
    $was = $counts($findings);
    $cures = 0;
    foreach ((new Curing($in))->of($findings) as $finding) {
        foreach ($finding->cures as $cure) {
            $cured = new Hearings($cure->applyTo($rig));
            $left = Checks::findings(new Inspection($cured));
            expect([$cure->sentence, in_array($finding->key(), array_map(fn (Finding $one) => $one->key(), $left), true)])->toBe([$cure->sentence, false]);
            $more = array_filter($counts($left), fn (int $count, string $code) => $count > ($was[$code] ?? 0), ARRAY_FILTER_USE_BOTH);
            expect([$cure->sentence, $more])->toBe([$cure->sentence, []]);
            foreach ($cured->cells() as $cell => $pair) {
                expect([$cure->sentence, $cell, $pair->verdict->rank() <= $before[$cell]])->toBe([$cure->sentence, $cell, true]);
            }
            $cures++;
        }
    }
    expect($cures)->toBeGreaterThanOrEqual(0);
})->with(array_keys(TRUE_FINDINGS));

it('shows at least eight kinds of findings in the demo, with cures for at least eight', function () {
    $in = new Inspection(new Hearings((new DocumentReader)->read(shipped('rigs/night-relay.json'))), wholeCatalogue());
    $findings = (new Curing($in))->of(Checks::findings($in));
    expect(count(array_unique(array_map(fn (Finding $one) => $one->code, $findings))))->toBeGreaterThanOrEqual(8)
        ->and(count(array_filter($findings, fn (Finding $one) => $one->cures !== [])))->toBeGreaterThanOrEqual(8);
});

it('reports findings as plain data, those of one situation, with what makes each cure', function () {
    $in = new Inspection(new Hearings((new DocumentReader)->read(shipped('rigs/night-relay.json'))), wholeCatalogue());
    $report = (new FindingsReport)->of((new Curing($in))->of(Checks::findings($in)), 'on-air');
    $phantom = array_values(array_filter($report, fn (array $one) => $one['code'] === 'plug.phantom'))[0];
    expect($phantom['severity'])->toBe('fault')->and($phantom['situation'])->toBeNull()->and($phantom['about'])->toBe(['booster/out', 'mixer/mic-1', 'w-02'])
        ->and($phantom['cures'][0]['edits'])->toBe([['edit' => 'set-value', 'unit' => 'mixer', 'setting' => 'phantom-mic-1', 'value' => true]])
        ->and($phantom['evidence'])->toMatch('/^[0-9a-f]{16}$/');
});

it('rests on elements and situations, not on names', function () {
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));
    $evidence = fn (Rig $of): array => array_map(fn (Finding $one) => $one->evidence(), Checks::findings(new Inspection(new Hearings($of))));
    $renamed = (new DocumentReader)->read(str_replace('"Desk mixer"', '"The mixer"', shipped('rigs/night-relay.json')));
    expect($evidence($renamed))->toBe($evidence($rig));
});
