<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Http\SignIns;
use App\Models\PersonLink;
use App\Models\User;
use App\People\Permission;
use App\People\Record;
use App\People\Role;
use App\People\SecondFactor;
use App\Screens\View;
use App\Time\Clock;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use Illuminate\Support\Carbon;

/** One's own account and devices; for owners also the people of the crew and the links that are open. */
final readonly class PeopleView implements View
{
    use WrittenRecord;

    /**
     * @param  bool  $leads  whether the person may invite and change roles
     * @param  bool  $factor  whether a second factor is on
     * @param  int  $recovery  recovery codes that are left
     * @param  list<DeviceView>  $devices
     * @param  list<PersonView>  $people  of the crew
     * @param  list<OpenLink>  $links
     * @param  list<RoleView>  $roles
     * @param  list<RecordLine>  $record  who did what, the newest first
     * @param  string  $made  address of a link that was made just now; empty otherwise
     */
    private function __construct(
        public int $own,
        public bool $leads,
        public bool $factor,
        public int $recovery,
        #[Field(of: DeviceView::class)] public array $devices,
        #[Field(of: PersonView::class)] public array $people,
        #[Field(of: OpenLink::class)] public array $links,
        #[Field(of: RoleView::class)] public array $roles,
        #[Field(of: RecordLine::class)] public array $record,
        public string $made,
    ) {}

    public static function for(User $user, string $signIn, string $made = ''): self
    {
        $leads = $user->role->may(Permission::People);

        return new self(
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
