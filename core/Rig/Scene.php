<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** What a broadcast program shows and sounds together. */
final readonly class Scene
{
    use With;

    /**
     * @param  list<string>  $sources  the points of the program that are in it by themselves
     * @param  list<string>  $pictures  ids of the pictures that are in it
     */
    public function __construct(public string $id, public string $name, public array $sources = [], public array $pictures = [])
    {
    }
}
