<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\FewerHands;
use HiddenWire\Core\Controls\Position;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\RemoveControl;
use HiddenWire\Core\Edit\RemovePlace;
use HiddenWire\Core\Edit\RemoveSituation;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetControl;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetTouched;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Movable;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SettingRef;
use HiddenWire\Core\Rig\SituationRef;
use HiddenWire\Core\Rig\Touched;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

// A hearing and its pairs hold each other: what many rigs were heard for goes at once.
afterEach(fn () => gc_collect_cycles());

function reach_rig(string $file = 'rigs/night-relay'): Rig
{
    return (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/resources/{$file}.json"));
}

/** @return array<string, string> in words, by "source listener" */
function reach_words(Rig $rig, string $control, string $situation): array
{
    $said = [];
    foreach ((new ControlReach(new Hearings($rig)))->of($rig->controls[$control], $situation) as $one) {
        $said["{$one->source->id} {$one->listener->id}"] = $one->words();
    }

    return $said;
}

it('moves along its way as its law says', function (Law $law, array $expected) {
    // From -90 to 10 dB; by hand at both ends, a quarter, the middle and three quarters.
    $at = fn (int $one): float => $law->value($one, -90.0, 10.0);
    expect(array_map($at, [0, 250, 500, 750, 1000]))->toEqualWithDelta($expected, 1e-9);
})->with([
    'evenly' => [Law::Even, [-90.0, -65.0, -40.0, -15.0, 10.0]],
    // The upper 40 dB take three quarters: -30 at a quarter, then 13.33 dB a quarter.
    'as a fader' => [Law::Taper, [-90.0, -30.0, -16.6666666667, -3.3333333333, 10.0]],
    'in the lower half' => [Law::FirstHalf, [-90.0, -40.0, 10.0, 10.0, 10.0]],
    'in the upper half' => [Law::SecondHalf, [-90.0, -90.0, -90.0, -40.0, 10.0]],
]);

it('turns a fader\'s law round that runs down, and bends where it is as loud', function () {
    expect(array_map(fn (int $at) => Law::Taper->value($at, 10.0, -90.0), [0, 250, 750, 1000]))
        ->toEqualWithDelta([10.0, -3.3333333333, -30.0, -90.0], 1e-9)
        ->and(Law::Taper->bends(10.0, -90.0))->toBe([750])->and(Law::Taper->bends(-90.0, 10.0))->toBe([250])
        ->and(Law::FirstHalf->bends(-60.0, 0.0))->toBe([500])->and(Law::Even->bends(-60.0, 0.0))->toBe([]);
});

it('says for whom what changes', function () {
    $rig = reach_rig();
    // By hand: music is at -16 on the program's fader and comes at -16, so at the top of the fader it comes at 10, at viewers and on
    // the archive alike; the presenter and the driver have it before that fader.
    expect(reach_words($rig, 'box-1', 'on-air'))->toBe(['music viewers' => 'silent to 10.0 dB', 'music archive' => 'silent to 10.0 dB']);
    // In the last situation the program does not run.
    expect(reach_words($rig, 'box-1', 'off'))->toBe([])
        // Nothing comes by the amplifier's line: the balance knob only takes the game away.
        ->and(reach_words($rig, 'talk-balance', 'on-air'))->toBe(['rally driver-ears' => '−3.0 dB to silent'])
        // A key to the situation that is there changes nothing, one to another does as much as the two situations differ.
        ->and(reach_words($rig, 'key-1', 'on-air'))->toBe([])
        ->and(reach_words($rig, 'key-1', 'break'))->toHaveCount(count(reach_words($rig, 'key-2', 'on-air')));
});

it('tells a level that is otherwise only in between', function () {
    $rig = reach_rig();
    // Both sides of one knob on one fader can't be; on the music's gain and fader: up in the lower half, down again in the upper.
    $rig = (new SetControl(new Control('swell', 'Swell', ControlKind::Knob, ElementRef::unit('broadcast'), moves: [
        new Move(new PointRef('broadcast', 'source-2'), 'fader', -30.0, -10.0, Law::FirstHalf),
        new Move(new PointRef('broadcast', 'source-2'), 'gain', 0.0, -20.0, Law::SecondHalf),
    ])))->applyTo($rig);
    expect(reach_words($rig, 'swell', 'on-air')['music viewers'])->toBe('−30.0 dB at both ends, −10.0 dB between');
});

/**
 * The rig with a stop set for good by the edits of the settings' own views, heard whole: another way than the one by which reach is found.
 *
 * @throws InvalidRig
 */
function reach_by_hand(Rig $rig, Position $stop, string $situation): Hearing
{
    $override = $rig->isBase($situation) ? null : $situation;
    foreach ($stop->values as [$move, $value]) {
        $at = $move->at;
        $rig = match (true) {
            $move->set === Move::DEVICE && $at instanceof PointRef => (new SetPick($at, $rig->picks[(string) $at], $override))->applyTo($rig),
            $at instanceof PointRef => (new SetPoint($at, $move->settings($value) ?? throw new LogicException, $override))->applyTo($rig),
            $at instanceof RouteRef => (new SetRoute($at, $move->settings($value) ?? throw new LogicException, $override))->applyTo($rig),
            $at instanceof SettingRef => (new SetValue($at->unit, $at->setting, $value, $override))->applyTo($rig),
            default => $rig,
        };
        $situation = $at instanceof SituationRef ? $at->situation : $situation;
    }

    return new Hearing((new GraphBuilder($rig))->build($rig->situations[$situation]));
}

it('says what the hearing says at every stop, of every control of every starter and of one for each kind of setting', function (string $file) {
    $rig = reach_rig($file);
    if ($rig->controls === []) {
        // A fader, a knob or a key on one setting of each kind of each unit, what many rigs have and few share.
        $kinds = $moves = [];
        foreach ($rig->units as $unit) {
            foreach ([true, false] as $isTurned) {
                foreach (Movable::of($rig, $unit->id, $isTurned) as $slot => $move) {
                    $kind = "{$unit->model} {$move->set} {$isTurned}";
                    // Of an exclusive group a hand chooses another, and switches none off.
                    $isAlone = ! $move->at instanceof RouteRef || ($rig->route($move->at)->group ?? null) === null;
                    if ($isAlone && is_float($move->to) === $isTurned) {
                        $kinds[$kind] ??= [$slot, $move, $isTurned];
                    }
                }
            }
        }
        foreach (array_slice(array_values($kinds), 0, 14) as $i => [$slot, $move, $isTurned]) {
            $rig = (new SetControl(new Control(
                "c{$i}",
                "Control {$i}",
                $isTurned ? ControlKind::Fader : ControlKind::Key,
                ElementRef::unit($move->at->unit),
                position: $isTurned ? 40.0 : null,
                moves: [$move],
            )))->applyTo($rig);
        }
    }
    $reach = new ControlReach(new Hearings($rig));
    $told = 0;
    foreach (Hands::of($rig) as $control) {
        // What units come with is heard in the default.
        $situations = Hands::isOwn($rig, $control) ? array_map(strval(...), array_keys($rig->situations)) : [$rig->base()->id];
        foreach ($situations as $situation) {
            $all = [];
            foreach ($reach->of($control, $situation) as $one) {
                $all["{$one->by->value} {$one->source->id} {$one->listener->id}"] = $one;
            }
            $stops = (new HiddenWire\Core\Controls\Positions(new HiddenWire\Core\Rig\State($rig, $rig->situations[$situation])))->of($control);
            foreach ($stops as ['by' => $by, 'stops' => $of]) {
                $heard = array_map(fn (Position $stop) => reach_by_hand($rig, $stop, $situation), $of);
                foreach ($rig->sources as $source) {
                    foreach ($rig->listeners as $listener) {
                        $levels = array_map(fn (Hearing $one) => $one->pair($source->id, $listener->id)->level()?->value(), $heard);
                        $is = $all["{$by->value} {$source->id} {$listener->id}"] ?? null;
                        $differs = count(array_unique(array_map(fn (?float $db) => $db === null ? '' : (string) round($db, 1), $levels))) > 1;
                        if ($is !== null) {
                            $told++;
                            expect($is->levels())->toEqualWithDelta($levels, 0.011);
                        } elseif ($differs) {
                            // Reported nowhere: then it differs by less than anybody hears.
                            expect(max($levels) - min($levels))->toBeLessThan(0.11);
                        }
                    }
                }
            }
        }
    }
    expect($told)->toBeGreaterThan(0);
})->with(fn () => ['rigs/night-relay', ...array_map(
    fn (string $file) => 'starters/'.basename($file, '.json'),
    glob(dirname(__DIR__, 2).'/resources/starters/*.json') ?: [],
)]);

it('reads a document with controls, and says what is wrong with each at its place', function (callable $spoil, string $pointer, string $says) {
    $data = json_decode((new DocumentWriter)->write(reach_rig()), true);
    $spoil($data);
    try {
        (new DocumentReader)->read((string) json_encode($data));
        $problems = [];
    } catch (InvalidDocument $e) {
        $problems = array_map(fn (Problem $one) => "{$one->pointer} {$one->message}", $e->problems);
    }
    expect(implode("\n", $problems))->toContain("{$pointer} ")->toContain($says);
})->with([
    'a second of an id' => [fn (&$d) => $d['controls'][1]['id'] = 'box-1', '/controls/1/id', 'is taken by /controls/0'],
    'a place that is not there' => [fn (&$d) => $d['controls'][0]['at'] = 'places/attic', '/controls/0/at', 'There is no place "attic"'],
    'on a cable' => [fn (&$d) => $d['controls'][0]['at'] = 'cables/w-01', '/controls/0/at', 'of a unit or lies at a place'],
    'a point that is not there' => [fn (&$d) => $d['controls'][0]['moves'][0]['at'] = 'broadcast/nowhere', '/controls/0/moves/0', 'has no point'],
    'what can\'t be set there' => [fn (&$d) => $d['controls'][0]['moves'][0]['set'] = 'wobble', '/controls/0/moves/0', 'has no "wobble"'],
    'beyond its end' => [fn (&$d) => $d['controls'][0]['moves'][0]['to'] = 40, '/controls/0/moves/0', 'lies outside'],
    'a switch as a number' => [fn (&$d) => $d['controls'][4]['moves'][0]['to'] = 1, '/controls/4/moves/0', 'true or false'],
    'a way of a pad' => [fn (&$d) => $d['controls'][4]['moves'][0]['law'] = 'first-half', '/controls/4/moves/0', 'A switch is set or toggled'],
    'the same twice' => [
        function (&$d) {
            $d['controls'][4]['moves'][1] = $d['controls'][4]['moves'][0];
        },
        '/controls/4/moves/1', 'moves this already',
    ],
    'held with itself' => [fn (&$d) => $d['controls'][4]['moves'][0]['with'] = 'quiet', '/controls/4/moves/0/with', 'no other control'],
    'a situation that is not there' => [fn (&$d) => $d['controls'][5]['moves'][0]['at'] = 'situations/noon', '/controls/5/moves/0/at', 'no situation'],
    'a key that stands somewhere' => [fn (&$d) => $d['controls'][5]['position'] = 3, '/controls/5/position', 'Only a fader'],
    'no reference' => [fn (&$d) => $d['controls'][5]['moves'][0]['at'] = 'mixer', '/controls/5/moves/0/at', 'reference of the form'],
]);

it('writes a document with controls byte for byte as it was read', function () {
    $text = (string) file_get_contents(dirname(__DIR__, 2).'/resources/rigs/night-relay.json');
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)->and($text)->toContain('"controls"');
});

