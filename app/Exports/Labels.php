<?php

declare(strict_types=1);

namespace App\Exports;

use HiddenWire\Core\Book\CableContent;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Export\Exporter;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\SocketRef;

/** Flags for both ends of every cable, and a tag for every unit, on sheets of labels, each with a code that a phone opens it by. */
final readonly class Labels implements Exporter
{
    private const PADDING = 1.6;

    /**
     * @param  (\Closure(string): string)|null  $address  of what is selected, `cable:…` or `unit:…`; without it the code holds the label
     *     only
     */
    public function __construct(private LabelStock $stock, private ?\Closure $address)
    {
    }

    public function key(): string
    {
        return 'labels';
    }

    public function label(): string
    {
        return 'Labels (PDF)';
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
        $sheets = new LabelSheets($this->stock, $of->rig->name);
        foreach ($this->all($of) as $label) {
            [$x, $y] = $sheets->next();
            $this->put($sheets, $x, $y, ...$label);
        }

        return $sheets->Output('', 'S');
    }

    /** @return list<array{string, list<string>, string}> heading, lines, and what the code holds */
    private function all(Source $of): array
    {
        $content = new CableContent($of->hearing(), $of->wiring);
        $labels = [];
        foreach ($of->rig->cables as $cable) {
            foreach ([[$cable->from, $cable->to], [$cable->to, $cable->from]] as [$here, $there]) {
                $labels[] = [$cable->label, array_filter([
                    'Here: '.$this->end($of, $here), 'To: '.$this->end($of, $there), $content->of($cable),
                ]), $this->code("cable:{$cable->id}", $cable)];
            }
        }
        foreach ($of->rig->units as $unit) {
            $model = $of->rig->modelOf($unit);
            if (! $model->isProgram()) {
                $labels[] = [
                    $unit->name,
                    array_values(array_filter([$of->rig->places[$unit->place]->name, $model->name === $unit->name ? '' : $model->name])),
                    $this->address === null ? $unit->name : ($this->address)("unit:{$unit->id}"),
                ];
            }
        }

        return $labels;
    }

    private function code(string $select, Cable $cable): string
    {
        return $this->address === null ? $cable->label : ($this->address)($select);
    }

    private function end(Source $of, SocketRef $at): string
    {
        return "{$of->rig->units[$at->unit]->name} · {$of->rig->socket($at)->label}";
    }

    /** @param  list<string>  $lines */
    private function put(LabelSheets $sheets, float $x, float $y, string $heading, array $lines, string $code): void
    {
        $side = min($this->stock->height - 2 * self::PADDING, $this->stock->width * 0.34);
        $room = $this->stock->width - $side - 3 * self::PADDING;
        $sheets->write2DBarcode($code, 'QRCODE,M', $x + $this->stock->width - $side - self::PADDING, $y + self::PADDING, $side, $side);
        $sheets->SetFont(Sheets::FONT, 'B', $this->stock->height > 24 ? 11 : 8.5);
        $sheets->SetXY($x + self::PADDING, $y + self::PADDING);
        $sheets->Cell($room, 0, $heading, 0, 2, 'L', false, '', 1);
        $sheets->SetFont(Sheets::FONT, '', $this->stock->height > 24 ? 7 : 5.4);
        foreach ($lines as $line) {
            $left = $y + $this->stock->height - self::PADDING - $sheets->GetY();
            if ($left > 2) {
                $sheets->MultiCell($room, 0, $line, 0, 'L', false, 1, $x + self::PADDING, null, maxh: $left);
            }
        }
    }
}
