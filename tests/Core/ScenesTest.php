<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\ChooseScene;
use HiddenWire\Core\Edit\RemovePicture;
use HiddenWire\Core\Edit\RemoveScene;
use HiddenWire\Core\Edit\SetPicture;
use HiddenWire\Core\Edit\SetScene;
use HiddenWire\Core\Edit\SoundAlways;
use HiddenWire\Core\Edit\Swap;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SituationDifference;
use Tests\Support\Draft;

/** The starter without its pictures: every sound is in scenes by itself. */
function sceneDraft(): Draft
{
    return pictureDraft()->with(function (array $d) {
        foreach ($d['units'] as &$unit) {
            if ($unit['id'] === 'cast') {
                unset($unit['pictures'], $unit['scenes'][0]['pictures'], $unit['scenes'][1]['pictures']);
                $unit['scenes'][0]['sources'][] = 'source-2';
            }
        }

        return $d;
    });
}

function pictureDraft(): Draft
{
    return Draft::from(dirname(__DIR__, 2).'/resources/starters/quiz-night.json');
}

/** @return array<string, list<string>> */
function sceneCauses(Rig $rig): array
{
    $causes = [];
    foreach ((new Diagnosis(new Hearings($rig)))->causes() as $cause) {
        $causes[$cause->sentence] = array_map(fn ($cure) => $cure->sentence, $cause->cures);
    }

    return $causes;
}

/** @return list<string> sounds that the viewers hear */
function onAir(Rig $rig, string $situation): array
{
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situations[$situation]));

    return array_values(array_filter(array_map(fn ($id) => (string) $id, array_keys($rig->sources)), fn (string $id) => $hearing->pair($id, 'viewers')->isHeard()));
}

it('sounds what is in the scene, and what is in all', function () {
    $rig = sceneDraft()->make();
    expect(onAir($rig, 'playing'))->toBe(['voice', 'wheel'])->and(onAir($rig, 'talk'))->toBe(['voice', 'band'])->and(onAir($rig, 'break'))->toBe(['band']);
    $always = (new SoundAlways(new PointRef('cast', 'source-1'), true))->applyTo($rig);
    expect(onAir($always, 'break'))->toBe(['voice', 'band']);
    // Another scene first: what nobody has chosen shows it.
    $first = new Rig($rig->parts()->changing('units', 'cast', fn ($unit) => $unit->with(scenes: array_reverse($unit->scenes))));
    expect(onAir($first, 'playing'))->toBe(['band'])->and(onAir($first, 'talk'))->toBe(['voice', 'band']);
    // Without scenes everything sounds.
    $none = $rig;
    foreach (['round', 'talk', 'break'] as $scene) {
        $none = (new RemoveScene('cast', $scene))->applyTo($none);
    }
    expect(onAir($none, 'break'))->toBe(['voice', 'wheel', 'band'])->and($none->situations['talk']->scenes)->toBe([]);
});

it('doubles a device that is open in a scene and in all', function () {
    $rig = sceneDraft()->pick('cast/source-2', ['device' => 'mic/usb/rec'])->set('cast', 'points', 'source-1', ['delay_ms' => 0])->with(function (array $d) {
        $d['units'][3]['always'] = ['source-2'];

        return $d;
    })->make();
    $pair = (new Hearing((new GraphBuilder($rig))->build($rig->situations['talk'])))->pair('voice', 'viewers');
    // Two copies at one time: 6 dB more.
    expect($pair->verdict->value)->toBe('doubled')->and(round((float) $pair->level()?->value(), 2))->toBe(6.02);
});

it('cures a scene that lacks a sound or has one too many', function (string $break, string $cause, array $cures) {
    $rig = match ($break) {
        'lacks' => (new SetScene('cast', new Scene('round', 'Round', ['source-1'])))->applyTo(sceneDraft()->make()),
        'too many' => (new SetScene('cast', new Scene('break', 'Interval', ['source-1', 'source-3'])))->applyTo(sceneDraft()->make()),
        'another' => (new ChooseScene('break', 'cast', 'talk'))->applyTo(sceneDraft()->make()),
        default => (new SoundAlways(new PointRef('cast', 'source-1'), true))->applyTo(sceneDraft()->make()),
    };
    $causes = sceneCauses($rig);
    expect(array_key_first($causes))->toBe($cause)->and(array_slice($causes[$cause], 0, count($cures)))->toBe($cures);
    expect(sceneCauses((new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig)))->toBe([]);
})->with([
    ['lacks', 'Wheel (Source 2) is not in the scene Round of Broadcast program', ['Put Wheel (Source 2) into the scene Round']],
    ['too many', 'Quizmaster (Source 1) is in the scene Interval of Broadcast program', ['Take Quizmaster (Source 1) out of the scene Interval']],
    ['another', 'Broadcast program shows the scene Talk in Interval', ['Show the scene Interval in Interval']],
    ['always', 'Quizmaster (Source 1) of Broadcast program sounds in every scene', ['Let Quizmaster (Source 1) of Broadcast program sound in its scenes only']],
]);

