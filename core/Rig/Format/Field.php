<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\With;

/** One key of an object in a document, and the property that holds it. */
final readonly class Field
{
    use With;

    /**
     * @param  string|null  $missing  what is missing where the key is; null where it may be left out
     * @param  mixed  $usual  what holds where the key is left out, and is not written; a closure gets what the thing says so far and what
     *     the thing around it says, each by property
     * @param  int  $since  the version of the format that has it first
     * @param  int  $needlessSince  the version from which on it may be left out
     * @param  bool  $isWritten  even where it is as usual
     * @param  bool  $isRuled  whether a rule says what is missing where it is left out
     * @param  (\Closure(never): mixed)|null  $from  what the thing holds there, where that is no property
     * @param  string  $words  what it is called in a sentence; empty for its key
     * @param  \Closure|null  $told  gets the value and the rig, says it in words; null where its words and value do
     * @param  bool  $goesWithLast  whether the thing goes with the last of what the list names: an empty one would mean something else
     * @param  Note|null  $note  how people write it down; null where it has a form of its own, or none
     */
    private function __construct(
        public string $key,
        public string $property,
        public Type $type,
        public ?string $missing = null,
        public mixed $usual = null,
        public int $since = 1,
        public int $needlessSince = PHP_INT_MAX,
        public bool $isWritten = false,
        public ?\Closure $from = null,
        public string $description = '',
        public bool $isRuled = false,
        private string $words = '',
        private ?\Closure $told = null,
        public ?Note $note = null,
        public bool $goesWithLast = false,
    ) {
    }

    /** @param  string|null  $property  null for the key in camel case */
    public static function of(string $key, Type $type, ?string $property = null): self
    {
        return new self($key, $property ?? lcfirst(str_replace('_', '', ucwords($key, '_'))), $type, usual: $type->usual());
    }

    /** It may not be left out. */
    public function needed(?string $what = null): self
    {
        return $this->with(missing: $what ?? $this->type->what(), isWritten: true);
    }

    /** It may not be left out: a rule of the thing says so. */
    public function ruled(): self
    {
        return $this->with(isRuled: true, isWritten: true);
    }

    /** What holds where it is left out. */
    public function usual(mixed $usual): self
    {
        return $this->with(usual: $usual);
    }

    public function since(int $version): self
    {
        return $this->with(since: $version);
    }

    /** It is needed in documents of versions before this one. */
    public function neededBefore(int $version): self
    {
        return $this->with(missing: $this->type->what(), needlessSince: $version);
    }

    /** It is written even where it is as usual. */
    public function written(): self
    {
        return $this->with(isWritten: true);
    }

    /** @param  \Closure(never): mixed  $from  gets the thing, gives the value */
    public function from(\Closure $from): self
    {
        return $this->with(from: $from);
    }

    /** What it is called in a sentence: "serial number". */
    public function called(string $words): self
    {
        return $this->with(words: $words);
    }

    /** @param  \Closure  $told  gets the current value and the rig, says it in words: "starts at login" */
    public function told(\Closure $told): self
    {
        return $this->with(told: $told);
    }

    /** It is a field of the thing's own form, and is in its notes in the book. */
    public function noted(Note $note): self
    {
        return $this->with(note: $note);
    }

    /** What it is called in a sentence. */
    public function words(): string
    {
        return $this->words === '' ? str_replace('_', ' ', $this->key) : $this->words;
    }

    /** What a thing says there, in words: "firmware 2.1", "no licence". */
    public function tell(object $thing, Rig $rig): string
    {
        $value = $this->heldBy($thing);
        if ($this->told !== null) {
            /** @var \Closure(mixed, Rig): string $told */
            $told = $this->told;

            return $told($value, $rig);
        }
        $plain = $value === null || $value === '' || $value === [] ? null : $this->type->write($value, $thing);

        return match (true) {
            $plain === null || $plain === false => "no {$this->words()}",
            $plain === true => $this->words(),
            is_scalar($plain) => "{$this->words()} ".($value instanceof \BackedEnum ? str_replace('-', ' ', (string) $plain) : $plain),
            default => "other {$this->words()}",
        };
    }

    /** The thing goes with the last of what the list names: empty it would mean something else. */
    public function goesWithLast(): self
    {
        return $this->with(goesWithLast: true);
    }

    /** A sentence for the schema. */
    public function saying(string $description): self
    {
        return $this->with(description: $description);
    }

    public function isNeeded(int $version): bool
    {
        return $this->missing !== null && $version < $this->needlessSince;
    }

    /** What the thing holds there. */
    public function heldBy(object $thing): mixed
    {
        /** @var (\Closure(object): mixed)|null $from */
        $from = $this->from;

        return $from === null ? $thing->{$this->property} : $from($thing);
    }
}
