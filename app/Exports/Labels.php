<?php

declare(strict_types=1);

namespace App\Exports;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\CableContent;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Export\Exporter;
use HiddenWire\Core\Rig\SocketRef;

/**
 * Flags for both ends of every cable, and a tag for every unit, on sheets of labels or on a label printer's tape. Each has a code by which
 * a phone opens what is there, where that is known and the label is large enough for a code that can be read.
 */
final readonly class Labels implements Exporter
{
    /** Lengths in millimetres. */
    private const PADDING = 1.6;

    /** What the printer of a tape leaves free above and below. */
    private const TAPE_PADDING = 1.0;

    /** The share of a label's width that its code takes at most. */
    private const CODE = 0.4;

    /** Labels and tapes that are lower have no code, and no code has smaller modules. */
    private const LEAST_HEIGHT = 18.0;

    private const LEAST_MODULE = 0.3;

    private const MOST_MODULE = 0.42;

    /** From which height on: points of the heading, points of the lines below it, and how many of these there is room for. */
    private const LETTERS = [[24.0, 12.0, 8.0, 5], [18.0, 10.0, 7.0, 3], [12.0, 9.0, 6.5, 2], [0.0, 8.5, 6.0, 1]];

    /** How long a cut mark is. */
    private const TICK = 1.4;

    /** @param  (\Closure(string): string)|null  $address  of what is selected, `cable:…` or `unit:…`; null for labels without a code */
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
        return (new Typesetter)->pdf($this->html($of));
    }

    /** The page that is set on paper. */
    public function html(BookInput $of): string
    {
        $labels = $this->all($of);
        $codes = $this->codes($labels);
        $sheets = '';
        foreach (array_chunk($labels, max(1, $this->stock->columns * $this->stock->rows), true) as $sheet) {
            $sheets .= '<div class="sheet">';
            foreach (array_keys($sheet) as $place => $number) {
                [$heading, $lines] = $labels[$number];
                [$x, $y] = $this->stock->corner($place);
                $shown = array_slice($lines, 0, $this->letters()[2]);
                $said = '<h1>'.self::text($heading).'</h1>'
                    .implode('', array_map(fn (string $line) => '<p>'.self::text($line).'</p>', $shown));
                $code = $codes[$number] ?? '';
                $sheets .= sprintf('<div class="label" style="left: %.2Fmm; top: %.2Fmm"><div>%s</div>%s</div>', $x, $y, $said, $code);
            }
            $sheets .= ($this->stock->paper === null ? '' : $this->cutMarks(count($sheet))).'</div>';
        }
        $title = self::text("{$of->rig->name}, labels");

        return '<!DOCTYPE html><html lang="en"><head><meta charset="utf-8">'
            .'<meta http-equiv="Content-Security-Policy" content="'.Typesetter::POLICY."\"><title>{$title}</title>"
            .'<style>'.PrintFonts::for($sheets.'…').$this->style()."</style></head><body>{$sheets}</body></html>";
    }

    /** @return array{float, float, int} */
    private function letters(): array
    {
        foreach (self::LETTERS as [$height, $heading, $line, $lines]) {
            if ($this->stock->height >= $height) {
                return [$heading, $line, $lines];
            }
        }
        throw new \LogicException('A label has a height.');
    }

    private function padding(): float
    {
        return $this->stock->paper === null ? self::TAPE_PADDING : self::PADDING;
    }

    /**
     * @param  list<array{string, list<string>, string|null}>  $labels
     * @return array<int, string> a drawn code for each label that has room for it
     */
    private function codes(array $labels): array
    {
        $texts = $this->stock->height < self::LEAST_HEIGHT ? [] : array_filter(array_column($labels, 2), is_string(...));
        $side = min($this->stock->height - 2 * $this->padding(), $this->stock->width * self::CODE);
        $codes = array_combine(array_keys($texts), Codes::of(array_values($texts)));

        $drawn = [];
        foreach ($codes as $number => $code) {
            preg_match('/viewBox="0 0 (\d+) /', $code, $found);
            $modules = (int) ($found[1] ?? PHP_INT_MAX);
            // No larger than a phone needs: the words need the room.
            $size = round(min($side, $modules * self::MOST_MODULE), 2);
            if ($size / $modules >= self::LEAST_MODULE) {
                $drawn[$number] = str_replace('<svg ', "<svg width=\"{$size}mm\" height=\"{$size}mm\" ", $code);
            }
        }

        return $drawn;
    }

    /** Ticks at the corners of each label, for those who print on plain paper and cut. */
    private function cutMarks(int $labels): string
    {
        [$width, $height] = $this->stock->page();
        $path = '';
        for ($number = 0; $number < $labels; $number++) {
            [$x, $y] = $this->stock->corner($number);
            foreach ([[$x, $y, 1, 1], [$x + $this->stock->width, $y, -1, 1], [$x, $y + $this->stock->height, 1, -1],
                [$x + $this->stock->width, $y + $this->stock->height, -1, -1]] as [$left, $top, $right, $down]) {
                $path .= sprintf('M%.2F %.2Fh%.2FM%.2F %.2Fv%.2F', $left, $top, $right * self::TICK, $left, $top, $down * self::TICK);
            }
        }

        return "<svg class=\"cuts\" viewBox=\"0 0 {$width} {$height}\">"
            ."<path d=\"{$path}\" fill=\"none\" stroke=\"#777\" stroke-width=\"0.12\"/></svg>";
    }

    private function style(): string
    {
        [$width, $height] = $this->stock->page();
        $padding = $this->padding();
        [$large, $small, $lines] = $this->letters();
        $each = $lines > 2 ? 2 : 1;
        $last = $this->stock->height >= 30 ? 2 : 1;
        [$labelWidth, $labelHeight] = [$this->stock->width, $this->stock->height];

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
            .label div { flex: 1; min-width: 0; overflow: hidden; }
            .label svg { flex: none; }
            .cuts { position: absolute; left: 0; top: 0; width: {$width}mm; height: {$height}mm; }
            h1, p { margin: 0; line-height: 1.12; overflow: hidden; text-overflow: ellipsis; }
            h1 { font-size: {$large}pt; font-weight: 600; white-space: nowrap; }
            p { font-size: {$small}pt; display: -webkit-box; -webkit-box-orient: vertical; -webkit-line-clamp: {$each}; }
            p:nth-of-type(3) { -webkit-line-clamp: {$last}; }
            CSS;
    }

    /** @return list<array{string, list<string>, string|null}> heading, lines, and what the code holds */
    private function all(BookInput $of): array
    {
        $content = CableContent::in($of);
        $labels = [];
        foreach ($of->rig->cables as $cable) {
            foreach ([[$cable->from, $cable->to], [$cable->to, $cable->from]] as [$here, $there]) {
                $side = $this->side($of, $here) ?: $this->side($of, $there);
                $carries = $content->of($cable);
                $labels[] = ["{$cable->label}".($side === '' ? '' : " {$side}"), [
                    'To: '.$this->end($of, $there), 'Here: '.$this->end($of, $here), ...($carries === '' ? [] : [$carries]),
                ], $this->address === null ? null : ($this->address)("cable:{$cable->id}")];
            }
        }
        foreach ($of->rig->units as $unit) {
            $model = $of->rig->modelOf($unit);
            if (! $model->isProgram()) {
                $labels[] = [
                    $unit->name,
                    array_values(array_filter([$of->rig->places[$unit->place]->name, $model->name === $unit->name ? '' : $model->name])),
                    $this->address === null ? null : ($this->address)("unit:{$unit->id}"),
                ];
            }
        }

        return $labels;
    }

    /** "left", "right" or "channel 3", where a socket has only that one of its point's channels. */
    private function side(BookInput $of, SocketRef $at): string
    {
        $socket = $of->rig->socket($at);
        $lanes = array_values($socket->lanes);
        $channels = array_values(array_unique(array_merge(...array_map(fn (Lane $lane) => $lane->channels ?? [], $lanes))));
        $points = $of->rig->modelOf($at->unit)->points;
        $width = max([0, ...array_map(fn (Lane $lane) => $points[$lane->point]->channels, $lanes)]);

        return match (true) {
            count($channels) !== 1, $width < 2 => '',
            $width === 2 => $channels[0] === 1 ? 'left' : 'right',
            default => "channel {$channels[0]}",
        };
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
