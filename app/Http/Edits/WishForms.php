<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\Rigs\Causes;
use App\Rigs\FoundCauses;
use App\ViewModels\Places;
use App\ViewModels\WishImport;
use HiddenWire\Core\Edit\AddListener;
use HiddenWire\Core\Edit\AddPlace;
use HiddenWire\Core\Edit\AddSource;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\Grow;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\PlaceListener;
use HiddenWire\Core\Edit\PlaceSound;
use HiddenWire\Core\Edit\RemoveListener;
use HiddenWire\Core\Edit\RemoveSound;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetBalance;
use HiddenWire\Core\Edit\SetDistance;
use HiddenWire\Core\Edit\SetLoudness;
use HiddenWire\Core\Edit\SetTouched;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\SetWishes;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Import\CsvTable;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Mending;
use HiddenWire\Core\Planning\OwnSlot;
use HiddenWire\Core\Planning\Rebalance;
use HiddenWire\Core\Planning\Volumes;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Apart;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Side;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Touched;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

/** Changes of sounds, listeners and what is wished for them. */
final class WishForms
{
    /** @return list<RigEdit> */
    public static function wish(EditFields $in): array
    {
        return [new SetWish(
            $in->oneOrAll('source', $in->rig->sources),
            $in->oneOrAll('listener', $in->rig->listeners),
            self::want($in),
            $in->situation(),
        )];
    }

    /**
     * One wish for any number of cells, `source:listener` each.
     *
     * @return list<RigEdit>
     */
    public static function wishes(EditFields $in): array
    {
        $cells = [];
        foreach ($in->list('cells') as $cell) {
            [$source, $listener] = [...explode(':', $cell, 2), ''];
            isset($in->rig->sources[$source], $in->rig->listeners[$listener])
                || $in->refuse('cells', 'A sound or listener of these cells is not in the rig any more. Reload the page.');
            $cells[$cell] = [$source, $listener];
        }

        return $cells === []
            ? $in->refuse('cells', 'Choose the cells first.')
            : [new SetWishes(array_values($cells), self::want($in), $in->situation())];
    }

    private static function want(EditFields $in): ?Want
    {
        return $in->text('want', 10) === 'none' ? null : $in->choice('want', Want::class, 'Choose must, may, must not, or none.');
    }

    /** @return list<RigEdit> */
    public static function mark(EditFields $in): array
    {
        return [new MarkWish(
            $in->known('source', $in->rig->sources),
            $in->known('listener', $in->rig->listeners),
            $in->choiceOrNone('own_level', Apart::class),
            $in->flag('alone') ?? false,
            $in->choiceOrNone('treatment', Treatment::class),
            $in->choiceOrNone('side', Side::class),
            $in->flag('stereo') ?? false,
            $in->decibels('up_to_db'),
        )];
    }

    /** @return list<RigEdit> sounds, listeners and wishes of a table, as its preview showed them */
    public static function import(EditFields $in): array
    {
        $import = new WishImport($in->rig, $in->text('csv', CsvTable::MAX_BYTES));
        if ($import->plan === null) {
            $in->refuse('csv', $import->trouble === '' ? 'Choose a file, or paste a table, first.' : $import->trouble);
        }
        $edits = $import->plan->all();

        return $edits === [] ? $in->refuse('csv', 'No row changes anything.') : $edits;
    }

    /** @return list<RigEdit> a listener that has to hear the balance of another; without a number the wish is taken back */
    public static function balance(EditFields $in): array
    {
        $listener = $in->known('listener', $in->rig->listeners);
        $like = $in->known('like', $in->rig->listeners);
        $listener !== $like || $in->refuse('like', 'A balance is that of another listener.');
        $within = $in->number('within_db', ...Bounds::WITHIN_DB);

        return [new SetBalance($listener, $like, $within === null ? null : round($within, 1))];
    }

    /** @return list<RigEdit> */
    public static function addSource(EditFields $in): array
    {
        $kind = $in->choiceOrNone('kind', SourceKind::class) ?? SourceKind::Other;
        $only = Places::onlyStart($in->rig, $kind);

        return [new AddSource(
            $in->newName($in->rig->sources),
            $kind,
            $in->pointOrNone('at') ?? ($only === null ? null : $in->pointCalled('at', $only)),
        )];
    }

    /** @return list<RigEdit> */
    public static function addListener(EditFields $in): array
    {
        $kind = $in->choiceOrNone('kind', ListenerKind::class) ?? ListenerKind::Headphones;
        $only = Places::onlyEar($in->rig, $kind);

        return [new AddListener(
            $in->newName($in->rig->listeners),
            $kind,
            $in->pointOrNone('at') ?? ($only === null ? null : $in->pointCalled('at', $only)),
        )];
    }

