<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Dependence\Chain;
use HiddenWire\Core\Dependence\Outage;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Signal\HeardPair;

/** What fails together, as a row of the matrix: its links as a chain, and what each listener loses. */
final readonly class DependenceRow
{
    /** @var list<array{name: string, isCable: bool, key: string}> `key` as addresses select it: "unit:desk" */
    public array $links;

    /** @var array<string, non-empty-list<HeardPair>> by listener */
    public array $lost;

    public int $count;

    public function __construct(RigPage $page, Chain $chain)
    {
        $this->links = array_map(fn ($at) => [
            'name' => $page->names->of($at),
            'isCable' => $at instanceof CableRef,
            'key' => Outage::key($at),
        ], $chain->links);
        $by = $chain->byListener();
        $lost = [];
        foreach (array_intersect_key($page->rig->listeners, $by) as $id => $_) {
            $lost[$id] = $by[$id];
        }
        $this->lost = $lost;
        $this->count = count($chain->lost);
    }

    /** "Headset amp, W-09 and Driver headset" for whom no line is drawn. */
    public function name(): string
    {
        return implode(' – ', array_column($this->links, 'name'));
    }

    public function has(string $key): bool
    {
        return in_array($key, array_column($this->links, 'key'), true);
    }
}
