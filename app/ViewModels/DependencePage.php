<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Dependence\Dependence;
use HiddenWire\Core\Dependence\Element;
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
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HopKind;

/** What hangs on what: what is lost when something fails, what has to run first, what can come loose, what nothing needs. */
final readonly class DependencePage
{
    /** Elements and ways that are listed. */
    private const LISTED = 24;

    /** Of the sounds that somebody loses these are named. */
    private const NAMED = 4;

    /** Units up to which the ways of all situations are looked at while somebody waits. */
    private const UNITS = 200;

    /** @var list<array{name: string, url: string, count: int, lost: string}> */
    public array $elements;

    /** @var list<array{computer: string, order: list<string>, late: list<string>, circle: list<string>}> */
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
        $this->elements = array_map(fn (Element $one) => [
            ...$this->named($one->at),
            'count' => count($one->lost),
            'lost' => $this->cells($one->lost),
        ], array_slice((new Dependence($hearing))->elements, 0, self::LISTED));
        $starts = $rehearsals = [];
        foreach ($page->rig->units as $unit) {
            if (! $page->rig->modelOf($unit)->family->isHost()) {
                continue;
            }
            $order = new StartOrder($hearing->graph, $unit->place);
            $starts[] = [
                'computer' => $unit->name,
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
            $way = $pair->wish?->want === Want::Must && $pair->isHeard() ? $pair->arrivals()[0] ?? null : null;
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

    /** @return list<array{sound: string, places: list<string>, left: string}> */
    private function touches(): array
    {
        $field = $this->page->hearing->graph->field();
        $rows = [];
        foreach ($this->page->rig->sources as $source) {
            $touch = new Touch($this->page->hearing, $source, $field->sourcesAt(...));
            if ($touch->places !== [] || $touch->left !== []) {
                $rows[] = [
                    'sound' => $source->name,
                    'places' => array_map(fn (PointRef|RouteRef $at) => $this->page->names->of($at), $touch->places),
                    'left' => implode(', ', array_map(fn (HeardPair $pair) => $pair->listener->name, $touch->left)),
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
