<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Planning\ListeningChoice;
use HiddenWire\Core\Planning\ListeningIn;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Readings;
use HiddenWire\Core\Signal\SignalGraph;

/** The units with mixed outputs, and the one whose recipes are shown: the selected one, else the first. */
final readonly class RecipesPage
{
    /** Units among which the busiest is looked for. */
    private const LOOKED_AT = 12;

    /** @var list<Unit> */
    public array $units;

    public ?Recipes $shown;

    public bool $isMatrix;

    /** The chains of effects of the shown unit; null where it has room for none. */
    public ?Chains $chains;

    /** @var list<MeterDrawing> what each meter of the shown unit shows */
    public array $meters;

    /** @var array<string, bool> whether each lamp is lit, by its label */
    public array $lamps;

    public KnobsInSeries $knobs;

    /** The output of which was asked who can hear exactly what it gets; empty where none was. */
    public string $listenedTo;

    /** Who hears exactly that, by name. */
    public string $hear;

    /** @var list<string> by which choices others could, in sentences */
    public array $choices;

    public function __construct(RigPage $page)
    {
        $this->units = UnitMixes::units($page->rig);
        $this->shown = $this->shown($page);
        $this->isMatrix = $page->asked('as') === 'matrix';
        $this->knobs = new KnobsInSeries($page);
        [$this->meters, $this->lamps] = $this->readings($page);
        $chains = $this->shown === null ? null : new Chains($page->hearing->graph(), $this->shown->unit);
        $this->chains = $chains === null || $chains->all === [] ? null : $chains;
        $output = $this->shown === null ? null
            : $page->rig->modelOf($this->shown->unit)->points[$page->asked('listen')] ?? null;
        $listening = $output === null ? null : new ListeningIn($page->hearing, $this->shown->unit, $output);
        $this->listenedTo = $listening === null ? '' : $page->asked('listen');
        $this->hear = implode(', ', array_map(fn (Listener $one) => $one->name, $listening?->hear() ?? []));
        $this->choices = array_map(
            fn (ListeningChoice $one) => "{$one->listener->name} can: {$one->words}.".($one->also === [] ? ' Nobody else notices.'
                : ' It changes what '.implode(', ', array_map(fn (Listener $other) => $other->name, $one->also)).' hear, too.'),
            $listening?->choices() ?? [],
        );
    }

    private function shown(RigPage $page): ?Recipes
    {
        $graph = $page->hearing->graph();
        $selected = array_filter($this->units, fn (Unit $one) => $one->id === $page->selectedUnit);
        $unit = reset($selected) ?: $this->busiest($graph);

        return $unit === null ? null : new Recipes($unit, $graph, $graph->field());
    }

    /** The unit of which most feeds are in use; of the first ones where there are many. */
    private function busiest(SignalGraph $graph): ?Unit
    {
        $busiest = null;
        $most = -1;
        foreach (array_slice($this->units, 0, self::LOOKED_AT) as $unit) {
            $inUse = (new UnitMixes($unit, $graph->state, $graph->wiring()))->inUse();
            [$busiest, $most] = $inUse > $most ? [$unit, $inUse] : [$busiest, $most];
        }

        return $busiest;
    }

    /** @return array{list<MeterDrawing>, array<string, bool>} */
    private function readings(RigPage $page): array
    {
        if ($this->shown === null) {
            return [[], []];
        }
        $unit = $this->shown->unit;
        $model = $page->rig->modelOf($unit);
        $readings = new Readings($page->hearing->graph());
        $meters = $lamps = [];
        foreach ($model->meters as $meter) {
            $levels = $readings->of($unit, $meter);
            arsort($levels);
            $named = [];
            foreach ($levels as $source => $db) {
                $named[$page->rig->sources[$source]->name] = $db;
            }
            $meters[] = new MeterDrawing($meter, $named);
        }
        foreach ($model->lamps as $lamp) {
            $lamps[$lamp->label] = $readings->isLit($unit, $lamp);
        }

        return [$meters, $lamps];
    }
}
