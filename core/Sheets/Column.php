<?php

declare(strict_types=1);

namespace HiddenWire\Core\Sheets;

/** A column of a sheet: one field of the thing that a row is about, or of the part of it that the row adds. */
final readonly class Column
{
    /**
     * @param  string  $key  path of the field: `gain.from`, `lanes[].way`, and `says{}.key` and `says{}.value` of a map
     * @param  string  $words  its heading
     * @param  array<string, string>  $choices  what can stand there, with words; empty where it is written
     * @param  string  $refers  what it names by label or id: `points`, `sockets`, `settings`, `routes`; empty for nothing
     */
    public function __construct(
        public string $key,
        public string $words,
        public Cell $cell,
        public array $choices = [],
        public string $refers = '',
        public bool $isNeeded = false,
    ) {
    }

    /** The list or map of parts that it belongs to, as in its path: `lanes[]`; empty for the thing's own fields. */
    public function part(): string
    {
        return preg_match('/^\w+(\[\]|\{\})/', $this->key, $found) === 1 ? $found[0] : '';
    }

    /** Its path within the thing or the part. */
    public function path(): string
    {
        return $this->part() === '' ? $this->key : substr($this->key, strlen($this->part()) + 1);
    }
}
