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

/** @return array<string, array<string, array{bool, string}>> by rig: what is found, whether anybody is glad of it, and why (findings.php) */
function judgedFindings(): array
{
    static $judged = null;

    return $judged ??= require __DIR__.'/findings.php';
}

it('says of each shipped rig what is true, and nothing else', function (string $name) {
    $rig = (new DocumentReader)->read((string) file_get_contents(shippedRigs()[$name]));
    $found = array_map(fn (Finding $one) => "{$one->code} {$one->about[0]}", Checks::findings(new Inspection(new Hearings($rig))));
    expect($found)->toBe(array_keys(judgedFindings()[$name]));
})->with(fn () => array_keys(judgedFindings()));

it('tells at most one thing in ten that a practitioner would skip', function () {
    $all = array_merge(...array_map(array_values(...), array_values(judgedFindings())));
    $skipped = array_filter($all, fn (array $one) => ! $one[0]);
    expect(count($skipped))->toBeLessThanOrEqual(count($all) / 10)->and(array_filter($all, fn (array $one) => $one[1] === ''))->toBe([]);
});

it('leaves no shipped rig out', function () {
    expect(array_diff(array_keys(shippedRigs()), array_keys(judgedFindings())))->toBe([]);
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
})->with(fn () => array_keys(judgedFindings()));

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
