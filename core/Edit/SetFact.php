<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Rig;

/** Writes down how sure something is, of one thing or of its fit with another; without a fact, what was written is removed. */
final readonly class SetFact implements RigEdit
{
    public function __construct(public ElementRef $about, public ?ElementRef $with, public ?Fact $fact)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $key = $this->with === null ? (string) $this->about : "{$this->about} {$this->with}";
        $facts = [];
        $isThere = false;
        foreach ($rig->papers->facts as $fact) {
            $isSame = $fact->key() === $key;
            $isThere = $isThere || $isSame;
            $kept = $isSame ? $this->fact : $fact;
            $facts = $kept === null ? $facts : [...$facts, $kept];
        }
        $facts = $isThere || $this->fact === null ? $facts : [...$facts, $this->fact];

        return new Rig($rig->parts()->with(papers: $rig->papers->with(facts: $facts)));
    }

    public function words(Rig $rig): string
    {
        $subject = $this->about->words($rig).($this->with === null ? '' : " with {$this->with->words($rig)}");

        return "{$subject}: ".($this->fact === null ? 'nothing is said any more of how sure it is' : lcfirst($this->fact->words()));
    }
}
