<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/** Which of the ways of a doubled sound a change leaves, and what distinguishes such a way from the others. */
final readonly class KeptWays
{
    /** Kinds of steps that a way keeps, whatever is set on it. */
    private const STEPS = [HopKind::Origin, HopKind::Route, HopKind::Cable, HopKind::Hub, HopKind::Device, HopKind::Air];

    /** @var array<int, list<string>> the steps of each way */
    private array $steps;

    public function __construct(private HeardPair $doubled)
    {
        $this->steps = array_map(self::stepsOf(...), $doubled->arrivals());
    }

    public function count(): int
    {
        return count($this->steps);
    }

    /**
     * @param  list<int>  $numbers
     * @return array<string, true> references of what only these ways pass
     */
    public function ownSteps(array $numbers): array
    {
        $others = array_merge(...array_values(array_diff_key($this->steps, array_flip($numbers))));
        $own = [];
        foreach ($numbers as $number) {
            foreach ($this->doubled->arrivals()[$number]->hops as $hop) {
                if (in_array($hop->kind, self::STEPS, true) && ! in_array(self::step($hop), $others, true)) {
                    $own[$hop->ref] = true;
                    $own[(string) $hop->pick] = true;
                }
            }
        }

        return $own;
    }

    /** The number of the way that is the strongest once a change is made; null where that is a way of its own. */
    public function after(HeardPair $pair): ?int
    {
        $strongest = $pair->isHeard() ? $pair->arrivals()[0] ?? null : null;
        $number = $strongest === null ? false : array_search(self::stepsOf($strongest), $this->steps, true);

        return $number === false ? null : $number;
    }

    /** What only this way passes, nearest to the listener: a lead, where there is one: "keeps the way by W-07". */
    public function words(int $number): string
    {
        $arrivals = $this->doubled->arrivals();
        $others = array_merge(...array_values(array_diff_key($this->steps, [$number => true])));
        $own = array_values(array_filter(
            array_reverse($arrivals[$number]->hops),
            fn (Hop $hop) => in_array($hop->kind, self::STEPS, true) && ! in_array(self::step($hop), $others, true),
        ));
        $leads = array_values(array_filter($own, fn (Hop $hop) => $hop->kind === HopKind::Cable));
        $hop = $leads[0] ?? $own[0] ?? null;

        return $hop === null
            ? "keeps the way of {$arrivals[$number]->delay->text()} ms"
            : "keeps the way by {$hop->label}";
    }

    /** @return list<string> */
    private static function stepsOf(Arrival $arrival): array
    {
        return array_map(self::step(...), array_values(array_filter(
            $arrival->hops,
            fn (Hop $hop) => in_array($hop->kind, self::STEPS, true),
        )));
    }

    private static function step(Hop $hop): string
    {
        return "{$hop->kind->value} {$hop->ref} {$hop->pick}";
    }
}
