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

    /** Days after which no session of an ended sign-in can still be there. */
    private const DAYS = 30;

    /** Gives the session its id; one that was recalled by cookie has none yet. */
    public static function begin(Request $request): void
    {
        if (!$request->session()->has(self::KEY)) {
            $request->session()->put(self::KEY, (string) Str::uuid());
        }
    }

    public static function end(Request $request, User $user): void
    {
        $id = $request->session()->get(self::KEY);
        $now = Carbon::instance(Clock::now());
        DB::transaction(static function () use ($id, $user, $now): void {
            DB::table('ended_sign_ins')
                ->where('ended_at', '<', $now->copy()->subDays(self::DAYS))
                ->delete();
            if (is_string($id)) {
                DB::table('ended_sign_ins')->insertOrIgnore(['id' => $id, 'user_id' => $user->id, 'ended_at' => $now]);
            }
        });
    }

    public static function ended(Request $request): bool
    {
        $id = $request->session()->get(self::KEY);

        return is_string($id) && DB::table('ended_sign_ins')->where('id', $id)->exists();
    }
}
