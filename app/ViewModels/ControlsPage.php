<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\FewerHands;
use HiddenWire\Core\Controls\Legend;
use HiddenWire\Core\Controls\MovedPair;
use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Movable;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\SituationRef;
use HiddenWire\Core\Rig\Unit;

/** What hands move, in its arrangement, and what each control does in the situation that is shown. */
final readonly class ControlsPage
{
    /** So many controls are heard for one look; of more, the chosen one. */
    private const HEARD = 16;

    /** So many faders without a control are named. */
    private const NAMED = 8;

    public ?Control $chosen;

    public ControlReach $reach;

    private ControlNames $names;

    /** @var array<string, list<Control>> by the slot of what they move, where those are several */
    private array $sharing;

    public function __construct(public RigPage $page)
    {
        $rig = $page->rig;
        $all = Hands::of($rig);
        $this->chosen = $all[$page->asked('control')] ?? null;
        $this->reach = new ControlReach(new Hearings($rig, [$page->situation->id => $page->hearing]));
        $this->names = new ControlNames($rig);
        $by = [];
        foreach ($all as $control) {
            foreach ($control->moves as $move) {
                $by[$move->slot()][$control->id] = $control;
            }
        }
        $this->sharing = array_map(array_values(...), array_filter($by, fn (array $controls) => count($controls) > 1));
    }

    /** @return array<string, array<string, string>> what units come with and nobody has said more of, by id, by the name of the unit */
    public function asTheyCome(): array
    {
        $units = [];
        $rig = $this->page->rig;
        foreach ($rig->units as $unit) {
            foreach (Hands::ofUnit($unit, $rig->modelOf($unit)) as $id => $control) {
                if (! isset($rig->controls[$id])) {
                    $units[$unit->name][$id] = mb_substr($control->name, mb_strlen(Hands::before($unit)));
                }
            }
        }

        return $units;
    }

    /** A control as it is tried on the real thing. */
    public function seen(Control $control): SeenHand
    {
        return new SeenHand($this->page, $this, $control);
    }

    /** "46 controls": how many units come with and nobody has said more of. */
    public function comes(): string
    {
        return Count::of(array_sum(array_map(count(...), $this->asTheyCome())), 'control');
    }

    /** Whether somebody has entered it: else its unit comes with it. */
    public function isOwn(Control $control): bool
    {
        return Hands::isOwn($this->page->rig, $control);
    }

    /** @return list<Control> other ones that could be held meanwhile: entered, or of the same unit */
    public function others(Control $of): array
    {
        return array_values(array_filter(
            Hands::of($this->page->rig),
            fn (Control $one) => $one->id !== $of->id && ($this->isOwn($one) || (string) $one->at === (string) $of->at),
        ));
    }

    /** @return array<string, list<Control>> by the name of the unit or place where they are, with their bank; the chosen one among them */
    public function surfaces(): array
    {
        $surfaces = [];
        $chosen = $this->chosen === null || $this->isOwn($this->chosen) ? [] : [$this->chosen];
        foreach ([...array_values($this->page->rig->controls), ...$chosen] as $control) {
            $surfaces[$this->names->place($control)][$control->bank][] = $control;
        }
        $named = [];
        foreach ($surfaces as $at => $banks) {
            foreach ($banks as $bank => $controls) {
                $named[$at.($bank === '' ? '' : ", {$bank}")] = $controls;
            }
        }

        return $named;
    }

    /** @return list<array{words: string, slot: string, by: string, shared: string, isNow: bool}> what a control moves; `isNow` also of all
     *     together */
    public function moves(Control $control): array
    {
        return array_map(fn (Move $move): array => [
            'words' => $this->names->move($move),
            'slot' => $move->slot(),
            'by' => $move->by->value,
            'isNow' => in_array($move, $control->movesNow(), true),
            'shared' => implode(', ', array_map(
                fn (Control $one) => $one->name,
                array_filter($this->sharing[$move->slot()] ?? [], fn (Control $one) => $one !== $control),
            )),
        ], $control->moves);
    }

    /** Whether what it does is worked out for this look. */
    public function isHeard(Control $control): bool
    {
        return $control === $this->chosen || (Hands::isOwn($this->page->rig, $control) && count($this->page->rig->controls) <= self::HEARD);
    }

    /**
     * For whom what changes, a sound a row: listeners for whom it changes alike stand together.
     *
     * @return list<array{when: string, sound: string, at: array<string, array<string, string>>, not: string}> `at` has the addresses of the
     *     ways on the map, by what changes and by listener
     */
    public function reach(Control $control): array
    {
        $rows = [];
        foreach ($this->reach->of($control, $this->page->situation->id) as $one) {
            $key = "{$one->by->value} {$one->with} {$one->to?->slot()} {$one->source->id}";
            $rows[$key] ??= [
                'when' => $this->when($one), 'sound' => $one->source->name, 'id' => $one->source->id, 'at' => [], 'moved' => [],
            ];
            $rows[$key]['at'][$one->words()][$one->listener->name] = $this->page->url(
                ['source' => $one->source->id, 'listener' => $one->listener->id],
                'wiring',
            );
            $rows[$key]['moved'][] = $one->listener->id;
        }
        $goes = $control->goesTo() !== [];

        return array_values(array_map(fn (array $row): array => [
            'when' => $row['when'], 'sound' => $row['sound'], 'at' => $row['at'],
            'not' => $goes ? '' : $this->untouched($row['id'], $row['moved']),
        ], $rows));
    }

    /** "of 9 sounds at 7 listeners": what a key that goes to another situation does, in one line. */
    public function sum(Control $control): string
    {
        $reached = array_filter($this->reach->of($control, $this->page->situation->id), fn (MovedPair $one) => $one->isInLevel());
        $sounds = array_unique(array_map(fn (MovedPair $one) => $one->source->id, $reached));
        $listeners = array_unique(array_map(fn (MovedPair $one) => $one->listener->id, $reached));

        return $reached === [] ? 'nothing changes' : Count::of(count($reached), 'cell changes', 'cells change').': '
            .Count::of(count($sounds), 'sound').' at '.Count::of(count($listeners), 'listener');
    }

    /** Whether it goes to a situation, whose own view says what is otherwise there. */
    public function goesTo(Control $control): ?string
    {
        return $control->goesTo()[0] ?? null;
    }

    /** What its label says and it does not do; empty where all is well or the label names nothing of the rig. */
    public function trouble(Control $control): string
    {
        $legend = new Legend($this->page->rig);
        $other = $legend->otherSituation($control);
        if ($other !== null) {
            return "Its label says something else: it goes to {$this->page->rig->situations[$other]->name}.";
        }
        $named = $legend->sounds($control);
        $moved = [];
        foreach ($named === [] ? [] : $this->reach->of($control, $this->page->situation->id) as $one) {
            $moved += $one->isInLevel() ? [$one->source->id => $one->source->name] : [];
        }

        return $named !== [] && $moved !== [] && array_intersect_key($moved, $named) === []
            ? 'Its label says something else: it moves '.implode(', ', $moved).'.' : '';
    }

    /**
     * A setting that no control is entered for, as if a hand had one on it: what a plain fader does.
     */
    public function tried(): ?Control
    {
        $slot = $this->page->asked('try');
        $unit = strtok($slot, '/');
        $move = isset($this->page->rig->units[$unit]) ? Movable::of($this->page->rig, (string) $unit, true)[$slot] ?? null : null;

        return $move === null ? null : new Control(
            'tried',
            $this->names->target($move),
            ControlKind::Fader,
            ElementRef::unit((string) $unit),
            moves: [is_float($move->to) ? $move : $move->with(law: Law::Even)],
        );
    }

    /** Faders that what has to be heard now passes and no control moves: "Desk mixer · Mic 1 and 3 more"; empty where there are none. */
    public function withoutHand(): string
    {
        $names = new Names($this->page->rig);
        $points = Hands::of($this->page->rig) === [] ? [] : $this->reach->withoutHand($this->page->situation->id);

        return Listing::of(array_map($names->of(...), $points), self::NAMED);
    }

    /** Which sounds go on which hands; null of a rig without controls. */
    public function fewerHands(): ?FewerHands
    {
        $count = count(Hands::entered($this->page->rig));
        $situation = $this->page->situation->id;

        return $count === 0 || $count > self::HEARD ? null
            : new FewerHands(new Hearings($this->page->rig, [$situation => $this->page->hearing]), $this->reach, $situation);
    }

    /** @return list<Unit> units that have anything to move */
    public function units(): array
    {
        $isTurned = $this->chosen?->kind->isTurned() ?? true;

        return array_values(array_filter(
            $this->page->rig->units,
            fn (Unit $unit) => Movable::of($this->page->rig, $unit->id, $isTurned) !== [],
        ));
    }

    /** The unit whose settings are offered: the one that is asked for, the one of the last move, or the control's own. */
    public function offered(): ?Unit
    {
        $units = array_column(array_map(fn (Unit $one) => [$one->id, $one], $this->units()), 1, 0);
        $moves = $this->chosen->moves ?? [];
        $last = $moves === [] ? null : $moves[count($moves) - 1]->unit();
        $own = $this->chosen?->at->collection === 'units' ? $this->chosen->at->tokens[0] : '';

        return $units[$this->page->asked('of')] ?? $units[$last ?? ''] ?? $units[$own] ?? array_values($units)[0] ?? null;
    }

    /** @return array<string, string> what of that unit can be moved, and the situations to go to, in words */
    public function movable(): array
    {
        $rig = $this->page->rig;
        $unit = $this->offered();
        // Without a control of one's own, whatever can be moved is tried along its way.
        $isTurned = $this->chosen?->kind->isTurned() ?? true;
        $all = [];
        foreach ($unit === null ? [] : Movable::of($rig, $unit->id, $isTurned) as $slot => $move) {
            // The unit is chosen beside it.
            $all[$slot] = str_replace(["{$unit?->name} · ", "{$unit?->name}, "], '', $this->names->target($move));
        }
        foreach ($isTurned || $this->chosen === null ? [] : $rig->situations as $situation) {
            $move = new Move(new SituationRef($situation->id), Move::SITUATION);
            $all[$move->slot()] = "go to {$situation->name}";
        }

        return $all;
    }

    private function when(MovedPair $one): string
    {
        $with = $one->with === null ? '' : ' with '.(Hands::of($this->page->rig)[$one->with]->name ?? $one->with);
        $isPlain = in_array($one->by, [Gesture::Move, Gesture::Press], true) && $with === '';

        return implode(', ', array_filter([
            $isPlain ? '' : $one->by->words().$with,
            $one->to === null ? '' : 'assigned to '.$this->names->target($one->to),
        ]));
    }

    /**
     * Who hears the sound and not the control: it is taken before what is moved, or comes another way.
     *
     * @param  list<string>  $moved  ids of listeners
     */
    private function untouched(string $source, array $moved): string
    {
        $not = [];
        foreach ($this->page->rig->listeners as $listener) {
            if (! in_array($listener->id, $moved, true) && $this->page->hearing->pair($source, $listener->id)->isHeard()) {
                $not[] = $listener->name;
            }
        }

        return implode(', ', $not);
    }
}
