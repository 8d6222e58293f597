<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\User;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rules\Password;

final class AccountCommand extends Command
{
    protected $signature =
        'ember:account {name?} {email?} {--crew= : the crew; created if it does not exist} ' .
        '{--password= : prompted for if omitted} {--close= : e-mail of the account to close} {--reopen= ' .
        ': e-mail of the account to reopen}';

    protected $description = 'Create, close or reopen an account';

    public function handle(): int
    {
        foreach (['close' => Clock::now(), 'reopen' => null] as $what => $at) {
            if (is_string($email = $this->option($what))) {
                return $this->closed($email, $at);
            }
        }
        $given = [
            'name' => $this->argument('name'),
            'email' => self::small($this->argument('email')),
            'crew' => $this->option('crew') ?? $this->ask('Crew'),
            'password' => $this->option('password') ?? $this->secret('Password (at least 10 letters)'),
        ];
        $check = Validator::make($given, [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'email', 'max:200', 'unique:users,email'],
            'crew' => ['required', 'string', 'max:80'],
            'password' => ['required', 'string', Password::min(10)],
        ]);
        if ($check->fails()) {
            foreach ($check->errors()->all() as $message) {
                $this->error($message);
            }

            return 2;
        }
        DB::transaction(static function () use ($given): void {
            $crew = Crew::query()->firstOrCreate(['name' => $given['crew']]);
            if (!$crew->kitEntries()->exists()) {
                Shelves::stock($crew, database_path('demo/shelf.json'));
            }
            User::query()->create([
                'crew_id' => $crew->id,
                'name' => $given['name'],
                'email' => $given['email'],
                'password' => $given['password'],
            ]);
        });
        $this->info("{$given['email']} can sign in, in {$given['crew']}.");

        return 0;
    }

    private static function small(mixed $email): string
    {
        return mb_strtolower(trim(is_string($email) ? $email : ''));
    }

    /** No one is deleted: what they did keeps their name. Whatever page they have open ends at its next request. */
    private function closed(string $email, ?CarbonImmutable $at): int
    {
        $user = User::query()->where('email', self::small($email))->first();
        if ($user === null) {
            $this->error("No account has the e-mail {$email}.");

            return 2;
        }
        DB::transaction(static fn(): bool => $user->forceFill(['closed_at' => $at, 'remember_token' => null])->save());
        $this->info(
            $at === null
                ? "{$email} can sign in again."
                : "{$email} can no longer sign in. Records of {$user->name} keep that name.",
        );

        return 0;
    }
}
