<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** Which leads are plugged in last: some systems take what came last. */
final readonly class PlugOrder implements Adjustable
{
    public function __construct(private Rig $rig)
    {
    }

    public function key(): string
    {
        return 'plug order';
    }

    public function unit(): null
    {
        return null;
    }

    public function what(): string
    {
        return 'plugged in last';
    }

    public function aspect(): string
    {
        return '';
    }

    public function stands(State $state): string
    {
        $isBase = $this->rig->isBase($state->situation->id);
        // What is plugged again comes last.
        $all = [...($isBase ? [] : $this->rig->base()->plugged), ...$state->situation->plugged];
        $order = array_reverse(array_unique(array_reverse($all)));

        return $order === [] ? 'in any order' : implode(', then ', array_map(fn (string $id) => $this->rig->cables[$id]->label, $order));
    }

    public function told(State $state): string
    {
        $order = $this->stands($state);

        return $order === 'in any order' ? 'leads plugged in any order' : "plugged in last: {$order}";
    }

    public function order(): array
    {
        return [PHP_INT_MAX];
    }
}
