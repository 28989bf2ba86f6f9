<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

use HiddenWire\Core\Rig\Rig;

/** What of two things of one kind is not alike, field by field: one that is described can't be forgotten. */
final class Difference
{
    /**
     * @param  list<string>  $besides  properties that are reported elsewhere
     * @return array<string, string> what the second says, in words, by property
     */
    public static function between(Shape $shape, object $was, object $is, Rig $rig, array $besides = []): array
    {
        $words = [];
        foreach ($shape->allFields() as $field) {
            if (! in_array($field->property, $besides, true) && $field->heldBy($was) != $field->heldBy($is)) {
                $words[$field->property] = $field->tell($is, $rig);
            }
        }

        return $words;
    }
}
