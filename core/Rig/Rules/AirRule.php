<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** Through the air goes what is between two points. */
final class AirRule implements Rule
{
    public function check(Fit $in): void
    {
        foreach ($in->parts->air as $i => $path) {
            $in->pointAt($path->from, "/air/{$i}/from");
            $in->pointAt($path->to, "/air/{$i}/to");
        }
    }
}
