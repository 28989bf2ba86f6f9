<?php

declare(strict_types=1);

namespace App\Http;

/**
 * The session's token as sent in an answer: under a mask that is new each time. Answers are compressed and repeat what stands in
 * their address; a token that was always the same could be guessed from their length, letter by letter.
 */
final class FormToken
{
    /** The same in the whole of one answer; base64 of the mask, and of the token under it. */
    public static function masked(): string
    {
        $request = request();
        $masked = $request->attributes->get(self::class) ?? self::mask($request->session()->token());
        $request->attributes->set(self::class, $masked);

        return $masked;
    }

    public static function mask(string $token): string
    {
        $mask = $token === '' ? '' : random_bytes(strlen($token));

        return base64_encode($mask.($token ^ $mask));
    }

    /** What is under the mask; null where there is none. */
    public static function bare(string $masked): ?string
    {
        $bytes = base64_decode($masked, true);
        if ($bytes === false || $bytes === '' || strlen($bytes) % 2 !== 0) {
            return null;
        }
        $half = intdiv(strlen($bytes), 2);

        return substr($bytes, 0, $half) ^ substr($bytes, $half);
    }
}
