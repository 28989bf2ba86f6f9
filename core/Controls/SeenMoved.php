<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Movable;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;

/**
 * A control tried on the real thing, against the plan: which sounds changed while it was moved, and which should. Costs the reach of the
 * control, and of the others where one moves the same.
 */
final readonly class SeenMoved
{
    /** So many settings are offered that move what was seen. */
    private const OFFERED = 3;

    /** @var array<string, Source> sounds that it is planned to make louder or softer for anybody, by id */
    public array $planned;

    /** @var array<string, Source> sounds that changed, by id */
    public array $seen;

    /** @param  list<string>  $seen  ids of sounds; what is no sound of the rig is passed over */
    public function __construct(
        private Hearings $plan,
        private ControlReach $reach,
        private Control $control,
        private string $situation,
        array $seen,
    ) {
        $this->planned = $this->moved($control);
        $this->seen = array_intersect_key($plan->rig->sources, array_flip($seen));
    }

    public function verdict(): SeenVerdict
    {
        $missing = array_diff_key($this->planned, $this->seen);
        $besides = array_diff_key($this->seen, $this->planned);

        return match (true) {
            $missing === [] && $besides === [] => SeenVerdict::AsPlanned,
            $this->seen === [] => SeenVerdict::Dead,
            count($missing) === count($this->planned) => SeenVerdict::Else,
            $missing === [] => SeenVerdict::More,
            default => SeenVerdict::Less,
        };
    }

    /** @return list<Control> others that are planned to move exactly what was seen: the hand has two of them, or the two are exchanged */
    public function doubled(): array
    {
        $same = fn (Control $one): bool => $one->id !== $this->control->id && $this->seen !== []
            && $one->kind->isTurned() === $this->control->kind->isTurned() && $this->isSeen($this->moved($one));
        $near = Hands::entered($this->plan->rig);

        return array_values(array_filter($near, $same));
    }

    /** @return list<Move> settings that what was seen passes, and nothing else: what it may really move */
    public function instead(): array
    {
        $field = $this->plan->in($this->situation)->field();
        $now = array_map(fn (Move $move) => $move->slot(), $this->control->moves);
        $sets = array_unique([...array_map(fn (Move $move) => $move->set, $this->control->moves),
            $this->control->kind->isTurned() ? 'fader' : 'mute']);
        $found = [];
        foreach ($this->seen === [] ? [] : $this->plan->rig->units as $unit) {
            foreach (Movable::of($this->plan->rig, $unit->id, $this->control->kind->isTurned()) as $slot => $move) {
                if ($move->at instanceof PointRef && in_array($move->set, $sets, true) && ! in_array($slot, $now, true)
                    && $field->listenersBehind($move->at) !== [] && $this->isSeen(self::byId($field->sourcesAt($move->at)))) {
                    $found[] = $move;
                }
            }
        }

        return array_slice($found, 0, self::OFFERED);
    }

    /** @param  array<string, Source>  $sources */
    private function isSeen(array $sources): bool
    {
        return count($sources) === count($this->seen) && array_diff_key($sources, $this->seen) === [];
    }

    /** @return array<string, Source> by id; of an assigned control what it moves now */
    private function moved(Control $control): array
    {
        $now = $control->movesNow();
        $moved = array_filter(
            $this->reach->of($control, $this->situation),
            fn (MovedPair $one) => $one->isInLevel() && ($one->to === null || in_array($one->to, $now, true)),
        );

        return self::byId(array_map(fn (MovedPair $one) => $one->source, $moved));
    }

    /**
     * @param  array<int, Source>  $sources
     * @return array<string, Source>
     */
    private static function byId(array $sources): array
    {
        return array_column(array_map(fn (Source $one) => [$one->id, $one], $sources), 1, 0);
    }
}
