<?php

declare(strict_types=1);

namespace App\Exports;

/** Sheets of labels, filled row by row; nothing is printed besides. */
final class LabelSheets extends Pages
{
    private int $used = 0;

    public function __construct(private readonly LabelStock $stock, string $of)
    {
        parent::__construct($stock->paper, "{$of}, labels");
        $this->SetMargins(0, 0, 0);
        $this->SetAutoPageBreak(false);
        $this->setPrintFooter(false);
        $this->setCellPaddings(0, 0, 0, 0);
        $this->SetFont(Paper::FONT, '', 7);
    }

    /** @return array{float, float} the corner of the next label; a new sheet where this one is full */
    public function next(): array
    {
        $number = $this->used++ % ($this->stock->columns * $this->stock->rows);
        if ($number === 0) {
            $this->AddPage();
        }

        return $this->stock->corner($number);
    }
}
