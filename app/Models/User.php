<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property int $crew_id
 * @property string $name
 * @property string $email
 * @property-read Crew $crew
 */
final class User extends Authenticatable
{
    protected $fillable = ['name', 'email', 'password', 'crew_id'];

    protected $hidden = ['password', 'remember_token'];

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }
}
