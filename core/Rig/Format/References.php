<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Types\ElementPath;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Part;
use HiddenWire\Core\Rig\Format\Types\Path;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\SituationRef;

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
     * Parts without a thing, without what can't be without it, and with what can said otherwise.
     *
     * @param  'places'|'units'|'cables'|'sources'|'listeners'|'situations'  $list
     */
    public static function gone(RigParts $parts, string $list, string $id): RigParts
    {
        $left = [];
        foreach (Rigs::rig()->allFields() as $field) {
            $things = get_object_vars($parts)[$field->property] ?? null;
            if ($field->type instanceof ListOf && $field->type->item instanceof ObjectOf && is_array($things)) {
                $left[$field->property] = self::ofList($field->type->item->shape, $things, $list, $id);
            }
        }

        return $parts->with(...$left)->without($list, $id);
    }

    /**
     * @param  array<array-key, object>  $things
     * @return list<object>
     */
    private static function ofList(Shape $shape, array $things, string $list, string $id): array
    {
        return array_values(array_filter(array_map(fn (object $thing) => self::left($shape, $thing, $list, $id), $things)));
    }

    /** What is left of a thing once another is gone; null where it can't be without it. */
    public static function left(Shape $shape, object $thing, string $list, string $id): ?object
    {
        $says = [];
        foreach ($shape->allFields() as $field) {
            $held = $field->heldBy($thing);
            $item = $field->type instanceof ListOf ? $field->type->item : null;
            if ($item instanceof ObjectOf && is_array($held)) {
                $kept = self::ofList($item->shape, $held, $list, $id);
                $says += $kept == array_values($held) ? [] : [$field->property => $kept];
            } elseif (is_array($held) && $item !== null) {
                $kept = array_values(array_filter($held, fn (mixed $one) => ! self::leadsTo($item, $one, $list, $id)));
                if ($kept === [] && $held !== [] && $field->goesWithLast) {
                    return null;
                }
                $says += count($kept) === count($held) ? [] : [$field->property => $kept];
            } elseif (self::leadsTo($field->type, $held, $list, $id)) {
                if ($field->missing !== null) {
                    return null;
                }
                $says[$field->property] = $field->usual;
            }
        }

        return $says === [] ? $thing : new ($thing::class)(...[...get_object_vars($thing), ...$says]);
    }

    private static function leadsTo(Type $type, mixed $held, string $list, string $id): bool
    {
        return match (true) {
            $type instanceof Id => $type->of === $list && $held === $id,
            $type instanceof ElementPath => $held instanceof ElementRef && $held->collection === $list && $held->tokens[0] === $id,
            $type instanceof Part => match (true) {
                $held instanceof SituationRef => $list === 'situations' && $held->situation === $id,
                default => $list === 'units' && is_object($held) && get_object_vars($held)['unit'] === $id,
            },
            $type instanceof Path => $list === 'units' && is_object($held) && get_object_vars($held)['unit'] === $id,
            default => false,
        };
    }

    /** The list whose things a type refers to; null where it refers to none. */
    private static function listOf(Type $type): ?string
    {
        $id = $type instanceof ListOf ? $type->item : $type;

        return $id instanceof Id && $id->of !== '' ? $id->of : null;
    }
}
