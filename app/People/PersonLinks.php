<?php

declare(strict_types=1);

namespace App\People;

use App\Http\SignIns;
use App\Models\Crew;
use App\Models\Job;
use App\Models\PersonLink;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;

/** Links that are good once and for a week; shown when they are made, and never again. */
final readonly class PersonLinks
{
    public const DAYS = 7;

    private const LETTERS = 40;

    /**
     * Address of an invitation to a crew.
     *
     * @param  Job|null  $job  of a guest
     */
    public static function invite(Crew $crew, Role $role, ?User $by, ?Job $job = null): string
    {
        return self::made($crew, ['role' => $role, 'made_by' => $by?->id, 'job_id' => $job?->id]);
    }

    /** Address at which an account gets a new password; earlier ones of it are no longer good. */
    public static function reset(User $user, ?User $by): string
    {
        return DB::transaction(static function () use ($user, $by): string {
            PersonLink::query()
                ->where('user_id', $user->id)
                ->whereNull('used_at')
                ->update(['used_at' => self::moment()]);

            return self::made($user->crew, ['user_id' => $user->id, 'made_by' => $by?->id]);
        });
    }

    /** @param  array<string, mixed>  $with */
    private static function made(Crew $crew, array $with): string
    {
        $secret = Str::random(self::LETTERS);
        $link = DB::transaction(
            static fn(): PersonLink => PersonLink::query()->create(
                [
                    'crew_id' => $crew->id,
                    'secret' => hash('sha256', $secret),
                    'expires_at' => self::moment()->addDays(self::DAYS),
                    'created_at' => self::moment(),
                ] + $with,
            ),
        );

        return route('welcome', ['personLink' => $link->id, 'secret' => $secret]);
    }

    /** The link that an address opens; null where it is used, too old, revoked or incomplete. */
    public static function find(int $id, string $secret): ?PersonLink
    {
        $link = PersonLink::query()->find($id);
        if ($link === null || $link->used_at !== null || $link->expires_at->lessThan(self::moment())) {
            return null;
        }
        if ($link->user?->closed_at !== null) {
            return null;
        }

        return hash_equals($link->secret, hash('sha256', $secret)) ? $link : null;
    }

    /**
     * Uses a link: the new person of the crew, or the account with its new password, signed out everywhere.
     *
     * @param  array{password: string, name?: string, email?: string}  $given
     *
     * @throws LogicException where another request has used the link meanwhile
     */
    public static function use(PersonLink $link, array $given): User
    {
        return DB::transaction(static function () use ($link, $given): User {
            $used = PersonLink::query()
                ->whereKey($link->id)
                ->whereNull('used_at')
                ->update(['used_at' => self::moment()]);
            if ($used !== 1) {
                throw new LogicException('The link is used.');
            }
            if ($link->user === null) {
                return User::query()->create([
                    'crew_id' => $link->crew_id,
                    'name' => $given['name'] ?? '',
                    'email' => $given['email'] ?? '',
                    'password' => $given['password'],
                    'role' => $link->role ?? Role::Installer,
                    'job_id' => $link->job_id,
                ]);
            }
            self::changed($link->user, $given['password']);

            return $link->user;
        });
    }

    /** A new password ends every sign-in but the one that is kept. */
    public static function changed(User $user, string $password, string $kept = ''): void
    {
        DB::transaction(static function () use ($user, $password, $kept): void {
            $user->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
            SignIns::endOthers($user, $kept);
        });
    }

    private static function moment(): Carbon
    {
        return Carbon::instance(Clock::now());
    }
}
