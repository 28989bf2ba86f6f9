<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Rig\Source;

/** What comes in somewhere, named for a reader: by its sounds where they are few, else by the input. */
final readonly class SoundsIn
{
    /** More sounds than these are no name. */
    private const MOST = 3;

    private const SHOWN = 2;

    public string $name;

    /** An addition in smaller type; empty where there is none. */
    public string $also;

    /** @param  list<Source>  $sources */
    public function __construct(string $input, array $sources)
    {
        $names = array_map(fn (Source $source) => $source->name, $sources);
        $all = implode(', ', count($names) > self::MOST ? array_slice($names, 0, self::SHOWN) : $names);
        $isMany = count($names) > self::MOST;
        $this->name = $names === [] || $isMany ? $input : $all;
        $this->also = $isMany ? "{$all} and ".(count($names) - self::SHOWN).' more' : ($names === [] ? '' : $input);
    }
}
