<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Situation;

/** Removes one change of a situation, or all of them: there the default applies again. */
final readonly class ClearChange implements RigEdit
{
    /**
     * @param  string|null  $at  the point or route, `unit/point`; null for all that the situation changes
     * @param  string|null  $only  what alone is taken back: the key of a dial, or `on`, `db`, `tap` of a route; `on` of an exclusive group
     *     is that of all its routes. Null for all that is set there
     */
    public function __construct(
        public string $situation,
        public ?string $at = null,
        public bool $isPick = false,
        public ?string $only = null,
    ) {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $one) use ($rig): Situation {
            $kept = array_map(fn (Change $change) => $this->rest($rig, $change), $one->changes);

            return $one->with(changes: array_values(array_filter($kept)));
        }));
    }

    /** What is left of a change; null where nothing is. */
    private function rest(Rig $rig, Change $change): ?Change
    {
        $set = $change->set;
        if ($this->at === null) {
            return null;
        }
        if ($this->only === null || $set instanceof Pick) {
            return (string) $change->at === $this->at && ($set instanceof Pick) === $this->isPick ? null : $change;
        }
        if ($set instanceof PointSettings) {
            $rest = (string) $change->at !== $this->at ? $set : $set->only(fn (DialKind $kind) => $kind->key() !== $this->only);
        } else {
            $rest = $this->isMeant($rig, $change) ? new RouteSettings(
                $this->only === 'on' ? null : $set->on,
                $this->only === 'db' ? null : $set->db,
                $this->only === 'tap' ? null : $set->tap,
            ) : $set;
        }

        return $rest->isEmpty() ? null : new Change($change->at, $rest);
    }

    private function isMeant(Rig $rig, Change $change): bool
    {
        if ((string) $change->at === $this->at) {
            return true;
        }
        [$unit, $key] = [...explode('/', (string) $this->at, 2), ''];
        $routes = $change->at->unit === $unit && $change->at instanceof RouteRef ? $rig->modelOf($unit)->routes : [];
        $group = $routes[$key]->group ?? null;

        return $this->only === 'on' && $group !== null && $change->at instanceof RouteRef && $routes[$change->at->key]->group === $group;
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
