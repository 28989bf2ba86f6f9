<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Signing in with a code of one's phone beside the password; a recovery code stands in for a phone that is lost, once. */
final class TwoSteps
{
    public const RECOVERY_CODES = 10;

    /** Letters and digits that nobody takes for another. */
    private const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';

    /** Fifty bits: nobody guesses one. */
    private const LENGTH = 10;

    /** @return list<string> the recovery codes, which are shown now and never again */
    public static function begin(User $user, string $secret, int $step): array
    {
        $codes = self::fresh();
        $user->forceFill([
            'two_step_secret' => base64_encode($secret), 'two_step_last' => $step, 'recovery_codes' => self::kept($codes),
        ])->save();

        return $codes;
    }

    /** @return list<string> new recovery codes; those of before are good no more */
    public static function renew(User $user): array
    {
        $codes = self::fresh();
        $user->forceFill(['recovery_codes' => self::kept($codes)])->save();

        return $codes;
    }

    public static function end(User $user): void
    {
        $user->forceFill(['two_step_secret' => null, 'two_step_last' => 0, 'recovery_codes' => null])->save();
    }

    /** Takes a code of the phone, or a recovery code, if it is good; either is good once. */
    public static function take(User $user, string $code, int $seconds): bool
    {
        $code = strtolower((string) preg_replace('/[^A-Za-z0-9]/', '', $code));

        return DB::transaction(function () use ($user, $code, $seconds): bool {
            $fresh = User::query()->findOrFail($user->id);
            $secret = $fresh->twoStepSecret();
            if ($secret === null) {
                return false;
            }
            $step = (new TimedCode($secret))->stepOf($code, $seconds, $fresh->two_step_last);
            if ($step !== null) {
                // Two at once with the same code: the row lets one of them have it.
                return DB::table('users')->where('id', $fresh->id)->where('two_step_last', '<', $step)
                    ->update(['two_step_last' => $step]) === 1;
            }
            $left = array_values(array_diff($fresh->recovery_codes ?? [], [self::digest($code)]));
            if (count($left) === count($fresh->recovery_codes ?? [])) {
                return false;
            }

            return DB::table('users')->where('id', $fresh->id)->where('recovery_codes', $fresh->getRawOriginal('recovery_codes'))
                ->update(['recovery_codes' => json_encode($left)]) === 1;
        });
    }

    /** @return list<string> "k3mf9-x2pqr" */
    private static function fresh(): array
    {
        $codes = [];
        for ($i = 0; $i < self::RECOVERY_CODES; $i++) {
            $code = '';
            for ($j = 0; $j < self::LENGTH; $j++) {
                $code .= self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];
            }
            $codes[] = implode('-', str_split($code, 5));
        }

        return $codes;
    }

    /**
     * @param  list<string>  $codes
     * @return list<string>
     */
    private static function kept(array $codes): array
    {
        return array_map(fn (string $code) => self::digest(str_replace('-', '', $code)), $codes);
    }

    private static function digest(string $code): string
    {
        return hash_hmac('sha256', $code, (string) config('app.key'));
    }
}
