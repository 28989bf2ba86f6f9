<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Rig\Altered;

/** A place has one computer, and programs run where there is one. */
final class UnitRule implements Rule
{
    public function reads(): array
    {
        return ['places', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        $hosts = [];
        foreach ($in->parts->units as $i => $unit) {
            $model = $in->parts->models[$unit->model] ?? null;
            if ($unit->system !== null && $model?->family->isHost() === false) {
                $in->problem("/units/{$i}/system", 'Only a computer or tablet has an operating system.');
            }
            if ($model?->family->isHost() === true) {
                if (isset($hosts[$unit->place])) {
                    $in->problem(
                        "/units/{$i}/place",
                        "The place \"{$unit->place}\" has its computer already: \"{$hosts[$unit->place]}\". A second computer needs a "
                            .'place of its own.',
                    );
                }
                $hosts[$unit->place] = $unit->id;
            }
        }
        foreach ($in->parts->units as $i => $unit) {
            $model = $in->parts->models[$unit->model] ?? null;
            if ($model !== null && $model->isProgram() && isset($in->ids['places'][$unit->place]) && ! isset($hosts[$unit->place])
                && ($in->unreadable['units'] ?? []) === [] && ($in->unreadable['models'] ?? []) === []) {
                $in->problem(
                    "/units/{$i}/place",
                    "A program runs in a place that has a computer or a tablet; \"{$unit->place}\" has none.",
                );
            }
        }
    }
}