it('says what is changed of scenes, and compares', function () {
    $rig = sceneDraft()->make();
    $set = new SetScene('cast', new Scene('talk', 'Talking', ['source-1', 'source-2']));
    expect($set->words($rig))->toBe('Broadcast program: scene Talking was Talk, with Wheel (Source 2), without Band (Source 3)')
        ->and((new SetScene('cast', new Scene('end', 'The end')))->words($rig))->toBe('Broadcast program: scene The end added')
        ->and((new ChooseScene('break', 'cast', 'talk'))->words($rig))->toBe('Broadcast program: scene Talk in Interval')
        ->and((new ChooseScene('break', 'cast', null))->words($rig))->toBe('Broadcast program: the first scene in Interval');
    expect((new RigDifference($rig, $set->applyTo($rig)))->lines())
        ->toBe(['Places and units' => ['Broadcast program: scene Talking was Talk, with Wheel (Source 2), without Band (Source 3)']])
        ->and((new RigDifference($rig, (new ChooseScene('break', 'cast', null))->applyTo($rig)))->lines())
        ->toBe(['Situations' => ['Interval: no longer Broadcast program: scene Interval']])
        ->and((new RigDifference($rig, (new SoundAlways(new PointRef('cast', 'source-2'), true))->applyTo($rig)))->lines())
        ->toBe(['Places and units' => ['Broadcast program: Wheel (Source 2) sounds in every scene']]);
    $hear = fn (string $in) => new Hearing((new GraphBuilder($rig))->build($rig->situations[$in]));
    expect((new SituationDifference($hear('playing'), $hear('talk')))->changes)->toBe(['Broadcast program: scene Talk'])
        ->and((new SituationDifference($hear('talk'), $hear('playing')))->changes)->toBe(['Broadcast program: scene Round']);
});

it('refuses scenes that can\'t be', function (callable $spoil, string $refusal) {
    try {
        sceneDraft()->with($spoil)->make();
        $told = [];
    } catch (InvalidDocument $e) {
        $told = array_map(fn ($problem) => "{$problem->pointer}: {$problem->message}", $e->problems);
    }
    expect($told)->toBe([$refusal]);
})->with([
    'a point that is in no scene' => [function (array $d) {
        $d['units'][3]['scenes'][0]['sources'] = ['monitor'];

        return $d;
    }, '/units/3/scenes/0/sources/0: "Monitor" is in no scene: it always sounds.'],
    'no such point' => [function (array $d) {
        $d['units'][3]['always'] = ['nowhere'];

        return $d;
    }, '/units/3/always/0: The model "broadcast-program-small" has no point "nowhere".'],
    'one scene twice' => [function (array $d) {
        $d['units'][3]['scenes'][] = ['id' => 'round', 'name' => 'Again'];

        return $d;
    }, '/units/3/scenes/3/id: The id "round" is taken by /units/3/scenes/0.'],
    'no such scene' => [function (array $d) {
        $d['situations'][1]['scenes'][0]['scene'] = 'none';

        return $d;
    }, '/situations/1/scenes/0/scene: The unit "cast" has no scene "none".'],
    'two choices' => [function (array $d) {
        $d['situations'][1]['scenes'][] = ['unit' => 'cast', 'scene' => 'round'];

        return $d;
    }, '/situations/1/scenes/1: /situations/1/scenes/0 chooses its scene already.'],
]);

it('keeps scenes with another program, and through a document', function () {
    $rig = sceneDraft()->make();
    $text = (new DocumentWriter)->write($rig);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
    $model = $rig->models['broadcast-program-small'];
    $less = $model->with(id: 'less', points: array_map(fn ($point) => $point->id === 'source-3' ? $point->with(inScenes: false) : $point, $model->points));
    $swap = new Swap($rig, $rig->units['cast'], $less);
    expect($swap->losses)->toBe(['Band (Source 3) in the scene Talk', 'Band (Source 3) in the scene Interval'])
        ->and($swap->rig->units['cast']->scenes[1]->sources)->toBe(['source-1']);
});

