<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A proposal that was asked for, while it is calculated and after.
 *
 * @property int $id
 * @property int $job_id
 * @property list<string> $runs
 * @property list<string> $keep
 * @property string|null $wish  key of a choice that the planner keeps to
 * @property string $state waiting, running, done or failed
 * @property int $solved layouts so far
 * @property string $about subject of the proposal
 * @property bool $stop whether someone asked to end it
 * @property string|null $answer JSON as in app/Screens/Wire/wire.json, $defs/proposal; of a failed one the message
 * @property Carbon $updated_at
 * @property-read Job $job
 */
final class JobProposal extends Model
{
    protected $table = 'proposals';

    /** Seconds without progress after which a waiting and a running proposal are reported as stalled. */
    private const PATIENCE = 5;

    private const STUCK = 30;

    protected $fillable = ['runs', 'keep', 'wish', 'state', 'solved', 'about', 'stop', 'answer', 'user_id'];

    protected $casts = ['runs' => 'array', 'keep' => 'array', 'stop' => 'boolean'];

    /** Why it does not come, in words; empty as long as it does. */
    public function trouble(CarbonImmutable $now): string
    {
        $start = 'php artisan queue:work --sleep=0.2';
        $quiet = (int) $this->updated_at->diffInSeconds($now);

        return match (true) {
            $this->state === 'failed' => (string) $this->answer,
            $this->state === 'running' && $quiet > self::STUCK
                => "No progress for {$quiet} s: the worker may have stopped. Start it with “{$start}”, then propose again. The job is unchanged.",
            $this->state === 'waiting' && $quiet >= self::PATIENCE => self::query()
                ->where('state', 'running')
                ->where('updated_at', '>=', $now->subSeconds(self::STUCK))
                ->exists()
                ? 'Another proposal is calculated first; this one follows.'
                : "The worker is not running. The administrator starts it with “{$start}”; the proposal then continues.",
            default => '',
        };
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
