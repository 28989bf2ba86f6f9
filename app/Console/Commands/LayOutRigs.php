<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Rig;
use App\Rigs\NodeLayouts;
use App\Rigs\RigFromRows;
use App\Rigs\Starters;
use App\ViewModels\MapDepth;
use App\ViewModels\MapGraph;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Signal\GraphBuilder;
use Illuminate\Console\Command;

/** Lays maps out ahead of time, with the same module under Node that the browser's worker runs. */
final class LayOutRigs extends Command
{
    protected $signature = 'rig:layout
        {rig? : A rig\'s number; all where it is left out}
        {--depth= : Only this one: cables, sockets, inside or everything}
        {--missing : Only maps without a layout for their present structure}
        {--shipped : The starters and the demo\'s rigs as they ship, into their own files}';

    protected $description = 'Lay out the maps of the stored rigs';

    public function handle(): int
    {
        try {
            $laidOut = $this->option('shipped') ? $this->shipped() : $this->stored();
        } catch (\RuntimeException $e) {
            $this->components->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line(Count::of($laidOut, 'map').' laid out.');

        return self::SUCCESS;
    }

    private function stored(): int
    {
        $laidOut = 0;
        foreach (Rig::query()->when($this->argument('rig'), fn ($query, $id) => $query->whereKey($id))->with('layouts')->get() as $rig) {
            try {
                $laidOut += $this->ofRig($rig);
            } catch (InvalidDocument|\RuntimeException $e) {
                // One rig that can't be read or laid out stops nothing else.
                $this->components->warn("{$rig->name} has no layout: {$e->getMessage()}");
            }
        }

        return $laidOut;
    }

    /** @throws InvalidDocument when the rig can't be read */
    private function ofRig(Rig $rig): int
    {
        $maps = [];
        $only = MapDepth::tryFrom((string) $this->option('depth'));
        foreach ($this->mapsOf(RigFromRows::rig($rig), $only === null ? MapDepth::cases() : [$only]) as $depth => $map) {
            if (! $this->option('missing') || $rig->layouts->firstWhere('depth', $depth)?->structure !== $map->structure()) {
                $maps[$depth] = $map;
            }
        }
        $laidOut = NodeLayouts::of($rig->name, $maps);
        foreach ($laidOut as $depth => $geometry) {
            $rig->layouts()->updateOrCreate(
                ['depth' => $depth],
                ['structure' => $maps[$depth]->structure(), 'geometry' => $geometry->data()],
            );
        }

        return count($laidOut);
    }

    private function shipped(): int
    {
        $laidOut = 0;
        foreach ([new Starters, new Starters('rigs')] as $shipped) {
            foreach ($shipped->ids() as $id) {
                $maps = $this->mapsOf($shipped->rig($id), MapDepth::cases());
                $layouts = [];
                foreach (NodeLayouts::of($id, $maps) as $depth => $geometry) {
                    $layouts[$depth] = ['structure' => $maps[$depth]->structure(), 'geometry' => $geometry->data()];
                }
                $shipped->keepLayouts($id, $layouts);
                $laidOut += count($layouts);
            }
        }

        return $laidOut;
    }

    /**
     * @param  list<MapDepth>  $depths
     * @return array<string, MapGraph> by depth
     */
    private function mapsOf(CoreRig $rig, array $depths): array
    {
        $graph = (new GraphBuilder($rig))->build($rig->situation() ?? throw new \LogicException('A rig has a base situation.'));
        $maps = [];
        foreach ($depths as $depth) {
            $maps[$depth->value] = new MapGraph($graph, $depth);
        }

        return $maps;
    }
}
