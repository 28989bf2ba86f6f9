<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Rig;
use App\Rigs\Geometry;
use App\Rigs\RigFromRows;
use App\ViewModels\MapDepth;
use App\ViewModels\MapGraph;
use HiddenWire\Core\Signal\GraphBuilder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Process;

/** Lays maps out ahead of time, with the same module under Node that the browser's worker runs. */
final class LayOutRigs extends Command
{
    protected $signature = 'rig:layout {rig? : A rig\'s number; all where it is left out} {--missing : Only maps without a layout for their present structure}';

    protected $description = 'Lay out the maps of the stored rigs';

    public function handle(): int
    {
        $rigs = Rig::query()->when($this->argument('rig'), fn ($query, $id) => $query->whereKey($id))->with('layouts')->get();
        $laidOut = 0;
        foreach ($rigs as $rig) {
            $content = RigFromRows::rig($rig);
            $graph = (new GraphBuilder($content))->build($content->situation() ?? throw new \LogicException('A rig has a base situation.'));
            /** @var array<string, MapGraph> $maps */
            $maps = [];
            foreach (MapDepth::cases() as $depth) {
                $map = new MapGraph($graph, $depth);
                $known = $rig->layouts->firstWhere('depth', $depth->value);
                if (! $this->option('missing') || $known?->structure !== $map->structure()) {
                    $maps[$depth->value] = $map;
                }
            }
            if ($maps === []) {
                continue;
            }
            $run = Process::path(base_path())->timeout(300)->input((string) json_encode(array_map(fn (MapGraph $map) => $map->forLayout(), $maps)))->run(['node', 'resources/js/layout/headless.js']);
            if (! $run->successful()) {
                $this->components->error("{$rig->name}: ".trim($run->errorOutput()));

                return self::FAILURE;
            }
            foreach ((array) json_decode($run->output(), true) as $depth => $data) {
                $geometry = Geometry::of($data, $maps[$depth]);
                if ($geometry === null) {
                    $this->components->error("{$rig->name}: the layout of the depth {$depth} does not fit its map.");

                    return self::FAILURE;
                }
                $rig->layouts()->updateOrCreate(['depth' => $depth], ['structure' => $maps[$depth]->structure(), 'geometry' => $geometry->data()]);
                $laidOut++;
            }
        }
        $this->line("{$laidOut} map(s) laid out.");

        return self::SUCCESS;
    }
}
