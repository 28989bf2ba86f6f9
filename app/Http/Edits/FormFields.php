<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Equipment\Dials\DialReader;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Format\PlainText;
use Illuminate\Validation\ValidationException;

/** What a form sends, read as what it has to be: texts, numbers, choices, lists. What is wrong is refused with the field and what to do. */
abstract readonly class FormFields implements DialReader
{
    /** @param  array<string, mixed>  $fields  as they were sent */
    public function __construct(protected array $fields)
    {
    }

    /** Whether the field was sent, also where it is empty. */
    public function isSent(string $key): bool
    {
        return array_key_exists($key, $this->fields);
    }

    public function has(string $key): bool
    {
        return $this->raw($key) !== '';
    }

    /** @throws ValidationException when it is longer */
    public function text(string $key, int $most, string $otherwise = ''): string
    {
        // Composed letters (NFC), no control characters but line breaks and tabs, and nothing that is no character: what is pasted may
        // bring them along.
        $text = mb_scrub($this->raw($key));
        $text = trim((string) preg_replace(
            '/['.PlainText::CONTROLS.'\x{80}-\x{9F}'.PlainText::NO_CHARACTERS.']/u',
            '',
            \Normalizer::normalize($text, \Normalizer::FORM_C) ?: $text,
        ));

        return match (true) {
            mb_strlen($text) > $most => $this->refuse($key, "This takes {$most} characters at most; it has ".mb_strlen($text).'.'),
            $text === '' => $otherwise,
            default => $text,
        };
    }

    /** A text that has to be there; "0" is one. @param  string  $what  what to do where it is missing */
    public function needed(string $key, int $most, string $what): string
    {
        $text = $this->text($key, $most);

        return $text === '' ? $this->refuse($key, $what) : $text;
    }

    public function name(int $most = Bounds::SHORT_NAME): string
    {
        return $this->needed('name', $most, 'Give it a name.');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function choice(string $key, string $enum, string $otherwise): \BackedEnum
    {
        return $enum::tryFrom($this->raw($key)) ?? $this->refuse($key, $otherwise);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    public function choiceOrNone(string $key, string $enum): ?\BackedEnum
    {
        return $this->has($key) ? $this->choice($key, $enum, 'There is no such choice.') : null;
    }

    public function flag(string $key): ?bool
    {
        return $this->has($key) ? in_array($this->raw($key), ['1', 'on', 'true', 'yes'], true) : null;
    }

    public function number(string $key, float $least, float $most): ?float
    {
        $raw = str_replace([',', '−'], ['.', '-'], trim($this->raw($key)));
        if ($raw === '') {
            return null;
        }

        return is_numeric($raw) && (float) $raw >= $least && (float) $raw <= $most
            ? (float) $raw
            : $this->refuse($key, "This has to be a number from {$least} to {$most}.");
    }

    public function whole(string $key, int $least, int $most): ?int
    {
        $number = $this->number($key, $least, $most);

        return $number === null || $number === floor($number)
            ? ($number === null ? null : (int) $number)
            : $this->refuse($key, "This has to be a whole number from {$least} to {$most}.");
    }

    public function decibels(string $key): ?Decibels
    {
        $number = $this->number($key, -Bounds::DB, Bounds::DB);

        return $number === null ? null : Decibels::of(round($number, 2));
    }

    public function milliseconds(string $key): ?Milliseconds
    {
        $number = $this->number($key, 0, Bounds::MS);

        return $number === null ? null : Milliseconds::of(round($number, 3));
    }

    /** @return list<string> the values of a field that can have several */
    public function list(string $key): array
    {
        $value = $this->fields[$key] ?? [];

        return array_values(array_filter(
            array_map(
                fn (mixed $one) => is_scalar($one) ? (string) $one : '',
                is_array($value) ? $value : explode(',', is_scalar($value) ? (string) $value : ''),
            ),
            fn (string $one) => $one !== '',
        ));
    }

    /** @return array<string, string> the values of a field that has several, each under a name */
    public function named(string $key): array
    {
        $named = [];
        foreach (is_array($this->fields[$key] ?? null) ? $this->fields[$key] : [] as $name => $value) {
            $named[(string) $name] = is_scalar($value) ? (string) $value : '';
        }

        return $named;
    }

    /** @throws ValidationException always */
    public function refuse(string $key, string $message): never
    {
        throw ValidationException::withMessages([$key => $message]);
    }

    /**
     * @param  array<string, string>  $messages  by field
     *
     * @throws ValidationException always
     */
    public function refuseAll(array $messages): never
    {
        throw ValidationException::withMessages($messages);
    }

    protected function raw(string $key): string
    {
        $value = $this->fields[$key] ?? '';

        return is_scalar($value) ? (string) $value : '';
    }
}
