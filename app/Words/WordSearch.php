<?php

declare(strict_types=1);

namespace App\Words;

/**
 * How well something answers to what somebody types: by its own name first, then by what it is also called, then by what is said of it;
 * plurals, hyphens and typing mistakes forgiven. Smaller is better.
 */
final class WordSearch
{
    /** Words that say nothing. */
    private const STOP = [
        'a', 'an', 'the', 'my', 'for', 'with', 'of', 'to', 'and', 'or', 'is', 'it', 'i', 'me', 'into', 'from', 'some', 'what',
        'no', 'not', 'like', 'at', 'that', 'this', 'have', 'has',
    ];

    /** What a word costs by where it is found. */
    private const NAME = 0;

    private const ALSO = 1;

    private const ABOUT = 4;

    /** More where only its beginning is typed, where it is within another word, and for each mistake. */
    private const BEGINS = 1;

    private const WITHIN = 4;

    private const MISTAKE = 12;

    /** Less where the whole of what is typed is a name of it, or is within one. */
    private const WHOLE = -8;

    private const PART = -3;

    /** @var list<string> */
    private array $words;

    private string $whole;

    public function __construct(string $text)
    {
        $all = self::tokens(implode(' ', Likeness::words($text)));
        $telling = array_values(array_diff($all, self::STOP));
        $this->words = $telling === [] ? $all : $telling;
        $this->whole = implode(' ', array_map(self::stem(...), $this->words));
    }

    public function isEmpty(): bool
    {
        return $this->words === [];
    }

    /**
     * @param  list<string>  $also  its other names, each a word or several
     * @param  string  $about  what else is said of it
     * @return int|null null where a word is nowhere in it
     */
    public function rank(string $name, array $also, string $about = ''): ?int
    {
        $cost = 0;
        $parts = [[self::NAME, self::tokens($name)], [self::ALSO, self::tokens(implode(' ', $also))], [self::ABOUT, self::tokens($about)]];
        foreach ($this->words as $word) {
            $of = $this->word($word, $parts);
            if ($of === null) {
                return null;
            }
            $cost += $of;
        }

        return $cost + $this->ofWhole([$name, ...$also]);
    }

    /**
     * How many of the words are in it, for what comes nearest where nothing has all; none where it lacks more than it has.
     *
     * @param  list<string>  $also
     */
    public function count(string $name, array $also): int
    {
        $tokens = array_map(self::stem(...), self::tokens("{$name} ".implode(' ', $also)));

        $has = count(array_filter($this->words, fn (string $word) => in_array(self::stem($word), $tokens, true)));

        return 2 * $has < count($this->words) ? 0 : $has;
    }

    /** @param  list<array{int, list<string>}>  $parts */
    private function word(string $word, array $parts): ?int
    {
        $least = null;
        foreach ($parts as [$cost, $tokens]) {
            foreach ($tokens as $token) {
                $more = match (true) {
                    $token === $word, self::stem($token) === self::stem($word) => 0,
                    str_starts_with($token, $word) && strlen($word) > 1 => self::BEGINS,
                    strlen($word) > 3 && str_contains($token, $word) => self::WITHIN,
                    default => null,
                };
                $least = $more === null ? $least : min($least ?? PHP_INT_MAX, $cost + $more);
            }
        }

        return $least ?? $this->mistaken($word, $parts);
    }

    /** @param  list<array{int, list<string>}>  $parts */
    private function mistaken(string $word, array $parts): ?int
    {
        $least = null;
        foreach ($parts as [$cost, $tokens]) {
            $mistakes = Likeness::mistakes($word, implode(' ', $tokens));
            $more = $mistakes === null ? PHP_INT_MAX : $cost + self::MISTAKE * max(1, $mistakes);
            $least = min($least ?? PHP_INT_MAX, $more);
        }

        return $least === PHP_INT_MAX ? null : $least;
    }

    /** @param  list<string>  $names */
    private function ofWhole(array $names): int
    {
        $best = 0;
        foreach ($names as $name) {
            $called = implode(' ', array_map(self::stem(...), array_values(array_diff(self::tokens($name), self::STOP))));
            $best = match (true) {
                $called === $this->whole => min($best, self::WHOLE),
                $this->whole !== '' && str_contains(" {$called} ", " {$this->whole} ") => min($best, self::PART),
                default => $best,
            };
        }

        return $best;
    }

    /**
     * Words without hyphens, slashes and apostrophes: "s/pdif" is "spdif", "mix-minus" is "mix minus".
     *
     * @return list<string>
     */
    private static function tokens(string $text): array
    {
        $plain = str_replace(['s/pdif', "'", '’', '3.5', '6.35'], ['spdif', '', '', '3_5', '6_35'], mb_strtolower($text));

        return preg_split('/[^\p{L}\d_]+/u', $plain, flags: PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** A plural as its singular. */
    private static function stem(string $word): string
    {
        return match (true) {
            strlen($word) > 4 && str_ends_with($word, 'ies') => substr($word, 0, -3).'y',
            strlen($word) > 4 && preg_match('/(s|x|ch|sh)es$/', $word) === 1 => substr($word, 0, -2),
            strlen($word) > 3 && str_ends_with($word, 's') && ! str_ends_with($word, 'ss') => substr($word, 0, -1),
            default => $word,
        };
    }
}
