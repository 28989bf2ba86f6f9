<?php

declare(strict_types=1);

namespace App\Accounts;

/** Codes that change every thirty seconds, as phones make them from a shared secret (RFC 6238 on RFC 4226). */
final readonly class TimedCode
{
    /** Seconds for which a code is the one. */
    public const STEP_S = 30;

    /** Codes before and after the present one that are taken: clocks differ, and typing takes time. */
    private const DRIFT = 1;

    private const SECRET_BYTES = 20;

    private const BASE32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** @param  string  $secret  its bytes */
    public function __construct(
        private string $secret,
        private int $digits = 6,
        private string $digest = 'sha1',
    ) {
    }

    /** A new secret, in bytes. */
    public static function secret(): string
    {
        return random_bytes(self::SECRET_BYTES);
    }

    /** The code of a time. @param  int  $seconds  since 1970 */
    public function at(int $seconds): string
    {
        return $this->ofStep(intdiv($seconds, self::STEP_S));
    }

    /**
     * The time step of a code, where it is one of those that are good now.
     *
     * @param  int  $seconds  since 1970
     * @param  int  $last  the step of the code that was taken last: that one and those before are not taken
     */
    public function stepOf(string $code, int $seconds, int $last): ?int
    {
        $now = intdiv($seconds, self::STEP_S);
        $found = null;
        for ($step = $now - self::DRIFT; $step <= $now + self::DRIFT; $step++) {
            // Each is compared, whichever it is: how long it takes says nothing.
            if (hash_equals($this->ofStep($step), $code) && $step > $last) {
                $found = $step;
            }
        }

        return $found;
    }

    /** The secret as it is typed into a phone, in fours. */
    public function typed(): string
    {
        return implode(' ', str_split($this->base32(), 4));
    }

    /** The address in the code that a phone reads. */
    public function address(string $account): string
    {
        $name = rawurlencode('Hidden Wire').':'.rawurlencode($account);

        return "otpauth://totp/{$name}?secret={$this->base32()}&issuer=".rawurlencode('Hidden Wire');
    }

    private function ofStep(int $step): string
    {
        $hash = hash_hmac($this->digest, pack('J', $step), $this->secret, true);
        $at = ord($hash[strlen($hash) - 1]) & 0x0F;
        /** @var array{1: int} $four */
        $four = unpack('N', substr($hash, $at, 4));

        return str_pad((string) (($four[1] & 0x7FFFFFFF) % 10 ** $this->digits), $this->digits, '0', STR_PAD_LEFT);
    }

    private function base32(): string
    {
        $bits = implode('', array_map(fn (string $byte) => sprintf('%08b', ord($byte)), str_split($this->secret)));

        return implode('', array_map(
            fn (string $five) => self::BASE32[(int) bindec(str_pad($five, 5, '0'))],
            str_split($bits, 5),
        ));
    }
}
