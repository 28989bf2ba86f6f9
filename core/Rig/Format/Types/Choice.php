<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** One of the cases of an enum, by its value. */
final readonly class Choice implements Type
{
    /**
     * @param  class-string<\BackedEnum>  $enum
     * @param  int  $before  before this version of the format, some had other words
     * @param  array<string, string>  $words  those of today by those of then
     * @param  \BackedEnum|null  $yes  what true means
     * @param  int  $wordsSince  the version of the format that has words; before it stood true or false
     */
    private function __construct(
        private string $enum,
        private int $before = 0,
        private array $words = [],
        private ?\BackedEnum $yes = null,
        private int $wordsSince = 1,
    ) {
    }

    /** @param  class-string<\BackedEnum>  $enum */
    public static function of(string $enum): self
    {
        return new self($enum);
    }

    /** @param  array<string, string>  $words  those of today by those of then */
    public function formerly(int $before, array $words): self
    {
        return new self($this->enum, $before, $words);
    }

    /** True means one of them, false none; before a version there were no other words. */
    public function orFlag(\BackedEnum $yes, int $wordsSince): self
    {
        return new self($this->enum, $this->before, $this->words, $yes, $wordsSince);
    }

    public function read(mixed $value, Reading $in): ?\BackedEnum
    {
        if ($this->yes !== null && is_bool($value)) {
            return $value ? $this->yes : null;
        }
        if ($in->version < $this->wordsSince) {
            return $in->problem('This has to be true or false.');
        }
        if (is_string($value) && $in->version < $this->before) {
            $value = $this->words[$value] ?? $value;
        }
        $case = is_string($value) ? $this->enum::tryFrom($value) : null;

        return $case ?? $in->problem('This has to be '.$this->what().'.');
    }

    public function write(mixed $value, object $of): mixed
    {
        return $value->value;
    }

    public function what(): string
    {
        return 'one of '.implode(', ', $this->values());
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return ['enum' => [...$this->values(), ...($this->yes === null ? [] : [true, false])]];
    }

    /** @return array<string, string> the values, with words */
    public function options(): array
    {
        $words = fn (\BackedEnum $case): string => method_exists($case, 'words') ? $case->words()
            : str_replace('-', ' ', (string) $case->value);

        return array_combine($this->values(), array_map($words, $this->enum::cases()));
    }

    /** How many there are. */
    public function count(): int
    {
        return count($this->enum::cases());
    }

    /** @return list<string> */
    private function values(): array
    {
        return array_map(fn (\BackedEnum $case) => (string) $case->value, $this->enum::cases());
    }
}
