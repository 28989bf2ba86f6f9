<?php

declare(strict_types=1);

namespace App\Rigs\Tables;

use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\Rig\Rig;

/** One column of a table of content. */
final readonly class Column
{
    /**
     * @param  list<string>  $path  the keys of its value in an element's object; empty where only the database goes by it
     * @param  \Closure(never, Rig): mixed  $value  what it holds of an element, as documents say it
     * @param  mixed  $usual  what documents leave out
     * @param  Type|null  $type  of its field, where it holds one
     */
    public function __construct(
        public string $name,
        public ColumnKind $kind,
        public array $path,
        private \Closure $value,
        public mixed $usual = null,
        public ?Type $type = null,
    ) {
    }

    public function of(mixed $thing, Rig $rig): mixed
    {
        /** @var \Closure(mixed, Rig): mixed $value */
        $value = $this->value;

        return $this->kind->held($value($thing, $rig));
    }

    /** What a document says of it; null where it says nothing. */
    public function said(mixed $held): mixed
    {
        $said = $this->kind->said($held);

        return $said === $this->usual ? null : $said;
    }
}
