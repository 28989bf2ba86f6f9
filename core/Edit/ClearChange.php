<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** Takes one change of a situation back, or all of them: there it stands as in the default again. */
final readonly class ClearChange implements RigEdit
{
    /** @param  string|null  $at  the point or route, `unit/point`; null for all that the situation changes */
    public function __construct(public string $situation, public ?string $at = null, public bool $isPick = false)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()
            ->changing('situations', $this->situation, fn (Situation $one) => $one->with(changes: array_values(array_filter(
                $one->changes,
                fn (Change $change) => $this->at !== null
                    && ((string) $change->at !== $this->at || ($change->set instanceof Pick) !== $this->isPick),
            )))));
    }

    public function words(Rig $rig): string
    {
        $situation = $rig->situations[$this->situation];
        foreach ($situation->changes as $change) {
            if ((string) $change->at === $this->at) {
                return "{$situation->name}: ".(new Names($rig))->of($change->at).' reset to the default';
            }
        }

        return "{$situation->name}: all reset to the default";
    }
}
