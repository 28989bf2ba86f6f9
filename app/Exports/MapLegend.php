<?php

declare(strict_types=1);

namespace App\Exports;

use HiddenWire\Core\Equipment\Realm;

/** What the lines and sockets of a map mean, in a row or more below it: those that it has. */
final readonly class MapLegend
{
    private const ROW = 20.0;

    private const GAP = 18.0;

    private const SAMPLE = 34.0;

    /** Letters as small as the smallest of a map. */
    private const LETTERS = 10.5;

    /** Pixels that a letter takes on average. */
    private const LETTER = 5.2;

    /** @var list<Shape> */
    public array $shapes;

    public float $height;

    /** @param  float  $width  how wide it may be */
    public function __construct(MapScene $scene, public float $width)
    {
        $shapes = [];
        [$x, $y] = [2.0, self::ROW / 2];
        foreach ($this->items($scene) as [$words, $sample, $wide]) {
            $takes = $wide + 6 + self::LETTER * mb_strlen($words);
            if ($x > 2.0 && $x + $takes > $width) {
                [$x, $y] = [2.0, $y + self::ROW];
            }
            array_push($shapes, ...$sample($x, $y), ...[
                Shape::text($x + $wide + 6, $y + 3.8, $words, self::LETTERS, MapScene::INK),
            ]);
            $x += $takes + self::GAP;
        }
        $this->shapes = $shapes;
        $this->height = $y + self::ROW / 2;
    }

    /** @return list<array{string, \Closure(float, float): list<Shape>, float}> words, what draws a sample at a place, and its width */
    private function items(MapScene $scene): array
    {
        $lines = [];
        foreach (Realm::cases() as $realm) {
            if (isset($scene->realms[$realm->value])) {
                $lines[] = [
                    match ($realm) {
                        Realm::Analog => 'analog', Realm::Digital => 'digital', Realm::Computer => 'inside a computer',
                        Realm::Network => 'over a network', Realm::Air => 'through the air',
                    },
                    fn (float $x, float $y) => MapScene::line([[$x, $y], [$x + self::SAMPLE, $y]], $realm),
                    self::SAMPLE,
                ];
            }
        }

        return [
            ...$lines,
            ['goes out', fn (float $x, float $y) => MapScene::socket($x + 4, $y, isOut: true, isFree: false), 10.0],
            ['comes in', fn (float $x, float $y) => MapScene::socket($x + 4, $y, isOut: false, isFree: false), 10.0],
            ['nothing plugged', fn (float $x, float $y) => [
                ...MapScene::socket($x + 4, $y, isOut: true, isFree: true), ...MapScene::socket($x + 18, $y, isOut: false, isFree: true),
            ], 24.0],
            ['runs back', fn (float $x, float $y) => [
                Shape::polygon([[$x + 9, $y - 5], [$x, $y], [$x + 9, $y + 5]], MapScene::INK),
            ], 10.0],
        ];
    }
}
