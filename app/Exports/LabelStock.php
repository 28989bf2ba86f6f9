<?php

declare(strict_types=1);

namespace App\Exports;

/** A sheet of labels to print on, or the tape of a label printer; lengths in millimetres. The sizes are data, in resources/labels.json. */
final readonly class LabelStock
{
    /** @param  Paper|null  $paper  null for a tape: there a page is one label */
    private function __construct(
        public string $key,
        public string $name,
        public ?Paper $paper,
        public int $columns,
        public int $rows,
        public float $width,
        public float $height,
        public float $left,
        public float $top,
        public float $rightGap,
        public float $belowGap,
    ) {
    }

    /** @return array<string, self> by key */
    public static function all(): array
    {
        $all = [];
        /** @var list<array{key: string, name: string, paper: string|null, columns: int, rows: int, width: float, height: float,
         *     left: float, top: float, right_gap: float, below_gap: float}> $sizes
         */
        $sizes = json_decode((string) file_get_contents(resource_path('labels.json')), true, flags: JSON_THROW_ON_ERROR);
        foreach ($sizes as $one) {
            $all[$one['key']] = new self(
                $one['key'],
                $one['name'],
                $one['paper'] === null ? null : Paper::from($one['paper']),
                $one['columns'],
                $one['rows'],
                $one['width'],
                $one['height'],
                $one['left'],
                $one['top'],
                $one['right_gap'],
                $one['below_gap'],
            );
        }

        return $all;
    }

    /** The one of a key, else the first. */
    public static function of(string $key): self
    {
        $all = self::all();

        return $all[$key] ?? reset($all) ?: throw new \LogicException('There is no label stock.');
    }

    /** @return array{float, float} width and height of a page */
    public function page(): array
    {
        return $this->paper?->size() ?? [$this->width, $this->height];
    }

    /** @return array{float, float} the upper left corner of a label, by its number on the sheet */
    public function corner(int $number): array
    {
        return [
            $this->left + ($number % $this->columns) * ($this->width + $this->rightGap),
            $this->top + intdiv($number, $this->columns) * ($this->height + $this->belowGap),
        ];
    }
}
