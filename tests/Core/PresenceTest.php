<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\SituationDifference;
use Tests\Support\Draft;

/** Three USB microphones joined in a software mixer, two recorders that take its feeds. */
function microphones(): Rig
{
    return Draft::from(dirname(__DIR__, 2).'/resources/starters/workshop-voices.json')->make();
}

/** @return array<string, string> verdicts by source and listener */
function verdictsIn(Rig $rig, string $situation): array
{
    $verdicts = [];
    foreach ((new Hearings($rig))->in($situation)->all() as $pair) {
        $verdicts["{$pair->source->id} {$pair->listener->id}"] = $pair->isHeard() ? 'heard' : 'silent';
    }

    return $verdicts;
}

it('passes nothing through a program that does not run, and loses its devices', function () {
    // The recorder takes what the mixer gives, and so do the ears: with the mixer stopped nobody hears anything. The base is as it was.
    $rig = (new SetAbsent('pause', 'soft', true))->applyTo(microphones());
    expect(array_unique(array_values(verdictsIn($rig, 'pause'))))->toBe(['silent'])->and(verdictsIn($rig, 'recording'))
        ->toBe(verdictsIn(microphones(), 'recording'));
});

it('loses the device of a unit that is not there, and of a cable that is out, and nothing else', function () {
    $without = ['ann all' => 'silent'] + verdictsIn(microphones(), 'recording');
    $rig = microphones();
    $cable = array_values(array_filter($rig->cables, fn ($one) => $one->from->unit === 'mic-a' || $one->to->unit === 'mic-a'))[0]->id;
    // In a situation like the base but for that.
    $like = (new HiddenWire\Core\Edit\AddSituation('Alone'))->applyTo($rig);
    expect(verdictsIn((new SetAbsent('alone', 'mic-a', true))->applyTo($like), 'alone'))->toEqual($without)
        ->and(verdictsIn((new SetPulled('alone', $cable, true))->applyTo($like), 'alone'))->toEqual($without)
        ->and(verdictsIn($like, 'alone'))->toBe(verdictsIn($rig, 'recording'));
});

it('names what is left out as the cause, and puts it back', function () {
    $rig = (new HiddenWire\Core\Edit\AddSituation('Alone'))->applyTo(microphones());
    foreach ([[new SetAbsent('alone', 'soft', true), 'Software mixer does not run in Alone', 'Start Software mixer in Alone'],
        [new SetAbsent('alone', 'mic-a', true), 'Host microphone is not there in Alone',
            'Put back Host microphone in Alone']] as [$edit, $cause, $cure]) {
        $causes = (new Diagnosis(new Hearings($edit->applyTo($rig))))->causes();
        $name = $rig->units['mic-a']->name;
        expect([$causes[0]->sentence, $causes[0]->cures[0]->sentence])
            ->toBe([str_replace('Host microphone', $name, $cause), str_replace('Host microphone', $name, $cure)]);
    }
});

it('is written and read, told between situations, and goes with what it names', function () {
    $rig = (new SetPulled('pause', 'w-01', true))->applyTo((new SetAbsent('pause', 'soft', true))->applyTo(microphones()));
    $text = (new DocumentWriter)->write($rig);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)->and($text)->toContain('"absent": ["soft"]')
        ->toContain('"pulled": ["w-01"]');
    $hearings = new Hearings($rig);
    expect((new SituationDifference($hearings->in('recording'), $hearings->in('pause')))->changes)
        ->toContain("{$rig->units['soft']->name} does not run", "{$rig->cables['w-01']->label} out");
    expect((new Unplug('w-01'))->applyTo($rig)->situations['pause']->pulled)->toBe([])
        ->and((new RemoveUnit('soft'))->applyTo($rig)->situations['pause']->absent)->toBe([]);
});

it('refuses to leave out what is not there, or twice', function (string $left, string $pointer) {
    $spoiled = str_replace(
        '"id": "pause"',
        '"id": "pause", '.$left,
        (string) file_get_contents(dirname(__DIR__, 2).'/resources/starters/workshop-voices.json'),
    );
    try {
        (new DocumentReader)->read($spoiled);
        $pointers = [];
    } catch (HiddenWire\Core\Document\InvalidDocument $e) {
        $pointers = array_map(fn ($problem) => $problem->pointer, $e->problems);
    }
    expect($pointers)->toBe([$pointer]);
})->with([['"absent": ["nobody"]', '/situations/1/absent/0'], ['"pulled": ["w-01", "w-99"]',
    '/situations/1/pulled/1'], ['"pulled": ["w-01", "w-01"]', '/situations/1/pulled/1']]);
