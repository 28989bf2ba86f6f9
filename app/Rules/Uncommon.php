<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that is none of the commonest, and not the person's own name or address. */
final readonly class Uncommon implements ValidationRule
{
    /** @param  list<string>  $own  name, address */
    public function __construct(private array $own = [])
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $password = is_string($value) ? mb_strtolower($value) : '';
        $common = (array) file(resource_path('passwords.txt'), FILE_IGNORE_NEW_LINES);
        // What is common stays so with digits or marks behind it.
        $word = (string) preg_replace('/[\d\W_]+$/u', '', $password);
        if (in_array($password, $common, true) || ($word !== '' && in_array($word, $common, true)) || $this->repeats($password)) {
            $fail('This password is among the commonest. Take a few words that nobody would put together.');
        }
        foreach ($this->own as $name) {
            $name = mb_strtolower($name);
            if (mb_strlen($name) >= 4 && str_contains($password, $name)) {
                $fail('Leave your name and address out of the password.');

                return;
            }
        }
    }

    /** One or two characters over and over, or a run of neighbours. */
    private function repeats(string $password): bool
    {
        $runs = '01234567890123456789abcdefghijklmnopqrstuvwxyzqwertyuiopasdfghjklzxcvbnm';

        return count(array_unique(mb_str_split($password))) < 4
            || str_contains($runs, $password) || str_contains(strrev($runs), $password);
    }
}
