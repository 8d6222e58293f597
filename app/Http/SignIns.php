<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use App\Time\Clock;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Each sign-in on a device, by an id in its session. Ending one is written to the database, so that a session that a slow request writes
 * back after signing out is refused. Other devices of the same person stay signed in.
 */
final readonly class SignIns
{
    private const KEY = 'sign_in';

    /** Days after which no session of an ended sign-in can still be there, and for which a device may stay signed in. */
    public const DAYS = 30;

    private const SEEN = 'sign_in_seen';

    /** Gives the session its id, and notes once a day that it is in use; one that was recalled by cookie has none yet. */
    public static function begin(Request $request, User $user): void
    {
        $day = Clock::now()->format('Y-m-d');
        if ($request->session()->get(self::SEEN) === $day) {
            return;
        }
        $id = self::current($request) ?: (string) Str::uuid();
        DB::transaction(
            static fn(): int => DB::table('sign_ins')->upsert(
                [
                    'id' => $id,
                    'user_id' => $user->id,
                    'device' => self::device((string) $request->userAgent()),
                    'began_at' => self::moment(),
                    'seen_on' => $day,
                ],
                ['id'],
                ['seen_on'],
            ),
        );
        $request->session()->put([self::KEY => $id, self::SEEN => $day]);
    }

    public static function end(Request $request, User $user): void
    {
        $id = self::current($request);
        DB::transaction(static function () use ($id, $user): void {
            DB::table('ended_sign_ins')
                ->where('ended_at', '<', self::moment()->subDays(self::DAYS))
                ->delete();
            DB::table('sign_ins')->where('seen_on', '<', self::oldest())->delete();
            self::ends($user, [$id]);
        });
    }

    /** Ends all sign-ins of a person but one; none of their devices is recalled by its cookie any more. */
    public static function endOthers(User $user, string $kept): void
    {
        DB::transaction(static function () use ($user, $kept): void {
            self::ends($user, array_values(array_diff(array_column(self::of($user), 'id'), [$kept])));
            $user->forceFill(['remember_token' => Str::random(60)])->save();
        });
    }

    /** The id of the sign-in that a request belongs to; empty before its first page. */
    public static function current(Request $request): string
    {
        $id = $request->session()->get(self::KEY);

        return is_string($id) ? $id : '';
    }

    public static function ended(Request $request): bool
    {
        return DB::table('ended_sign_ins')->where('id', self::current($request))->exists();
    }

    /** @return list<array{id: string, device: string, since: Carbon}> of a person, the newest first; sign-ins unused for 30 days have ended by themselves */
    public static function of(User $user): array
    {
        $rows = DB::table('sign_ins')
            ->where('user_id', $user->id)
            ->where('seen_on', '>=', self::oldest())
            ->whereNotIn('id', DB::table('ended_sign_ins')->select('id'))
            ->orderByDesc('began_at')
            ->get();

        return array_values(
            array_map(
                static fn(object $row): array => [
                    'id' => (string) $row->id,
                    'device' => (string) $row->device,
                    'since' => Carbon::parse((string) $row->began_at, 'UTC'),
                ],
                $rows->all(),
            ),
        );
    }

    /** @param  list<string>  $ids */
    private static function ends(User $user, array $ids): void
    {
        foreach (array_filter($ids) as $id) {
            DB::table('ended_sign_ins')->insertOrIgnore([
                'id' => $id,
                'user_id' => $user->id,
                'ended_at' => self::moment(),
            ]);
        }
    }

    /** From the name that a browser sends of itself, which is not to be relied on. */
    private static function device(string $says): string
    {
        return match (true) {
            $says === '' => 'unknown device',
            str_contains($says, 'Mobi') => 'phone or tablet',
            default => 'computer',
        };
    }

    private static function oldest(): string
    {
        return self::moment()->subDays(self::DAYS)->format('Y-m-d');
    }

    private static function moment(): Carbon
    {
        return Carbon::instance(Clock::now());
    }
}
