<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Carbon\CarbonImmutable;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use Illuminate\Support\Facades\DB;

/** Roles and accounts of a crew. It always has an owner who can sign in. */
final readonly class Crews
{
    /** @throws Refusal where the crew would have no owner */
    public static function named(User $person, Role $role): void
    {
        DB::transaction(static function () use ($person, $role): void {
            if ($role !== Role::Owner) {
                self::anotherOwner($person);
            }
            $person->update(['role' => $role, 'job_id' => null]);
        });
    }

    /**
     * Closes an account, or reopens it. No one is deleted: what they did keeps their name. Whatever page they have open ends at its next request.
     *
     * @param  bool  $operator  whether at the machine itself, where the last owner can be closed and reopened too
     *
     * @throws Refusal where the crew would have no owner
     */
    public static function closed(User $person, ?CarbonImmutable $at, bool $operator = false): void
    {
        DB::transaction(static function () use ($person, $at, $operator): void {
            if ($at !== null && !$operator) {
                self::anotherOwner($person);
            }
            $person->forceFill(['closed_at' => $at, 'remember_token' => null])->save();
        });
    }

    private static function anotherOwner(User $person): void
    {
        $others = User::query()
            ->where('crew_id', $person->crew_id)
            ->where('role', Role::Owner->value)
            ->whereNull('closed_at')
            ->whereKeyNot($person->id);
        if ($person->role === Role::Owner && $person->closed_at === null && !$others->exists()) {
            throw InvalidInput::at(
                '/role',
                "{$person->name} is the only owner of the crew. Make another person owner first.",
            );
        }
    }
}
