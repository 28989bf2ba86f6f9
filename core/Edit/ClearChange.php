<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** Takes one change of a situation back, or all of them: there it stands as in the base again. */
final readonly class ClearChange implements RigEdit
{
    /** @param  string|null  $at  the point or route, `unit/point`; null for all that the situation changes */
    public function __construct(public string $situation, public ?string $at = null, public bool $isPick = false)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()
            ->changing('situations', $this->situation, fn (Situation $one) => $one->with(changes: array_values(array_filter($one->changes,
                fn (Change $change) => $this->at !== null
                    && ((string) $change->at !== $this->at || ($change->set instanceof Pick) !== $this->isPick))))));
    }

    public function words(Rig $rig): string
    {
        $name = $rig->situations[$this->situation]->name;

        return $this->at === null
            ? "{$name} changes nothing any more"
            : "{$name} leaves {$rig->units[(string) strstr($this->at, '/', true)]->name} ".substr(
                (string) strstr($this->at, '/'),
                1,
            ).' as in the base';
    }
}
