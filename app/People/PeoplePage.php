<?php

declare(strict_types=1);

namespace App\People;

use App\Http\SignIns;
use App\Models\PersonLink;
use App\Models\User;
use App\Screens\People\DeviceView;
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
    public static function for(User $user, string $signIn, string $made = ''): PeopleView
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
                    ->orderBy('name')
                    ->get()
                    ->map(
                        static fn(User $u): PersonView => new PersonView(
                            id: $u->id,
                            name: $u->name,
                            email: $u->email,
                            role: $u->role->value,
                            closed: $u->closed_at !== null,
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
        );
    }

    /** @return list<OpenLink> */
    private static function open(User $user): array
    {
        return array_values(
            PersonLink::query()
                ->with('user')
                ->where('crew_id', $user->crew_id)
                ->whereNull('used_at')
                ->where('expires_at', '>', Carbon::instance(Clock::now()))
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(PersonLink $l): OpenLink => new OpenLink(
                        id: $l->id,
                        for: $l->user === null
                            ? 'Invitation as ' . ($l->role->value ?? '')
                            : "New password for {$l->user->name}",
                        until: Clock::local($l->expires_at)->format('Y-m-d'),
                    ),
                )
                ->all(),
        );
    }
}
