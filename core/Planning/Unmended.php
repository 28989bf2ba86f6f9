<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RenumberCables;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\BlockKind;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;

/** What nothing that was tried mends, each with the reason why; and what no hand could have built. */
final readonly class Unmended
{
    /** Of the cells that a change would make worse these are named. */
    private const NAMED = 3;

    /** Cells that are reported one by one. */
    private const TOLD = 60;

    /** @param  int  $untried  changes that were come upon and not tried */
    public function __construct(private Hearings $hearings, private Trials $trials, private int $untried)
    {
    }

    /** What was looked at, and what would bring it at the cost of others: that nothing does is said of what was tried only. */
    private function searched(Cell $cell): string
    {
        [$singles, $sets] = [$this->trials->singles, $this->trials->sets];
        $found = $singles + $sets + $this->untried === 0 ? 'There is nothing on its way that could be changed.'
            : 'Not found among '.Count::of($singles, 'single change').($sets === 0 ? '' : ' and '.Count::of($sets, 'set').' of several')
                .($this->untried === 0 ? '' : '; '.number_format($this->untried).' more were not tried').'.';
        [$candidate, $worse] = $this->trials->harmful($cell)[0] ?? [null, []];

        return $candidate === null ? $found : "{$found} {$candidate->cure()} would do it, and makes it worse for ".Listing::of(array_map(
            fn (string $key) => $this->trials->pair($key)->listener->name.': '.$this->trials->pair($key)->source->name,
            $worse,
        ), self::NAMED).'.';
    }

    /** @return list<Cause> what the rig has had since before it was refused, and no hand could do: to be taken back */
    public function impossible(): array
    {
        $causes = [];
        foreach ($this->hearings->rig->faults as $fault) {
            [$kind, $thing] = explode(' ', (string) $fault->fault, 3);
            $rig = $this->hearings->rig;
            $cure = match (true) {
                in_array($kind, ['taken', 'plug'], true) => new Cure(
                    "Unplug {$rig->cables[$thing]->label}",
                    [new Unplug($thing)],
                    [],
                    [],
                    Cost::UNPLUG,
                ),
                $kind === 'label' => new Cure('Renumber the cables', [new RenumberCables], [], [], Cost::SWITCH),
                default => null,
            };
            $causes[] = new Cause(
                isset($rig->cables[$thing]) ? "{$rig->cables[$thing]->label}: ".lcfirst($fault->message) : $fault->message,
                [],
                [],
                $cure === null ? [] : [$cure],
                $cure === null ? 'Choose another device there.' : null,
            );
        }

        return $causes;
    }

    /**
     * @param  list<array{Cell, HeardPair}>  $cells
     * @return list<Cause>
     */
    public function causes(array $cells): array
    {
        $causes = [];
        $further = array_slice($cells, self::TOLD);
        foreach (array_slice($cells, 0, self::TOLD) as [$cell, $pair]) {
            $silent = $this->silenced($pair, $this->hearings->in($cell->situation), new Names($this->hearings->rig));
            [$sentence, $why] = $silent === null ? $this->reason($pair, $cell) : [
                "{$pair->source->name} at {$pair->listener->name}: {$silent[0]}",
                $this->searched($cell),
            ];
            $causes[$sentence][] = [$cell, $why, $silent[1] ?? []];
        }

        $told = array_map(
            fn (array $cells, string $sentence) => new Cause(
                $sentence,
                $cells[0][2],
                array_column($cells, 0),
                [],
                $cells[0][1],
            ),
            $causes,
            array_keys($causes),
        );
        if ($further !== []) {
            $told[] = new Cause(
                number_format(count($further)).' further cells are not as wished',
                [],
                array_column($further, 0),
                [],
                'These are too many to look at one by one. Mend the causes above first.',
            );
        }

        return $told;
    }

    /**
     * What on the way gives no sound, or is not opened; null where nothing is known that does.
     *
     * @return array{string, list<PointRef|CableRef|UnitRef>}|null in words, and the elements
     */
    private function silenced(HeardPair $pair, Hearing $hearing, Names $names): ?array
    {
        if ($pair->verdict !== Verdict::Missing) {
            return null;
        }
        $region = Region::of($pair, $hearing);
        foreach ($hearing->graph()->links as $link) {
            $says = match ($link->block) {
                BlockKind::Refused => 'is '.$link->block->value,
                BlockKind::NoLoopback => 'can\'t be taken: there is '.$link->block->value,
                BlockKind::NoPhantom, BlockKind::NoPower => 'has '.$link->block->value,
                BlockKind::LacksNeed => 'is '.$link->block->value,
                default => null,
            };
            if ($says !== null && $region->isJoinedBy($link)) {
                if (in_array($link->block, [BlockKind::Refused, BlockKind::NoLoopback], true) && $link->pick !== null) {
                    $at = $link->pick;

                    return ["{$names->of($link->at)} at {$names->of($at)} {$says}", [$at, new UnitRef($at->unit)]];
                }
                $at = match (true) {
                    $link->at instanceof CableRef, $link->at instanceof UnitRef => $link->at,
                    $link->at instanceof AirRef => new UnitRef($link->at->from->unit),
                    default => new UnitRef(($link->pick ?? $link->at)->unit),
                };

                return ["{$names->of($at)} {$says}", [$at]];
            }
        }

        return null;
    }

    /** @return array{string, string} what is the matter, and why nothing here cures it */
    private function reason(HeardPair $pair, Cell $cell): array
    {
        $what = "{$pair->source->name} at {$pair->listener->name}";
        $hearing = $this->hearings->in($cell->situation);
        $names = new Names($this->hearings->rig);
        if ($pair->verdict === Verdict::Uncounted) {
            return ["{$what} can't be counted whole", 'Too many ways of different delay lead there. Take out parallel ways first.'];
        }
        $cancelling = $pair->cancelling();
        if ($cancelling !== null) {
            $ways = array_map(fn ($way) => $names->of($way->hops[min(1, count($way->hops) - 1)]->at), $cancelling);

            return [
                "{$what}: two copies cancel, one by {$ways[0]}, one by {$ways[1]}",
                'One of the two has to stop. '.$this->searched($cell),
            ];
        }
        if ($pair->verdict === Verdict::Missing) {
            return match (true) {
                $pair->source->origins === [] => ["{$pair->source->name} has no starting point yet", 'Until it has one nobody hears it.'],
                $pair->listener->at === [] => ["{$pair->listener->name} has no place to listen yet", 'Until there is one nothing arrives.'],
                default => ["{$pair->source->name} cannot reach {$pair->listener->name}", $this->searched($cell)],
            };
        }
        if ($pair->verdict === Verdict::Leak && count($pair->source->origins) > 1 && $pair->isSpilled()) {
            $hop = $pair->arrivals()[0]->hops[0]->at;

            return [
                "{$what} spills into {$names->of($hop)}: {$pair->level()?->text()} dB",
                'Move the two apart (at three times the distance it is about 10 dB less), turn the back of the microphone to it, put a '
                    .'gate in, keep only the one open that speaks, or say in the wish how loud it may be.',
            ];
        }
        if ($pair->verdict === Verdict::NotAlone) {
            $hop = $pair->beside === [] ? null
                : (new Merging($hearing))->between($pair, $hearing->pair($pair->beside[0]->id, $pair->listener->id));

            return [
                "{$what} is not alone: ".Listing::of(array_map(fn (Source $one) => $one->name, $pair->beside), self::NAMED)
                    .($hop === null ? '' : ", which can't be separated after {$names->of($hop->at)}"),
                $hop === null ? $this->searched($cell)
                    : "Send one of the two by another route before {$names->of($hop->at)}. ".$this->searched($cell),
            ];
        }
        $isOfLevel = in_array($pair->verdict, [Verdict::TooQuiet, Verdict::Overloads], true);
        $merged = $isOfLevel ? null : (new Merging($hearing))->of($pair);
        if ($merged !== null) {
            return [
                "{$what}: after {$names->of($merged->at)} it can't be separated from what is wanted there",
                "Send one of the two by another route before {$names->of($merged->at)}: another device, another strip, or one more mix. "
                    .$this->searched($cell),
            ];
        }

        return match ($pair->verdict) {
            Verdict::Loop => ["{$what} runs in a loop", $this->searched($cell)],
            Verdict::Treated => ["{$what} is not dry, or not processed, as wished", $this->searched($cell)],
            Verdict::OneSided => [
                "{$what} ".($pair->lossWords() ?? "is not on the {$pair->wish?->side?->value} side only, as wished"),
                $this->searched($cell),
            ],
            Verdict::TooQuiet => [
                "{$what} arrives ".($pair->isFarTooQuiet() ? 'far ' : '')."too quiet: {$pair->level()?->text()} dB",
                "It needs a booster, or a preamp with more gain. {$this->searched($cell)}",
            ],
            Verdict::Overloads => [
                "{$what} overloads ".($pair->overload === null ? 'what it passes' : $names->of($pair->overload->hop->at)).' by '
                    .number_format($pair->overload->overDb ?? 0.0, 1).' dB',
                "Take another input, or put a pad in. {$this->searched($cell)}",
            ],
            Verdict::Doubled => ["{$what} arrives twice", $this->searched($cell)],
            Verdict::Thin => ["{$what} is thin: {$pair->doubling?->text()}", $this->searched($cell)],
            default => ["{$what} is heard and must not be", $this->searched($cell)],
        };
    }
}
