<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/**
 * One kind of object in a document: its fields in the order in which they are written, the rules across them, and the class that holds
 * what it says. Whatever moves such objects (reading, writing, the schema) walks its shape.
 */
final class Shape
{
    /** @var list<\Closure(array<string, mixed>, Reading): mixed> */
    private array $rules = [];

    /** @var (\Closure(array<string, mixed>, Reading): mixed)|null */
    private ?\Closure $make = null;

    /** @var array<string, mixed>|\Closure(Definitions): array<string, mixed> more for the schema */
    private array|\Closure $says = [];

    /** @var list<string> keys that identify one thing of a list */
    private array $identity = ['id'];

    /** @var array<int, Plan> by version */
    private array $plans = [];

    /**
     * @param  class-string|null  $class  whose constructor takes the properties by name; null where something else is made
     * @param  list<Field|Group>  $fields
     * @param  string  $name  of its definition in the schema; empty where it is said in place
     */
    private function __construct(public readonly ?string $class, public readonly array $fields, public readonly string $name)
    {
    }

    /**
     * @param  class-string  $class  whose constructor takes the properties by name
     * @param  list<Field|Group>  $fields
     */
    public static function of(string $class, string $name, array $fields): self
    {
        return new self($class, $fields, $name);
    }

    /**
     * A shape of which something else is made than an object of a class.
     *
     * @param  list<Field|Group>  $fields
     * @param  \Closure(array<string, mixed>, Reading): mixed  $make  gets what the fields say, by property
     */
    public static function making(array $fields, \Closure $make, string $name = ''): self
    {
        return (new self(null, $fields, $name))->made($make);
    }

    /**
     * @param  \Closure(array<string, mixed>, Reading): mixed  $rule  gets what the fields say, by property, and adds problems; called only
     *     where the fields themselves are sound
     */
    public function rule(\Closure $rule): self
    {
        $with = clone $this;
        $with->rules[] = $rule;

        return $with;
    }

    /** @param  \Closure(array<string, mixed>, Reading): mixed  $make  gets what the fields say, by property; instead of the constructor */
    public function made(\Closure $make): self
    {
        $with = clone $this;
        $with->make = $make;

        return $with;
    }

    /** @param  array<string, mixed>|\Closure(Definitions): array<string, mixed>  $says  in the schema, in addition to the fields */
    public function saying(array|\Closure $says): self
    {
        $with = clone $this;
        $with->says = $says;

        return $with;
    }

    /** Things of this kind in one list are identified by these keys. */
    public function knownBy(string ...$keys): self
    {
        $with = clone $this;
        $with->identity = array_values($keys);

        return $with;
    }

    /**
     * What tells a thing from others of its list.
     *
     * @param  array<string, mixed>  $data  an object of a document
     */
    public function identityOf(array $data): string
    {
        return implode(' ', array_map(fn (string $key) => implode(',', (array) ($data[$key] ?? '')), $this->identity));
    }

    /** @return list<Field> those in objects of their own too */
    public function allFields(): array
    {
        return array_merge(...array_map(fn (Field|Group $one) => $one instanceof Group ? $one->fields : [$one], $this->fields));
    }

    /** @throws \OutOfBoundsException where it has none of that property */
    public function field(string $property): Field
    {
        foreach ($this->allFields() as $field) {
            if ($field->property === $property) {
                return $field;
            }
        }
        throw new \OutOfBoundsException("No field is held by {$property}.");
    }

    /** The thing that an object of a document says; null where something is wrong with it or inside it, which is then reported. */
    public function read(mixed $data, Reading $in): mixed
    {
        $before = $in->count();
        $values = $this->values($data, $in);
        if ($in->count() !== $before) {
            return null;
        }

        return $this->make === null ? new $this->class(...$values) : ($this->make)($values, $in);
    }

    /**
     * What the fields of an object say, by property, as far as they can be read.
     *
     * @return array<string, mixed>
     */
    public function values(mixed $data, Reading $in): array
    {
        if (! $data instanceof \stdClass) {
            $in->problem('This has to be an object, {…}.');

            return [];
        }
        $given = (array) $data;
        $before = $in->count();
        $plan = $this->plans[$in->version] ??= new Plan($this->fields, $in->version);
        $said = new Said($plan->usual, $given);
        $in->begin($said);
        $this->readFields($plan, $said, $given, $in);
        if ($in->count() === $before) {
            foreach ($this->rules as $rule) {
                $rule($said->values, $in);
            }
        }
        $this->refuseUnknown($plan, $given, $in);
        $in->end();

        return $said->values;
    }