it('lets a sound come and go with its picture: by hand', function () {
    $rig = pictureDraft()->make();
    $scene = fn (Rig $rig, string $id): Scene => $rig->units['cast']->scene($id) ?? throw new LogicException;
    // The screen brings the game: in the talk there is the camera only.
    expect([onAir($rig, 'playing'), onAir($rig, 'talk'), onAir($rig, 'break')])->toBe([['voice', 'wheel'], ['voice', 'band'], ['band']]);
    $shown = (new SetScene('cast', $scene($rig, 'talk')->with(pictures: ['screen'])))->applyTo($rig);
    expect(onAir($shown, 'talk'))->toBe(['voice', 'wheel', 'band']);
    // By itself it stays where it was, and does not come with the picture any more.
    $screen = $rig->units['cast']->picture('screen');
    $untied = (new SetPicture('cast', $screen->with(isTied: false)))->applyTo($rig);
    expect($scene($untied, 'round')->sources)->toBe(['source-1', 'source-2'])->and(onAir($untied, 'playing'))->toBe(['voice', 'wheel'])
        ->and(onAir((new SetScene('cast', $scene($untied, 'talk')->with(pictures: ['screen'])))->applyTo($untied), 'talk'))->toBe(['voice', 'band']);
    // Tied again, and gone with what it brought left in place.
    expect((new SetPicture('cast', $screen))->applyTo($untied))->toEqual($rig);
    $gone = (new RemovePicture('cast', 'screen'))->applyTo($rig);
    expect($scene($gone, 'round')->sources)->toBe(['source-1', 'source-2'])->and($scene($gone, 'round')->pictures)->toBe([])
        ->and(onAir($gone, 'playing'))->toBe(['voice', 'wheel']);
});

it('names a picture that is not shown as the cause, and cures it by itself or with the picture', function () {
    $rig = pictureDraft()->make();
    $lacks = (new SetScene('cast', new Scene('round', 'Round', ['source-1'])))->applyTo($rig);
    $cause = 'Wheel (Source 2) goes with the picture Wheel on the screen, which is not in the scene Round';
    $causes = sceneCauses($lacks);
    expect($causes[$cause][0])->toBe('Put the picture Wheel on the screen into the scene Round');
    // In the break the screen brings a game that must not be heard: the sound goes, the picture stays.
    $brings = (new SetScene('cast', new Scene('break', 'Interval', ['source-3'], ['screen'])))->applyTo($rig);
    expect(sceneCauses($brings)['Wheel (Source 2) goes with the picture Wheel on the screen, which is in the scene Interval'][0])
        ->toBe('Let Wheel (Source 2) stand in scenes by itself, not in Interval');
    foreach ([$lacks, $brings] as $wrong) {
        foreach ((new Diagnosis(new Hearings($wrong)))->causes()[0]->cures as $cure) {
            expect(sceneCauses($cure->applyTo($wrong)))->toBe([]);
        }
    }
});

it('says what is changed of pictures, and refuses what does not fit', function () {
    $rig = pictureDraft()->make();
    $set = new SetPicture('cast', new Picture('hall', 'Hall', Milliseconds::of(40), 'source-3'));
    expect($set->words($rig))->toBe('Broadcast program: picture Hall added, 40.0 ms late, its sound is Band (Source 3)')
        ->and((new RigDifference($rig, $set->applyTo($rig)))->lines())->toBe(['Places and units' => [$set->words($rig)]])
        ->and((new RemovePicture('cast', 'camera'))->words($rig))->toBe('Broadcast program: picture Camera removed')
        ->and((new DocumentReader)->read((new DocumentWriter)->write($set->applyTo($rig))))->toEqual($set->applyTo($rig));
    $wrong = fn (callable $change) => pictureDraft()->with(function (array $d) use ($change) {
        foreach ($d['units'] as &$unit) {
            $unit = $unit['id'] === 'cast' ? $change($unit) : $unit;
        }

        return $d;
    });
    foreach ([
        'put that in' => fn (array $u) => array_replace_recursive($u, ['scenes' => [['sources' => ['source-1', 'source-2']]]]),
        'has no picture "x"' => fn (array $u) => array_replace_recursive($u, ['scenes' => [['pictures' => ['x']]]]),
        'has this sound already' => fn (array $u) => array_replace_recursive($u, ['pictures' => [1 => ['sound' => 'source-2', 'tied' => true]]]),
        'always sounds' => fn (array $u) => array_replace_recursive($u, ['pictures' => [1 => ['sound' => 'stream']]]),
        'is its "sound"' => fn (array $u) => array_replace_recursive($u, ['pictures' => [1 => ['tied' => true]]]),
        'is taken by' => fn (array $u) => array_replace_recursive($u, ['pictures' => [1 => ['id' => 'screen']]]),
    ] as $says => $change) {
        expect(fn () => $wrong($change)->make())->toThrow(InvalidDocument::class, $says);
    }
});
