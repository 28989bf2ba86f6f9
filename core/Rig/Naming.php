<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Bounds;

/**
 * Ids for what a person names: small letters, digits and hyphens of the name, and a number where the id is taken; and further names of a
 * series.
 */
final class Naming
{
    private const LENGTH = 56;

    /** @param  list<array-key>  $taken */
    public static function id(string $name, array $taken): string
    {
        $plain = (string) preg_replace('/[^a-z0-9]+/', '-', strtolower((string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $name)));
        $id = trim(substr(trim($plain, '-'), 0, self::LENGTH), '-');
        $id = $id === '' ? 'thing' : $id;
        $taken = array_map(strval(...), $taken);
        for ($number = 2, $free = $id; in_array($free, $taken, true); $number++) {
            $free = "{$id}-{$number}";
        }

        return $free;
    }

    /**
     * The name with the next free number: "Microphone" is followed by "Microphone 2", that by "Microphone 3".
     *
     * @param  list<string>  $taken
     */
    public static function next(string $name, array $taken): string
    {
        // A name of the full length makes room for its number.
        $stem = rtrim(mb_substr((string) preg_replace('/ \d{1,4}$/', '', $name), 0, Bounds::NAME - 6));
        for ($number = 2; in_array("{$stem} {$number}", $taken, true); $number++) {
        }

        return "{$stem} {$number}";
    }
}
