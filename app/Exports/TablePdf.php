<?php

declare(strict_types=1);

namespace App\Exports;

use HiddenWire\Core\Book\Table;

/** A table on paper: its head again on every sheet, no row parted unless it is higher than a sheet. */
final readonly class TablePdf
{
    private const SIZE = 7.6;

    /** @var list<float> */
    private array $widths;

    public function __construct(private Sheets $sheets, private Table $table)
    {
        $shares = $table->widths === [] ? array_fill(0, max(1, count($table->columns)), 1.0) : $table->widths;
        $sum = array_sum($shares);
        $this->widths = array_map(fn (float|int $share) => $sheets->inside() * $share / $sum, $shares);
    }

    public function write(): void
    {
        $this->head(22);
        foreach ($this->table->rows as $row) {
            $height = $this->height($row);
            if ($this->sheets->left() < $height) {
                $this->sheets->AddPage($this->sheets->isUpright() ? 'P' : 'L');
                $this->head(0);
            }
            $this->row($row, min($height, $this->sheets->left()));
        }
        $this->sheets->Ln(3);
    }

    /** @param  float  $room  what should be left on the page for the first row */
    private function head(float $room): void
    {
        if ($this->sheets->left() < $room) {
            $this->sheets->AddPage($this->sheets->isUpright() ? 'P' : 'L');
        }
        $this->sheets->SetFillColor(236, 230, 216);
        $this->sheets->SetFont(Sheets::FONT, 'B', self::SIZE);
        $this->row($this->table->columns, $this->height($this->table->columns), isHead: true);
        $this->sheets->SetFont(Sheets::FONT, '', self::SIZE);
    }

    /** @param  list<string>  $cells */
    private function height(array $cells): float
    {
        return max([0.0, ...array_map(
            fn (string $cell, float $width) => $this->sheets->getStringHeight($width, $cell === '' ? ' ' : $cell),
            $cells,
            $this->widths,
        )]);
    }

    /** @param  list<string>  $cells */
    private function row(array $cells, float $height, bool $isHead = false): void
    {
        $this->sheets->SetDrawColor(170);
        $this->sheets->SetLineWidth(0.15);
        foreach ($cells as $number => $cell) {
            $this->sheets->MultiCell(
                $this->widths[$number],
                $height,
                $cell,
                1,
                'L',
                $isHead,
                $number === count($cells) - 1 ? 1 : 0,
                maxh: $height,
                fitcell: false,
            );
        }
    }
}
