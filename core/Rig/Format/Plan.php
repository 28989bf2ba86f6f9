<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/** How the fields of an object are read in one version of the format, worked out once. */
final readonly class Plan
{
    /** @var array<string, Field> by key, in their order */
    public array $fields;

    /** @var array<string, self> what is in objects of its own, by key */
    public array $groups;

    /** @var array<string, true> keys without which the object is none */
    public array $needed;

    /** @var array<string, mixed> what holds where nothing is said, by property */
    public array $usual;

    /** @var array<string, Field> fields whose usual value follows from others, by key */
    public array $following;

    /** @var array<string, true> */
    public array $keys;

    /** @param  list<Field|Group>  $all */
    public function __construct(array $all, int $version)
    {
        $fields = $groups = $needed = $usual = $following = $keys = [];
        foreach ($all as $one) {
            if ($one instanceof Group) {
                $groups[$one->key] = new self($one->fields, $one->since > $version ? 0 : $version);
                $usual += $groups[$one->key]->usual;
            } else {
                $usual[$one->property] = $one->usual instanceof \Closure ? null : $one->usual;
            }
            if ($one->since > $version) {
                continue;
            }
            $keys[$one->key] = true;
            if ($one instanceof Field) {
                $fields[$one->key] = $one;
                $needed += $one->isNeeded($version) ? [$one->key => true] : [];
                $following += $one->usual instanceof \Closure ? [$one->key => $one] : [];
            }
        }
        $this->fields = $fields;
        $this->groups = $groups;
        $this->needed = $needed;
        $this->usual = $usual;
        $this->following = $following;
        $this->keys = $keys;
    }
}
