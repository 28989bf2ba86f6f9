<?php

declare(strict_types=1);

namespace App\Exports;

/**
 * One shape of a map, in the map's pixels: a box, a line, a filled polygon, or a text. What writes the map decides how it is put down.
 *
 * @phpstan-type Points list<array{float, float}>
 */
final readonly class Shape
{
    /**
     * @param  'box'|'line'|'polygon'|'text'  $kind
     * @param  Points  $points  two corners of a box; the corners of a line or polygon; the start of a text on its base line
     * @param  string|null  $fill  a colour; null for none
     * @param  string|null  $stroke  a colour; null for none
     * @param  list<float>  $dashes
     * @param  'start'|'middle'|'end'  $anchor  of a text
     */
    private function __construct(
        public string $kind,
        public array $points,
        public ?string $fill = null,
        public ?string $stroke = null,
        public float $width = 1,
        public array $dashes = [],
        public string $text = '',
        public float $size = 0,
        public bool $isBold = false,
        public string $anchor = 'start',
    ) {
    }

    public static function box(float $x, float $y, float $width, float $height, ?string $fill, ?string $stroke, float $line = 1): self
    {
        return new self('box', [[$x, $y], [$x + $width, $y + $height]], $fill, $stroke, $line);
    }

    /**
     * @param  Points  $points
     * @param  list<float>  $dashes
     */
    public static function line(array $points, string $stroke, float $width, array $dashes = []): self
    {
        return new self('line', $points, null, $stroke, $width, $dashes);
    }

    /** @param  Points  $points */
    public static function polygon(array $points, ?string $fill, ?string $stroke = null): self
    {
        return new self('polygon', $points, $fill, $stroke);
    }

    /** @param  'start'|'middle'|'end'  $anchor */
    public static function text(
        float $x,
        float $y,
        string $text,
        float $size,
        string $fill,
        bool $isBold = false,
        string $anchor = 'start',
    ): self {
        return new self('text', [[$x, $y]], $fill, text: $text, size: $size, isBold: $isBold, anchor: $anchor);
    }
}
