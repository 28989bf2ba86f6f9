<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Rig\ShowStep;

/** The steps of a run-down that have a time, on a line from the first to the last, the beginning of the show marked; each on its row. */
final readonly class TimeLine
{
    /** In the drawing's units: its width, the room at either side, the height of a row, where the rows begin. */
    public const WIDTH = 720;

    private const SIDE = 24;

    public const ROW = 22;

    public const TOP = 34;

    /** Steps between the marks of the axis, in minutes: the first of which few enough marks come. */
    private const STEPS = [5, 10, 15, 30, 60, 120, 240, 480, 1440];

    private const MARKS = 9;

    /** @var list<array{x: float, y: int, clock: string, text: string, isLeft: bool}> `isLeft` where its words stand left of its dot */
    public array $rows;

    /** @var list<array{x: float, text: string}> */
    public array $marks;

    /** Where the show begins. */
    public float $start;

    public int $height;

    /** @param  list<ShowStep>  $steps  in any order; those without a time are left out */
    public function __construct(array $steps)
    {
        $timed = array_values(array_filter($steps, fn (ShowStep $step) => $step->atMin !== null));
        usort($timed, fn (ShowStep $a, ShowStep $b) => $a->atMin <=> $b->atMin);
        $minutes = array_map(fn (ShowStep $step) => (int) $step->atMin, $timed);
        [$from, $to] = [min([0, ...$minutes]), max([0, ...$minutes])];
        $at = fn (int $minute): float => round(
            self::SIDE + ($minute - $from) / max(1, $to - $from) * (self::WIDTH - 2 * self::SIDE),
            1,
        );
        $rows = [];
        foreach ($timed as $i => $step) {
            $said = new CardStep($step->text, atMin: $step->atMin, waitS: $step->waitS);
            $rows[] = [
                'x' => $at((int) $step->atMin), 'y' => self::TOP + $i * self::ROW, 'clock' => $said->clock(), 'text' => $step->text,
                'isLeft' => $at((int) $step->atMin) > self::WIDTH * 0.55,
            ];
        }
        $this->rows = $rows;
        $this->start = $at(0);
        $this->height = self::TOP + count($rows) * self::ROW;
        $every = array_values(array_filter(self::STEPS, fn (int $step) => ($to - $from) / $step <= self::MARKS))[0] ?? $to - $from + 1;
        $marks = [];
        for ($minute = (int) ceil($from / $every) * $every; $minute <= $to; $minute += $every) {
            $marks[] = ['x' => $at($minute), 'text' => $minute === 0 ? '0:00' : (new CardStep('', atMin: $minute))->clock()];
        }
        $this->marks = $marks;
    }
}
