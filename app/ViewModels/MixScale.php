<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Quantity\Decibels;

/** The scale on which all mixes of a unit are drawn, lying: dB that fader and send add to what comes in; in the drawing's units. */
final readonly class MixScale
{
    public const WIDTH = 150;

    /** What is fainter is at the left end. */
    private const FROM = -24.0;

    private const STEP = 6.0;

    private float $to;

    /** Where nothing is added. */
    public float $zero;

    /** @var list<array{x: float, text: string}> a line every 6 dB, a figure at every other one */
    public array $lines;

    /** @param  list<Decibels>  $levels  of all that is drawn on it */
    public function __construct(array $levels)
    {
        $loudest = max(0.0, ...array_map(fn (Decibels $db) => $db->value(), $levels));
        $this->to = self::STEP * max(1.0, ceil($loudest / self::STEP));
        $this->zero = $this->at(Decibels::zero());
        $lines = [];
        for ($db = self::FROM; $db <= $this->to; $db += self::STEP) {
            $text = fmod($db, 2 * self::STEP) === 0.0 ? strtr((string) (int) $db, ['-' => '−']) : '';
            $lines[] = ['x' => $this->at(Decibels::of($db)), 'text' => $text];
        }
        $this->lines = $lines;
    }

    public function at(Decibels $db): float
    {
        return round(max(0.0, min(1.0, ($db->value() - self::FROM) / ($this->to - self::FROM))) * self::WIDTH, 1);
    }
}
