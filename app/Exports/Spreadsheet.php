<?php

declare(strict_types=1);

namespace App\Exports;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Export\Exporter;
use HiddenWire\Core\Export\RigTables;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Spreadsheet as Workbook;
use PhpOffice\PhpSpreadsheet\Writer\Ods;

/** The rig's tables as an OpenDocument spreadsheet, a sheet each. */
final readonly class Spreadsheet implements Exporter
{
    public function key(): string
    {
        return 'ods';
    }

    public function label(): string
    {
        return 'Tables (spreadsheet)';
    }

    public function extension(): string
    {
        return 'ods';
    }

    public function mediaType(): string
    {
        return 'application/vnd.oasis.opendocument.spreadsheet';
    }

    public function write(BookInput $of): string
    {
        $book = new Workbook;
        $book->removeSheetByIndex(0);
        $book->getProperties()->setTitle($of->rig->name)->setSubject($of->edition)->setCreator('');
        foreach (RigTables::of($of) as $name => [$columns, $rows]) {
            $sheet = $book->createSheet()->setTitle($name);
            foreach ([$columns, ...$rows] as $line => $row) {
                foreach ($row as $at => $value) {
                    if ($value !== null && $value !== '') {
                        // A text stays one, also where it looks like a formula.
                        $type = is_string($value) ? DataType::TYPE_STRING : DataType::TYPE_NUMERIC;
                        $sheet->setCellValueExplicit([$at + 1, $line + 1], $value, $type);
                    }
                }
            }
            $sheet->getStyle([1, 1, count($columns), 1])->getFont()->setBold(true);
            $sheet->freezePane('A2');
        }
        if ($book->getSheetCount() === 0) {
            $book->createSheet()->setTitle('Nothing yet');
        }
        $book->setActiveSheetIndex(0);
        $file = (string) tempnam(sys_get_temp_dir(), 'ods');
        try {
            (new Ods($book))->save($file);

            return (string) file_get_contents($file);
        } finally {
            @unlink($file);
            $book->disconnectWorksheets();
        }
    }
}
