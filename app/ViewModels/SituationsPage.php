<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\Heard;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wish;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HearingDifference;
use HiddenWire\Core\Signal\SituationDifference;
use HiddenWire\Core\Situations\SituationRow;
use HiddenWire\Core\Situations\SituationTable;

/**
 * The situations side by side: what they set, what is wished in them, how many changes lie between any two, and for whom the hearing
 * differs between the two that are chosen.
 */
final readonly class SituationsPage
{
    /** @var list<Situation> the default first */
    public array $situations;

    /** @var list<array{unit: ?Unit, place: string, rows: list<array{row: SituationRow, cells: array<string, SituationCell>}>}> */
    public array $groups;

    /** @var array<string, array<string, int>> changes from the first situation to the second */
    public array $distances;

    /** The two that are compared; null where there is only one situation. */
    public ?SituationDifference $difference;

    /** @var list<array{name: string, place: string, rows: list<array{what: string, stands: string}>}> what a hand does between the two */
    public array $steps;

    /** @var list<array{listener: Listener, says: string, pairs: list<array{before: HeardPair, after: HeardPair}>}> who hears it */
    public array $heard;

    /** @var array<string, array<string, Listener>> listeners of whom a situation has wishes of its own, by situation */
    public array $wishColumns;

    /** @var list<array{source: Source, cells: array<string, array<string, Wish>>}> such wishes, by situation and listener */
    public array $wishRows;

    private SituationTable $table;

    public function __construct(private RigPage $page)
    {
        $rig = $page->rig;
        $this->situations = array_values($rig->situations);
        $this->table = new SituationTable($rig, [$page->situation->id => $page->hearing->graph()->state]);
        $groups = $this->grouped($this->table->rows);
        $this->groups = array_map(fn (array $group) => [
            ...$group,
            'rows' => array_map(fn (SituationRow $row) => ['row' => $row, 'cells' => $this->cells($row)], $group['rows']),
        ], $groups);
        $distances = [];
        foreach ($this->situations as $from) {
            foreach ($this->situations as $to) {
                $distances[$from->id][$to->id] = count($this->table->between($from->id, $to->id));
            }
        }
        $this->distances = $distances;
        $this->difference = $page->difference ?? $this->usualPair();
        $this->steps = $this->steps();
        $this->heard = $this->heard();
        [$this->wishColumns, $this->wishRows] = $this->wishes();
    }

    /** "6 differ"; "default" of the default. */
    public function says(Situation $situation): string
    {
        return $this->page->rig->isBase($situation->id)
            ? 'default'
            : $this->distances[$this->page->rig->base()->id][$situation->id].' differ';
    }

    /** "On air to Break: 6 changes" */
    public function pairTitle(): string
    {
        $count = count($this->difference->changes ?? []);

        return "{$this->from()?->name} to {$this->to()?->name}: ".($count === 0 ? 'no changes' : Count::of($count, 'change'));
    }

    /** Whether these two are the ones that are compared, in either order. */
    public function isPair(Situation $one, Situation $other): bool
    {
        return in_array($this->from(), [$one, $other], true) && in_array($this->to(), [$one, $other], true);
    }

    public function from(): ?Situation
    {
        return $this->difference?->before->situation;
    }

    public function to(): ?Situation
    {
        return $this->difference?->after->situation;
    }

    /** Where a device that a situation uses otherwise is chosen: with its computer, in that situation. */
    public function computerUrl(SituationRow $row, string $situation): string
    {
        return $this->page->url(['situation' => $situation, 'select' => "unit:{$row->of->unit()}", 'against' => null], 'computers');
    }

    /** @return array<string, Unit> what is there in the situation that is shown, and could be left out */
    public function present(): array
    {
        return array_diff_key($this->page->rig->units, array_flip($this->page->situation->absent));
    }

    /** @return array<string, string> labels of the cables that could be pulled in the situation that is shown, by id */
    public function plugged(): array
    {
        return array_map(
            fn ($cable) => $cable->label,
            array_diff_key($this->page->rig->cables, array_flip($this->page->situation->pulled)),
        );
    }

    /** From the default to the one that is shown; where that is the default, to the next. */
    private function usualPair(): ?SituationDifference
    {
        $other = $this->situations[1] ?? null;
        $rig = $this->page->rig;
        if ($other === null) {
            return null;
        }

        return $rig->isBase($this->page->situation->id)
            ? new SituationDifference($this->page->hearing, Heard::in($rig, $other, $this->page->record), $this->table)
            : new SituationDifference(Heard::in($rig, $rig->base(), $this->page->record), $this->page->hearing, $this->table);
    }

    /**
     * @param  list<SituationRow>  $rows
     * @return list<array{unit: ?Unit, place: string, rows: list<SituationRow>}> by unit, cables behind all
     */
    private function grouped(array $rows): array
    {
        $groups = [];
        foreach ($rows as $row) {
            $unit = $row->of->unit() === null ? null : $this->page->rig->units[$row->of->unit()];
            $key = $unit->id ?? '';
            $place = $unit === null ? '' : $this->page->rig->places[$unit->place]->name;
            $groups[$key] ??= ['unit' => $unit, 'place' => $place, 'rows' => []];
            $groups[$key]['rows'][] = $row;
        }

        return array_values($groups);
    }

    /** @return array<string, SituationCell> by situation */
    private function cells(SituationRow $row): array
    {
        $cells = [];
        foreach ($this->situations as $situation) {
            $cells[$situation->id] = new SituationCell(
                $this->page->rig,
                $situation,
                $this->table->states[$situation->id],
                $row->of,
                $row->stands[$situation->id],
                in_array($situation->id, $row->saidBy, true),
            );
        }

        return $cells;
    }

    /** @return list<array{name: string, place: string, rows: list<array{what: string, stands: string}>}> */
    private function steps(): array
    {
        [$from, $to] = [$this->from(), $this->to()];
        if ($from === null || $to === null) {
            return [];
        }

        return array_map(fn (array $group) => [
            'name' => $group['unit']->name ?? 'Cables',
            'place' => $group['place'],
            'rows' => array_map(fn (SituationRow $row) => [
                'what' => trim("{$row->of->what()} ".(in_array($row->of->aspect(), ['uses', 'plays'], true) ? $row->of->aspect() : '')),
                'stands' => $row->stands[$to->id],
            ], $group['rows']),
        ], $this->grouped($this->table->between($from->id, $to->id)));
    }

    /** @return list<array{listener: Listener, says: string, pairs: list<array{before: HeardPair, after: HeardPair}>}> */
    private function heard(): array
    {
        $by = [];
        foreach ($this->difference->pairs ?? [] as $pair) {
            if ($pair['before']->isHeard() || $pair['after']->isHeard()) {
                $by[$pair['after']->listener->id][] = $pair;
            }
        }
        $heard = [];
        foreach ($this->page->rig->listeners as $listener) {
            if (isset($by[$listener->id])) {
                $heard[] = ['listener' => $listener, 'says' => self::summed($by[$listener->id]), 'pairs' => $by[$listener->id]];
            }
        }

        return $heard;
    }

    /**
     * "4 sounds no longer heard, Music 10.0 dB louder"
     *
     * @param  list<array{before: HeardPair, after: HeardPair}>  $pairs
     */
    private static function summed(array $pairs): string
    {
        $by = [];
        foreach ($pairs as $pair) {
            $by[HearingDifference::says($pair['before'], $pair['after'])][] = $pair['after']->source->name;
        }
        $words = [];
        foreach ($by as $says => $names) {
            $words[] = (count($names) === 1 ? $names[0] : Count::of(count($names), 'sound'))." {$says}";
        }

        return implode(', ', $words);
    }

    /** @return array{array<string, array<string, Listener>>, list<array{source: Source, cells: array<string, array<string, Wish>>}>} */
    private function wishes(): array
    {
        $own = [];
        $listeners = [];
        foreach ($this->page->rig->wishes as $wish) {
            foreach ($wish->situations as $situation) {
                $own[$wish->source][$situation][$wish->listener] = $wish;
                $listeners[$situation][$wish->listener] = true;
            }
        }
        $columns = [];
        foreach ($this->page->rig->situations as $situation) {
            if (isset($listeners[$situation->id])) {
                $columns[$situation->id] = array_intersect_key($this->page->rig->listeners, $listeners[$situation->id]);
            }
        }
        $rows = [];
        foreach (array_intersect_key($this->page->rig->sources, $own) as $source) {
            $rows[] = ['source' => $source, 'cells' => $own[$source->id]];
        }

        return [$columns, $rows];
    }
}
