<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/**
 * What is no text in a text, as character classes of a pattern with the modifier u. Source: Unicode 15, chapters 23.1 and 23.7; XML 1.0,
 * chapter 2.2.
 */
final class PlainText
{
    /** Control characters, but tabs and line ends. */
    public const CONTROLS = '\x00-\x08\x0B\x0C\x0E-\x1F\x7F';

    /** Code points that never stand for a character; XML allows none of the first two. */
    public const NO_CHARACTERS = '\x{FFFE}\x{FFFF}\x{FDD0}-\x{FDEF}\x{1FFFE}\x{1FFFF}\x{2FFFE}\x{2FFFF}\x{3FFFE}\x{3FFFF}\x{4FFFE}\x{4FFFF}'
        .'\x{5FFFE}\x{5FFFF}\x{6FFFE}\x{6FFFF}\x{7FFFE}\x{7FFFF}\x{8FFFE}\x{8FFFF}\x{9FFFE}\x{9FFFF}\x{AFFFE}\x{AFFFF}\x{BFFFE}\x{BFFFF}'
        .'\x{CFFFE}\x{CFFFF}\x{DFFFE}\x{DFFFF}\x{EFFFE}\x{EFFFF}\x{FFFFE}\x{FFFFF}\x{10FFFE}\x{10FFFF}';

    public static function hasControls(string $text): bool
    {
        return preg_match('/['.self::CONTROLS.']/', $text) === 1;
    }

    public static function hasNoCharacters(string $text): bool
    {
        return preg_match('/['.self::NO_CHARACTERS.']/u', $text) === 1;
    }

    public static function withoutNoCharacters(string $text): string
    {
        return (string) preg_replace('/['.self::NO_CHARACTERS.']/u', '', $text);
    }
}