    /** @return list<RigEdit> */
    public static function placeSound(EditFields $in): array
    {
        return [new PlaceSound(
            $in->known('source', $in->rig->sources),
            $in->point('at'),
            $in->flag('away') === true ? null : $in->decibels('db') ?? Decibels::zero(),
        )];
    }

    /**
     * Several sounds and listeners at once, each with the place that the page suggests.
     *
     * @return list<RigEdit>
     */
    public static function placeAll(EditFields $in): array
    {
        $edits = [];
        foreach ($in->named('starts') as $source => $at) {
            isset($in->rig->sources[$source]) || $in->refuse('starts', 'One of these sounds is not in the rig any more.');
            $edits[] = new PlaceSound((string) $source, $in->pointCalled('starts', $at), Decibels::zero());
        }
        foreach ($in->named('listens') as $listener => $at) {
            isset($in->rig->listeners[$listener]) || $in->refuse('listens', 'One of these listeners is not in the rig any more.');
            $edits[] = new PlaceListener((string) $listener, $in->pointCalled('listens', $at), true);
        }

        return $edits === [] ? $in->refuse('starts', 'Nothing is to be placed.') : $edits;
    }

    /**
     * The service by which somebody elsewhere hears and is heard: one guest more where there is one and all are taken, else a new one; with
     * the listener and the sound of the same name at it.
     *
     * @return list<RigEdit>
     */
    public static function bringService(EditFields $in): array
    {
        $name = $in->has('source')
            ? $in->rig->sources[$in->known('source', $in->rig->sources)]->name
            : $in->rig->listeners[$in->known('listener', $in->rig->listeners)]->name;
        $rig = $in->rig;
        $isNowhere = fn (Listener|Source $one): bool => $one->name === $name && ($one instanceof Source ? $one->origins : $one->at) === [];
        if (array_filter([...array_values($rig->listeners), ...array_values($rig->sources)], $isNowhere) === []) {
            $in->refuse($in->has('source') ? 'source' : 'listener', "{$name} has a place already.");
        }
        $edits = [];
        $do = function (RigEdit $edit) use (&$rig, &$edits): void {
            $rig = $edit->applyTo($rig);
            $edits[] = $edit;
        };
        $services = array_filter($rig->units, fn (Unit $unit) => $rig->modelOf($unit)->family === Family::CallService);
        $service = array_values($services)[0] ?? null;
        if ($service === null) {
            $places = array_filter($rig->places, fn (Place $place) => $place->kind === PlaceKind::Remote);
            $places === [] && $do(new AddPlace('Elsewhere', PlaceKind::Remote));
            $do(new AddUnit(
                $in->modelNamed('call-service'),
                (string) (array_key_first($places) ?? array_key_last($rig->places)),
                'Call service',
            ));
        } elseif (! Places::hasFreeService($rig)) {
            $model = $rig->modelOf($service);
            $guests = array_values(array_filter($model->grows, fn (Growth $growth) => $growth->id === 'guests'))[0] ?? null;
            $guests !== null && $guests->count($model) < $guests->most
                ? $do(new Grow($service->id, $guests->id, $guests->count($model) + 1))
                : $in->refuse('listener', "{$service->name} takes no more guests: add another service in Equipment.");
        }
        foreach ($rig->listeners as $id => $listener) {
            $at = $isNowhere($listener) ? Places::freeAtService($rig, PointKind::Ear) : null;
            $at === null || $do(new PlaceListener((string) $id, $at, true));
        }
        foreach ($rig->sources as $id => $source) {
            $at = $isNowhere($source) ? Places::freeAtService($rig, PointKind::Origin) : null;
            $at === null || $do(new PlaceSound((string) $id, $at, Decibels::zero()));
        }

        return $edits;
    }

    /** @return list<RigEdit> */
    public static function distance(EditFields $in): array
    {
        return [new SetDistance(
            $in->known('source', $in->rig->sources),
            $in->point('at'),
            $in->number('metres', ...Bounds::DISTANCE_M),
        )];
    }

    /** @return list<RigEdit> */
    public static function placeListener(EditFields $in): array
    {
        return [new PlaceListener($in->known('listener', $in->rig->listeners), $in->point('at'), $in->flag('away') !== true)];
    }

    /** @return list<RigEdit> */
    public static function removeSource(EditFields $in): array
    {
        return [new RemoveSound($in->known('source', $in->rig->sources))];
    }

    /** @return list<RigEdit> */
    public static function removeListener(EditFields $in): array
    {
        return [new RemoveListener($in->known('listener', $in->rig->listeners))];
    }

