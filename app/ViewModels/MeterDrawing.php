<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Meter;

/** A horizontal meter: its zones or printed marks, the usual level, where each sound brings it; in the drawing's units. */
final readonly class MeterDrawing
{
    /** dB over nominal at its ends. */
    private const FROM = -60.0;

    private const TO = 20.0;

    public const WIDTH = 320;

    public string $label;

    /** What it shows of a sound at its usual level. */
    public string $target;

    /** @var list<array{x: float, width: float, name: string, isLast: bool}> */
    public array $zones;

    /** @var list<array{x: float, text: string}> printed marks */
    public array $ticks;

    /** @var list<array{x: float, name: string, reading: string}> the sounds that it sees, the loudest first */
    public array $sounds;

    /** The position of a usual level. */
    public float $usual;

    /** @param  array<string, float>  $levels  dB over nominal at the meter, by the sound's name, the loudest first */
    public function __construct(Meter $meter, array $levels)
    {
        $this->label = $meter->label;
        $this->target = $meter->target();
        $zones = [];
        foreach ($meter->zones as $i => [$name, $from]) {
            $to = $meter->zones[$i + 1][1] ?? self::TO;
            $zones[] = [
                'x' => self::at($from), 'width' => round(self::at($to) - self::at($from), 1), 'name' => $name,
                'isLast' => $i === count($meter->zones) - 1 && $i > 0,
            ];
        }
        $this->zones = $zones;
        $ticks = array_map(fn (array $mark) => ['x' => self::at($mark[1]), 'text' => (string) $mark[0]], $meter->scale->marks ?? []);
        $this->ticks = array_values(array_filter($ticks, fn (array $tick) => $tick['x'] > 0 && $tick['x'] < self::WIDTH));
        $sounds = [];
        foreach ($levels as $name => $db) {
            $sounds[] = ['x' => self::at($db), 'name' => $name, 'reading' => $meter->reading($db)];
        }
        $this->sounds = $sounds;
        $this->usual = self::at(0.0);
    }

    private static function at(float $db): float
    {
        return round(max(0.0, min(1.0, ($db - self::FROM) / (self::TO - self::FROM))) * self::WIDTH, 1);
    }
}
