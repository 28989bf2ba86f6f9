<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/** What can stand in one field of a document: how it is read, written, and said in a schema. */
interface Type
{
    /** The value, as the core holds it; where it is wrong, a problem is added to the reading and the result has no meaning. */
    public function read(mixed $value, Reading $in): mixed;

    /**
     * As a document holds it.
     *
     * @param  object  $of  the thing whose field it is
     */
    public function write(mixed $value, object $of): mixed;

    /** What a field that is missing is, behind "This is missing:". */
    public function what(): string;

    /** What holds where a document says nothing. */
    public function usual(): mixed;

    /** @return array<string, mixed> in terms of JSON Schema 2020-12 */
    public function schema(Definitions $definitions): array;
}
