<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Altered;

/** What can be computed within seconds; a broadcast house has a tenth of it. */
final class SizeRule implements Rule
{
    /** Sources times listeners. */
    public const MOST_CELLS = 40_000;

    /** Pairs of channels that the routes of all units join. */
    public const MOST_LINKS = 400_000;

    public function reads(): array
    {
        return ['sources', 'listeners', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        $cells = count($in->parts->sources) * count($in->parts->listeners);
        if ($cells > self::MOST_CELLS) {
            $in->problem(
                '/listeners',
                sprintf(
                    '%s sources at %s listeners are %s cells of the hearing table; up to %s are computed. Split the rig in two.',
                    number_format(count($in->parts->sources)),
                    number_format(count($in->parts->listeners)),
                    number_format($cells),
                    number_format(self::MOST_CELLS),
                ),
            );
        }
        $links = 0;
        $ofModel = [];
        foreach ($in->parts->units as $unit) {
            $model = $in->parts->models[$unit->model] ?? null;
            $links += $model === null ? 0 : $ofModel[$unit->model] ??= $this->channelLinks($in, $model);
        }
        if ($links > self::MOST_LINKS) {
            $in->problem('/units', sprintf(
                'The routes of all units join %s pairs of channels; up to %s are computed. Take out routes '
                .'that are not needed, or split the rig in two.',
                number_format($links),
                number_format(self::MOST_LINKS),
            ));
        }
    }

    private function channelLinks(Fit $in, EquipmentModel $model): int
    {
        $links = 0;
        foreach ($model->routes as $route) {
            $from = $model->points[$route->from]->channels ?? 1;
            $to = $model->points[$route->to]->channels ?? 1;
            $links += is_array($route->map?->form) ? count($route->map->form) : max($from, $to);
        }

        return $links;
    }
}
