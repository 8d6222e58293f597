<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Crew;
use App\Models\User;
use App\Plans\Shelves;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rules\Password;

final class AccountCommand extends Command
{
    protected $signature = 'ember:account {name} {email} {--crew= : the crew, made when there is none of that name} {--password= : asked for when left out}';

    protected $description = 'Make an account in a crew';

    public function handle(): int
    {
        $given = [
            'name' => $this->argument('name'), 'email' => $this->argument('email'), 'crew' => $this->option('crew') ?? $this->ask('Crew'),
            'password' => $this->option('password') ?? $this->secret('Password (at least 10 letters)'),
        ];
        $check = Validator::make($given, [
            'name' => ['required', 'string', 'max:80'], 'email' => ['required', 'email', 'max:200', 'unique:users,email'],
            'crew' => ['required', 'string', 'max:80'], 'password' => ['required', 'string', Password::min(10)],
        ]);
        if ($check->fails()) {
            foreach ($check->errors()->all() as $message) {
                $this->error($message);
            }

            return 2;
        }
        DB::transaction(static function () use ($given): void {
            $crew = Crew::query()->firstOrCreate(['name' => $given['crew']]);
            if (! $crew->kitEntries()->exists()) {
                Shelves::stock($crew, database_path('demo/shelf.json'));
            }
            User::query()->create(['crew_id' => $crew->id, 'name' => $given['name'], 'email' => $given['email'], 'password' => $given['password']]);
        });
        $this->info("{$given['email']} can sign in, in {$given['crew']}.");

        return 0;
    }
}
