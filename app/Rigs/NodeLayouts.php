<?php

declare(strict_types=1);

namespace App\Rigs;

use App\ViewModels\MapGraph;
use Illuminate\Support\Facades\Process;

/** Lays maps out on the server, with the same module under Node that the browser's worker runs. */
final class NodeLayouts
{
    private const SECONDS = 300;

    /**
     * @param  string  $name  what the maps are of, for messages
     * @param  array<string, MapGraph>  $maps  by depth
     * @return array<string, Geometry> by depth
     *
     * @throws \RuntimeException when Node.js fails, or its answer does not fit the map
     */
    public static function of(string $name, array $maps): array
    {
        if ($maps === []) {
            return [];
        }
        $run = Process::path(base_path())->timeout(self::SECONDS)
            ->input((string) json_encode(array_map(fn (MapGraph $map) => $map->forLayout(), $maps)))
            ->run(['node', 'resources/js/layout/headless.js']);
        if (! $run->successful()) {
            throw new \RuntimeException("{$name}: ".trim($run->errorOutput()));
        }
        $laid = [];
        foreach ((array) json_decode($run->output(), true) as $depth => $data) {
            $laid[$depth] = Geometry::of($data, $maps[$depth])
                ?? throw new \RuntimeException("{$name}: the layout of the depth {$depth} does not fit its map.");
        }

        return $laid;
    }
}
