<?php

declare(strict_types=1);

namespace HiddenWire\Core\Format;

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

    /** @param  \Closure(never): mixed  $from  gets the thing, gives what stands there */
    public function from(\Closure $from): self
    {
        return $this->with(from: $from);
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
