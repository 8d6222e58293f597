<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\Time\Clock;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** The second factor of an account: begun, confirmed by a code, asked for at every sign-in, replaced by a recovery code once each. */
final readonly class SecondFactor
{
    private const RECOVERY = 8;

    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

    public static function has(User $user): bool
    {
        return $user->factor_since !== null;
    }

    /** A new secret; the factor is in force once a code of it is entered. */
    public static function begin(User $user): string
    {
        $secret = TimedCodes::secret();
        DB::transaction(
            static fn(): bool => $user->forceFill(['factor_secret' => $secret, 'factor_since' => null])->save(),
        );

        return $secret;
    }

    /** @return list<string>|null codes for when the authenticator is lost, shown once; null where the code is not right */
    public static function confirm(User $user, string $code): ?array
    {
        return DB::transaction(static function () use ($user, $code): ?array {
            if (self::has($user) || !self::taken($user, $code)) {
                return null;
            }
            $codes = array_map(self::recovery(...), range(1, self::RECOVERY));
            $user
                ->forceFill([
                    'factor_since' => Carbon::instance(Clock::now()),
                    'recovery_codes' => array_map(self::hash(...), $codes),
                ])
                ->save();

            return $codes;
        });
    }

    /** Whether a code of the authenticator, or a recovery code, lets the person in. Each counts once. */
    public static function passes(User $user, string $code): bool
    {
        return DB::transaction(static function () use ($user, $code): bool {
            $user->refresh();
            if (self::taken($user, $code)) {
                return true;
            }
            $left = array_values(array_diff($user->recovery_codes ?? [], [self::hash($code)]));
            if (count($left) === count($user->recovery_codes ?? [])) {
                return false;
            }

            return $user->forceFill(['recovery_codes' => $left])->save();
        });
    }

    public static function end(User $user): void
    {
        DB::transaction(
            static fn(): bool => $user
                ->forceFill([
                    'factor_secret' => null,
                    'factor_since' => null,
                    'factor_step' => 0,
                    'recovery_codes' => null,
                ])
                ->save(),
        );
    }

    private static function taken(User $user, string $code): bool
    {
        $secret = self::secret($user);
        $step =
            $secret === null
                ? null
                : TimedCodes::step(
                    $secret,
                    (string) preg_replace('/\s/', '', $code),
                    Clock::now()->getTimestamp(),
                    $user->factor_step,
                );

        return $step !== null && $user->forceFill(['factor_step' => $step])->save();
    }

    /** Null too where another APP_KEY encrypted it, as after a restore elsewhere: recovery codes are still good. */
    private static function secret(User $user): ?string
    {
        try {
            $secret = $user->getAttribute('factor_secret');

            return is_string($secret) ? $secret : null;
        } catch (DecryptException) {
            return null;
        }
    }

    private static function recovery(): string
    {
        $letter = static fn(): string => self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        $part = static fn(): string => implode('', array_map($letter, range(1, 5)));

        return $part() . '-' . $part();
    }

    /** Of 49 random bits, which need no slow hash. */
    private static function hash(string $code): string
    {
        return hash('sha256', strtolower((string) preg_replace('/[\s-]/', '', $code)));
    }
}
