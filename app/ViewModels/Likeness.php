<?php

declare(strict_types=1);

namespace App\ViewModels;

/** Whether a word that somebody types is in a text, typing mistakes and all. */
final class Likeness
{
    /** Letters of a word from which on one mistake is forgiven, and two. */
    private const ONE_MISTAKE = 4;

    private const TWO_MISTAKES = 7;

    /** A longer word is looked for as it stands. */
    private const LONGEST = 40;

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
        $most = $length >= self::TWO_MISTAKES ? 2 : ($length >= self::ONE_MISTAKE ? 1 : 0);
        $least = null;
        if ($most > 0 && self::isTurned($word, $text)) {
            return 1;
        }
        $words = $most === 0 || $length > self::LONGEST ? [] : (preg_split('/[^\p{L}\d]+/u', $text, flags: PREG_SPLIT_NO_EMPTY) ?: []);
        foreach ($words as $one) {
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
