<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** A unit's own rule: while conditions hold, it switches routes by itself. */
final readonly class Rule
{
    /**
     * @param  non-empty-list<Condition>  $when
     * @param  bool  $isAny  one condition is enough; otherwise all have to hold
     * @param  non-empty-array<string, bool>  $routes  on or off while it is in force, by route key
     */
    public function __construct(public string $id, public string $label, public array $when, public bool $isAny, public array $routes)
    {
    }

    /** "while Mic 1 is open and Talk is soloed" */
    public function words(EquipmentModel $model): string
    {
        return 'while '.implode($this->isAny ? ' or ' : ' and ', array_map(fn (Condition $one) => $one->words($model), $this->when));
    }
}
