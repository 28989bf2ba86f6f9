<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** A reference to anything that something can be said about. */
final readonly class ElementPath implements Type
{
    private const LONGEST = 300;

    public function read(mixed $value, Reading $in): ?ElementRef
    {
        $text = Text::filled(self::LONGEST)->read($value, $in);

        return $text === null ? null : ElementRef::read($text)
            ?? $in->problem('This has to lead to an element, such as "units/mixer" or "cables/w-07".');
    }

    public function write(mixed $value, object $of): mixed
    {
        return (string) $value;
    }

    public function what(): string
    {
        return 'a text';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return $definitions->refer('element_reference', fn () => [
            'type' => 'string', 'maxLength' => self::LONGEST, 'pattern' => '^'.ElementRef::pattern().'$',
        ]);
    }
}
