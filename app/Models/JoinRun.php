<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A live run of the Join stage: which plan, which simulated devices, how fast its clock goes.
 *
 * @property int $id
 * @property int $job_id
 * @property bool $site with real devices, not a rehearsal
 * @property string $hand the device in the hand
 * @property int $form which steps its log speaks of; those of form 1 can only be read
 * @property string $school how the crew times search and reset
 * @property bool $trusts_new
 * @property list<string>|null $fixed panels that were on their walls when it began
 * @property string $recovery key of the loss or replacement after which devices join again; empty for the first join
 * @property string $flaws faults of the simulated devices, KIND@DEVICE separated by spaces
 * @property list<array<string, int|string|null>>|null $tasks the order that was chosen when it began
 * @property int $revision
 * @property int $seed
 */
final class JoinRun extends Model
{
    use RunClock;

    protected $table = 'join_runs';

    protected $fillable = [
        'user_id',
        'site',
        'hand',
        'form',
        'school',
        'trusts_new',
        'flaws',
        'fixed',
        'recovery',
        'tasks',
        'revision',
        'seed',
        'clock_seconds',
        'clock_since',
        'speed',
    ];

    protected $casts = [
        'site' => 'boolean',
        'trusts_new' => 'boolean',
        'form' => 'integer',
        'tasks' => 'array',
        'fixed' => 'array',
        'clock_seconds' => 'float',
        'clock_since' => 'float',
        'speed' => 'integer',
        'seed' => 'integer',
        'revision' => 'integer',
    ];

    /** @return HasMany<JoinEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(JoinEvent::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
