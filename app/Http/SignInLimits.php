<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;

/** Tries to sign in that are answered: of one account from anywhere, and from one range of addresses for any accounts. */
final readonly class SignInLimits
{
    private const ACCOUNT = ['minute' => 6, 'hour' => 30];

    /** A firm's people share an address. */
    private const RANGE = ['minute' => 20, 'hour' => 120];

    /** @return list<Limit> */
    public static function for(Request $request): array
    {
        $email = $request->input('email');
        $account = 'account ' . hash('sha256', is_string($email) ? mb_strtolower(trim($email)) : '');
        $range = 'range ' . self::range((string) $request->ip());

        return [
            Limit::perMinute(self::ACCOUNT['minute'])->by("{$account} minute"),
            Limit::perHour(self::ACCOUNT['hour'])->by("{$account} hour"),
            Limit::perMinute(self::RANGE['minute'])->by("{$range} minute"),
            Limit::perHour(self::RANGE['hour'])->by("{$range} hour"),
        ];
    }

    /** Network that an address is in, as one site has it: 24 bits of IPv4, 56 bits of IPv6. */
    public static function range(string $address): string
    {
        $bytes = @inet_pton($address);
        if ($bytes === false) {
            return '';
        }

        return bin2hex(substr($bytes, 0, strlen($bytes) === 4 ? 3 : 7));
    }
}
