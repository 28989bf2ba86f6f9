<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** Something that the plan relies on, of one thing or of how it fits another: stated, assumed, proven, or known not to work. */
final readonly class Fact
{
    use With;

    /** A day as documents write it. */
    public const DAY = '\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])';

    /**
     * @param  ElementRef|null  $with  the other thing, where it is a fit of two
     * @param  string  $what  what is relied on, as somebody wrote it
     * @param  string  $by  who stated or proved it
     * @param  string  $on  the day, YYYY-MM-DD; empty where it is not known
     * @param  string  $firmware  with which it was proven
     * @param  string  $proof  how to prove it
     * @param  int|null  $minutes  that the proof takes
     */
    public function __construct(
        public ElementRef $about,
        public Certainty $certainty,
        public string $what,
        public ?ElementRef $with = null,
        public string $by = '',
        public string $on = '',
        public string $firmware = '',
        public string $proof = '',
        public ?int $minutes = null,
    ) {
    }

    /** Identifies a fact: there is one for a thing, and one for it with each other. */
    public function key(): string
    {
        return $this->with === null ? (string) $this->about : "{$this->about} {$this->with}";
    }

    /** "Assumed: passes stereo (Ann, 2026-02-01, firmware 1.2)" */
    public function words(): string
    {
        $how = implode(', ', array_filter([$this->by, $this->on, $this->firmware === '' ? '' : "firmware {$this->firmware}"]));

        return ucfirst($this->certainty->words()).": {$this->what}".($how === '' ? '' : " ({$how})");
    }

    /** What it is about, as a person calls it. */
    public function subject(Rig $rig): string
    {
        return $this->about->words($rig).($this->with === null ? '' : " with {$this->with->words($rig)}");
    }
}
