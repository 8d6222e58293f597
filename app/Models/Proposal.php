<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A proposal that was asked for, while it is worked out and after.
 *
 * @property int $id
 * @property int $job_id
 * @property list<string> $runs
 * @property list<string> $keep
 * @property string $state waiting, running, done or failed
 * @property int $solved layouts so far
 * @property string $about what is being planned
 * @property bool $stop whether somebody asked to end it
 * @property string|null $answer JSON as in core/schema/responses.json, $defs/proposal; of a failed one the message
 * @property-read Job $job
 */
final class Proposal extends Model
{
    protected $fillable = ['runs', 'keep', 'state', 'solved', 'about', 'stop', 'answer', 'user_id'];

    protected $casts = ['runs' => 'array', 'keep' => 'array', 'stop' => 'boolean'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
