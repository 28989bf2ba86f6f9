<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\OwnSlot;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use Tests\Support\Draft;

function ownSlot(string|Rig $rig, string $source): array
{
    $rig = is_string($rig) ? (new DocumentReader)->read(shipped("starters/{$rig}.json")) : $rig;
    $own = new OwnSlot(new Hearings($rig), $source, 'viewers');

    return [$rig, $own, array_map(fn (RigEdit $edit) => $edit->words($rig), $own->edits)];
}

it('moves a sound out of a shared mix in the safe order: muted, at its level, in, left out of the mix, unmuted', function () {
    // The music is at -6 dB in what goes out, so its own slot has to be 6 dB down.
    $rig = (new SetRoute(new RouteRef('soft', 'played-1>feed-1'), new RouteSettings(db: Decibels::of(-6))))
        ->applyTo((new DocumentReader)->read(shipped('starters/puppet-theatre.json')));
    [$rig, $own, $words] = ownSlot($rig, 'music');
    expect((string) $own->shared)->toBe('cast/source-1')->and((string) $own->slot)->toBe('cast/source-2')->and($words)->toBe([
        'Broadcast program: Source 2 muted', 'Broadcast program: Source 2 fader −6.0 dB', 'Broadcast program: Source 2 uses loopback of Music in',
        'Software mixer: Music (Played in 1) → Audience (Feed 1) off', 'Broadcast program: Source 2 unmuted',
    ]);
});

it('changes nothing for anybody, in any situation, and leaves the sound alone there', function (string $starter, string $source) {
    [$rig, $own] = ownSlot($starter, $source);
    $after = array_reduce($own->edits, fn (Rig $now, RigEdit $edit) => $edit->applyTo($now), $rig);
    [$before, $then] = [iterator_to_array((new Hearings($rig))->cells()), iterator_to_array((new Hearings($after))->cells())];
    expect($own->edits)->not->toBe([])->and(array_keys($then))->toBe(array_keys($before));
    foreach ($then as $cell => $pair) {
        expect([$cell, round($pair->level()?->value() ?? -999, 1)])->toBe([$cell, round($before[$cell]->level()?->value() ?? -999, 1)]);
    }
    // Nothing to do a second time.
    expect(ownSlot($after, $source)[1]->edits)->toBe([]);
})->with([['puppet-theatre', 'thunder'], ['puppet-theatre', 'music'], ['harbour-radio', 'music'], ['repair-evening', 'caller']]);

it('says so where a sound shares no slot, and where no slot is free', function () {
    [$rig] = ownSlot('puppet-theatre', 'thunder');
    $alone = array_reduce(ownSlot($rig, 'thunder')[1]->edits, fn (Rig $now, RigEdit $edit) => $edit->applyTo($now), $rig);
    expect((new OwnSlot(new Hearings($alone), 'thunder', 'viewers'))->shared)->toBeNull();
    $full = $rig;
    foreach ($rig->modelOf('cast')->points as $point) {
        $at = new PointRef('cast', $point->id);
        if ($point->kind === PointKind::In && ! isset($full->picks[(string) $at])) {
            $full = (new SetPick($at, new Pick($at, $rig->picks['cast/source-1']->device)))->applyTo($full);
        }
    }
    $own = new OwnSlot(new Hearings($full), 'thunder', 'viewers');
    expect((string) $own->shared)->not->toBe('')->and($own->slot)->toBeNull()->and($own->edits)->toBe([]);
});

it('is in a shared slot where a second sound is', function (array $sources, ?string $shared) {
    $draft = Draft::from(dirname(__DIR__, 2).'/resources/starters/puppet-theatre.json')->with(fn (array $d) => [
        'sources' => array_values(array_filter($d['sources'], fn (array $one) => in_array($one['id'], $sources, true))),
        'wishes' => array_values(array_filter($d['wishes'], fn (array $one) => in_array($one['source'], $sources, true))),
    ] + $d);
    $at = (new OwnSlot(new Hearings($draft->make()), 'music', 'viewers'))->shared;
    expect($at === null ? null : (string) $at)->toBe($shared);
})->with([[['music'], null], [['music', 'thunder'], 'cast/source-1'], [['music', 'thunder', 'puppets'], 'cast/source-1']]);
