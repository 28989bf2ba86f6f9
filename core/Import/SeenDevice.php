<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\Role;

/** A device as somebody has read it off a computer. */
final readonly class SeenDevice
{
    /**
     * @param  list<Role>  $roles  defaults that it was said to be
     * @param  int|null  $rateHz  null where it was not said
     * @param  int|null  $bits  null where it was not said
     */
    public function __construct(
        public string $name,
        public Direction $direction,
        public array $roles = [],
        public ?int $rateHz = null,
        public ?int $bits = null,
        public bool $isEnabled = true,
    ) {
    }

    /** The name without what systems put before or behind it to tell alike ones apart: "2- USB mixer", "USB mixer (2)", "USB mixer #2". */
    public static function bare(string $name): string
    {
        $bare = (string) preg_replace(
            ['/^\s*\d+\s*-\s*/u', '/\(\s*\d+\s*-\s*/u', '/\s*[#(]\s*\d+\s*\)?\s*$/u', '/\s+/u'],
            ['', '(', '', ' '],
            $name,
        );

        return mb_strtolower(trim($bare));
    }
}
