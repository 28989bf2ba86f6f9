<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\With;

/** What joins two sockets. */
final readonly class Cable
{
    use With;

    /**
     * @param  list<array{string, string}>|null  $lanes  pairs (lane of the from end, lane of the to end); null pairs them by kind and
     *     order
     * @param  string  $price  as somebody wrote it: "4.90 EUR"
     */
    public function __construct(
        public string $id,
        public string $label,
        public CableType $type,
        public SocketRef $from,
        public SocketRef $to,
        public ?float $lengthM = null,
        public string $colour = '',
        public bool $owned = true,
        public ?array $lanes = null,
        public string $price = '',
        public string $supplier = '',
    ) {
    }
}
