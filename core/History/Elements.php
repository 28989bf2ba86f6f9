<?php

declare(strict_types=1);

namespace HiddenWire\Core\History;

use HiddenWire\Core\Document\DocumentWriter;
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

    /** @return array<string, string> each element's content by its name, such as `cables/w-07` or `units/mixer/points/ch-1` */
    public static function of(Rig $rig): array
    {
        $data = (array) json_decode((string) json_encode((new DocumentWriter)->data($rig)), true);
        $elements = ['name' => $data['name'], 'summary' => $data['summary'] ?? '', 'days' => $data['days'] ?? null];
        foreach ($data['models'] as $id => $model) {
            $elements["models/{$id}"] = $model;
        }
        foreach ($data['units'] as $unit) {
            foreach ($unit['settings'] ?? [] as $kind => $settings) {
                foreach ($settings as $key => $set) {
                    $elements["units/{$unit['id']}/{$kind}/{$key}"] = $set;
                }
            }
            unset($unit['settings']);
            $elements["units/{$unit['id']}"] = $unit;
        }
        foreach ($data['situations'] as $situation) {
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
     * The elements that two rigs do not have alike.
     *
     * @return list<string>
     */
    public static function changed(Rig $before, Rig $after): array
    {
        [$was, $is] = [self::of($before), self::of($after)];
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
