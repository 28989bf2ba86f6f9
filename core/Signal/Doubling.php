<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Hertz;
use HiddenWire\Core\Quantity\Milliseconds;

/** A sound that arrives twice: how far below the strongest copy the others are, and how far apart in time. */
final readonly class Doubling
{
    /** Two copies 20 dB apart ripple by less than 1 dB on one side (20 log10(1 ± 0.1) = +0.83, -0.92): nobody hears it. */
    public const RIPPLE_DB = 20.0;

    /** The ear hears a late copy as an echo of its own down to a lower level than it hears colouring. */
    public const ECHO_DB = 30.0;

    /** From about here on a copy is heard apart from the first (the fusion limit for speech and clicks). */
    public const ECHO_MS = 25.0;

    /** Below this the first notch is above 5 kHz and the copies, for all that matters in a voice, add. */
    public const ADDS_MS = 0.1;

    /** A turned copy this late leaves speech 20 dB down: 2 sin(pi f t) is 0.2 at 8 kHz. Later ones leave the treble: it is thin. */
    public const CANCELS_MS = 0.004;

    /**
     * @param  Decibels  $difference  how far the further copies together lie below the strongest
     * @param  Milliseconds  $apart  of the strongest and the next
     * @param  bool  $isOneClock  whether both came by the same clocks: else they drift against each other
     * @param  bool  $isLegs  the left and the right of one sound come by ways of different length
     * @param  bool  $isTurned  one of the two comes with turned polarity
     */
    public function __construct(
        public Decibels $difference,
        public Milliseconds $apart,
        public bool $isOneClock = true,
        public bool $isLegs = false,
        public bool $isTurned = false,
    ) {
    }

    /** How far below the strongest a further arrival counts, by how late it is, in dB. */
    public static function countsWithin(Milliseconds $apart): float
    {
        return $apart->value() > self::ECHO_MS ? self::ECHO_DB : self::RIPPLE_DB;
    }

    public function kind(): DoublingKind
    {
        return match (true) {
            $this->apart->value() < self::ADDS_MS && ! $this->isOneClock => DoublingKind::Drifts,
            $this->apart->value() < self::ADDS_MS && ! $this->isTurned => DoublingKind::Adds,
            $this->apart->value() <= self::CANCELS_MS => DoublingKind::Cancels,
            $this->apart->value() < self::ADDS_MS => DoublingKind::Thin,
            $this->apart->value() <= self::ECHO_MS => DoublingKind::Combs,
            default => DoublingKind::Echo,
        };
    }

    /** First frequency of the comb that is weakened, above the bass that a turned copy takes; null where it does not comb. */
    public function firstNotch(): ?Hertz
    {
        return match (true) {
            $this->kind() !== DoublingKind::Combs => null,
            $this->isTurned => Hertz::perDelay(1, $this->apart),
            default => Hertz::firstNotch($this->apart),
        };
    }

    /**
     * Below this bass cancels, where one of the two is turned: two equal copies are as loud as one where 2 sin(pi f t) is 1, at 1/(6t).
     * Null where it does not, and where nothing is left.
     */
    public function cancelsBelow(): ?Hertz
    {
        return $this->isTurned && in_array($this->kind(), [DoublingKind::Thin, DoublingKind::Combs], true)
            ? Hertz::perDelay(1 / 6, $this->apart) : null;
    }

    /** How deep the notches are, or for copies that add, how much louder the sum is than the stronger one: 20 log10 |1 ± ratio|. */
    public function depth(): Decibels
    {
        $ratio = 10 ** (-$this->difference->value() / 20);

        return $this->kind() === DoublingKind::Adds ? Decibels::ofRatio(1 + $ratio) : Decibels::ofRatio(max(abs(1 - $ratio), 0.001));
    }

    /** In words, for a person: "38.2 ms apart: an audible echo". */
    public function text(): string
    {
        $apart = ($this->isLegs ? 'left and right ' : '').$this->apart->text().' ms apart: ';

        return match ($this->kind()) {
            DoublingKind::Adds => 'at the same time: up to '.$this->depth()->text().' dB louder',
            DoublingKind::Cancels => 'at the same time with opposite polarity: '.$this->depth()->text().' dB',
            DoublingKind::Thin => "{$this->apart->number()} ms apart with opposite polarity, thin: "
                ."bass cancels below {$this->cancelsBelow()?->text()}",
            DoublingKind::Drifts => 'through two devices whose clocks drift: a comb filter that keeps changing',
            DoublingKind::Combs => $apart.match (true) {
                $this->isLegs => 'the stereo image shifts to one side',
                $this->isTurned => "opposite polarity, bass cancels below {$this->cancelsBelow()?->text()}, "
                    ."first notch above at {$this->firstNotch()?->text()}",
                default => "a comb filter, first notch at {$this->firstNotch()?->text()}",
            },
            DoublingKind::Echo => $apart.'an audible echo',
        };
    }
}
