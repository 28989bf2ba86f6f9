<?php

declare(strict_types=1);

namespace HiddenWire\Core\Sheets;

/** How one value of a document is written in a cell of a sheet and read back. What can't be read stays a text, to be reported. */
enum Cell: string
{
    case Text = 'text';
    case Number = 'number';
    /** "on" or "off" */
    case Flag = 'flag';
    case Choice = 'choice';
    /** Ids, words or numbers: "in, out" */
    case Words = 'words';
    /** Texts, which may have commas: "5 ms | 10 ms" */
    case Texts = 'texts';
    /** Pairs of numbers: "0=-60, 10=0"; also one word where that is allowed: "straight" */
    case Pairs = 'pairs';
    /** A text, a number, "on" or "off"; a text that looks like one of the others is quoted */
    case Value = 'value';

    private const ON = 'on';

    private const OFF = 'off';

    public function text(mixed $value): string
    {
        return match ($this) {
            self::Flag => $value === true ? self::ON : self::OFF,
            self::Words => implode(', ', array_map(fn (mixed $one): string => (string) $one, (array) $value)),
            self::Texts => implode(' | ', (array) $value),
            self::Pairs => is_string($value) ? $value
                : implode(', ', array_map(fn (array $pair): string => "{$pair[0]}={$pair[1]}", (array) $value)),
            self::Value => match (true) {
                is_bool($value) => $value ? self::ON : self::OFF,
                is_string($value) && $this->value($value) !== $value => "\"{$value}\"",
                default => (string) $value,
            },
            default => (string) $value,
        };
    }

    public function value(string $text): mixed
    {
        return match ($this) {
            self::Text, self::Choice => $text,
            self::Number => self::number($text) ?? $text,
            self::Flag => self::flag($text) ?? $text,
            self::Words => array_map(fn (string $one) => self::number($one) ?? $one, self::parts(',', $text)),
            self::Texts => self::parts('|', $text),
            self::Pairs => str_contains($text, '=') ? array_map(
                fn (string $pair) => array_map(fn (string $end) => self::number($end) ?? $end, self::parts('=', $pair)),
                self::parts(',', $text),
            ) : $text,
            self::Value => match (true) {
                strlen($text) > 1 && $text[0] === '"' && $text[-1] === '"' => substr($text, 1, -1),
                $text === self::ON, $text === self::OFF => $text === self::ON,
                default => self::number($text) ?? $text,
            },
        };
    }

    /** A number as people write it: with a decimal comma, or a minus of the typesetter's. */
    private static function number(string $text): int|float|null
    {
        $plain = strtr($text, ['−' => '-', ',' => '.']);

        return is_numeric($plain) ? $plain + 0 : null;
    }

    private static function flag(string $text): ?bool
    {
        return match (strtolower($text)) {
            self::ON, 'yes', 'true', '1' => true, self::OFF, 'no', 'false', '0' => false, default => null,
        };
    }

    /**
     * @param  non-empty-string  $separator
     * @return list<string>
     */
    private static function parts(string $separator, string $text): array
    {
        return array_map(trim(...), explode($separator, $text));
    }
}