    /**
     * An object of a document.
     *
     * @param  object|null  $around  the thing that the thing is in
     * @param  array<string, mixed>  $as  what is written already, by key
     * @return array<string, mixed>
     */
    public function write(object $thing, ?object $around = null, array $as = []): array
    {
        return $this->written($this->fields, $thing, $around, $as);
    }

    /** @return array<string, mixed> */
    public function schema(Definitions $definitions): array
    {
        $schema = fn (): array => [
            ...$this->object($this->fields, $definitions),
            ...($this->says instanceof \Closure ? ($this->says)($definitions) : $this->says),
        ];

        return $this->name === '' ? $schema() : $definitions->refer($this->name, $schema);
    }

    /** @param  array<array-key, mixed>  $given */
    private function readFields(Plan $plan, Said $said, array $given, Reading $in): void
    {
        $in->enter('');
        // Most fields of most things are as usual: only what is given is looked at, what is needed, and what follows from other fields.
        foreach (array_intersect_key($plan->keys, $given + $plan->needed + $plan->following) as $key => $_) {
            $in->to($key);
            $field = $plan->fields[$key] ?? null;
            if ($field === null) {
                $this->readGroup($plan->groups[$key], $said, $given[$key], $in);
            } elseif (array_key_exists($key, $given)) {
                $said->values[$field->property] = $field->type->read($given[$key], $in);
            } elseif (isset($plan->needed[$key])) {
                $in->problem("This is missing: {$field->missing}.");
            } elseif ($field->usual instanceof \Closure) {
                $said->values[$field->property] = ($field->usual)($said->values, $in->thing(1));
            }
        }
        $in->leave();
    }

    private function readGroup(Plan $plan, Said $said, mixed $inside, Reading $in): void
    {
        if ($inside instanceof \stdClass) {
            $this->readFields($plan, $said, (array) $inside, $in);
            $this->refuseUnknown($plan, (array) $inside, $in);
        } else {
            $in->problem('This has to be an object, {…}.');
        }
    }

    /** @param  array<array-key, mixed>  $given */
    private function refuseUnknown(Plan $plan, array $given, Reading $in): void
    {
        foreach (array_diff_key($given, $plan->keys) as $key => $_) {
            $in->problem('There is no such key here. Known: '.implode(', ', array_keys($plan->keys)).'.', $key);
        }
    }

    /**
     * @param  list<Field|Group>  $fields
     * @param  array<string, mixed>  $as
     * @return array<string, mixed>
     */
    private function written(array $fields, object $thing, ?object $around, array $as = []): array
    {
        $data = [];
        foreach ($fields as $field) {
            if (isset($as[$field->key])) {
                $data[$field->key] = $as[$field->key];

                continue;
            }
            if ($field instanceof Group) {
                $inside = $this->written($field->fields, $thing, $around);
                if ($inside !== []) {
                    $data[$field->key] = $inside;
                }

                continue;
            }
            $value = $field->heldBy($thing);
            if (! $field->isWritten) {
                $usual = $field->usual instanceof \Closure
                    ? ($field->usual)(get_object_vars($thing), $around === null ? [] : get_object_vars($around))
                    : $field->usual;
                if ($value === $usual || (is_object($usual) && $value == $usual)) {
                    continue;
                }
            }
            $data[$field->key] = $field->type->write($value, $thing);
        }

        return $data;
    }

    /**
     * @param  list<Field|Group>  $fields
     * @return array<string, mixed>
     */
    private function object(array $fields, Definitions $definitions): array
    {
        $properties = $needed = [];
        foreach ($fields as $field) {
            if ($field instanceof Group) {
                $properties[$field->key] = $this->object($field->fields, $definitions);

                continue;
            }
            $properties[$field->key] = $field->type->schema($definitions)
                + ($field->description === '' ? [] : ['description' => $field->description]);
            if ($field->isRuled || $field->isNeeded(PHP_INT_MAX - 1)) {
                $needed[] = $field->key;
            }
        }

        return [
            'type' => 'object', 'additionalProperties' => false, 'properties' => $properties,
            ...($needed === [] ? [] : ['required' => $needed]),
        ];
    }
}
