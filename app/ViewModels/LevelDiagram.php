<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Levels\Stage;
use HiddenWire\Core\Signal\HeardPair;

/** A level diagram: how far a sound, its peaks and its noise stand under what each stage of its way takes. Drawn from left to right. */
final readonly class LevelDiagram
{
    public const STAGE = 118;

    public const LEFT = 44;

    public const TOP = 14;

    public const HEIGHT = 190;

    /** From the maximum down to here, dB. */
    public const DEPTH_DB = 110.0;

    /** Above the maximum that is shown. */
    private const OVER_DB = 14.0;

    /** What a lead takes where neither end says: professional line with 18 dB of headroom. */
    private const LEAD_DBU = 22.0;

    /**
     * Heights in the drawing; `max` is null where nothing is clipped.
     *
     * @var list<array{x: int, stage: Stage, level: float, peak: float, floor: float, max: float|null, says: string, isOver: bool}>
     */
    public array $columns;

    public function __construct(public HeardPair $pair, public Chain $chain)
    {
        $columns = [];
        foreach ($chain->stages as $i => $stage) {
            $most = $stage->max ?? $this->reference($chain->stages, $i);
            $columns[] = [
                'x' => self::LEFT + self::STAGE * $i + intdiv(self::STAGE, 2),
                'stage' => $stage,
                'level' => self::y($stage->level - $most),
                'peak' => self::y($stage->level + Chain::CREST_DB - $most),
                'floor' => self::y($stage->floor - $most),
                'max' => $stage->max === null ? null : self::y(0),
                'says' => LevelsPage::db($stage->level)." {$stage->unit()}",
                'isOver' => ($stage->headroom() ?? 1.0) < 0,
            ];
        }
        $this->columns = $columns;
    }

    public function width(): int
    {
        return self::LEFT + self::STAGE * count($this->columns) + self::LEFT;
    }

    /** @return list<string> a label in two lines: the unit, then what is inside it, each as wide as a stage */
    public function label(string $label): array
    {
        return array_map(
            fn (string $part) => TextWidth::cut($part, 11, self::STAGE - 8),
            array_slice(explode(' · ', $label, 2), 0, 2),
        );
    }

    /** @return array{float, float} top and height of where the usual level is to be: 6 dB around the target */
    public function band(): array
    {
        [$top, $end] = [self::y(Chain::TARGET_DBFS + 6), self::y(Chain::TARGET_DBFS - 6)];

        return [$top, $end - $top];
    }

    /** @return list<array{float, string}> heights and words of the scale */
    public function scale(): array
    {
        return array_map(fn (int $db) => [self::y(-$db), $db === 0 ? 'most' : "−{$db}"], [0, 20, 40, 60, 80, 100]);
    }

    /**
     * A line through the stages, as the points of an SVG polyline.
     *
     * @param  'level'|'peak'|'floor'  $what
     */
    public function line(string $what): string
    {
        return implode(' ', array_map(fn (array $column) => "{$column['x']},{$column[$what]}", $this->columns));
    }

    /** The noise from its line down. */
    public function noise(): string
    {
        $bottom = self::TOP + self::HEIGHT;
        $last = $this->columns[count($this->columns) - 1]['x'];

        return "{$this->columns[0]['x']},{$bottom} {$this->line('floor')} {$last},{$bottom}";
    }

    /**
     * What a stage is drawn against that clips nothing: the next input on leads, full scale inside.
     *
     * @param  list<Stage>  $stages
     */
    private function reference(array $stages, int $i): float
    {
        if (! $stages[$i]->isAnalog) {
            return 0.0;
        }
        foreach (array_slice($stages, $i + 1) as $next) {
            if ($next->isAnalog && $next->max !== null) {
                return $next->max;
            }
        }

        return self::LEAD_DBU;
    }

    private static function y(float $db): float
    {
        $shown = max(-self::DEPTH_DB, min(self::OVER_DB, $db));

        return round(self::TOP + self::HEIGHT * (self::OVER_DB - $shown) / (self::DEPTH_DB + self::OVER_DB), 1);
    }
}
