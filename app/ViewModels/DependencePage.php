<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Dependence\Dependence;
use HiddenWire\Core\Dependence\Rehearsal;
use HiddenWire\Core\Dependence\StartOrder;
use HiddenWire\Core\Dependence\Touch;
use HiddenWire\Core\Dependence\Unused;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HopKind;

/** What hangs on what: what is lost when something fails, what has to run first, what can come loose, what nothing needs. */
final readonly class DependencePage
{
    /** Rows that are drawn at most, however much hangs on other things. */
    private const DRAWN = 200;

    /** What takes at least one in so many of the wanted sounds is drawn first. */
    private const ONE_IN = 6;

    /** Of the sounds that somebody loses these are named. */
    private const NAMED = 4;

    /** Units up to which the ways of all situations are looked at while somebody waits. */
    private const UNITS = 200;

    /** @var array<string, int> what each listener is to hear and hears now, by listener: those who hear anything */
    public array $hears;

    /** Wanted sounds that are heard, over all listeners. */
    public int $wanted;

    /** @var list<DependenceRow> that on which most depends first */
    public array $rows;

    /** How many rows there are in all. */
    public int $all;

    /** What takes fewer sounds along is not drawn. */
    public int $from;

    public ?DependenceRow $selected;

    /**
     * @var list<array{computer: string, order: list<string>, bars: list<array{name: string, from: int, ready: int}>, seconds: int,
     *     late: list<string>, circle: list<string>}> seconds from the first start until each is started, and until it is ready
     */
    public array $starts;

    /** @var list<array{what: string, plugs: int, leads: string}> wished sounds by the plugs that their strongest way passes */
    public array $plugs;

    /** @var list<array{sound: string, places: list<string>, left: string}> where each sound is muted for all, in the fewest places */
    public array $touches;

    /** @var list<array{name: string, url: string}>|null what no wanted way uses in any situation; null for a rig too large to look */
    public ?array $unused;

    /** @var list<array{computer: string, follow: list<string>, protected: int, lost: string}> */
    public array $rehearsals;

    public function __construct(private RigPage $page)
    {
        $hearing = $page->hearing;
        $hears = [];
        foreach ($hearing->all() as $pair) {
            if ($pair->meetsMust()) {
                $hears[$pair->listener->id] = ($hears[$pair->listener->id] ?? 0) + 1;
            }
        }
        // In the order in which the table of wishes has them.
        $this->hears = array_intersect_key(array_replace(array_fill_keys(array_keys($page->rig->listeners), 0), $hears), $hears);
        $this->wanted = array_sum($hears);
        $chains = (new Dependence($hearing))->chains();
        $this->all = count($chains);
        $this->from = $page->asked('all') === '1' ? 1 : max(1, (int) ceil($this->wanted / self::ONE_IN));
        $key = $page->selectedUnit !== null ? "unit:{$page->selectedUnit}" : "cable:{$page->selectedCable}";
        $rows = [];
        $selected = null;
        foreach ($chains as $chain) {
            $row = new DependenceRow($page, $chain);
            $isSelected = $row->has($key);
            $selected = $isSelected ? $row : $selected;
            if ($isSelected || ($row->count >= $this->from && count($rows) < self::DRAWN)) {
                $rows[] = $row;
            }
        }
        $this->rows = $rows;
        $this->selected = $selected;
        $starts = $rehearsals = [];
        foreach ($page->rig->units as $unit) {
            if (! $page->rig->modelOf($unit)->family->isHost()) {
                continue;
            }
            $order = new StartOrder($hearing->graph(), $unit->place);
            $times = $order->times();
            $starts[] = [
                'computer' => $unit->name,
                'bars' => array_map(
                    fn ($one) => ['name' => $one->name, 'from' => $times[$one->id][0], 'ready' => $times[$one->id][1]],
                    $order->order,
                ),
                'seconds' => max([0, ...array_column($times, 1)]),
                'order' => array_map(fn ($one) => $one->name, $order->order),
                'late' => array_map(fn (array $pair) => "{$pair[0]->name} starts before {$pair[1]->name}", $order->late),
                'circle' => array_map(fn ($one) => $one->name, $order->circle),
            ];
            $rehearsal = new Rehearsal($hearing, $unit);
            $rehearsals[] = [
                'computer' => $unit->name,
                'follow' => array_map($page->names->of(...), $rehearsal->follow),
                'protected' => count($rehearsal->protected),
                'lost' => $this->cells($rehearsal->lost),
            ];
        }
        $this->starts = array_values(array_filter($starts, fn (array $one) => $one['order'] !== []));
        $this->rehearsals = $rehearsals;
        $this->plugs = $this->plugs();
        $this->touches = $this->touches();
        $this->unused = count($page->rig->units) > self::UNITS ? null : array_map($this->named(...), $this->unused());
    }

    /** "takes 27 of 34 wanted sounds along. Driver's team is not touched." */
    public function says(DependenceRow $row): string
    {
        $spared = array_diff_key($this->page->rig->listeners, $row->lost, array_diff_key($this->page->rig->listeners, $this->hears));
        $names = Listing::of(array_column($spared, 'name'), self::NAMED);

        return "takes {$row->count} of ".Count::of($this->wanted, 'wanted sound').' along.'
            .($spared === [] ? '' : " {$names} ".(count($spared) === 1 ? 'is' : 'are').' not touched.');
    }

    /** @return array{name: string, url: string} */
    private function named(UnitRef|CableRef $at): array
    {
        return [
            'name' => $this->page->names->of($at),
            'url' => $this->page->url(['select' => $at instanceof CableRef ? "cable:{$at->cable}" : "unit:{$at->unit}"], 'wiring'),
        ];
    }

    /** @param  list<HeardPair>  $pairs */
    private function cells(array $pairs): string
    {
        $by = [];
        foreach ($pairs as $pair) {
            $by[$pair->listener->name][] = $pair->source->name;
        }
        $said = array_map(
            fn (string|int $listener, array $sounds) => "{$listener}: ".Listing::of($sounds, self::NAMED),
            array_keys($by),
            $by,
        );

        return implode('; ', $said);
    }

    /** @return list<array{what: string, plugs: int, leads: string}> those with the most plugs first */
    private function plugs(): array
    {
        $rows = [];
        foreach ($this->page->hearing->all() as $pair) {
            $way = $pair->meetsMust() ? $pair->arrivals()[0] ?? null : null;
            $leads = [];
            foreach ($way?->hopsOf(HopKind::Cable) ?? [] as $hop) {
                $leads[$hop->ref] = $hop->label;
            }
            if ($leads !== []) {
                $what = "{$pair->source->name} to {$pair->listener->name}";
                $rows[] = ['what' => $what, 'plugs' => 2 * count($leads), 'leads' => implode(', ', $leads)];
            }
        }
        usort($rows, fn (array $a, array $b) => $b['plugs'] <=> $a['plugs']);

        return array_slice($rows, 0, 8);
    }

    /** @return list<array{sound: string, places: list<string>, left: string, opens: string}> */
    private function touches(): array
    {
        $field = $this->page->hearing->field();
        $rows = [];
        foreach ($this->page->rig->sources as $source) {
            $touch = new Touch($this->page->hearing, $source, $field->sourcesAt(...));
            if ($touch->places !== [] || $touch->left !== []) {
                $rows[] = [
                    'sound' => $source->name,
                    'places' => array_map(fn (PointRef|RouteRef $at) => $this->page->names->of($at), $touch->places),
                    'left' => implode(', ', array_map(fn (HeardPair $pair) => $pair->listener->name, $touch->left)),
                    'opens' => implode(', ', array_map(fn (PointRef $at) => $this->page->names->of($at), $touch->opens)),
                ];
            }
        }

        return $rows;
    }

    /** @return list<UnitRef|CableRef> */
    private function unused(): array
    {
        $hearings = new Hearings($this->page->rig, [$this->page->situation->id => $this->page->hearing]);
        $all = array_map(fn ($situation) => $hearings->in($situation->id), $this->page->rig->situations);

        return (new Unused($this->page->rig, $all))->elements;
    }
}
