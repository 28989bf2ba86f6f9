<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Exports\NotInstalled;
use App\ViewModels\MapGraph;

/** Lays maps out on the server, with the same module under Node that the browser's worker runs. */
final class NodeLayouts
{
    private const SECONDS = 300;

    /**
     * @param  string  $name  what the maps are of, for messages
     * @param  array<string, MapGraph>  $maps  by depth
     * @param  array<string, Geometry|null>  $kept  known positions, by depth: only lines are laid out then
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
        try {
            $answer = NodeScript::run('resources/js/layout/headless.js', $asked, self::SECONDS, 'To lay a map out');
        } catch (NotInstalled $e) {
            throw $e;
        } catch (\RuntimeException $e) {
            throw new \RuntimeException("{$name}: {$e->getMessage()}");
        }
        $laid = [];
        foreach ($answer as $depth => $data) {
            $laid[$depth] = Geometry::of($data, $maps[$depth])
                ?? throw new \RuntimeException("{$name}: the layout of the depth {$depth} does not fit its map.");
        }

        return $laid;
    }
}
