<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\StrayWords;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Unit;

/** The computers of a rig, of which one is shown, and the programs that could run on them. */
final readonly class Computers
{
    /** @var list<Unit> every computer, in the rig's order */
    public array $hosts;

    /** @var list<Computer> the one that is shown; none where there is none */
    public array $computers;

    /** @param  array<string, EquipmentModel>  $programs  that may be used, by id */
    public function __construct(RigPage $page, public array $programs)
    {
        $this->hosts = StrayWords::computers($page->rig);
        $shown = self::shown($page, $this->hosts);
        $this->computers = $shown === null ? [] : Computer::of($page, [$shown]);
    }

    /**
     * The computer that is selected, or on which what is selected runs; else the one with most programs.
     *
     * @param  list<Unit>  $hosts
     */
    private static function shown(RigPage $page, array $hosts): ?Unit
    {
        $selected = $page->selectedUnit === null ? null : $page->rig->units[$page->selectedUnit]->place;
        $programs = [];
        foreach ($page->rig->units as $unit) {
            $programs[$unit->place] = ($programs[$unit->place] ?? 0) + ($page->rig->modelOf($unit)->isProgram() ? 1 : 0);
        }
        $shown = $hosts[0] ?? null;
        foreach ($hosts as $host) {
            if ($host->place === $selected) {
                return $host;
            }
            $shown = $shown === null || $programs[$host->place] > $programs[$shown->place] ? $host : $shown;
        }

        return $shown;
    }
}
