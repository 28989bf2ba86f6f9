<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Show;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\Hearing;

/** What everything depends on that the audience is to hear. */
final readonly class SinglePoint implements Check
{
    /** Elements that are named. */
    private const NAMED = 4;

    /** Sounds from which on a show is more than one way. */
    private const SOUNDS = 2;

    public function code(): string
    {
        return 'single.point';
    }

    public function findings(Inspection $in): iterable
    {
        $hearing = $in->base();
        foreach ($in->rig->listeners as $listener) {
            $sounds = $listener->kind === ListenerKind::Stream ? $this->sounds($hearing, $listener) : 0;
            if ($sounds < self::SOUNDS) {
                continue;
            }
            $all = [];
            foreach ($in->dependence()->elements as $element) {
                $of = array_filter($element->lost, fn ($pair) => $pair->listener === $listener);
                if (count($of) === $sounds && $element->at instanceof UnitRef && $this->isSmall($in, $element->at)) {
                    $all[] = $element->at;
                }
            }
            if ($all === []) {
                continue;
            }
            yield new Finding(
                $this->code(),
                Severity::Note,
                "Everything that {$listener->name} has to hear depends on "
                    .Listing::of(array_map($in->names->of(...), $all), self::NAMED),
                'Where one of these fails, nothing of the show is left. Keep a spare, or know the way round it.',
                $all,
            );
        }
    }

    /** A small part that somebody forgets: that a show hangs at its computer and its mixer everybody knows. */
    private function isSmall(Inspection $in, UnitRef $at): bool
    {
        $family = $in->rig->modelOf($at->unit)->family;

        return $family === Family::Hub || $family->handsOn();
    }

    private function sounds(Hearing $hearing, Listener $listener): int
    {
        $count = 0;
        foreach ($hearing->rig->sources as $source) {
            $pair = $hearing->pair($source->id, $listener->id);
            $count += $pair->meetsMust() ? 1 : 0;
        }

        return $count;
    }
}
