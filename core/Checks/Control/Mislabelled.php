<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Control;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\Legend;
use HiddenWire\Core\Edit\SetControl;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\UnitRef;

/** A control that moves more than its label says, something else, or nothing at all. */
final readonly class Mislabelled implements Check
{
    /** Names so many of the other things moved. */
    private const NAMED = 4;

    /** Controls of a rig that are looked at. */
    private const LOOKED = 60;

    public function code(): string
    {
        return 'control.reach';
    }

    public function findings(Inspection $in): iterable
    {
        $legend = new Legend($in->rig);
        $reach = new ControlReach($in->hearings);
        foreach (array_slice($in->rig->controls, 0, self::LOOKED) as $control) {
            $other = $legend->otherSituation($control);
            if ($other !== null) {
                $to = $in->rig->situations[$other]->name;
                yield $this->told($control, "{$control->words()} goes to {$to}", $to);

                continue;
            }
            $named = $legend->sounds($control);
            [$moved, $doesAnything] = $this->moved($in, $reach, $control, $named !== []);
            if (! $doesAnything && $control->moves !== []) {
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$control->words()} changes nothing for anybody, in any situation",
                    'Whoever reaches for it in a hurry loses time. What it moves carries no sound that anybody hears.',
                    self::about($control),
                );
            } elseif ($named !== [] && $moved !== [] && (array_diff_key($moved, $named) !== [] || array_diff_key($named, $moved) !== [])) {
                $besides = array_diff_key($moved, $named);
                $isElse = array_intersect_key($moved, $named) === [];
                $names = Listing::of(array_map(fn (Source $one) => $one->name, $besides === [] ? $moved : $besides), self::NAMED);
                yield $this->told(
                    $control,
                    "{$control->words()} moves ".($isElse || $besides === [] ? '' : 'also ').$names
                        .($besides === [] ? ', and not all that its label says' : ($isElse ? ', and not what its label says' : '')),
                    Listing::of(array_map(fn (Source $one) => $one->name, $moved), self::NAMED),
                );
            }
        }
    }

    /**
     * @param  bool  $isAll  whether all that it moves is asked for; else only whether it does anything
     * @return array{array<string, Source>, bool} what is louder or softer by it in any situation, by id, and whether it does anything
     */
    private function moved(Inspection $in, ControlReach $reach, Control $control, bool $isAll): array
    {
        $moved = [];
        $doesAnything = false;
        foreach (array_keys($in->rig->situations) as $situation) {
            $now = $control->movesNow();
            foreach ($reach->of($control, (string) $situation, true) as $one) {
                $doesAnything = true;
                // Its label is right or wrong of what it is assigned to now.
                if ($one->to !== null && ! in_array($one->to, $now, true)) {
                    continue;
                }
                $moved += $one->isInLevel() ? [$one->source->id => $one->source] : [];
            }
            if ($doesAnything && ! $isAll) {
                break;
            }
        }

        return [$moved, $doesAnything];
    }

    private function told(Control $control, string $sentence, string $label): Finding
    {
        $label = mb_strimwidth($label, 0, Bounds::SHORT_NAME, '…');

        return new Finding(
            $this->code(),
            Severity::Risk,
            $sentence,
            'In a hurry a hand goes by the label. Write what it does, or move what it says.',
            self::about($control),
            [],
            [new Proposal("Label {$control->name} “{$label}”", [new SetControl($control->with(legend: $label))], Cost::SWITCH)],
        );
    }

    /** @return list<PointRef|RouteRef|UnitRef> */
    private static function about(Control $control): array
    {
        $about = $control->at->collection === 'units' ? [new UnitRef($control->at->tokens[0])] : [];
        foreach ($control->moves as $move) {
            $about = $move->at instanceof PointRef || $move->at instanceof RouteRef ? [...$about, $move->at] : $about;
        }

        return $about;
    }
}
