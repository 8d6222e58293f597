<?php

declare(strict_types=1);

namespace App\Models;

use App\People\Role;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * @property int $id
 * @property int $crew_id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property int|null $job_id the one of a guest
 * @property Carbon|null $closed_at since when they have left; no one is ever deleted, so that what they did keeps their name
 * @property string|null $factor_secret of the authenticator, in base 32
 * @property Carbon|null $factor_since from when a code is asked for at sign-in
 * @property int $factor_step
 * @property list<string>|null $recovery_codes hashes of the unused ones
 * @property-read Crew $crew
 * @property-read Job|null $job
 */
final class User extends Authenticatable
{
    protected $table = 'users';

    protected $fillable = ['name', 'email', 'password', 'crew_id', 'closed_at', 'role', 'job_id'];

    /** @var array<string, string> */
    protected $attributes = ['role' => Role::Installer->value];

    protected $hidden = ['password', 'remember_token', 'factor_secret', 'recovery_codes'];

    /** @throws LogicException always */
    public function delete(): ?bool
    {
        throw new LogicException('People are closed, not deleted: ember:account --close.');
    }

    /** @return Attribute<string, string> in small letters, as people type it either way */
    protected function email(): Attribute
    {
        return Attribute::make(set: static fn(string $email): string => mb_strtolower(trim($email)));
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return BelongsTo<Job, $this> of a guest */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'closed_at' => 'datetime',
            'role' => Role::class,
            'factor_secret' => 'encrypted',
            'factor_since' => 'datetime',
            'factor_step' => 'integer',
            'job_id' => 'integer',
            'recovery_codes' => 'array',
        ];
    }
}
