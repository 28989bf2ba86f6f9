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
 * inputs, headphone outputs into line inputs and professional into consumer lines are what they are; programs that follow a default do so.
 */
const TRUE_FINDINGS = [
    'night-relay' => ['plug.stereo-balanced w-28', 'plug.phantom booster/out', 'level.clip w-19', 'plug.length w-10', 'plug.length w-13', 'plug.length w-32',
        'plug.length w-33', 'plug.digital-format w-25', 'ground.loop w-32', 'ground.loop w-33', 'ground.isolator-place isolator-a',
        'level.unmatched presenter-mic/capsule', 'computer.default game/microphone'],
    'penny-slot' => [],
    // Its recorder opens one device, and three tracks want two.
    'ticket-booth' => ['computer.one-device rec', 'track.purity rec/track-3'],
    'bell-tower' => [],
    'ferry-office' => [],
    'guided-evening' => ['computer.default call/speaker'],
    'hall-of-mirrors' => [],
    'harbour-radio' => [],
    'kite-club' => [],
    'lighthouse-log' => [],
    'lost-property' => [],
    'machine-of-the-week' => [],
    'night-market' => ['computer.default call/speaker'],
    'oral-history' => ['computer.default call/microphone'],
    'party-booth' => ['plug.level w-03'],
    'pinball-duel' => [],
    'planetarium' => [],
    'puppet-theatre' => [],
    'quiz-night' => ['computer.default wheel/sound'],
    'regatta' => ['single.point iso-b'],
    'repair-evening' => [],
    'school-visit' => [],
    'storm-watch' => ['computer.default music/sound'],
    'tide-report' => [],
    'tram-cab' => [],
    'tram-depot' => ['computer.default music/sound'],
    'workshop-voices' => [],
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
    $report = (new FindingsReport)->of((new Curing($in))->of(Checks::findings($in)), 'off');
    $phantom = array_values(array_filter($report, fn (array $one) => $one['code'] === 'plug.phantom'))[0];
    expect($phantom['severity'])->toBe('fault')->and($phantom['situation'])->toBe('off')->and($phantom['about'])->toBe(['booster/out', 'mixer/mic-1', 'w-02'])
        ->and($phantom['cures'][0]['edits'])->toBe([['edit' => 'set-value', 'unit' => 'mixer', 'setting' => 'phantom-mic-1', 'value' => true, 'situation' => 'off']])
        ->and($phantom['evidence'])->toMatch('/^[0-9a-f]{16}$/');
});

it('rests on elements and situations, not on names', function () {
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));
    $evidence = fn (Rig $of): array => array_map(fn (Finding $one) => $one->evidence(), Checks::findings(new Inspection(new Hearings($of))));
    $renamed = (new DocumentReader)->read(str_replace('"Desk mixer"', '"The mixer"', shipped('rigs/night-relay.json')));
    expect($evidence($renamed))->toBe($evidence($rig));
});

it('opens every starter as it is wished, without a fault and without a risk', function (string $name) {
    $hearings = new Hearings((new DocumentReader)->read((string) file_get_contents(shippedRigs()[$name])));
    $odd = array_filter(iterator_to_array($hearings->cells()), fn ($pair) => $pair->verdict->isAtOdds());
    $risks = array_filter(Checks::findings(new Inspection($hearings)), fn (Finding $one) => $one->severity !== Severity::Note);
    expect([array_keys($odd), array_map(fn (Finding $one) => $one->sentence, array_values($risks))])->toBe([[], []]);
})->with(fn () => array_values(array_filter(array_keys(shippedRigs()), fn (string $name) => is_file(dirname(__DIR__, 2)."/resources/starters/{$name}.json"))));
