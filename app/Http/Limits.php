<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;

/** Requests that are answered: tries to sign in, of one account from anywhere and from one range of addresses for any accounts; and heavy work. */
final readonly class Limits
{
    private const ACCOUNT = ['minute' => 6, 'hour' => 30];

    /** A firm's people share an address. */
    private const RANGE = ['minute' => 20, 'hour' => 120];

    /** A minute: nobody takes so many photos by hand. */
    private const HEAVY = ['person' => 60, 'crew' => 150];

    /** @return list<Limit> */
    public static function signIn(Request $request): array
    {
        $account = self::account($request);
        $range = 'range ' . self::range((string) $request->ip());

        return [
            Limit::perMinute(self::ACCOUNT['minute'])->by("{$account} minute"),
            Limit::perHour(self::ACCOUNT['hour'])->by("{$account} hour"),
            Limit::perMinute(self::RANGE['minute'])->by("{$range} minute"),
            Limit::perHour(self::RANGE['hour'])->by("{$range} hour"),
        ];
    }

    /** The account that is tried: the signed-in one, the link that is used, or the one whose address is typed. */
    private static function account(Request $request): string
    {
        $user = $request->user();
        $link = $request->route('personLink');
        $email = $request->input('email');

        return match (true) {
            $user instanceof User => "person {$user->id}",
            is_string($link) => "link {$link}",
            default => 'account ' . hash('sha256', is_string($email) ? mb_strtolower(trim($email)) : ''),
        };
    }

    /**
     * Imports, photos and proposals that a person, and a crew, may ask for: each takes the server seconds.
     *
     * @return list<Limit>
     */
    public static function heavy(Request $request): array
    {
        $user = $request->user();
        if (!($user instanceof User)) {
            return [];
        }

        return [
            Limit::perMinute(self::HEAVY['person'])->by("heavy person {$user->id}"),
            Limit::perMinute(self::HEAVY['crew'])->by("heavy crew {$user->crew_id}"),
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
