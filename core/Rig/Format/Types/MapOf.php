<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** Things of one type by a key, written as an object. */
final readonly class MapOf implements Type
{
    /**
     * @param  Type|null  $key  what the keys are; null where only their use tells
     * @param  int  $least  entries that it has, by a rule of the thing that has it
     */
    public function __construct(public Type $item, private ?Type $key = null, private int $least = 0)
    {
    }

    /** @return array<array-key, mixed> what could be read, by key */
    public function read(mixed $value, Reading $in): array
    {
        if (! $value instanceof \stdClass) {
            $in->problem('This has to be an object, {…}.');

            return [];
        }
        $map = $in->here();
        $read = [];
        foreach ((array) $value as $key => $data) {
            $key = (string) $key;
            $before = $in->count();
            $in->enter($key);
            $this->key?->read($key, $in);
            $one = $this->item->read($data, $in);
            $in->leave();
            if ($in->count() === $before) {
                $read[$key] = $one;
            } else {
                $in->unreadable($map, $key);
            }
        }

        return $read;
    }

    public function write(mixed $value, object $of): mixed
    {
        // A map by digits only would be a list.
        return (object) array_map(fn (mixed $one) => $this->item->write($one, $of), $value);
    }

    public function what(): string
    {
        return 'an object';
    }

    public function usual(): mixed
    {
        return [];
    }

    public function schema(Definitions $definitions): array
    {
        return [
            'type' => 'object',
            ...($this->key === null ? [] : ['propertyNames' => $this->key->schema($definitions)]),
            'additionalProperties' => $this->item->schema($definitions),
            ...($this->least === 0 ? [] : ['minProperties' => $this->least]),
        ];
    }
}
