<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Exports\NotInstalled;
use App\ViewModels\MapGraph;
use Illuminate\Support\Facades\Process;

/** Lays maps out on the server, with the same module under Node that the browser's worker runs. */
final class NodeLayouts
{
    private const SECONDS = 300;

    /** What a shell answers with where there is no such command. */
    private const NO_COMMAND = 127;

    /**
     * @param  string  $name  what the maps are of, for messages
     * @param  array<string, MapGraph>  $maps  by depth
     * @param  array<string, Geometry|null>  $kept  where everything stands already, by depth: only lines are laid out then
     * @return array<string, Geometry> by depth
     *
     * @throws NotInstalled with the command that installs what is missing
     * @throws \RuntimeException when Node.js fails, or its answer does not fit the map
     */
    public static function of(string $name, array $maps, array $kept = []): array
    {
        if ($maps === []) {
            return [];
        }
        $asked = [];
        foreach ($maps as $depth => $map) {
            $stands = ($kept[$depth] ?? null)?->standing();
            $asked[$depth] = $map->forLayout() + ($stands === null ? [] : ['kept' => $stands]);
        }
        $run = Process::path(base_path())->timeout(self::SECONDS)
            ->input((string) json_encode($asked))
            ->run(['node', 'resources/js/layout/headless.js']);
        $missing = match (true) {
            $run->exitCode() === self::NO_COMMAND => 'Node.js, which is not installed. bin/start installs it',
            str_contains($run->errorOutput(), 'ERR_MODULE_NOT_FOUND') => 'libraries that are not installed. Run "npm ci"',
            default => null,
        };
        if ($missing !== null) {
            throw new NotInstalled("To lay a map out takes {$missing}.");
        }
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
