<?php

declare(strict_types=1);

namespace HiddenWire\Core\History;

use HiddenWire\Core\Document\CanonicalText;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Rig;

/**
 * A rig taken apart into the smallest things that a person changes on their own: a cable, a unit, one point's settings, one wish. Two
 * changes that touch different elements don't disturb each other.
 */
final class Elements
{
    /** Lists whose things are taken apart further. */
    private const APART = ['units', 'situations'];

    /**
     * The elements that two rigs do not have alike. Things that both hold as the same object are not looked at, so that a rig costs little
     * beside the one that it was made from.
     *
     * @return list<string>
     */
    public static function changed(Rig $before, Rig $after): array
    {
        return self::differing(self::of(self::besides($before, $after)), self::of(self::besides($after, $before)));
    }

    /**
     * The elements that two canonical documents do not have alike, without making rigs of them: that takes ten times as long.
     *
     * @return list<string>|null null where one of them was written in an earlier version of the format, in which things are put otherwise
     *
     * @throws \JsonException where a text is broken
     */
    public static function changedIn(string $before, string $after): ?array
    {
        $was = CanonicalText::of($before);
        $is = CanonicalText::of($after);
        if ($was === null || $is === null) {
            return null;
        }
        $said = [[], []];
        foreach ($was->differing($is) as $key) {
            foreach ([$was, $is] as $i => $text) {
                $said[$i] += isset($text->says[$key]) ? [$key => $text->decoded($key, areArrays: true)] : [];
            }
        }

        return self::differing(self::of($said[0]), self::of($said[1]));
    }

    /** @return array<string, mixed> what a rig's document says, without the things that another rig holds as the same objects */
    private static function besides(Rig $rig, Rig $other): array
    {
        return (array) json_decode((string) json_encode(Rigs::rig()->write($rig->besides($other))), true);
    }

    /**
     * @param  array<string, mixed>  $data  a document, decoded, or some keys of it
     * @return array<string, string> each element's content by its name, such as `cables/w-07` or `units/mixer/points/ch-1`
     */
    private static function of(array $data): array
    {
        $elements = ['name' => $data['name'] ?? '', 'summary' => $data['summary'] ?? '', 'days' => $data['days'] ?? null];
        foreach ($data['models'] ?? [] as $id => $model) {
            $elements["models/{$id}"] = $model;
        }
        foreach ($data['units'] ?? [] as $unit) {
            foreach ($unit['settings'] ?? [] as $kind => $settings) {
                foreach ($settings as $key => $set) {
                    $elements["units/{$unit['id']}/{$kind}/{$key}"] = $set;
                }
            }
            unset($unit['settings']);
            $elements["units/{$unit['id']}"] = $unit;
        }
        foreach ($data['situations'] ?? [] as $situation) {
            foreach ($situation['changes'] as $change) {
                $isPick = array_intersect_key($change['set'], array_flip(['device', 'default', 'channels', 'mode', 'also'])) !== [];
                $elements["situations/{$situation['id']}/{$change['at']}".($isPick ? ' pick' : '')] = $change['set'];
            }
            unset($situation['changes']);
            $elements["situations/{$situation['id']}"] = $situation;
        }
        foreach (Rigs::rig()->allFields() as $field) {
            $item = $field->type instanceof ListOf ? $field->type->item : null;
            if (! $item instanceof ObjectOf || in_array($field->key, self::APART, true)) {
                continue;
            }
            foreach ($data[$field->key] ?? [] as $thing) {
                $elements["{$field->key}/{$item->shape->identityOf($thing)}"] = $thing;
            }
        }

        return array_map(fn (mixed $content) => (string) json_encode($content), $elements);
    }

    /**
     * @param  array<string, string>  $was
     * @param  array<string, string>  $is
     * @return list<string>
     */
    private static function differing(array $was, array $is): array
    {
        $changed = [
            ...array_diff_key($was, $is),
            ...array_diff_key($is, $was),
            ...array_filter(
                $is,
                fn (string $content, string $name) => isset($was[$name]) && $was[$name] !== $content,
                ARRAY_FILTER_USE_BOTH,
            ),
        ];

        return array_map(strval(...), array_keys($changed));
    }
}
