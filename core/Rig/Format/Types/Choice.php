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
     */
    private function __construct(private string $enum, private int $before = 0, private array $words = [])
    {
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

    public function read(mixed $value, Reading $in): ?\BackedEnum
    {
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
        return ['enum' => $this->values()];
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
