<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;

/** What a thing refers to by id is there, and is another thing; by the description of the format. */
final class ReferenceRule implements Rule
{
    /** Lists whose references are looked at together with what they lead into. */
    private const APART = ['devices'];

    public function reads(): array
    {
        return Altered::LISTS;
    }

    public function check(Fit $in): void
    {
        foreach (Rigs::rig()->allFields() as $field) {
            $item = $field->type instanceof ListOf ? $field->type->item : null;
            if (! $item instanceof ObjectOf || in_array($field->key, self::APART, true)) {
                continue;
            }
            foreach ($in->altered($field->property) as $i => $thing) {
                foreach (References::of($item->shape, $thing) as ['pointer' => $pointer, 'list' => $list, 'id' => $id]) {
                    if ($list === $field->key && $id === get_object_vars($thing)['id']) {
                        $in->problem("/{$field->key}/{$i}{$pointer}", 'This is the '.References::WORDS[$list].' itself: name another.');
                    } else {
                        $in->known($list, $id, "/{$field->key}/{$i}{$pointer}", References::WORDS[$list]);
                    }
                }
            }
        }
    }
}
