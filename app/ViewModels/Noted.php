<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\Tables\ColumnKind;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Rig;

/** A field of a thing that is noted as the document has it: what its form shows. */
final readonly class Noted
{
    public string $key;

    public string $label;

    public string $value;

    /** Characters that it takes; null where it is no text. */
    public ?int $most;

    /** Whether it can be left open. */
    public bool $isOptional;

    public bool $isNumber;

    public bool $isSwitch;

    /** @var array<array-key, string> what it can be, by the value that is sent; empty for any */
    public array $choices;

    public function __construct(Field $field, object $thing, Rig $rig)
    {
        $schema = $field->type->schema(new Definitions);
        $held = $field->heldBy($thing);
        $plain = $held === null ? '' : $field->type->write($held, $thing);
        $kind = ColumnKind::of($field->type);
        $this->key = $field->key;
        $this->label = $field->note->label ?? ucfirst($field->words());
        $this->value = is_bool($plain) ? ($plain ? '1' : '0') : (is_scalar($plain) ? (string) $plain : '');
        $this->most = $kind === ColumnKind::Text ? $schema['maxLength'] ?? null : null;
        $this->isOptional = $field->usual === null;
        $this->isNumber = $kind === ColumnKind::Number || $kind === ColumnKind::Whole;
        $this->isSwitch = $kind === ColumnKind::Flag;
        $this->choices = match (true) {
            isset($schema['enum']) => array_combine(
                $schema['enum'],
                array_map(fn (string $one) => str_replace('-', ' ', $one), $schema['enum']),
            ),
            $field->type instanceof Id && $field->type->of !== '' => array_map(
                fn (object $one) => get_object_vars($one)['name'],
                $rig->{$field->type->of},
            ),
            default => [],
        };
    }
}