it('lets go of what is moved when it is removed, and says so', function () {
    $rig = reach_rig();
    $without = (new RemoveUnit('headset-amp'))->applyTo($rig);
    expect($without->controls)->not->toHaveKey('talk-balance')
        ->and((new RemoveUnit('headset-amp'))->words($rig))->toContain('Balance knob (Game or talk)');
    $without = (new RemoveUnit('broadcast'))->applyTo($rig);
    expect($without->controls['box-1']->moves)->toBe([])->and($without->controls['cough']->moves)->toHaveCount(1)
        ->and((new RemoveUnit('broadcast'))->words($rig))->toContain('what Fader 1 (Music) moves in it');
    $without = (new RemoveSituation('break'))->applyTo($rig);
    expect($without->controls['key-2']->moves)->toBe([])
        ->and((new RemoveSituation('break'))->words($rig))->toContain('the way there by Key 2 (Break)');
    expect((new RemovePlace('desk'))->applyTo($rig)->controls)->not->toHaveKey('cough');
    $held = $rig->controls['quiet'];
    $rig = (new SetControl($held->with(moves: [$held->moves[0]->with(with: 'key-1'), $held->moves[1]])))->applyTo($rig);
    expect((new RemoveControl('key-1'))->applyTo($rig)->controls['quiet']->moves)->toHaveCount(1);
});

