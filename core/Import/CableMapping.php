<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

/** Which column of a table is what of a cable. */
final readonly class CableMapping
{
    /** What a cable has, and what columns of it are often called. */
    public const FIELDS = [
        'label' => ['Label', ['label', 'cable', 'no', 'number', 'id']],
        'from_unit' => ['From unit', ['from unit', 'from', 'source', 'from device']],
        'from_socket' => ['From socket', ['from socket', 'from port', 'source socket', 'from connection']],
        'to_unit' => ['To unit', ['to unit', 'to', 'destination', 'to device']],
        'to_socket' => ['To socket', ['to socket', 'to port', 'destination socket', 'to connection']],
        'type' => ['Type', ['type', 'kind', 'cable type']],
        'length' => ['Length in metres', ['length (m)', 'length, m', 'length', 'metres', 'm']],
        'colour' => ['Colour', ['colour', 'color']],
        'owned' => ['Owned', ['owned', 'have', 'in stock']],
        'price' => ['Price', ['price', 'cost']],
        'supplier' => ['Supplier', ['supplier', 'shop', 'from whom']],
    ];

    public const NEEDED = ['from_unit', 'from_socket', 'to_unit', 'to_socket'];

    /** @param  array<string, int>  $columns  number of the column, by field */
    public function __construct(public array $columns)
    {
    }

    /** @param  list<string>  $columns */
    public static function guess(array $columns): self
    {
        $names = array_map(fn (string $one) => mb_strtolower(trim($one)), $columns);
        $guessed = [];
        foreach (self::FIELDS as $field => [, $called]) {
            foreach ($called as $name) {
                $at = array_search($name, $names, true);
                if ($at !== false && ! in_array($at, $guessed, true)) {
                    $guessed[$field] = $at;
                    break;
                }
            }
        }

        return new self($guessed);
    }

    /** @return list<string> names of the fields that have no column yet and need one */
    public function missing(): array
    {
        return array_map(fn (string $field) => self::FIELDS[$field][0], array_values(array_diff(self::NEEDED, array_keys($this->columns))));
    }

    /** @param  list<string>  $row */
    public function of(string $field, array $row): string
    {
        return $row[$this->columns[$field] ?? -1] ?? '';
    }
}
