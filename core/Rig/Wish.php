<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** What is wanted for one source at one listener. Without situations it holds in all; one that names a situation goes before it there. */
final readonly class Wish
{
    use With;

    /**
     * @param  list<string>  $situations
     * @param  Side|null  $side  the one side on which it has to be, on purpose; null for wherever it belongs
     * @param  Treatment|null  $treatment  whether it has to be dry or processed; null for either
     */
    public function __construct(
        public string $source,
        public string $listener,
        public Want $want,
        public bool $ownLevel = false,
        public bool $alone = false,
        public array $situations = [],
        public ?Treatment $treatment = null,
        public ?Side $side = null,
    ) {
    }
}
