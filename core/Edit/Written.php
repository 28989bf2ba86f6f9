<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Link;
use HiddenWire\Core\Rig\OperatingSystem;
use HiddenWire\Core\Rig\Unit;

/** What is written down of a unit besides its name: what it costs, where it comes from, its manuals, how long it takes to start. */
final readonly class Written
{
    /**
     * @param  list<Link>  $links
     * @param  int|null  $readyS  seconds
     * @param  OperatingSystem|null  $system  of a computer
     */
    public function __construct(
        public string $price,
        public string $supplier,
        public array $links,
        public ?int $readyS,
        public ?OperatingSystem $system = null,
        public string $licence = '',
        public string $edition = '',
    ) {
    }

    /** @return list<string> what is otherwise, in words */
    public function changes(Unit $unit): array
    {
        return array_values(array_filter([
            $this->price === $unit->price ? '' : ($this->price === '' ? 'no price' : "price {$this->price}"),
            $this->supplier === $unit->supplier ? '' : ($this->supplier === '' ? 'no supplier' : "supplier {$this->supplier}"),
            $this->links == $unit->links ? '' : Count::of(count($this->links), 'link'),
            $this->system == $unit->system ? '' : 'runs '.($this->system?->words() ?? 'a system that nobody has named'),
            $this->licence === $unit->licence ? '' : "licence {$this->licence}",
            $this->edition === $unit->edition ? '' : "edition {$this->edition}",
            $this->readyS === $unit->readyS ? '' : ($this->readyS === null ? 'no time to start' : "takes {$this->readyS} s to start"),
        ]));
    }
}
