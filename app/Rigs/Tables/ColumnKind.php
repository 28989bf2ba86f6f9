<?php

declare(strict_types=1);

namespace App\Rigs\Tables;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Type;

/** How a column holds what a document says there. */
enum ColumnKind
{
    case Text;
    case Whole;
    case Number;
    case Flag;
    /** A list, a map or an object, as JSON. */
    case Data;

    public static function of(Type $type): self
    {
        $definitions = new Definitions;
        $schema = $type->schema($definitions);
        $schema = isset($schema['$ref']) ? $definitions->all()[basename($schema['$ref'])] : $schema;

        return match ($schema['type'] ?? (isset($schema['enum']) ? 'string' : '')) {
            'string' => self::Text,
            'integer' => self::Whole,
            'number' => self::Number,
            'boolean' => self::Flag,
            default => self::Data,
        };
    }

    /** The cast of an Eloquent model; null where the database gives it as it is. */
    public function cast(): ?string
    {
        return match ($this) {
            self::Text, self::Whole => null,
            self::Number => 'float',
            self::Flag => 'boolean',
            self::Data => 'array',
        };
    }

    /** What is written of a value of a document. */
    public function held(mixed $value): mixed
    {
        return $this === self::Data && $value !== null ? json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION) : $value;
    }

    /** The value of a document again. */
    public function said(mixed $held): mixed
    {
        return $held === null ? null : match ($this) {
            self::Text => $held,
            self::Whole => (int) $held,
            self::Number => (float) $held,
            self::Flag => (bool) $held,
            self::Data => json_decode($held, flags: JSON_THROW_ON_ERROR),
        };
    }
}