/** @return list<string> findings about controls, in words */
function control_findings(Rig $rig): array
{
    $findings = array_filter(Checks::findings(new Inspection(new Hearings($rig))), fn (Finding $one) => str_starts_with($one->code, 'control.'));

    return array_values(array_map(fn (Finding $one) => "{$one->code}: {$one->sentence}", $findings));
}

it('finds the mislabelled control of the demo, and no other', function () {
    $rig = reach_rig();
    expect(control_findings($rig))->toBe(['control.reach: Fader 3 (Chimes) moves Rally engine, and not what its label says']);
    // Labelled by what it does, all is well.
    $right = $rig->controls['box-3']->with(legend: 'Rally engine');
    expect(control_findings((new SetControl($right))->applyTo($rig)))->toBe([]);
    // A key that goes elsewhere than its label; a fader of something that nobody hears; more than the label says.
    $key = $rig->controls['key-2']->with(legend: 'On air');
    $idle = new Control('idle', 'Old knob', ControlKind::Knob, ElementRef::unit('mixer'), moves: [
        new Move(new PointRef('broadcast', 'source-8'), 'fader', -90.0, 10.0, Law::Taper),
    ]);
    $more = $rig->controls['box-1']->with(moves: [...$rig->controls['box-1']->moves,
        new Move(new PointRef('broadcast', 'source-3'), 'mute', false, true, Law::Set, Gesture::Press)]);
    foreach ([$right, $key, $idle, $more] as $control) {
        $rig = (new SetControl($control))->applyTo($rig);
    }
    expect(control_findings($rig))->toBe([
        'control.reach: Fader 1 (Music) moves also Navigator',
        'control.reach: Key 2 (On air) goes to Break',
        'control.reach: Old knob changes nothing for anybody, in any situation',
    ]);
});

