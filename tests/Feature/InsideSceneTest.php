<?php

declare(strict_types=1);

use App\Exports\InsideScene;
use App\Exports\MapSheets;
use App\Exports\Paper;
use App\Exports\Shape;
use App\ViewModels\TextWidth;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Inside;
use HiddenWire\Core\Book\Parts\Computers;
use HiddenWire\Core\Book\Parts\Mixes;
use HiddenWire\Core\Document\DocumentReader;

/** @return list<Inside> all that a rig's book draws of what joins inside */
function insidesOf(string $file): array
{
    $of = new BookInput((new DocumentReader)->read((string) file_get_contents($file)));

    return array_values(array_filter(
        [...(new Computers)->blocks($of), ...(new Mixes)->blocks($of)],
        fn (object $block) => $block instanceof Inside,
    ));
}

/**
 * The straight pieces of a drawing's lines, thin dotted ones aside.
 *
 * @return list<array{float, float, float, float}> left, top, right, bottom
 */
function straight(InsideScene $scene): array
{
    $pieces = [];
    foreach ($scene->shapes as $shape) {
        if ($shape->kind === 'line' && $shape->dashes === []) {
            [[$ax, $ay], [$bx, $by]] = $shape->points;
            $pieces[] = [min($ax, $bx), min($ay, $by), max($ax, $bx), max($ay, $by)];
        }
    }

    return $pieces;
}

/** @return list<array{float, float, float, float}> boxes of its words */
function wordBoxes(InsideScene $scene): array
{
    return array_map(function (Shape $shape): array {
        $width = TextWidth::of($shape->text, $shape->size);
        [$x, $y] = $shape->points[0];
        $left = $shape->anchor === 'end' ? $x - $width : $x;

        return [$left, $y - 0.7 * $shape->size, $left + $width, $y];
    }, array_values(array_filter($scene->shapes, fn (Shape $one) => $one->kind === 'text')));
}

it('never lets two lines of a drawing run on one another, or through a word, or off the sheet', function (string $file) {
    $meets = fn (array $a, array $b): bool => $a[0] <= $b[2] && $b[0] <= $a[2] && $a[1] <= $b[3] && $b[1] <= $a[3];
    foreach (insidesOf($file) as $inside) {
        $scene = new InsideScene($inside);
        $lines = straight($scene);
        $marked = [];
        foreach ($scene->shapes as $shape) {
            if ($shape->kind === 'polygon') {
                $marked[] = [$shape->points[0][0], $shape->points[1][1]];
            }
        }
        foreach ($lines as $i => $a) {
            foreach (array_slice($lines, $i + 1) as $b) {
                // Level on level or upright on upright: their boxes are thin, and meet where one is on the other.
                expect(($a[0] === $a[2]) === ($b[0] === $b[2]) && $meets($a, $b))->toBeFalse("{$inside->caption}: two lines share a stretch");
            }
            foreach (wordBoxes($scene) as $box) {
                expect($meets($a, $box))->toBeFalse("{$inside->caption}: a line runs through a word");
            }
        }
        $boxes = wordBoxes($scene);
        foreach ($boxes as $i => $a) {
            expect($a[0])->toBeGreaterThanOrEqual(0.0)->and($a[2])->toBeLessThanOrEqual($scene->width)
                ->and($a[3])->toBeLessThanOrEqual($scene->height);
            foreach (array_slice($boxes, $i + 1) as $b) {
                expect($meets($a, $b))->toBeFalse("{$inside->caption}: words lie on one another");
            }
        }
        // Each join has a mark where a level and an upright line cross, beside those of the legend.
        $crossings = array_filter($marked, fn (array $at) => count(array_filter(
            $lines,
            fn (array $line) => $meets($line, [$at[0], $at[1], $at[0], $at[1]]),
        )) === 2);
        expect(count($crossings))->toBe(count($inside->joins))
            ->and($scene->width * MapSheets::LEAST)->toBeLessThanOrEqual(Paper::A4->inside(isWide: false)[0])
            ->and(10.5 * MapSheets::LEAST * 72 / 25.4)->toBeGreaterThanOrEqual(7.99);
    }
})->with(fn () => array_combine(
    array_map(fn (string $file) => basename($file, '.json'), $files = [
        ...(array) glob(dirname(__DIR__, 2).'/resources/starters/*.json'), ...(array) glob(dirname(__DIR__, 2).'/resources/rigs/*.json'),
    ]),
    $files,
));
