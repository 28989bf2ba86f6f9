<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\Altered;

/** Sounds begin at origins, and listeners have ears. */
final class SoundRule implements Rule
{
    public function reads(): array
    {
        return ['sources', 'listeners', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->sources as $i => $source) {
            $begins = [];
            foreach ($source->origins as $o => $origin) {
                if (isset($begins[(string) $origin->at])) {
                    $in->problem(
                        "/sources/{$i}/origins/{$o}/at",
                        "\"{$source->name}\" starts at \"{$origin->at}\" already: say it once.",
                    );
                }
                $begins[(string) $origin->at] = true;
                $point = $in->pointAt($origin->at, "/sources/{$i}/origins/{$o}/at");
                if ($point !== null && $point->kind !== PointKind::Origin) {
                    $in->problem("/sources/{$i}/origins/{$o}/at", "\"{$point->label}\" is no origin: no sound begins there.");
                }
            }
        }
        foreach ($in->parts->listeners as $i => $listener) {
            foreach ($listener->at as $a => $ref) {
                $point = $in->pointAt($ref, "/listeners/{$i}/at/{$a}");
                if ($point !== null && $point->kind !== PointKind::Ear) {
                    $in->problem("/listeners/{$i}/at/{$a}", "\"{$point->label}\" is no ear: nobody listens there.");
                }
            }
        }
    }
}
