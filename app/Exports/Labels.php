<?php

declare(strict_types=1);

namespace App\Exports;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\CableContent;
use HiddenWire\Core\Export\Exporter;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\SocketRef;

/** Flags for both ends of every cable, and a tag for every unit, on sheets of labels, each with a code that a phone opens it by. */
final readonly class Labels implements Exporter
{
    /** Lengths in millimetres. */
    private const PADDING = 1.6;

    /** The share of a label's width that its code takes at most. */
    private const CODE = 0.34;

    /** A label that is higher than this has larger letters. */
    private const SMALL = 24;

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

    public function write(BookInput $of): string
    {
        $labels = $this->all($of);
        $labels = array_map(fn (array $label, string $code) => [$label[0], $label[1], $code], $labels, Codes::of(array_column($labels, 2)));
        $sheets = '';
        foreach (array_chunk($labels, max(1, $this->stock->columns * $this->stock->rows)) as $sheet) {
            $sheets .= '<div class="sheet">';
            foreach ($sheet as $number => [$heading, $lines, $code]) {
                [$x, $y] = $this->stock->corner($number);
                $said = '<h1>'.self::text($heading).'</h1>'
                    .implode('', array_map(fn (string $line) => '<p>'.self::text($line).'</p>', $lines));
                $sheets .= sprintf('<div class="label" style="left: %.2Fmm; top: %.2Fmm"><div>%s</div>%s</div>', $x, $y, $said, $code);
            }
            $sheets .= '</div>';
        }
        $title = self::text("{$of->rig->name}, labels");

        return (new Typesetter)->pdf('<!DOCTYPE html><html lang="en"><head><meta charset="utf-8">'
            .'<meta http-equiv="Content-Security-Policy" content="'.Typesetter::POLICY."\"><title>{$title}</title>"
            .'<style>'.PrintFonts::for($sheets).$this->style()."</style></head><body>{$sheets}</body></html>");
    }

    private function style(): string
    {
        [$width, $height] = $this->stock->paper->size();
        $side = min($this->stock->height - 2 * self::PADDING, $this->stock->width * self::CODE);
        [$large, $small] = $this->stock->height > self::SMALL ? [11, 7] : [8.5, 5.4];
        [$padding, $labelWidth, $labelHeight] = [self::PADDING, $this->stock->width, $this->stock->height];

        $families = PrintFonts::FAMILIES;

        return <<<CSS
            @page { size: {$width}mm {$height}mm; margin: 0; }
            body { margin: 0; font-family: {$families}; }
            .sheet { position: relative; width: {$width}mm; height: {$height}mm; overflow: hidden; break-after: page; }
            .sheet:last-child { break-after: auto; }
            .label {
                position: absolute; box-sizing: border-box; width: {$labelWidth}mm; height: {$labelHeight}mm; padding: {$padding}mm;
                overflow: hidden; display: flex; gap: {$padding}mm;
            }
            .label div { flex: 1; min-width: 0; overflow: hidden; overflow-wrap: anywhere; }
            .label svg { flex: none; width: {$side}mm; height: {$side}mm; }
            h1, p { margin: 0; line-height: 1.15; }
            h1 { font-size: {$large}pt; font-weight: 600; white-space: nowrap; }
            p { font-size: {$small}pt; }
            CSS;
    }

    /** @return list<array{string, list<string>, string}> heading, lines, and what the code holds */
    private function all(BookInput $of): array
    {
        $content = new CableContent($of);
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

    private function end(BookInput $of, SocketRef $at): string
    {
        return "{$of->rig->units[$at->unit]->name} · {$of->rig->socket($at)->label}";
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }
}
