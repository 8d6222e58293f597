<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $name
 */
final class Crew extends Model
{
    protected $table = 'crews';

    protected $fillable = ['name'];

    /** @return HasMany<Job, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(Job::class);
    }

    /** @return HasMany<KitEntry, $this> */
    public function kitEntries(): HasMany
    {
        return $this->hasMany(KitEntry::class);
    }

    /** @return HasMany<CrewOffcut, $this> */
    public function offcuts(): HasMany
    {
        return $this->hasMany(CrewOffcut::class);
    }

    /** @return HasMany<KitNote, $this> */
    public function kitNotes(): HasMany
    {
        return $this->hasMany(KitNote::class);
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }
}
