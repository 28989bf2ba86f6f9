<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\Named;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\Rename;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Consistency;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Room\PossibleFaults;
use HiddenWire\Core\Signal\ChannelGraph;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\SignalGraph;

/*
 * A rig that is made from another is looked at, and heard, only where it is otherwise. Here everything that a hand does to the shipped
 * rigs, two steps each, is held against a rig that is read, built and heard from nothing.
 */

/** @return array<string, mixed> what a graph is, without how it came about */
function ofGraph(SignalGraph $graph): array
{
    $entries = [];
    foreach ($graph->rig->units as $unit) {
        foreach ($graph->rig->modelOf($unit)->points as $id => $_) {
            $entries["{$unit->id}/{$id}"] = [$graph->entry("{$unit->id}/{$id}"), $graph->exit("{$unit->id}/{$id}")];
        }
    }
    $devices = [];
    foreach ($graph->devices->all() as $list) {
        foreach ($list as $device) {
            $devices["{$device->computer} {$device->ref}"] = $graph->deviceNode($device);
        }
    }

    return ['links' => $graph->links, 'leaving' => $graph->leaving, 'width' => $graph->width, 'first' => $graph->first,
        'channels' => $graph->channels, 'entries' => $entries, 'devices' => $devices, 'units' => $graph->ofUnits, 'wiring' => $graph->ofWiring];
}

/** @return array<string, mixed> edges and parts, by what they join; and whether the order is one in which sound can run */
function ofChannels(ChannelGraph $channels): array
{
    $edges = $parts = [];
    $isOrder = true;
    foreach ($channels->leaving as $from => $leaving) {
        foreach ($leaving as $edge) {
            $to = $channels->to[$edge];
            $edges[$from][] = [$to, $channels->link[$edge], $channels->amplitude[$edge], $channels->shift[$edge], $channels->clock[$edge] === 0];
            $isOrder = $isOrder && ($channels->place[$from] < $channels->place[$to]
                || (isset($channels->partOf[$from]) && $channels->partOf[$from] === ($channels->partOf[$to] ?? null)));
        }
    }
    foreach ($channels->parts as $number => $part) {
        $places = array_map(fn (int $channel) => $channels->place[$channel], $part);
        // A part is contiguous in the order.
        $isOrder = $isOrder && max($places) - min($places) === count($part) - 1 && array_keys($channels->partOf, $number, true) !== [];
        $parts[implode(' ', $part)] = true;
    }
    ksort($parts);
    $entering = array_map(function (array $coming) use ($channels): array {
        $from = array_map(fn (int $edge) => [$channels->link[$edge], $channels->from[$edge]], $coming);
        sort($from);

        return $from;
    }, $channels->entering);

    return ['edges' => $edges, 'entering' => $entering, 'parts' => $parts, 'isOrder' => $isOrder];
}

/** @return array<string, mixed> */
function ofHearing(Hearing $hearing): array
{
    $cells = [];
    foreach ($hearing->all() as $pair) {
        $cells["{$pair->source->id} {$pair->listener->id}"] = [$pair->verdict, $pair->wish, $pair->level()?->value(), $pair->delay()?->value(),
            $pair->channels(), $pair->loss, $pair->doubling, $pair->sum->isReached, $pair->overload?->overDb,
            array_map(
                fn ($arrival) => [$arrival->gain->value(), array_map(fn (Hop $hop) => "{$hop->kind->value} {$hop->ref}", $arrival->hops)],
                $pair->arrivals(),
            )];
    }

    return $cells;
}

/** @return iterable<string, RigEdit> faults of every kind, and what else touches other things than they do */
function everyEdit(Rig $rig): iterable
{
    yield from PossibleFaults::of($rig);
    foreach ($rig->units as $unit) {
        yield "{$unit->id} gone" => new RemoveUnit($unit->id);
        yield "{$unit->id} called otherwise" => new Rename(Named::Unit, $unit->id, 'Something else');
        foreach (array_slice($rig->situations, 1) as $situation) {
            yield "{$unit->id} absent in {$situation->id}" => new SetAbsent($situation->id, $unit->id, true);
            foreach ($rig->modelOf($unit)->points as $point) {
                if ($point->mute !== null) {
                    yield "{$unit->id}/{$point->id} muted in {$situation->id}" => new SetPoint(new PointRef($unit->id, $point->id), new PointSettings(mute: true), $situation->id);
                }
            }
            foreach ($rig->modelOf($unit)->routes as $key => $route) {
                $isOn = (new State($rig, $situation))->route($unit->id, $route)->on;
                yield "{$unit->id} {$key} turned in {$situation->id}" => new SetRoute(new RouteRef($unit->id, (string) $key), new RouteSettings(on: ! $isOn), $situation->id);
            }
        }
    }
    foreach ($rig->cables as $cable) {
        yield "{$cable->id} out" => new Unplug($cable->id);
        yield "{$cable->id} out in ".array_key_last($rig->situations) => new SetPulled((string) array_key_last($rig->situations), $cable->id, true);
    }
}

function applied(RigEdit $edit, Rig $rig): ?Rig
{
    try {
        return $edit->applyTo($rig);
    } catch (InvalidRig) {
        return null;
    }
}

