<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\Controls\Readings;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Problem;

/**
 * One object of a document, read field by field. A field that is missing or wrong adds its problem and gives null, so that reading goes on
 * and finds all offences. {@see done()} reports the keys that nobody asked for.
 */
final class Fields implements Readings
{
    private const ID = '/^[a-z0-9](?:[a-z0-9._-]{0,62}[a-z0-9])?$/D';

    /** @var array<string, mixed> */
    private array $values;

    /** @var array<string, true> */
    private array $asked = [];

    private int $before;

    /** @param  \ArrayObject<int, Problem>  $problems  shared by a whole document */
    public function __construct(mixed $data, public readonly string $pointer, private readonly \ArrayObject $problems)
    {
        $this->before = count($problems);
        if ($data instanceof \stdClass) {
            $this->values = (array) $data;
        } else {
            $this->values = [];
            $this->problem($pointer, 'This has to be an object, {…}.');
            $this->asked['*'] = true;
        }
    }

    /** Whether anything was wrong with this object or inside it so far. */
    public function isSound(): bool
    {
        return count($this->problems) === $this->before;
    }

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->values);
    }

    public function at(string $key): string
    {
        return $this->pointer.'/'.Problem::token($key);
    }

    public function problem(string $pointer, string $message): null
    {
        $this->problems->append(new Problem($pointer, $message));

        return null;
    }

    /** Whatever stands there, unread; null where nothing does. */
    public function raw(string $key): mixed
    {
        $this->asked[$key] = true;

        return $this->values[$key] ?? null;
    }

    public function id(string $key): ?string
    {
        $value = $this->required($key, 'an id');

        return $value === null ? null : $this->asId($value, $this->at($key));
    }

    public function asId(mixed $value, string $pointer): ?string
    {
        return is_string($value) && preg_match(self::ID, $value) === 1 ? $value
            : $this->problem(
                $pointer,
                'An id has 1 to 64 small letters, digits, dots, hyphens and underscores, and begins and ends with a letter or digit.',
            );
    }

    public function text(string $key, int $most, bool $needed = false): ?string
    {
        $value = $needed ? $this->required($key, 'a text') : $this->raw($key);
        if ($value === null) {
            return $this->has($key) && ! $needed ? $this->problem($this->at($key), 'This has to be a text.') : ($needed ? null : '');
        }
        if (! is_string($value)) {
            return $this->problem($this->at($key), 'This has to be a text.');
        }
        if ($needed && trim($value) === '') {
            return $this->problem($this->at($key), 'This text may not be empty.');
        }
        if (mb_strlen($value) > $most) {
            return $this->problem($this->at($key), "This text has {$most} characters at most.");
        }
        if (PlainText::hasControls($value)) {
            return $this->problem($this->at($key), 'This text holds control characters that can\'t be shown.');
        }
        if (PlainText::hasNoCharacters($value)) {
            return $this->problem($this->at($key), 'This text holds code points that are no characters (U+FFFE is one). Take them out.');
        }

        return $value;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    public function choice(string $key, string $enum, bool $needed = true): ?\BackedEnum
    {
        $value = $needed ? $this->required($key, 'one of '.$this->cases($enum)) : $this->raw($key);
        if ($value === null) {
            return ! $needed && $this->has($key) ? $this->problem($this->at($key), 'This has to be one of '.$this->cases($enum).'.') : null;
        }

        return $this->asChoice($value, $enum, $this->at($key));
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    public function asChoice(mixed $value, string $enum, string $pointer): ?\BackedEnum
    {
        $case = is_string($value) ? $enum::tryFrom($value) : null;

        return $case ?? $this->problem($pointer, 'This has to be one of '.$this->cases($enum).'.');
    }

    public function flag(string $key): ?bool
    {
        $value = $this->raw($key);
        if ($value === null && ! $this->has($key)) {
            return null;
        }

        return is_bool($value) ? $value : $this->problem($this->at($key), 'This has to be true or false.');
    }

    public function whole(string $key, int $least, int $most, bool $needed = false): ?int
    {
        $value = $needed ? $this->required($key, 'a whole number') : $this->raw($key);
        if ($value === null && ! ($this->has($key) && ! $needed)) {
            return null;
        }

        return $this->asWhole($value, $least, $most, $this->at($key));
    }

    public function asWhole(mixed $value, int $least, int $most, string $pointer): ?int
    {
        if (is_float($value) && $value === floor($value) && abs($value) < 1e15) {
            $value = (int) $value;
        }

        return is_int($value) && $value >= $least && $value <= $most ? $value
            : $this->problem($pointer, "This has to be a whole number from {$least} to {$most}.");
    }

    public function number(string $key, float $least, float $most, bool $needed = false): ?float
    {
        $value = $needed ? $this->required($key, 'a number') : $this->raw($key);
        if ($value === null && ! ($this->has($key) && ! $needed)) {
            return null;
        }
        $exact = is_int($value) || is_float($value) ? round($value, 3) : null;

        return $exact !== null && $exact >= $least && $exact <= $most && abs($exact - $value) < 1e-9 ? $exact
            : $this->problem($this->at($key), "This has to be a number from {$least} to {$most} with three decimals at most.");
    }

    public function decibels(string $key, bool $needed = false): ?Decibels
    {
        $value = $needed ? $this->required($key, 'a number of decibels') : $this->raw($key);
        if ($value === null && ! ($this->has($key) && ! $needed)) {
            return null;
        }

        return (is_int($value) || is_float($value)) && abs($value) <= Bounds::DB && Decibels::isExact($value) ? Decibels::of($value)
            : $this->problem($this->at($key), 'This has to be a number of decibels from -'.Bounds::DB.' to '.Bounds::DB
                .' with two decimals at most.');
    }

    public function milliseconds(string $key): ?Milliseconds
    {
        $value = $this->raw($key);
        if ($value === null && ! $this->has($key)) {
            return null;
        }

        return (is_int($value) || is_float($value)) && $value >= 0 && $value <= Bounds::MS && Milliseconds::isExact($value)
            ? Milliseconds::of($value)
            : $this->problem($this->at($key), 'This has to be a number of milliseconds from 0 to '.Bounds::MS
                .' with three decimals at most.');
    }

    /**
     * The items of a list, by position; empty where the key is missing or is no list.
     *
     * @return array<int, mixed>
     */
    public function list(string $key, int $most = 20000): array
    {
        $value = $this->raw($key);
        if ($value === null && ! $this->has($key)) {
            return [];
        }
        if (! is_array($value)) {
            $this->problem($this->at($key), 'This has to be a list, […].');

            return [];
        }
        if (count($value) > $most) {
            $this->problem($this->at($key), "This list has {$most} entries at most.");

            return [];
        }

        return array_values($value);
    }

    /**
     * The entries of an object that is used as a map, by key.
     *
     * @return array<array-key, mixed>
     */
    public function map(string $key): array
    {
        $value = $this->raw($key);
        if ($value === null && ! $this->has($key)) {
            return [];
        }
        if (! $value instanceof \stdClass) {
            $this->problem($this->at($key), 'This has to be an object, {…}.');

            return [];
        }

        return (array) $value;
    }

    public function object(string $key): ?self
    {
        $value = $this->raw($key);

        return $value === null && ! $this->has($key) ? null : new self($value, $this->at($key), $this->problems);
    }

    public function inside(mixed $data, string $pointer): self
    {
        return new self($data, $pointer, $this->problems);
    }

    /** Reports unknown keys; then says whether the object was sound. */
    public function done(): bool
    {
        if (! isset($this->asked['*'])) {
            foreach (array_diff_key($this->values, $this->asked) as $key => $_) {
                $this->problem($this->at((string) $key), 'There is no such key here. Known: '.implode(', ', array_keys($this->asked)).'.');
            }
        }

        return $this->isSound();
    }

    private function required(string $key, string $what): mixed
    {
        $this->asked[$key] = true;
        if (! $this->has($key)) {
            return isset($this->asked['*']) ? null : $this->problem($this->at($key), "This is missing: {$what}.");
        }

        // A null counts as wrong, not as missing: hand on something that no reader takes.
        return $this->values[$key] ?? new \stdClass;
    }

    /** @param  class-string<\BackedEnum>  $enum */
    private function cases(string $enum): string
    {
        return implode(', ', array_map(fn (\BackedEnum $case) => (string) $case->value, $enum::cases()));
    }
}
