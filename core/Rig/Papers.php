<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** What is written down with a rig and sounds nowhere: reasons, steps of the run-down, findings that were accepted, facts and doubts. */
final readonly class Papers
{
    use With;

    /**
     * @param  array<int, Reason>  $reasons
     * @param  array<int, ShowStep>  $steps  in their order within each phase
     * @param  array<int, Acceptance>  $accepted
     * @param  array<int, Fact>  $facts
     * @param  bool  $isLoose  whether a reason or fact goes with the thing that it is about; otherwise it has to lead somewhere
     */
    public function __construct(
        public array $reasons = [],
        public array $steps = [],
        public array $accepted = [],
        public array $facts = [],
        public bool $isLoose = false,
    ) {
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

    /** @return list<ShowStep> */
    public function stepsOf(Phase $phase): array
    {
        return array_values(array_filter($this->steps, fn (ShowStep $step) => $step->phase === $phase));
    }

    /** How a finding was accepted; null where it was not. */
    public function acceptanceOf(string $evidence): ?Acceptance
    {
        foreach ($this->accepted as $one) {
            if ($one->evidence === $evidence) {
                return $one;
            }
        }

        return null;
    }
}
