<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/** Shapes that were made: each is made once, when it is first asked for. */
final class Shapes
{
    /** @var array<string, Shape> */
    private static array $made = [];

    /** @param  \Closure(): Shape  $make */
    public static function once(string $name, \Closure $make): Shape
    {
        return self::$made[$name] ??= $make();
    }
}
