<?php

declare(strict_types=1);

namespace App\ViewModels;

/** A unit on the map. */
final readonly class MapPlate
{
    public const HEAD = 40;

    public const ROW = 16;

    /**
     * @param  list<MapPort>  $left
     * @param  list<MapPort>  $right
     * @param  list<array{string, string, bool}>  $insides  (port on the left, port on the right, whether it passes now)
     */
    public function __construct(
        public string $unit,
        public string $name,
        public string $caption,
        public bool $isProgram,
        public array $left,
        public array $right,
        public array $insides,
        private bool $isDeep,
    ) {
    }

    public function width(): int
    {
        $labels = fn (array $ports): float => max([0, ...array_map(fn (MapPort $port) => TextWidth::of($port->label, 11.5), $ports)]);

        return (int) ceil(max(
            96,
            TextWidth::of($this->name, 13.5) + 18,
            $labels($this->left) + $labels($this->right) + ($this->isDeep && $this->insides !== [] ? 64 : 30),
        ));
    }

    /** The caption, cut to the plate: it explains the name and must not decide the width. */
    public function shortCaption(): string
    {
        return TextWidth::cut($this->caption, 10.5, $this->width() - 16);
    }

    public function height(): int
    {
        return self::HEAD + self::ROW * max(1, count($this->left), count($this->right)) + 6;
    }

    /** The middle of a row, from the plate's top. */
    public static function rowAt(int $index): int
    {
        return self::HEAD + self::ROW * $index + intdiv(self::ROW, 2) + 2;
    }
}
