<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\User;
use App\People\Crews;
use App\People\PersonLinks;
use App\People\Role;
use App\People\SecondFactor;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

final class AccountCommand extends Command
{
    protected $signature =
        'ember:account {name?} {email?} {--crew= : the crew; created if it does not exist} ' .
        '{--role= : owner, installer or apprentice; the first of a crew is its owner} {--close= : e-mail of the ' .
        'account to close} {--reopen= : e-mail of the account to reopen} {--link= : e-mail of the account that ' .
        'gets a new password}';

    protected $description = 'Create, close or reopen an account, or print a link at which it gets its password';

    public function handle(): int
    {
        foreach (['close' => Clock::now(), 'reopen' => null] as $what => $at) {
            if (is_string($email = $this->option($what))) {
                return $this->closed($email, $at);
            }
        }
        if (is_string($email = $this->option('link'))) {
            return $this->linked($email);
        }
        $given = [
            'name' => $this->argument('name'),
            'email' => self::small($this->argument('email')),
            'crew' => $this->option('crew') ?? $this->ask('Crew'),
            'role' => $this->option('role'),
        ];
        $check = Validator::make($given, [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'email', 'max:200', 'unique:users,email'],
            'crew' => ['required', 'string', 'max:80'],
            'role' => ['nullable', Rule::enum(Role::class)->except(Role::Guest)],
        ]);
        if ($check->fails()) {
            foreach ($check->errors()->all() as $message) {
                $this->error($message);
            }

            return 2;
        }
        $link = DB::transaction(static function () use ($given): string {
            $crew = Crew::query()->firstOrCreate(['name' => $given['crew']]);
            if (!$crew->kitEntries()->exists()) {
                Shelves::stock($crew, database_path('demo/shelf.json'));
            }
            $led = $crew->users()->where('role', Role::Owner->value)->exists();
            $user = User::query()->create([
                'crew_id' => $crew->id,
                'name' => $given['name'],
                'email' => $given['email'],
                // Nobody knows it: the link sets another.
                'password' => Str::random(60),
                'role' => $given['role'] ?? ($led ? Role::Installer : Role::Owner),
            ]);

            return PersonLinks::reset($user, null);
        });
        $this->info("{$given['email']} is in {$given['crew']}. The person chooses a password at:");
        $this->line($link);

        return 0;
    }

    /** No password as an argument: other people of the machine could read it. */
    private function linked(string $email): int
    {
        $user = User::query()->where('email', self::small($email))->first();
        if ($user === null) {
            $this->error("No account has the e-mail {$email}.");

            return 2;
        }
        // Whoever asks at the machine has lost the authenticator too, or can set it up again.
        SecondFactor::end($user);
        $this->info("{$user->name} has no second factor any more, and chooses a new password at:");
        $this->line(PersonLinks::reset($user, null));

        return 0;
    }

    private static function small(mixed $email): string
    {
        return mb_strtolower(trim(is_string($email) ? $email : ''));
    }

    private function closed(string $email, ?CarbonImmutable $at): int
    {
        $user = User::query()->where('email', self::small($email))->first();
        if ($user === null) {
            $this->error("No account has the e-mail {$email}.");

            return 2;
        }
        Crews::closed($user, $at, operator: true);
        $this->info(
            $at === null
                ? "{$email} can sign in again."
                : "{$email} can no longer sign in. Records of {$user->name} keep that name.",
        );

        return 0;
    }
}
