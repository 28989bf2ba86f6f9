<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\MapOf;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;

/**
 * A document read beside another of which the rig is known: things that both say alike are taken over from that rig as the same objects.
 * Costs a comparison of the texts, and reading what is otherwise.
 */
final readonly class Reread
{
    private function __construct(private Rig $known, private CanonicalText $was, private CanonicalText $is)
    {
    }

    /**
     * @param  Rig  $known  what `$knownText` says
     * @return RigParts|null made from the known rig; null where the texts have to be read as a whole
     */
    public static function parts(string $text, Rig $known, string $knownText): ?RigParts
    {
        $was = CanonicalText::of($knownText);
        $is = CanonicalText::of($text);
        try {
            return $was === null || $is === null ? null : (new self($known, $was, $is))->read();
        } catch (\JsonException) {
            return null;
        }
    }

    /** @throws \JsonException */
    private function read(): ?RigParts
    {
        $differing = array_flip($this->is->differing($this->was));
        $new = ['format' => Rigs::FORMAT, 'version' => Rigs::VERSION, 'name' => $this->is->decoded('name')];
        $places = $same = [];
        foreach (Rigs::rig()->allFields() as $field) {
            if (! isset($differing[$field->key])) {
                $held = $field->heldBy($this->known);
                $same[$field->property] = $field->type instanceof ListOf ? array_values((array) $held) : $held;
            } elseif (! self::isOfMany($field)) {
                $new[$field->key] = $this->is->decoded($field->key);
            } else {
                $places[$field->key] = $this->places($field);
                if ($places[$field->key] === null) {
                    return null;
                }
                $unknown = array_filter($places[$field->key], fn (mixed $one) => is_array($one));
                $data = array_map(fn (array $one): mixed => $one[0], $unknown);
                $new[$field->key] = $field->type instanceof MapOf ? (object) $data : array_values($data);
            }
        }
        $in = new Reading(Rigs::VERSION);
        $says = Rigs::rig()->values((object) array_filter($new, fn (mixed $one) => $one !== null), $in);
        if ($in->problems() !== []) {
            return null;
        }
        foreach (Rigs::rig()->allFields() as $field) {
            if (isset($places[$field->key])) {
                $says[$field->property] = self::joined($places[$field->key], $says[$field->property], $field->type instanceof MapOf);
            }
        }

        return Rigs::parts([...$says, ...$same, 'tolerated' => null])->with(from: $this->known);
    }

    private static function isOfMany(Field $field): bool
    {
        return $field->type instanceof ListOf || $field->type instanceof MapOf;
    }

    /**
     * What a list or map says now, at its places: a thing that is known, or the data of one that is not, in a list of its own.
     *
     * @return array<array-key, object|array{mixed}>|null null where the known rig does not hold what the known text says
     *
     * @throws \JsonException
     */
    private function places(Field $field): ?array
    {
        $isMap = $field->type instanceof MapOf;
        $said = (array) $this->was->decoded($field->key);
        $held = (array) $field->heldBy($this->known);
        if (count($said) !== count($held) || ($isMap && array_keys($said) !== array_keys($held))) {
            return null;
        }
        $known = [];
        foreach (array_combine(array_keys($said), $isMap ? $held : array_values($held)) as $key => $thing) {
            $known[self::text($isMap ? $key : '', $said[$key])] = $thing;
        }
        $places = [];
        foreach ((array) $this->is->decoded($field->key) as $key => $data) {
            $places[$key] = $known[self::text($isMap ? $key : '', $data)] ?? [$data];
        }

        return $places;
    }

    private static function text(int|string $key, mixed $data): string
    {
        return "{$key} ".json_encode($data, JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<array-key, object|array{mixed}>  $places
     * @param  array<array-key, mixed>  $read  what is not known, read, in the same order
     * @return array<array-key, mixed>
     */
    private static function joined(array $places, array $read, bool $isMap): array
    {
        $read = array_values($read);
        $next = 0;
        $joined = array_map(function (object|array $one) use ($read, &$next): mixed {
            return is_array($one) ? $read[$next++] : $one;
        }, $places);

        return $isMap ? $joined : array_values($joined);
    }
}
