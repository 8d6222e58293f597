<?php

declare(strict_types=1);

namespace App\People;

/** Time-based one-time codes by RFC 6238 with SHA-1, six digits and steps of 30 s, as every authenticator calculates them. */
final readonly class TimedCodes
{
    private const STEP = 30;

    /** Steps before and after the present one whose codes are taken too: clocks differ, and typing takes time. */
    private const AROUND = 1;

    private const BASE32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** A new secret of 160 bits, in base 32 (RFC 4648). */
    public static function secret(): string
    {
        return implode('', array_map(static fn(): string => self::BASE32[random_int(0, 31)], range(1, 32)));
    }

    /**
     * The step whose code it is, if that is later than the last that was taken; null for a wrong, used or old one.
     *
     * @param  string  $secret  in base 32
     * @param  int  $seconds  since 1970
     */
    public static function step(string $secret, string $code, int $seconds, int $last): ?int
    {
        $now = intdiv($seconds, self::STEP);
        for ($step = $now - self::AROUND; $step <= $now + self::AROUND; $step++) {
            if ($step > $last && hash_equals(self::code(self::bytes($secret), $step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** The code of a counter: HOTP of RFC 4226, with as many digits. */
    public static function code(string $key, int $counter, int $digits = 6): string
    {
        $hash = hash_hmac('sha1', pack('J', $counter), $key, true);
        $at = ord($hash[19]) & 0x0f;
        $number = ((array) unpack('N', substr($hash, $at, 4)))[1] & 0x7fffffff;

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /** @param  string  $text  in base 32, letters that it does not have left out */
    public static function bytes(string $text): string
    {
        $bits = '';
        foreach (str_split(strtoupper($text)) as $letter) {
            $value = strpos(self::BASE32, $letter);
            $bits .= $value === false ? '' : sprintf('%05b', $value);
        }
        $bytes = '';
        foreach (str_split($bits, 8) as $eight) {
            $bytes .= strlen($eight) === 8 ? chr((int) bindec($eight)) : '';
        }

        return $bytes;
    }

    /** The address that an authenticator reads from a picture. */
    public static function address(string $secret, string $account): string
    {
        return 'otpauth://totp/' .
            rawurlencode('Ember Dusk') .
            ':' .
            rawurlencode($account) .
            "?secret={$secret}&issuer=" .
            rawurlencode('Ember Dusk');
    }
}