    /**
     * A cure, by the number that the page shows.
     *
     * @return list<RigEdit>
     */
    public static function cure(EditFields $in): array
    {
        $cure = self::causes($in)->cure($in->text('cure', 10));

        return $cure === null || $cure->sentence !== $in->text('sentence', 1000)
            ? $in->refuse('edit', 'The rig has changed since this was offered. Look at the causes again.')
            : $cure->edits;
    }

    /**
     * The first cure of every cause, as far as they go together.
     *
     * @return list<RigEdit>
     */
    public static function cures(EditFields $in): array
    {
        $isOpen = fn (Cause $cause): bool => $in->rig->papers->acceptanceOf(...$cause->evidences()) === null;
        $mending = new Mending(
            new Hearings($in->rig),
            array_values(array_filter(self::causes($in)->causes, $isOpen)),
            isOpen: $isOpen,
        );

        return $mending->cures === []
            ? $in->refuse('edit', 'None of the causes has a cure that can be made here.')
            : array_merge(...array_map(fn (Cure $cure) => $cure->edits, $mending->cures));
    }

    private static function causes(EditFields $in): FoundCauses
    {
        $record = $in->record?->fresh();

        return $record === null ? new FoundCauses([], 0, 0) : Causes::of($record, $in->rig);
    }

    /** @return list<RigEdit> */
    public static function rebalance(EditFields $in): array
    {
        $listener = $in->known('listener', $in->rig->listeners);
        foreach ($in->rig->balances as $balance) {
            if ($balance->key() === $listener.' '.$in->known('like', $in->rig->listeners)) {
                $edits = (new Rebalance($in->rig, $balance, $in->override()))->edits;

                return $edits !== [] ? $edits
                    : $in->refuse('listener', 'No level changes this balance alone: it is as wished, or others hear the same levels.');
            }
        }

        return $in->refuse('like', 'This balance is not wished.');
    }

    /** @return list<RigEdit> how often a hand touches a sound; nothing for nobody knows */
    public static function touched(EditFields $in): array
    {
        return [new SetTouched($in->known('source', $in->rig->sources), $in->choiceOrNone('touched', Touched::class))];
    }

    /** @return list<RigEdit> */
    public static function loudness(EditFields $in): array
    {
        return [new SetLoudness($in->known('source', $in->rig->sources), $in->decibels('loudness'), $in->flag('measured') ?? false)];
    }

    /** @return list<RigEdit> */
    public static function oneKnob(EditFields $in): array
    {
        $hearing = new Hearing((new GraphBuilder($in->rig))->build($in->rig->base()));
        $listener = $in->rig->listeners[$in->known('listener', $in->rig->listeners)];

        return (new Volumes($hearing, $listener))->edits()
            ?? $in->refuse('listener', "{$listener->name} has one knob to turn already, or the last one doesn't go that far.");
    }

    /** @return list<RigEdit> */
    public static function ownSlot(EditFields $in): array
    {
        $source = $in->known('source', $in->rig->sources);
        $own = new OwnSlot(new Hearings($in->rig), $source, $in->known('listener', $in->rig->listeners));
        if ($own->edits !== []) {
            return $own->edits;
        }

        return $in->refuse('source', $own->shared === null
            ? "{$in->rig->sources[$source]->name} shares no slot there."
            : 'No free slot takes it without a change for others. Remove what uses a slot, or let the sound be alone on some device.');
    }

    /**
     * What one listener is to get, and not themselves: what cures their cells, and what leaves their own voice out.
     *
     * @return list<RigEdit>
     */
    public static function rightMix(EditFields $in): array
    {
        $listener = $in->rig->listeners[$in->known('listener', $in->rig->listeners)];
        $found = self::causes($in);
        $ears = array_map(strval(...), $listener->at);
        $edits = [];
        foreach ($found->findings as $finding) {
            $isTheirs = array_filter(
                $finding->about,
                fn (object $at) => $at instanceof PointRef && in_array((string) $at, $ears, true),
            ) !== [];
            if ($finding->code === 'hear.own-return' && $isTheirs && $finding->cures !== []) {
                array_push($edits, ...$finding->cures[0]->edits);
            }
        }
        $causes = array_values(array_filter(
            $found->causes,
            fn (Cause $cause) => array_filter($cause->cells, fn (Cell $cell) => $cell->listener === $listener->id) !== [],
        ));
        $then = array_reduce($edits, fn (Rig $rig, RigEdit $edit) => $edit->applyTo($rig), $in->rig);
        foreach ((new Mending(new Hearings($then), $causes))->cures as $cure) {
            array_push($edits, ...$cure->edits);
        }

        return $edits !== [] ? $edits
            : $in->refuse('listener', $causes === [] ? "The mix of {$listener->name} is right already."
                : "Nothing that was tried makes the right mix for {$listener->name}. {$causes[0]->sentence}. {$causes[0]->why}");
    }
}