it('judges a level of its own by the controls where there are any', function () {
    $wished = function (string $source, string $listener): Rig {
        $data = json_decode((new DocumentWriter)->write(reach_rig()), true);
        foreach ($data['wishes'] as &$wish) {
            if ($wish['source'] === $source && $wish['listener'] === $listener) {
                $wish['own_level'] = 'both';
            }
        }
        $data['controls'][2]['legend'] = '';

        return (new DocumentReader)->read((string) json_encode($data));
    };
    // Music comes to viewers and the archive by one fader.
    expect(control_findings($wished('music', 'viewers')))->toContain(
        'control.lacking: No control moves Music for Viewers alone: Fader 1 (Music) also moves Music for Archive',
    );
    // The balance knob moves the game for the driver, and nothing else.
    expect(control_findings($wished('rally', 'driver-ears')))->toBe([]);
    // It comes to the presenter by the desk's strip of the computer, whose fader takes the caller and the ring along, for the driver too.
    expect(control_findings($wished('music', 'presenter')))->toContain('control.lacking: No control moves Music for Presenter alone: '
        .'Desk mixer: Computer fader also moves Music for Driver, Navigator for Presenter, Navigator for Driver and 2 more');
    // The presenter's own voice has a send of its own into the headphones: that level, entered as a control, is what was wished. The knobs
    // that the desk comes with move it for others, too.
    $rig = $wished('voice', 'presenter');
    expect(control_findings($rig))->toContain('control.lacking: No control moves Presenter voice for Presenter alone: '
        .'Desk mixer: Mic 1 gain also moves Presenter voice for Driver, Presenter voice for Viewers, Presenter voice for Archive and 3 more');
    $all = Examination::of(new Hearings($rig), [], null);
    $lacking = array_values(array_filter($all->findings, fn (Finding $one) => $one->code === 'control.lacking'))[0];
    expect($lacking->cures)->toHaveCount(1);
    $cured = array_reduce($lacking->cures[0]->edits, fn (Rig $rig, $edit) => $edit->applyTo($rig), $rig);
    expect(control_findings($cured))->toBe([])->and(reach_words($cured, 'presenter-voice-for-presenter', 'on-air'))
        ->toHaveKey('voice presenter')->toHaveCount(1);
});

it('gives hands to what is touched often first, keeps what a hand has, and lets the rest share', function () {
    $rig = reach_rig();
    $hands = function (Rig $rig): array {
        $plan = new Hearings($rig);
        $all = [];
        foreach ((new FewerHands($plan, new ControlReach($plan), 'on-air'))->hands as $one) {
            $all[$one['control']->id] = array_map(fn ($sound) => $sound->id, $one['gets']);
        }

        return $all;
    };
    // By hand: three faders move something for the viewers; music and the navigator keep theirs, the rally's is the third.
    $given = $hands($rig);
    expect(array_keys($given))->toBe(['box-1', 'box-2', 'box-3'])->and($given['box-1'][0])->toBe('music')->and($given['box-2'][0])->toBe('navigator')
        ->and($given['box-3'][0])->toBe('rally');
    // Touched often, the presenter gets the only hand that nothing as important has; what is never touched gets none.
    foreach (['music' => Touched::Often, 'navigator' => Touched::Often, 'voice' => Touched::Often, 'rally' => Touched::Never] as $source => $touched) {
        $rig = (new SetTouched($source, $touched))->applyTo($rig);
    }
    $given = $hands($rig);
    expect($given['box-1'][0])->toBe('music')->and($given['box-2'][0])->toBe('navigator')->and($given['box-3'][0])->toBe('voice')
        ->and(array_merge(...array_values($given)))->not->toContain('rally');
    $plan = new Hearings($rig);
    $fewer = new FewerHands($plan, new ControlReach($plan), 'on-air');
    expect($fewer->isShort())->toBeTrue()->and(array_merge(...array_values($given)))->toHaveCount(count($fewer->sounds));
    // Without controls of the rig or of any model, that is.
    $bare = new Rig($rig->parts()->with(controls: [], models: array_map(fn ($model) => $model->with(controls: []), $rig->models)));
    expect((new FewerHands(new Hearings($bare), new ControlReach(new Hearings($bare)), 'on-air'))->hands)->toBe([]);
});
