<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;

/** What a thing refers to by id, by the description of the format. */
final class References
{
    /** What a thing of a list is called, by list. */
    public const WORDS = [
        'places' => 'place', 'models' => 'equipment model', 'units' => 'unit', 'cables' => 'cable', 'sources' => 'source',
        'listeners' => 'listener', 'situations' => 'situation',
    ];

    /**
     * @return list<array{pointer: string, list: string, id: string}> the pointer leads from the thing to the reference, in the order of the
     *     document
     */
    public static function of(Shape $shape, object $thing): array
    {
        $references = [];
        foreach ($shape->allFields() as $field) {
            $list = self::listOf($field->type);
            $held = $list === null ? null : $field->heldBy($thing);
            foreach (is_array($held) ? $held : [] as $i => $id) {
                $references[] = ['pointer' => "/{$field->key}/{$i}", 'list' => (string) $list, 'id' => $id];
            }
            if (is_string($held)) {
                $references[] = ['pointer' => "/{$field->key}", 'list' => (string) $list, 'id' => $held];
            }
        }

        return $references;
    }

    /**
     * What a thing says otherwise once something that it refers to is gone. A reference that the thing needs stays: it goes with it.
     *
     * @return array<string, mixed> by property
     */
    public static function without(Shape $shape, object $thing, string $list, string $id): array
    {
        $says = [];
        foreach ($shape->allFields() as $field) {
            $held = self::listOf($field->type) === $list ? $field->heldBy($thing) : null;
            if (is_array($held) && in_array($id, $held, true)) {
                $says[$field->property] = array_values(array_diff($held, [$id]));
            } elseif ($held === $id && $field->missing === null) {
                $says[$field->property] = $field->usual;
            }
        }

        return $says;
    }

    /** The list whose things a type refers to; null where it refers to none. */
    private static function listOf(Type $type): ?string
    {
        $id = $type instanceof ListOf ? $type->item : $type;

        return $id instanceof Id && $id->of !== '' ? $id->of : null;
    }
}
