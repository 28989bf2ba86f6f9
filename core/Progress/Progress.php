<?php

declare(strict_types=1);

namespace HiddenWire\Core\Progress;

use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Edit\ExchangeEnds;
use HiddenWire\Core\Edit\PlayDevice;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Hearing;

/**
 * How far a rig is at each stop, and what comes next: from the rig alone. Each thing that is open is counted at the stop that cures it;
 * Wishes counts the cells that are not as wished in the situation that is looked at, Checks the faults.
 */
final readonly class Progress
{
    /** Names that are said of several things. */
    private const NAMED = 4;

    private const OF_WIRING = [
        Plug::class, Unplug::class, Replug::class, ExchangeEnds::class, SetCable::class, PutBetween::class, PlugLast::class,
    ];

    private const OF_COMPUTERS = [
        SetPick::class, SetDevice::class, EnableDevice::class, SetSituationDefault::class, SetSystemLevel::class, SetProgramLevel::class,
        PlayDevice::class, AddUnit::class,
    ];

    private const OF_SHOW = [SetAbsent::class, SetPulled::class];

    /** @var array<value-of<Stop>, AtStop> in the order of the work */
    public array $stops;

    public NextStep $next;

    /** @var list<Source> sounds that begin nowhere */
    private array $placeless;

    /** @var list<Listener> listeners who listen nowhere */
    private array $deaf;

    /** @var list<string> names of units that a wish needs and nothing joins */
    private array $loose;

    private int $odd;

    /**
     * @param  Hearing  $hearing  of the rig in the situation that is looked at
     * @param  array<int, Cause>|null  $causes  by their place, without what is accepted; null where nobody has looked
     * @param  array<int, Finding>|null  $findings  likewise
     */
    public function __construct(private Rig $rig, Hearing $hearing, private ?array $causes, private ?array $findings)
    {
        $this->placeless = array_values(array_filter($rig->sources, fn (Source $one) => $one->origins === [] && $this->isWanted($one->id)));
        $this->deaf = array_values(array_filter($rig->listeners, fn (Listener $one) => $one->at === [] && $this->isWanted(null, $one->id)));
        $this->loose = $this->loose();
        $odd = 0;
        foreach ($hearing->all() as $pair) {
            $odd += $pair->verdict->isAtOdds() ? 1 : 0;
        }
        $this->odd = $odd;
        $this->stops = $this->stops();
        $this->next = $this->next();
    }

    /** The stop where a change is made. */
    public static function stopOf(RigEdit $edit): Stop
    {
        return match (true) {
            in_array($edit::class, self::OF_WIRING, true) => Stop::Wiring,
            in_array($edit::class, self::OF_COMPUTERS, true) => Stop::Computers,
            in_array($edit::class, self::OF_SHOW, true) => Stop::Show,
            default => Stop::Mixes,
        };
    }

    /** @return array<value-of<Stop>, AtStop> */
    private function stops(): array
    {
        $open = array_fill_keys(array_map(fn (Stop $stop) => $stop->value, Stop::cases()), $this->causes === null ? null : 0);
        foreach ($this->causes ?? [] as $cause) {
            $stop = isset($cause->cures[0]->edits[0]) ? self::stopOf($cause->cures[0]->edits[0])->value : null;
            $open[$stop ?? ''] = ($open[$stop ?? ''] ?? 0) + 1;
        }
        $faults = array_filter($this->findings ?? [], fn (Finding $one) => $one->severity === Severity::Fault);
        $open[Stop::Wishes->value] = $this->odd;
        $open[Stop::Equipment->value] = 0;
        $open[Stop::Wiring->value] = $open[Stop::Wiring->value] === null ? null : $open[Stop::Wiring->value] + count($this->loose);
        $open[Stop::Checks->value] = $this->findings === null ? null : count($faults);
        $programs = array_filter($this->rig->units, fn ($unit) => $this->rig->modelOf($unit)->isProgram());
        $isBegun = [
            Stop::Wishes->value => $this->rig->wishes !== [],
            Stop::Equipment->value => $this->rig->units !== [],
            Stop::Wiring->value => $this->rig->cables !== [],
            Stop::Computers->value => $programs !== [],
            Stop::Mixes->value => $this->hasMixes(),
            Stop::Checks->value => $this->rig->wishes !== [] && $this->rig->units !== [],
            Stop::Show->value => count($this->rig->situations) > 1 || $this->rig->papers->steps !== [],
        ];
        $stops = [];
        foreach (array_keys($isBegun) as $stop) {
            $stops[$stop] = new AtStop(Stop::from($stop), $open[$stop], $isBegun[$stop]);
        }
        // The book is worth its paper once nothing is open that it would tell wrongly.
        $isReady = array_filter($stops, fn (AtStop $one) => $one->isBegun && $one->open !== 0) === [] && $this->rig->wishes !== [];

        return [...$stops, Stop::Book->value => new AtStop(Stop::Book, 0, $isReady)];
    }

    private function next(): NextStep
    {
        $rig = $this->rig;
        if ($rig->sources === [] || $rig->listeners === []) {
            return new NextStep(NextKind::Sounds, Stop::Wishes, 'Begin with what is to be heard, and who is to hear it.');
        }
        if ($rig->wishes === []) {
            return new NextStep(NextKind::Wishes, Stop::Wishes, 'Say who must hear what: choose a cell, then must, may or must not.');
        }
        if ($rig->units === []) {
            return new NextStep(NextKind::Equipment, Stop::Equipment, 'Add the equipment that you have, one thing a line.');
        }
        if ($this->placeless !== []) {
            $names = array_map(fn (Source $one) => $one->name, $this->placeless);
            $says = count($names) === 1
                ? "{$names[0]} has no starting point yet."
                : Count::of(count($names), 'sound').' have no starting point yet: '.Listing::of($names, self::NAMED).'.';

            return new NextStep(NextKind::Starts, Stop::Wishes, $says, $this->placeless[0]->id);
        }
        if ($this->deaf !== []) {
            $names = array_map(fn (Listener $one) => $one->name, $this->deaf);
            $says = count($names) === 1
                ? "{$names[0]} has no place to listen yet."
                : Count::of(count($names), 'listener').' have no place to listen yet: '.Listing::of($names, self::NAMED).'.';

            return new NextStep(NextKind::Listens, Stop::Wishes, $says, $this->deaf[0]->id);
        }

        return $this->nextFault();
    }

    private function nextFault(): NextStep
    {
        if ($this->causes === null || $this->findings === null) {
            return new NextStep(NextKind::Looking, Stop::Checks, $this->odd === 0
                ? 'All as wished here. The checks are looking at the rest.'
                : Count::of($this->odd, 'cell').' '.($this->odd === 1 ? 'is' : 'are')
                    .' not as wished. What cures them is being looked for.');
        }
        $cured = array_filter($this->causes, fn (Cause $one) => $one->cures !== []);
        if ($cured !== []) {
            return $this->cures($cured);
        }
        if ($this->loose !== []) {
            return new NextStep(NextKind::Joins, Stop::Wiring, Listing::of($this->loose, self::NAMED)
                .(count($this->loose) === 1 ? ' is' : ' are').' connected to nothing yet.');
        }
        foreach ($this->causes as $cause) {
            return new NextStep(NextKind::Uncured, Stop::Wishes, "{$cause->sentence}. Nothing was found that cures it.");
        }
        foreach ($this->findings as $number => $finding) {
            if ($finding->severity === Severity::Fault) {
                return new NextStep(NextKind::Fault, Stop::Checks, "{$finding->sentence}.", (string) $number);
            }
        }
        $untested = count(array_filter($this->rig->papers->facts, fn (Fact $fact) => $fact->certainty->isOpen()));
        if ($untested > 0) {
            return new NextStep(NextKind::Assumptions, Stop::Checks, 'All as wished, and '.Count::of($untested, 'thing')
                .($untested === 1 ? ' is' : ' are').' taken for granted that nobody has tried.');
        }

        return new NextStep(NextKind::Ready, Stop::Book, 'All as wished. The book says how it is plugged and set.');
    }

    /** @param  non-empty-array<int, Cause>  $cured */
    private function cures(array $cured): NextStep
    {
        $number = array_key_first($cured);
        $first = $cured[$number];
        if (count($cured) === 1) {
            $stop = self::stopOf($first->cures[0]->edits[0]);

            return new NextStep(NextKind::Cure, $stop, "{$first->sentence}.", (string) $number);
        }
        $cells = [];
        foreach ($cured as $cause) {
            foreach ($cause->cells as $cell) {
                $cells[$cell->key()] = $cell;
            }
        }
        $here = count($cells) === $this->odd && count(array_unique(array_map(fn (Cell $one) => $one->situation, $cells))) === 1
            ? ''
            : ' in all situations';

        return new NextStep(
            NextKind::Cures,
            Stop::Wishes,
            count($cured).' cures put '.Count::of(count($cells), 'cell')."{$here} right.",
        );
    }

    private function isWanted(?string $source, ?string $listener = null): bool
    {
        foreach ($this->rig->wishes as $wish) {
            if ($wish->want === Want::Must && ($source === null || $wish->source === $source)
                && ($listener === null || $wish->listener === $listener)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> names of units at which a wanted sound begins or is to be heard, and no lead is plugged */
    private function loose(): array
    {
        $wiring = new Wiring($this->rig);
        $loose = [];
        foreach ([...array_values($this->rig->sources), ...array_values($this->rig->listeners)] as $end) {
            $isWanted = $end instanceof Source ? $this->isWanted($end->id) : $this->isWanted(null, $end->id);
            $at = $end instanceof Source ? ($end->origins[0]->at ?? null) : ($end->at[0] ?? null);
            if ($isWanted && $at instanceof PointRef && $this->isLoose($at->unit, $wiring)) {
                $loose[$at->unit] = $this->rig->units[$at->unit]->name;
            }
        }

        return array_values($loose);
    }

    private function isLoose(string $unit, Wiring $wiring): bool
    {
        $model = $this->rig->modelOf($unit);
        foreach ($model->sockets as $socket) {
            if ($wiring->at(new SocketRef($unit, $socket->id)) !== []) {
                return false;
            }
        }

        return $model->sockets !== [] && ! $model->family->isHost();
    }

    /** Whether anything sums sounds, or hands them out by routes that a hand can switch. */
    private function hasMixes(): bool
    {
        foreach ($this->rig->units as $unit) {
            foreach ($this->rig->modelOf($unit)->routes as $route) {
                if ($route->can !== []) {
                    return true;
                }
            }
        }

        return false;
    }
}
