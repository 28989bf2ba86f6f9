<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\RemoveControl;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetControl;
use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Movable;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SituationRef;

/** Changes of controls: what hands move. */
final class ControlForms
{
    private const SLOT = 300;

    /** @return list<RigEdit> a new control, or an existing one with other fields; what it moves stays */
    public static function set(EditFields $in): array
    {
        $rig = $in->rig;
        $was = $in->has('control') ? self::chosen($in) : null;
        $kind = $in->choice('kind', ControlKind::class, 'Say what kind of control it is.');
        $at = ElementRef::read($in->text('at', Bounds::NAME));
        $there = match ($at?->collection) {
            'units' => $rig->units, 'places' => $rig->places, default => [],
        };
        if ($at === null || count($at->tokens) !== 1 || ! isset($there[$at->tokens[0]])) {
            return $in->refuse('at', 'Choose the unit that has it, or the place where it lies.');
        }
        $name = $in->name();

        return [new SetControl(new Control(
            $was->id ?? Naming::id($name, array_map(strval(...), array_keys(Hands::of($rig)))),
            $name,
            $kind,
            $at,
            $in->text('legend', Bounds::SHORT_NAME),
            $kind->isTurned() ? $in->number('position', 0, 100) : null,
            $in->text('bank', Bounds::SHORT_NAME),
            $in->flag('learned') ?? false,
            self::kept($was, $in->flag('assigned') ?? $was->isAssigned ?? false),
            $in->flag('assigned') ?? $was->isAssigned ?? false,
        ))];
    }

    /** @return list<Move> what a control moves, nothing of it chosen where it moves all together */
    private static function kept(?Control $was, bool $isAssigned): array
    {
        return array_map(fn (Move $one) => $isAssigned ? $one : $one->with(isChosen: false), $was->moves ?? []);
    }

    /** @return list<RigEdit> one setting more that a control moves, or another way of moving it */
    public static function move(EditFields $in): array
    {
        $control = self::chosen($in);
        $move = self::asked($in, $control);
        $kept = array_filter($control->moves, fn (Move $one) => "{$one->slot()} {$one->by->value} {$one->with}"
            !== "{$move->slot()} {$move->by->value} {$move->with}");

        return [new SetControl($control->with(moves: [...array_values($kept), $move]))];
    }

    /** @return list<RigEdit> */
    public static function unmove(EditFields $in): array
    {
        $control = self::chosen($in);
        $slot = $in->text('what', self::SLOT);
        $by = $in->text('by', Bounds::SHORT_NAME);
        $kept = array_values(array_filter($control->moves, fn (Move $one) => $one->slot() !== $slot || $one->by->value !== $by));

        return count($kept) === count($control->moves) ? $in->refuse('what', 'It does not move that any more.')
            : [new SetControl($control->with(moves: $kept))];
    }

    /** @return list<RigEdit> what an assigned control moves from now on */
    public static function assign(EditFields $in): array
    {
        $control = self::chosen($in);
        $slot = $in->text('what', self::SLOT);
        $there = array_map(fn (Move $one) => $one->slot(), $control->moves);
        if (! $control->isAssigned || ! in_array($slot, $there, true)) {
            return $in->refuse('what', $control->isAssigned ? 'It does not move that any more.'
                : 'It moves all together. Say that it is assigned first.');
        }

        return [new SetControl($control->with(moves: array_map(
            fn (Move $one, int $at) => $one->with(isChosen: $at === array_search($slot, $there, true)),
            $control->moves,
            array_keys($control->moves),
        )))];
    }

    /** @return list<RigEdit> what was seen at the real one: that it does as planned, that it does nothing, or what it moves */
    public static function tried(EditFields $in): array
    {
        $control = self::chosen($in);
        $what = $in->text('what', self::SLOT);
        $unit = strtok($what, '/');
        $move = isset($in->rig->units[$unit]) ? Movable::of($in->rig, (string) $unit, $control->kind->isTurned())[$what] ?? null : null;

        return [new SetControl(match (true) {
            $what === 'as-planned' => $control->with(isLearned: true),
            $what === 'nothing' => $control->with(isLearned: true, moves: [], isAssigned: false),
            $move !== null => $control->with(isLearned: true, moves: [$move], isAssigned: false),
            default => $in->refuse('what', 'Say what it moves, that it moves nothing, or that it does as planned.'),
        })];
    }