it('hears a changed rig as if nothing had been known of it', function (string $file) {
    $rig = (new DocumentReader)->read(shipped($file));
    mt_srand(crc32($file));
    $edits = iterator_to_array(everyEdit($rig));
    $names = array_keys($edits);
    shuffle($names);
    $tried = 0;
    $before = [];
    foreach ($rig->situations as $id => $situation) {
        $before[$id] = new Hearing((new GraphBuilder($rig))->build($situation));
        iterator_to_array($before[$id]->all());
    }
    foreach (array_slice($names, 0, 12) as $name) {
        $once = applied($edits[$name], $rig);
        $more = $once === null ? [] : iterator_to_array(everyEdit($once));
        $second = $more === [] ? '' : array_rand($more);
        $twice = $once === null || $more === [] ? null : applied($more[$second], $once);
        $known = $before;
        foreach (array_filter([$once, $twice]) as $step => $after) {
            // Nothing is let in that a look at all of it would refuse.
            expect((new Consistency($after->parts()->with(from: null, papers: $after->papers)))->problems())->toBe([], "{$name}, {$second}, {$step}");
            $now = [];
            foreach ($after->situations as $id => $situation) {
                $where = "{$name}, {$second}, step {$step}, {$id}";
                $built = (new GraphBuilder($after))->build($situation);
                $taken = (new GraphBuilder($after))->build($situation, $known[$id]->graph());
                expect(ofGraph($taken))->toEqual(ofGraph($built), $where)
                    ->and($channels = ofChannels($taken->byChannel()))->toEqual(ofChannels($built->byChannel()), $where)
                    ->and($channels['isOrder'])->toBeTrue($where);
                $now[$id] = new Hearing($taken, before: $known[$id]);
                expect(ofHearing($now[$id]))->toEqual(ofHearing(new Hearing($built)), $where);
                // What is not reported as differing is as it was.
                $differing = [];
                foreach ($now[$id]->differing($known[$id]) as [$was, $is]) {
                    $differing["{$is->source->id} {$is->listener->id}"] = true;
                }
                $same = fn (Hearing $hearing): array => array_diff_key(ofHearing($hearing), $differing);
                $isComparable = array_keys($known[$id]->rig->listeners) === array_keys($after->listeners);
                expect($isComparable ? $same($now[$id]) : [])->toEqual($isComparable ? $same($known[$id]) : [], $where);
                foreach (array_slice($after->sources, 0, 1) as $source) {
                    $one = new Hearing((new GraphBuilder($after))->build($situation, $known[$id]->graph()), [$source->id], $known[$id]);
                    foreach ($after->listeners as $listener) {
                        expect($one->pair($source->id, $listener->id)->level())
                            ->toEqual($now[$id]->pair($source->id, $listener->id)->level(), $where);
                    }
                }
                $tried++;
            }
            $known = $now;
        }
    }
    expect($tried)->toBeGreaterThan(30);
})->with(fn () => array_map(
    fn (mixed $file) => basename(dirname((string) $file)).'/'.basename((string) $file),
    [...(array) glob(dirname(__DIR__, 2).'/resources/starters/*.json'), ...(array) glob(dirname(__DIR__, 2).'/resources/rigs/*.json')],
));

it('judges a change as the whole document would be', function (RigEdit $edit, ?string $pointer) {
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));
    $changed = $edit->applyTo($rig);
    $told = function (callable $judge): ?array {
        try {
            $judge();
        } catch (InvalidRig $e) {
            return array_map(fn ($problem) => "{$problem->pointer}: {$problem->message}", $e->problems);
        }

        return null;
    };
    $whole = $told(fn () => (new DocumentReader)->judge((new DocumentWriter)->write($changed)));
    expect($told(fn () => (new DocumentReader)->judgeChange($changed, $rig)))->toBe($whole)
        ->and($whole === null ? null : strstr($whole[0], ':', true))->toBe($pointer);
})->with([
    'a fader' => [new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(-7))), null],
    'a name that is too long' => [new Rename(Named::Unit, 'mixer', str_repeat('x', 500)), '/units/3/name'],
    'no name' => [new Rename(Named::Listener, 'viewers', ''), '/listeners/2/name'],
    'a situation without a name' => [new Rename(Named::Situation, 'talk', ''), '/situations/2/name'],
    'more than a list holds' => [new class implements RigEdit
    {
        public function applyTo(Rig $rig): Rig
        {
            return new Rig($rig->parts()->with(balances: array_map(
                fn (int $i) => new Balance("l-{$i}", 'viewers', 1.0),
                range(1, Bounds::BALANCES + 1),
            ), listeners: [...array_values($rig->listeners), ...array_map(
                fn (int $i) => new Listener("l-{$i}", "Listener {$i}", ListenerKind::Headphones),
                range(1, Bounds::BALANCES + 1),
            )]));
        }

        public function words(Rig $rig): string
        {
            return 'many';
        }
    }, '/balances'],
]);

it('looks for what is altered in every list that a rig has', function () {
    $lists = array_filter(
        (new ReflectionClass(RigParts::class))->getConstructor()?->getParameters() ?? [],
        fn (ReflectionParameter $one) => (string) $one->getType() === 'array',
    );
    expect(Altered::LISTS)->toEqualCanonicalizing(array_values(array_map(fn (ReflectionParameter $one) => $one->getName(), $lists)));
});
