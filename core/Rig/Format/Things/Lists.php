<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;

/** Lists that many things have. */
final class Lists
{
    private const MOST_IDS = 1000;

    /**
     * Ids, each once.
     *
     * @param  string  $of  the list whose things they name; empty where that is none of the document's own
     */
    public static function ids(string $of = '', int $most = self::MOST_IDS): ListOf
    {
        return ListOf::of(new Id($of), $most)->once('"%s" is named twice.');
    }

    /**
     * Some of the cases of an enum, each once.
     *
     * @param  class-string<\BackedEnum>  $enum
     */
    public static function some(string $enum): ListOf
    {
        return ListOf::of(Choice::of($enum), count($enum::cases()))->once();
    }
}
