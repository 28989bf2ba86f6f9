<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Rig\Altered;

/** Through the air goes what is between two points. */
final class AirRule implements Rule
{
    public function reads(): array
    {
        return ['air', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->air as $i => $path) {
            $in->pointAt($path->from, "/air/{$i}/from");
            $in->pointAt($path->to, "/air/{$i}/to");
        }
    }
}
