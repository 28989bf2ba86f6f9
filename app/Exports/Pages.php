<?php

declare(strict_types=1);

namespace App\Exports;

/** A PDF document of ours. Every face used is embedded, and a failure is an exception. Lengths in millimetres, sizes in points. */
abstract class Pages extends \TCPDF
{
    /** The face that the library chooses for itself, for which every reader would have to bring its own. */
    private const NOT_EMBEDDED = 'helvetica';

    protected function __construct(Paper $paper, string $title)
    {
        parent::__construct('P', 'mm', $paper->format(), true, 'UTF-8');
        // No line of the library's own.
        $this->tcpdflink = false;
        $this->SetCreator('Hidden Wire');
        $this->SetTitle($title);
        $this->setFontSubsetting(true);
        $this->setPrintHeader(false);
    }

    public function setFont($family, $style = '', $size = null, $fontfile = '', $subset = 'default', $out = true): void
    {
        parent::setFont(strtolower($family) === self::NOT_EMBEDDED ? Paper::FONT : $family, $style, $size, $fontfile, $subset, $out);
    }

    // The library ends the process otherwise.
    public function Error($msg): never
    {
        throw new \RuntimeException("The PDF could not be written: {$msg}");
    }
}
