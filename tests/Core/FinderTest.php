<?php

declare(strict_types=1);

use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Finder\FaultFinder;
use HiddenWire\Core\Finder\FollowSignal;
use HiddenWire\Core\Finder\Interventions;
use HiddenWire\Core\Finder\SuspectTable;
use HiddenWire\Core\Finder\Suspicion;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Room\Deflection;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\LeadWork;
use HiddenWire\Core\Room\Presence;
use HiddenWire\Core\Room\Signs;
use HiddenWire\Core\Room\SimulatedRoom;
use Tests\Bench\Finding;

function finder_plan(string $starter): Hearings
{
    return new Hearings((new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/resources/starters/{$starter}.json")));
}

function hidden_fault(Hearings $plan, string $words): Fault
{
    foreach (Fault::all($plan->rig) as $fault) {
        if ($fault->words === $words) {
            return $fault;
        }
    }
    throw new LogicException("No fault \"{$words}\"");
}

/** @return list<list<string>> what is suspected, in words */
function suspected(SuspectTable $table, FaultFinder $finder): array
{
    return array_map(
        fn (Suspicion $one) => array_map(fn (int $fault) => $table->faults[$fault]->words, $one->faults),
        $finder->suspicions,
    );
}

/** @return array<string, string> what ears and meters show, read off cold hearings of both */
function signs_the_long_way(Hearings $plan, Hearings $room, string $situation): array
{
    [$was, $is] = [new Signs($plan->in($situation)), new Signs($room->in($situation))];
    $differing = [];
    foreach ($was->heard + $is->heard as $check => $one) {
        $answer = $is->heard[$check] ?? Impression::Nothing;
        if ($answer !== ($was->heard[$check] ?? Impression::Nothing)) {
            $differing[$check] = $answer->value;
        }
    }
    foreach ($was->read + $is->read as $check => $one) {
        $db = $is->read[$check] ?? null;
        $planned = $was->read[$check] ?? null;
        $answer = match (true) {
            $db === $planned => null,
            $db === null => 'nothing',
            $planned === null, $db >= $planned + 6 => 'higher',
            $db <= $planned - 6 => 'lower',
            default => null,
        };
        if ($answer !== null) {
            $differing[$check] = $answer;
        }
    }
    ksort($differing);

    return $differing;
}

dataset('rooms', fn () => array_map(
    fn ($file) => basename((string) $file, '.json'),
    (array) glob(dirname(__DIR__, 2).'/resources/starters/*.json'),
));

it('hears of a fault in what it takes over what it hears anew', function (string $starter) {
    $plan = finder_plan($starter);
    $situation = (string) array_key_last($plan->rig->situations);
    $signs = new Signs($plan->in($situation));
    $compared = 0;
    foreach (Fault::all($plan->rig) as $number => $fault) {
        if ($number % 9 !== crc32($starter) % 9) {
            continue;
        }
        try {
            $rig = $fault->edit->applyTo($plan->rig);
        } catch (InvalidRig) {
            continue;
        }
        $quick = $signs->against((new Hearings($rig, [], $plan))->in($situation));
        ksort($quick);
        expect($quick)->toBe(signs_the_long_way($plan, new Hearings($rig), $situation), $fault->words);
        $compared++;
    }
    expect($compared)->toBeGreaterThan(2);
})->with('rooms');

it('finds every fault that is hidden, at little more than the bound', function (string $starter) {
    $plan = finder_plan($starter);
    $result = (new Finding($plan, (string) array_key_first($plan->rig->situations)))->single(5);
    expect($result['rest'])->toBe([])
        ->and($result['found'])->toBe($result['faults'])
        ->and($result['bits'])->toBeLessThanOrEqual(1.3 * $result['bound'] + $result['faults']);
})->with('rooms');

it('says what listeners complain of, and finds the only lead that explains it with one look', function () {
    // The headset's one lead carries both ways, and the recorder takes what its earphones play: all that must be heard is lost.
    $plan = finder_plan('crab-race');
    $situation = (string) array_key_first($plan->rig->situations);
    $room = new SimulatedRoom($plan, $situation, [hidden_fault($plan, 'Unplugged W-01')]);
    $next = (new FaultFinder(SuspectTable::of($plan, $situation), $room->complaints()))->next();
    expect($room->complaints())->toBe([
        'hear player voice-track' => 'nothing', 'hear player rival-ear' => 'nothing', 'hear crabs ears' => 'nothing',
        'hear crabs race-track' => 'nothing', 'hear rival ears' => 'nothing', 'hear rival race-track' => 'nothing',
    ])->and($next?->key)->toBe('look leads set')->and($next?->answers)->toBe(['Unplugged W-01' => 1, '' => 0])
        ->and($room->answer('look leads set'))->toBe('Unplugged W-01')->and($room->answer('look settings set'))->toBe('')
        ->and($room->answer('look leads call'))->toBe('');
});

it('takes a device that is missing from a computer\'s list for what takes it away, and asks for it where that parts most', function () {
    $plan = finder_plan('crab-race');
    $situation = (string) array_key_first($plan->rig->situations);
    $table = SuspectTable::of($plan, $situation);
    $there = (new Signs($plan->in($situation)))->unlisted($plan->in($situation));
    $lists = array_values(array_filter(array_keys($table->planned), fn (string $check) => str_starts_with($check, 'list ')));
    expect($there)->toBe([])->and($lists)->not->toBe([]);
    foreach ($lists as $check) {
        expect($table->plannedAt($check))->toBe(Presence::There->value);
        [, $computer, $device] = explode(' ', $check);
        $suspicions = (new FaultFinder($table, [$check => Presence::Gone->value]))->suspicions;
        foreach ($suspicions as $suspicion) {
            // By the edit itself: the device is not among those that the computer lists.
            $rig = $table->faults[$suspicion->faults[0]]->edit->applyTo($plan->rig);
            $listed = (new DeviceLists($rig, new Wiring($rig)))->of($computer)[$device] ?? null;
            expect($listed?->isUsable() ?? false)->toBeFalse();
        }
        $room = new SimulatedRoom($plan, $situation, [$table->faults[$suspicions[0]->faults[0]]]);
        expect($room->answer($check))->toBe(Presence::Gone->value);
    }
});

it('follows a missing sound by halving its way: the meters before the fault show it, those behind do not', function (string $starter) {
    $plan = finder_plan($starter);
    $situation = (string) array_key_first($plan->rig->situations);
    $tried = 0;
    foreach (Fault::all($plan->rig) as $fault) {
        try {
            $room = new SimulatedRoom($plan, $situation, [$fault]);
        } catch (InvalidRig) {
            continue;
        }
        foreach ($room->complaints() as $check => $answer) {
            [, $source, $listener] = explode(' ', $check);
            $follow = new FollowSignal($plan->in($situation), $plan->in($situation)->pair($source, $listener));
            if ($answer !== Impression::Nothing->value || count($follow->checks) < 2) {
                continue;
            }
            $known = [];
            for ($asked = 0; ($next = $follow->next($known)) !== null; $asked++) {
                $known[$next] = $room->answer($next);
            }
            expect($asked)->toBeLessThanOrEqual((int) ceil(log(count($follow->checks) + 1, 2)));
            [$good, $bad] = $follow->between($known);
            $shows = fn (int $at): bool => in_array($room->answer($follow->checks[$at]), ['as-planned', 'higher'], true);
            expect($good < 0 || $shows($good))->toBeTrue()->and($bad >= count($follow->checks) || ! $shows($bad))->toBeTrue()
                ->and($bad - $good)->toBe(1);
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(0);
})->with(['bell-tower', 'harbour-radio', 'planetarium']);

it('expects of a lead that is taken out or changed what then is heard, and finds as many with it', function (string $starter, bool $asks) {
    $plan = finder_plan($starter);
    $situation = (string) array_key_first($plan->rig->situations);
    $table = SuspectTable::of($plan, $situation);
    $doing = new Interventions($plan, $situation, $table);
    $kinds = [];
    foreach ($table->faults as $number => $fault) {
        $room = new SimulatedRoom($plan, $situation, [$fault]);
        $known = $room->complaints();
        if ($number % 3 !== 0 || $known === []) {
            continue;
        }
        for ($asked = 0; $asked < 14; $asked++) {
            $finder = new FaultFinder($table, $known, [], $doing);
            $next = $finder->next();
            if ($next === null) {
                break;
            }
            $kinds[strtok($next->key, ' ')] = true;
            if (LeadWork::isOne($next->key)) {
                // By hand of the edits alone: the room with the lead out, or the plan again where the fault was that lead's.
                [$kind, $cable, $source, $listener] = explode(' ', $next->key);
                $isOfLead = in_array("cable:{$cable}", $fault->about(), true);
                $real = $kind === 'swap' && $isOfLead ? $plan->rig : $fault->edit->applyTo($plan->rig);
                $real = $kind === 'unplug' && isset($real->cables[$cable]) ? (new Unplug($cable))->applyTo($real) : $real;
                $heard = (new Hearings($real))->in($situation)->pair($source, $listener);
                expect($room->answer($next->key))->toBe(Impression::of($heard)->value)
                    ->and($next->answers)->toHaveKey($room->answer($next->key));
            }
            $known[$next->key] = $room->answer($next->key);
        }
        $found = (new FaultFinder($table, $known, [], $doing))->suspicions;
        expect($found)->toHaveCount(1)->and($table->faults[$found[0]->faults[0]]->words)->toBe($fault->words);
    }
    // Elsewhere, looking at all of a unit says as much.
    expect(! $asks || array_intersect_key($kinds, ['unplug' => true, 'swap' => true]) !== [])->toBeTrue();
})->with([['bell-tower', false], ['planetarium', false], ['tram-cab', true]]);

it('asks the meter in the middle of the way first, and goes on in the half that is left', function () {
    $plan = finder_plan('harbour-radio');
    $situation = (string) array_key_first($plan->rig->situations);
    $hearing = $plan->in($situation);
    foreach ($hearing->all() as $pair) {
        $follow = new FollowSignal($hearing, $pair);
        $count = count($follow->checks);
        if ($count >= 3) {
            $middle = $follow->checks[intdiv($count, 2)];
            expect($follow->next([]))->toBe($middle)->and($follow->between([]))->toBe([-1, $count])
                ->and(array_search($follow->next([$middle => 'nothing']), $follow->checks, true))->toBeLessThan(intdiv($count, 2))
                // What nobody is sure of is not asked again.
                ->and($follow->next([$middle => FaultFinder::UNSURE]))->not->toBe($middle);

            return;
        }
    }
    expect(false)->toBeTrue('No way has three meters');
});

it('tells what a meter does beside the plan', function (?int $db, ?int $planned, string $deflection) {
    expect(Deflection::of($db, $planned)->value)->toBe($deflection);
})->with([
    [null, null, 'as-planned'], [0, 0, 'as-planned'], [-5, 0, 'as-planned'], [-6, 0, 'lower'], [6, 0, 'higher'], [null, -20, 'nothing'],
    [-40, null, 'higher'],
]);

it('takes an answer that no single fault gives for two, and asks nothing twice', function () {
    $plan = finder_plan('crab-race');
    $situation = (string) array_key_first($plan->rig->situations);
    $faults = [
        hidden_fault($plan, 'Call program: Microphone uses no device'), hidden_fault($plan, 'Crab race · Game sound in the system muted'),
    ];
    $room = new SimulatedRoom($plan, $situation, $faults);
    $table = SuspectTable::of($plan, $situation);
    $known = $room->complaints();
    $asked = [];
    while (($next = ($finder = new FaultFinder($table, $known))->next()) !== null) {
        expect($known)->not->toHaveKey($next->key);
        $known[$next->key] = $room->answer($next->key);
        $asked[] = $next->key;
    }
    $found = suspected($table, $finder)[0];
    sort($found);
    expect($found)->toBe(array_map(fn (Fault $fault) => $fault->words, $faults))
        ->and(count($asked))->toBeLessThan(8);
});

it('passes over what nobody is sure of, and offers something else', function () {
    $plan = finder_plan('crab-race');
    $situation = (string) array_key_first($plan->rig->situations);
    $room = new SimulatedRoom($plan, $situation, [hidden_fault($plan, 'Headset: Microphone muted')]);
    $table = SuspectTable::of($plan, $situation);
    $first = (new FaultFinder($table, $room->complaints()))->next();
    $unsure = new FaultFinder($table, $room->complaints() + [(string) $first?->key => FaultFinder::UNSURE]);
    expect($first)->not->toBeNull()
        ->and(suspected($table, $unsure))->toBe(suspected($table, new FaultFinder($table, $room->complaints())))
        ->and($unsure->next()?->key)->not->toBe($first?->key);
});

it('suspects nothing of what nothing explains', function () {
    $plan = finder_plan('crab-race');
    $situation = (string) array_key_first($plan->rig->situations);
    $table = SuspectTable::of($plan, $situation);
    $source = (string) array_key_first($plan->rig->sources);
    $listener = (string) array_key_first($plan->rig->listeners);
    $finder = new FaultFinder($table, ["hear {$source} {$listener}" => 'howl', "hear {$source} nobody" => 'howl']);
    expect($finder->suspicions)->toBe([])->and($finder->next())->toBeNull()->and($finder->classes())->toBe(0);
});

it('stops hearing suspects when it is told to, and says how far it came', function () {
    $plan = finder_plan('crab-race');
    $table = SuspectTable::of($plan, (string) array_key_first($plan->rig->situations), fn (int $heard, int $all) => $heard < 10);
    expect($table->heard)->toBe(10)->and($table->all)->toBe(count(Fault::all($plan->rig)))
        ->and(count($table->faults))->toBeLessThanOrEqual(10);
});

it('takes what was touched since all was well for eight times as likely', function () {
    $plan = finder_plan('crab-race');
    $situation = (string) array_key_first($plan->rig->situations);
    $table = SuspectTable::of($plan, $situation);
    $known = ['hear player rival-ear' => 'nothing'];
    $before = new FaultFinder($table, $known);
    $after = new FaultFinder($table, $known, ['cable:w-02' => true]);
    $weight = function (FaultFinder $finder) use ($table): float {
        foreach ($finder->suspicions as $one) {
            if ($table->faults[$one->faults[0]]->words === 'Unplugged W-02') {
                return $one->weight;
            }
        }

        return 0.0;
    };
    expect($weight($before))->toBeGreaterThan(0.0)->and($weight($after))->toBe(8 * $weight($before))
        ->and(suspected($table, $after)[0])->toBe(['Unplugged W-02'])
        ->and(count($after->suspicions))->toBe(count($before->suspicions));
});
