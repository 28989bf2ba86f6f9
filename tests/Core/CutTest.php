<?php

declare(strict_types=1);

use HiddenWire\Core\Signal\CutFinder;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;

/** @return list<string> */
function cutOf(Draft $draft, string $source, string $listener, ?string $situation = null): array
{
    $hearing = $draft->hear($situation);

    return array_map(fn ($change) => $change->text, (new CutFinder($hearing))->of($hearing->pair($source, $listener))->changes);
}

it('stops the demo\'s leak at the one switch that nothing else needs', function () {
    expect(cutOf(Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json'), 'music', 'archive'))->toBe(['Switch off Source 2 → Track 2 in Broadcast program']);
});

it('leaves one arrival of a doubled sound, by a switch that no wanted sound needs', function () {
    $draft = Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json');
    $cut = cutOf($draft, 'rally', 'viewers');
    expect($cut)->toHaveCount(1);
    // Muting the capture card's source or switching its route off both do; making the change mends the pair and breaks none.
    expect($cut[0])->toBe('Switch off Source 5 → Track 1 in Broadcast program');
    $before = $draft->hear()->counts();
    $after = $draft->set('broadcast', 'routes', 'source-5>track-1', ['on' => false])->hear();
    expect($after->pair('rally', 'viewers')->verdict)->toBe(Verdict::Ok)->and($after->counts()['missing'])->toBe($before['missing']);
});

it('never stops what is wanted: a caller\'s own return is cut in the call\'s mix, not at the caller', function () {
    $draft = Draft::from(dirname(__DIR__, 2).'/resources/starters/two-connections.json')->set('desk', 'routes', 'call-1>to-call-1', ['on' => true]);
    expect(cutOf($draft, 'caller', 'caller-ear'))->toBe(['Switch off Computer 1 call → To computer 1 call in Desk']);
});

it('says from where on two sounds are one, where no cut is left', function () {
    // Game and team leave the gaming computer as one pair: the viewers can't have the one without the other.
    $draft = Draft::from(dirname(__DIR__, 2).'/resources/starters/two-computers-analog.json')->with(function (array $d) {
        $d['wishes'] = array_map(fn ($wish) => $wish['source'] === 'crew' && $wish['listener'] === 'viewers' ? ['want' => 'must-not'] + $wish : $wish, $d['wishes']);

        return $d;
    });
    // The chat has a pick of its own, which the team in my ears needs: no cut.
    $hearing = $draft->hear();
    $cut = (new CutFinder($hearing))->of($hearing->pair('crew', 'viewers'));
    expect($cut->changes)->toBe([])->and($cut->mergedAt?->label)->toBe('Speakers (Onboard Audio)');
});

it('cuts two ways with two changes where it takes two', function () {
    $model = ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'a', 'kind' => 'bus', 'channels' => 1, 'mute' => false], ['id' => 'b', 'kind' => 'bus', 'channels' => 1, 'mute' => false], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'tone', 'to' => 'a'], ['from' => 'tone', 'to' => 'b'], ['from' => 'a', 'to' => 'ear'], ['from' => 'b', 'to' => 'ear']]];
    expect(cutOf(Draft::rig()->unit('u', $model)->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must-not'), 's', 'l'))->toBe(['Mute a of U', 'Mute b of U']);
});
