<?php

declare(strict_types=1);

namespace App\Exports;

/** Sheets of paper with a foot on each: what it is of, and its page among all. Lengths in millimetres, sizes in points. */
final class Sheets extends Pages
{
    public const MARGIN = 14;

    public const FONT = Paper::FONT;

    private const FOOT = 15;

    public function __construct(Paper $paper, private readonly string $of, private readonly string $edition)
    {
        parent::__construct($paper, $of);
        $this->SetSubject($edition);
        $this->SetMargins(self::MARGIN, self::MARGIN, self::MARGIN);
        $this->SetAutoPageBreak(true, self::FOOT + 3);
        $this->setCellPaddings(0.8, 0.5, 0.8, 0.5);
        $this->SetFont(self::FONT, '', 9);
    }

    // Called by the library for each page, hence its name.
    public function Footer(): void
    {
        $this->SetY(-self::FOOT);
        $this->SetFont(self::FONT, '', 7.5);
        $this->SetTextColor(90);
        $width = $this->inside();
        $this->Cell($width * 0.8, 5, $this->edition === '' ? $this->of : "{$this->of} · {$this->edition}", 0, 0, 'L', false, '', 1);
        $this->Cell($width * 0.2, 5, $this->getAliasRightShift().$this->getAliasNumPage().' / '.$this->getAliasNbPages(), 0, 0, 'R');
        $this->SetTextColor(0);
    }

    /** The width between the margins. */
    public function inside(): float
    {
        return $this->getPageWidth() - 2 * self::MARGIN;
    }

    /** The height left on this page. */
    public function left(): float
    {
        return $this->getPageHeight() - $this->getBreakMargin() - $this->GetY();
    }

    public function isUpright(): bool
    {
        return $this->getPageHeight() > $this->getPageWidth();
    }
}
