<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Equipment\LevelRange;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Quantity\Decibels;

/**
 * The position of a knob or fader along its travel, as a small picture in a table: by the marks of the scale that is printed there, else
 * evenly in dB for a knob and as {@see Law::Taper} for a fader.
 */
final readonly class Travel implements \Stringable
{
    /** Cells of the picture in plain text. */
    private const CELLS = 9;

    /**
     * @param  float  $share  of the way, from 0 to 1
     * @param  bool  $isFader  whether it moves along a line; a knob turns
     * @param  string  $words  "25.0 dB", with the mark behind it where a scale is printed: "25.0 dB = 4.2"
     */
    private function __construct(public float $share, public bool $isFader, public string $words)
    {
    }

    public static function ofFader(Span $span, Decibels $at): self
    {
        return self::of($span, $at, Law::Taper);
    }

    public static function ofKnob(Span|LevelRange $range, Decibels $at): self
    {
        return self::of($range, $at, Law::Even);
    }

    private static function of(Span|LevelRange $range, Decibels $at, Law $law): self
    {
        return new self(
            $range->scale === null ? $law->share($at->value(), $range->from->value(), $range->to->value())
                : self::byMarks($range->scale, $at),
            $law === Law::Taper,
            "{$at->exactText()} dB".($range->scale === null ? '' : " = {$range->scale->words($at)}"),
        );
    }

    /** "├──────●┤ −3.0 dB", the picture from the lowest to the highest. */
    public function __toString(): string
    {
        $before = (int) round($this->share * (self::CELLS - 1));

        return '├'.str_repeat('─', $before).'●'.str_repeat('─', self::CELLS - 1 - $before)."┤ {$this->words}";
    }

    private static function byMarks(OwnScale $scale, Decibels $at): float
    {
        $first = $scale->marks[0][0];
        $last = $scale->marks[count($scale->marks) - 1][0];

        return $last > $first ? min(1.0, max(0.0, ($scale->markOf($at) - $first) / ($last - $first))) : 0.0;
    }
}
