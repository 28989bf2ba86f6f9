<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/**
 * What is written down with a rig: reasons, steps of the run-down, findings that were accepted, facts,
 * measures. Of these only measured delays count in what is heard.
 */
final readonly class Papers
{
    use With;

    /**
     * @param  array<int, Reason>  $reasons
     * @param  array<int, ShowStep>  $steps  in their order within each phase
     * @param  array<int, Acceptance>  $accepted
     * @param  array<int, Fact>  $facts
     * @param  array<int, Measure>  $measures
     * @param  bool  $isLoose  whether a reason or fact goes with the thing that it is about; otherwise it has to lead somewhere
     */
    public function __construct(
        public array $reasons = [],
        public array $steps = [],
        public array $accepted = [],
        public array $facts = [],
        public array $measures = [],
        public bool $isLoose = false,
    ) {
    }

    /** Whether the same is written down, thing by thing. */
    public function isOf(self $other): bool
    {
        return $this->reasons === $other->reasons && $this->steps === $other->steps && $this->accepted === $other->accepted
            && $this->facts === $other->facts && $this->measures === $other->measures;
    }

    /** What others do not hold as the same objects. */
    public function besides(self $others): self
    {
        return $this->with(
            reasons: Altered::besides($this->reasons, $others->reasons),
            steps: Altered::besides($this->steps, $others->steps),
            accepted: Altered::besides($this->accepted, $others->accepted),
            facts: Altered::besides($this->facts, $others->facts),
            measures: Altered::besides($this->measures, $others->measures),
        );
    }

    /** Without reasons about what is not there any more. */
    public function within(RigParts $parts): self
    {
        return new self(
            array_values(array_filter($this->reasons, fn (Reason $reason) => $reason->about->isIn($parts))),
            array_values($this->steps),
            array_values($this->accepted),
            array_values(array_filter(
                $this->facts,
                fn (Fact $fact) => $fact->about->isIn($parts) && ($fact->with === null || $fact->with->isIn($parts)),
            )),
            array_values(array_filter($this->measures, fn (Measure $measure) => $measure->about->isIn($parts))),
        );
    }

    public function reasonFor(ElementRef|string $about): ?Reason
    {
        foreach ($this->reasons as $reason) {
            if ((string) $reason->about === (string) $about) {
                return $reason;
            }
        }

        return null;
    }

    public function factFor(ElementRef $about, ?ElementRef $with): ?Fact
    {
        foreach ($this->facts as $fact) {
            if ((string) $fact->about === (string) $about && (string) $fact->with === (string) $with) {
                return $fact;
            }
        }

        return null;
    }

    /** @return array<string, float> what was measured of one kind, in its unit, by what it is about */
    public function measured(MeasureKind $kind): array
    {
        $measured = [];
        foreach ($this->measures as $measure) {
            if ($measure->kind === $kind) {
                $measured[(string) $measure->about] = $measure->value;
            }
        }

        return $measured;
    }

    /** @return list<ShowStep> */
    public function stepsOf(Phase $phase): array
    {
        return array_values(array_filter($this->steps, fn (ShowStep $step) => $step->phase === $phase));
    }

    /** How a finding was accepted, by any of some evidence; null where it was not. */
    public function acceptanceOf(string ...$evidence): ?Acceptance
    {
        foreach ($this->accepted as $one) {
            if (in_array($one->evidence, $evidence, true)) {
                return $one;
            }
        }

        return null;
    }
}
