<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Control;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Hear\NoOwnLevel;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\MovedPair;
use HiddenWire\Core\Controls\OwnHand;
use HiddenWire\Core\Edit\SetControl;
use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Movable;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Signal\HeardPair;

/**
 * A level of its own that was wished, and that no control of the rig moves by itself. A rig without controls is judged by its faders,
 * {@see NoOwnLevel}.
 */
final readonly class Lacking implements Check
{
    private const NAMED = 3;

    public function code(): string
    {
        return 'control.lacking';
    }

    public function findings(Inspection $in): iterable
    {
        if ($in->rig->controls === []) {
            return;
        }
        $control = new ControlReach($in->hearings);
        $hands = Hands::of($in->rig);
        foreach ($in->each() as $situation => $hearing) {
            $reached = null;
            foreach ($hearing->all() as $pair) {
                if ($pair->wish?->ownLevel === null || ! $pair->isHeard()) {
                    continue;
                }
                $reached ??= array_map(
                    fn (Control $one) => $one->kind->isTurned() ? $control->of($one, $situation, true) : [],
                    $hands,
                );
                yield from $this->judged($in, $situation, $pair, $reached);
            }
        }
    }

    /**
     * @param  array<string, list<MovedPair>>  $reached  by control
     * @return iterable<Finding>
     */
    private function judged(Inspection $in, string $situation, HeardPair $pair, array $reached): iterable
    {
        $closest = null;
        foreach (self::apart($reached) as [$id, $all]) {
            $moved = array_filter($all, fn (MovedPair $one) => $one->by === Gesture::Move && $one->isInLevel());
            $isIt = fn (MovedPair $one): bool => $one->source === $pair->source && $one->listener === $pair->listener;
            if (array_filter($moved, $isIt) === []) {
                continue;
            }
            $besides = array_filter($moved, fn (MovedPair $one) => ! $isIt($one) && (($one->listener !== $pair->listener
                && $pair->wish?->ownLevel?->isFromListeners() === true) || ($one->source !== $pair->source
                && $pair->wish?->ownLevel?->isFromSounds() === true)));
            if ($besides === []) {
                return;
            }
            if ($closest === null || count($besides) < count($closest[1])) {
                $closest = [Hands::of($in->rig)[$id], $besides];
            }
        }
        $what = "No control moves {$pair->source->name} for {$pair->listener->name} ";
        $also = array_values(array_unique(array_map(
            fn (MovedPair $one) => "{$one->source->name} for {$one->listener->name}",
            $closest[1] ?? [],
        )));
        yield new Finding(
            $this->code(),
            Severity::Fault,
            $closest === null ? rtrim($what) : "{$what}alone: {$closest[0]->words()} also moves ".Listing::of($also, self::NAMED),
            'It was wished to be changed by hand, apart from others: by a send before the fader, a second mix, or a control of its own.',
            $pair->listener->at,
            [$situation],
            [...$this->proposals($in, $situation, $pair), ...$closest === null ? []
                : self::apartFromOthers($in, $situation, $pair, $closest[0], array_values($closest[1]))],
        );
    }

    /**
     * What takes others off a control that moves the sound as wished, and them too.
     *
     * @param  list<MovedPair>  $besides
     * @return list<Proposal>
     */
    private static function apartFromOthers(Inspection $in, string $situation, HeardPair $pair, Control $control, array $besides): array
    {
        if (array_filter($besides, fn (MovedPair $one) => $one->listener === $pair->listener) !== []) {
            return [];
        }
        $own = new OwnHand($in->hearings, $situation, $pair, $control, $besides);
        $before = $own->beforeTheFader();
        $second = $own->secondMix();
        $others = Listing::of(array_values(array_unique(array_map(fn (MovedPair $one) => $one->listener->name, $besides))), self::NAMED);

        return array_values(array_filter([
            $before === [] ? null : new Proposal("Take it before the fader of {$control->words()} for {$others}", $before, Cost::SWITCH),
            $second === [] ? null : new Proposal(
                "Give {$others} a second mix, alike the one that {$control->words()} moves",
                $second,
                Cost::FADER,
            ),
        ]));
    }

    /**
     * An assigned control is one for each thing that it can be assigned to.
     *
     * @param  array<string, list<MovedPair>>  $reached  by control
     * @return list<array{string, list<MovedPair>}>
     */
    private static function apart(array $reached): array
    {
        $apart = [];
        foreach ($reached as $id => $all) {
            $by = [];
            foreach ($all as $one) {
                $by[$one->to?->slot() ?? ''][] = $one;
            }
            foreach ($by as $group) {
                $apart[] = [$id, $group];
            }
        }

        return $apart;
    }

    /** @return list<Proposal> a control on the level that moves only what was wished to be apart, where the way has one */
    private function proposals(Inspection $in, string $situation, HeardPair $pair): array
    {
        $own = NoOwnLevel::own($in->rig, $in->field($situation), $pair);
        $slot = "{$own} ".($own instanceof PointRef ? 'fader' : 'db');
        $move = $own === null ? null : Movable::of($in->rig, $own->unit, true)[$slot] ?? null;
        if ($own === null || $move === null) {
            return [];
        }
        $name = mb_strimwidth("{$pair->source->name} for {$pair->listener->name}", 0, Bounds::SHORT_NAME, '…');
        $id = Naming::id($name, array_map(strval(...), array_keys(Hands::of($in->rig))));
        $control = new Control($id, $name, ControlKind::Fader, ElementRef::unit($own->unit), moves: [$move]);

        return [new Proposal("Enter {$in->names->of($own)} as a control: it moves that alone", [new SetControl($control)], Cost::FADER)];
    }
}
