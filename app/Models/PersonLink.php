<?php

declare(strict_types=1);

namespace App\Models;

use App\People\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link by which a person comes into a crew, or an account gets a new password. Only the hash of its secret is kept.
 *
 * @property int $id
 * @property int $crew_id
 * @property int|null $user_id whose password it sets; null for an invitation
 * @property Role|null $role that is invited to
 * @property int|null $job_id of a guest
 * @property string $secret
 * @property Carbon $expires_at
 * @property Carbon|null $used_at also when it was revoked
 * @property-read Crew $crew
 * @property-read User|null $user
 * @property-read Job|null $job
 */
final class PersonLink extends Model
{
    protected $table = 'person_links';

    public $timestamps = false;

    protected $fillable = [
        'crew_id',
        'user_id',
        'made_by',
        'role',
        'job_id',
        'secret',
        'expires_at',
        'used_at',
        'created_at',
    ];

    protected $hidden = ['secret'];

    protected $casts = ['expires_at' => 'datetime', 'used_at' => 'datetime', 'role' => Role::class];

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
