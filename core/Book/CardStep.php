<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Quantity\Count;

/** One step of a card. */
final readonly class CardStep
{
    /**
     * @param  string  $note  why, or what it needs; empty for nothing
     * @param  int|null  $atMin  minutes from the beginning of the show, before it negative
     * @param  int  $waitS  seconds to wait afterwards
     */
    public function __construct(public string $text, public string $note = '', public ?int $atMin = null, public int $waitS = 0)
    {
    }

    /** The same as long as it says the same: what reads otherwise has to be done again. */
    public function key(): string
    {
        return substr(hash('sha256', "{$this->text}\n{$this->note}"), 0, 12);
    }

    /** When, as on a clock that reads 0:00 when the show begins; empty where it has no time of its own. */
    public function clock(): string
    {
        return $this->atMin === null ? '' : ($this->atMin < 0 ? '−' : '+').intdiv(abs($this->atMin), 60)
            .':'.str_pad((string) (abs($this->atMin) % 60), 2, '0', STR_PAD_LEFT);
    }

    public function words(): string
    {
        $says = ($this->atMin === null ? '' : $this->clock().'  ').$this->text
            .($this->waitS === 0 ? '' : '; wait '.Count::of($this->waitS, 'second'))
            .($this->note === '' ? '' : " ({$this->note})");

        return preg_match('/[.!?]$/', $says) === 1 ? $says : "{$says}.";
    }
}
