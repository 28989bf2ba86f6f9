<?php

declare(strict_types=1);

namespace App\Words;

/** Whether a word that somebody types is in a text, typing mistakes and all. */
final class Likeness
{
    /** Letters of a word from which on one mistake is forgiven, and two. */
    private const ONE_MISTAKE = 4;

    private const TWO_MISTAKES = 7;

    /** A longer word is looked for literally. */
    private const LONGEST = 40;

    /** Nobody finds anything by more words than this: the rest is passed over. */
    private const MOST_WORDS = 12;

    /** @return list<string> the words that somebody looks for, in small letters */
    public static function words(string $text): array
    {
        $words = preg_split('/\s+/', mb_strtolower(mb_scrub($text)), flags: PREG_SPLIT_NO_EMPTY) ?: [];

        return array_slice(array_values(array_unique($words)), 0, self::MOST_WORDS);
    }

    /**
     * @param  string  $word  in small letters
     * @param  string  $text  in small letters
     * @return int|null how many mistakes; null where it is not in the text
     */
    public static function mistakes(string $word, string $text): ?int
    {
        if (str_contains($text, $word)) {
            return 0;
        }
        $length = strlen($word);
        if ($length < self::ONE_MISTAKE || $length > self::LONGEST) {
            return null;
        }
        if (self::isTurned($word, $text)) {
            return 1;
        }
        $most = $length >= self::TWO_MISTAKES ? 2 : 1;
        $least = null;
        foreach (preg_split('/[^\p{L}\d]+/u', $text, flags: PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            // As much of it as was typed: whoever types "headp" means what begins so.
            foreach (range($length - $most, $length + $most) as $far) {
                $mistakes = levenshtein($word, substr($one, 0, $far));
                $least = $mistakes <= $most ? min($least ?? $mistakes, $mistakes) : $least;
            }
        }

        return $least;
    }

    /** Two neighbours in the wrong order are one mistake. */
    private static function isTurned(string $word, string $text): bool
    {
        for ($i = 0; $i < strlen($word) - 1; $i++) {
            $turned = $word;
            [$turned[$i], $turned[$i + 1]] = [$word[$i + 1], $word[$i]];
            if (str_contains($text, $turned)) {
                return true;
            }
        }

        return false;
    }
}
