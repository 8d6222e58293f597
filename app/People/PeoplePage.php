<?php

declare(strict_types=1);

namespace App\People;

use App\Http\SignIns;
use App\Models\Job;
use App\Models\PersonLink;
use App\Models\User;
use App\Screens\People\DeviceView;
use App\Screens\People\JobChoice;
use App\Screens\People\OpenLink;
use App\Screens\People\PeopleView;
use App\Screens\People\PersonView;
use App\Screens\People\RecordLine;
use App\Screens\People\RoleView;
use App\Time\Clock;
use Illuminate\Support\Carbon;

/** Fills the page of one's own account and, for owners, of the crew's people. */
final readonly class PeoplePage
{
    /** Jobs that a guest can be invited to, the latest changed ones. */
    private const JOBS = 200;

    public static function for(User $user, string $signIn, string $made = '', string $sent = ''): PeopleView
    {
        $leads = $user->role->may(Permission::People);

        return new PeopleView(
            own: $user->id,
            leads: $leads,
            factor: SecondFactor::has($user),
            recovery: count($user->recovery_codes ?? []),
            devices: array_map(
                static fn(array $d): DeviceView => new DeviceView(
                    device: $d['device'],
                    since: Clock::local($d['since'])->format('Y-m-d H:i'),
                    here: $d['id'] === $signIn,
                ),
                SignIns::of($user),
            ),
            people: array_values(
                $user->crew
                    ->users()
                    ->with('job')
                    // Who works in the crew is none of a guest's business.
                    ->when($user->role === Role::Guest, static fn($query) => $query->whereKey($user->id))
                    ->orderBy('name')
                    ->get()
                    ->map(
                        static fn(User $u): PersonView => new PersonView(
                            id: $u->id,
                            name: $u->name,
                            email: $u->email,
                            role: $u->role->value,
                            closed: $u->closed_at !== null,
                            job: $u->role === Role::Guest ? $u->job->name ?? 'a deleted job' : '',
                        ),
                    )
                    ->all(),
            ),
            links: $leads ? self::open($user) : [],
            roles: array_map(static fn(Role $r): RoleView => new RoleView($r->value, $r->words()), Role::cases()),
            record: array_map(
                static fn(array $l): RecordLine => new RecordLine(...$l),
                $leads ? Record::lines($user->crew, Record::SHOWN) : [],
            ),
            made: $made,
            sent: $sent,
            mails: Invitations::canSend(),
            jobs: $leads ? self::jobs($user) : [],
        );
    }

    /** @return list<JobChoice> */
    private static function jobs(User $user): array
    {
        return array_values(
            $user->crew
                ->jobs()
                ->whereNull('archived_at')
                ->orderByDesc('updated_at')
                ->limit(self::JOBS)
                ->get()
                ->map(static fn(Job $j): JobChoice => new JobChoice($j->id, $j->name))
                ->all(),
        );
    }

    /** @return list<OpenLink> */
    private static function open(User $user): array
    {
        return array_values(
            PersonLink::query()
                ->with(['user', 'job'])
                ->where('crew_id', $user->crew_id)
                ->whereNull('used_at')
                ->where('expires_at', '>', Carbon::instance(Clock::now()))
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(PersonLink $l): OpenLink => new OpenLink(
                        id: $l->id,
                        for: $l->user === null
                            ? 'Invitation as ' .
                                ($l->role->value ?? '') .
                                ($l->job === null ? '' : " of {$l->job->name}")
                            : "New password for {$l->user->name}",
                        until: Clock::local($l->expires_at)->format('Y-m-d'),
                    ),
                )
                ->all(),
        );
    }
}