    /** @return list<RigEdit> */
    public static function remove(EditFields $in): array
    {
        $control = self::chosen($in);

        return [Hands::isOwn($in->rig, $control) ? new RemoveControl($control->id)
            : $in->refuse('control', "{$control->name} comes with its model. Take it out there, or say here what it moves.")];
    }

    /** @return list<RigEdit> a control for every fader of a unit that has none yet, named and labelled as its point is */
    public static function ofUnit(EditFields $in): array
    {
        $unit = $in->unit();
        $moved = $ids = [];
        foreach (Hands::of($in->rig) as $control) {
            $ids[] = $control->id;
            foreach ($control->moves as $move) {
                $moved[$move->slot()] = true;
            }
        }
        $edits = [];
        foreach (Movable::of($in->rig, $unit, true) as $slot => $move) {
            if ($move->set !== 'fader' || isset($moved[$slot]) || ! $move->at instanceof PointRef) {
                continue;
            }
            $label = $in->rig->point($move->at)->label;
            $ids[] = $id = Naming::id("{$unit}-{$move->at->point}", $ids);
            $edits[] = new SetControl(new Control(
                $id,
                mb_strimwidth("Fader {$label}", 0, Bounds::SHORT_NAME, '…'),
                ControlKind::Fader,
                ElementRef::unit($unit),
                mb_strimwidth($label, 0, Bounds::SHORT_NAME, '…'),
                moves: [$move],
            ));
        }

        return $edits === [] ? $in->refuse('unit', 'Every fader of it has a control already, or it has none.') : $edits;
    }

    /** The control that a form is about: the rig's own, or one that its unit comes with. */
    private static function chosen(EditFields $in): Control
    {
        $all = Hands::of($in->rig);

        return $all[$in->known('control', $all)];
    }

    private static function asked(EditFields $in, Control $control): Move
    {
        $slot = $in->text('what', self::SLOT);
        $isTurned = $control->kind->isTurned();
        if (str_starts_with($slot, SituationRef::LIST.'/')) {
            $situation = strtok(substr($slot, strlen(SituationRef::LIST) + 1), ' ');

            return new Move(new SituationRef(isset($in->rig->situations[$situation]) ? (string) $situation
                : $in->refuse('what', 'Choose a situation of this rig.')), Move::SITUATION, law: Law::Set, by: self::by($in, $isTurned));
        }
        $unit = strtok($slot, '/');
        $usual = (isset($in->rig->units[$unit]) ? Movable::of($in->rig, (string) $unit, $isTurned) : [])[$slot]
            ?? $in->refuse('what', 'Choose what it moves.');
        $law = $in->choiceOrNone('law', Law::class) ?? $usual->law;

        return $usual->with(
            from: self::value($in, 'from', $usual->from),
            to: self::value($in, 'to', $usual->to),
            law: $law,
            by: self::by($in, $isTurned),
            with: $in->has('with') ? $in->known('with', Hands::of($in->rig)) : null,
        );
    }

    private static function by(EditFields $in, bool $isTurned): Gesture
    {
        return $in->choiceOrNone('by', Gesture::class) ?? ($isTurned ? Gesture::Move : Gesture::Press);
    }

    /** As it was typed: a number, on or off, or a text, by what it is usually; nothing typed is that. */
    private static function value(EditFields $in, string $key, string|bool|float|null $usual): string|bool|float|null
    {
        if (! $in->has($key)) {
            return $usual;
        }
        $text = mb_strtolower($in->text($key, Bounds::NAME));

        return match (true) {
            is_float($usual) => $in->number($key, -Bounds::SETTING, Bounds::SETTING),
            is_bool($usual) => match (true) {
                in_array($text, ['on', 'yes', 'true', '1', 'muted'], true) => true,
                in_array($text, ['off', 'no', 'false', '0', 'unmuted'], true) => false,
                default => $in->refuse($key, 'Write on or off.'),
            },
            default => $in->text($key, Bounds::NAME),
        };
    }
}
