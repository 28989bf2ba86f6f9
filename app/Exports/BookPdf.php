<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\Figure;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Photo;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Book\Steps;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Export\Exporter;

/** The book as PDF: contents with page numbers, wide tables and maps on sheets on their side, fonts embedded, text that can be searched. */
final readonly class BookPdf implements Exporter
{
    /** The height of a picture at most, in millimetres: two on a sheet. */
    private const PHOTO_HEIGHT = 105;

    /**
     * @param  list<string>|null  $parts  null for all
     * @param  (\Closure(int, int): void)|null  $progress  told after each part how many of all are written; what it throws ends the writing
     */
    public function __construct(
        private Drawings $drawings,
        private ?array $parts,
        private Paper $paper,
        private ?\Closure $progress = null,
    ) {
    }

    public function key(): string
    {
        return 'pdf';
    }

    public function label(): string
    {
        return 'Book (PDF)';
    }

    public function extension(): string
    {
        return 'pdf';
    }

    public function mediaType(): string
    {
        return 'application/pdf';
    }

    public function write(Source $of): string
    {
        $book = new Book($of, $this->parts);
        $sheets = new Sheets($this->paper, $book->title, $book->edition);
        $this->cover($sheets, $book);
        foreach ($book->chapters as $number => ['part' => $part, 'blocks' => $blocks]) {
            $this->chapter($sheets, $part->title(), $blocks);
            ($this->progress ?? fn () => null)($number + 1, count($book->chapters));
        }
        $this->contents($sheets);

        return $sheets->Output('', 'S');
    }

    private function cover(Sheets $sheets, Book $book): void
    {
        $sheets->AddPage('P');
        $sheets->SetY($sheets->getPageHeight() * 0.36);
        $sheets->SetFont(Sheets::FONT, 'B', 26);
        $sheets->MultiCell($sheets->inside(), 0, $book->title, 0, 'L');
        $sheets->SetFont(Sheets::FONT, '', 11);
        $sheets->MultiCell($sheets->inside(), 0, $book->edition, 0, 'L');
    }

    /** After the cover; the library counts its pages when all others are known. */
    private function contents(Sheets $sheets): void
    {
        $sheets->addTOCPage('P');
        $sheets->SetFont(Sheets::FONT, 'B', 15);
        $sheets->Cell(0, 10, 'Contents', 0, 1);
        $sheets->SetFont(Sheets::FONT, '', 9);
        $sheets->addTOC(2, Sheets::FONT, '.', 'Contents');
        $sheets->endTOCPage();
    }

    /** @param  list<Block>  $blocks */
    private function chapter(Sheets $sheets, string $title, array $blocks): void
    {
        $isBegun = false;
        foreach ($blocks as $number => $block) {
            $isWide = ($block instanceof Table && $block->isWide) || $block instanceof Figure
                // A heading goes where what it is over goes.
                || ($block instanceof Heading && ($blocks[$number + 1] ?? null) instanceof Table && $blocks[$number + 1]->isWide);
            if (! $isBegun || $isWide === $sheets->isUpright()) {
                $sheets->AddPage($isWide ? 'L' : 'P');
            }
            if (! $isBegun) {
                $sheets->Bookmark($title, 0);
                $sheets->SetFont(Sheets::FONT, 'B', 15);
                $sheets->MultiCell($sheets->inside(), 0, $title, 0, 'L');
                $sheets->Ln(2);
                $isBegun = true;
            }
            $this->block($sheets, $block);
        }
    }

    private function block(Sheets $sheets, Block $block): void
    {
        match (true) {
            $block instanceof Heading => $this->heading($sheets, $block),
            $block instanceof Text => $this->text($sheets, $block),
            $block instanceof Steps => $this->steps($sheets, $block),
            $block instanceof Table => $block->rows === [] ? null : (new TablePdf($sheets, $block))->write(),
            $block instanceof Figure => $this->figure($sheets, $block),
            $block instanceof Photo => $this->photo($sheets, $block),
            default => throw new \LogicException('The PDF does not know '.$block::class.'.'),
        };
    }

    private function figure(Sheets $sheets, Figure $figure): void
    {
        try {
            (new MapPdf($sheets, $this->drawings->at(MapDepth::from($figure->depth)), $figure->caption))->write();
        } catch (TooLarge $e) {
            $this->text($sheets, new Text("{$figure->caption}: {$e->getMessage()}"));
        }
    }

    private function photo(Sheets $sheets, Photo $photo): void
    {
        $jpeg = ($photo->jpeg)();
        if ($jpeg === '') {
            return;
        }
        // As large as the sheet allows, and with its caption on the same sheet.
        $scale = min($sheets->inside() / $photo->width, self::PHOTO_HEIGHT / $photo->height);
        [$width, $height] = [$photo->width * $scale, $photo->height * $scale];
        if ($sheets->left() < $height + 10) {
            $sheets->AddPage($sheets->isUpright() ? 'P' : 'L');
        }
        $this->text($sheets, new Text($photo->caption));
        $sheets->Image("@{$jpeg}", $sheets->GetX(), $sheets->GetY(), $width, $height, 'JPEG');
        $sheets->SetY($sheets->GetY() + $height + 3);
    }

    private function heading(Sheets $sheets, Heading $heading): void
    {
        if ($sheets->left() < 30) {
            $sheets->AddPage($sheets->isUpright() ? 'P' : 'L');
        }
        $sheets->Bookmark($heading->text, 1);
        $sheets->Ln(2);
        $sheets->SetFont(Sheets::FONT, 'B', 11);
        $sheets->MultiCell($sheets->inside(), 0, $heading->text, 0, 'L');
        $sheets->Ln(0.5);
    }

    private function text(Sheets $sheets, Text $text): void
    {
        $sheets->SetFont(Sheets::FONT, '', 9.5);
        $sheets->MultiCell($sheets->inside(), 0, $text->text, 0, 'L');
        $sheets->Ln(1.2);
    }

    private function steps(Sheets $sheets, Steps $steps): void
    {
        $sheets->SetFont(Sheets::FONT, '', 9.5);
        foreach ($steps->steps as $step) {
            $height = $sheets->getStringHeight($sheets->inside() - 8, $step);
            if ($sheets->left() < $height) {
                $sheets->AddPage($sheets->isUpright() ? 'P' : 'L');
            }
            $sheets->Rect($sheets->GetX() + 1, $sheets->GetY() + 0.9, 3.4, 3.4);
            $sheets->SetX($sheets->GetX() + 7);
            $sheets->MultiCell($sheets->inside() - 7, 0, $step, 0, 'L');
        }
        $sheets->Ln(1.5);
    }
}
