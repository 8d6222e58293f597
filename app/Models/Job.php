<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A job of a crew. Name, client and kit are copies from its newest plan, so that lists need not open it.
 *
 * @property int $id
 * @property int $crew_id
 * @property string $name
 * @property string $client
 * @property Carbon|null $archived_at
 * @property Carbon|null $deleted_at since when it can only be brought back
 * @property Carbon $updated_at
 * @property array<string, string> $kit hashes of the kit in the newest plan, by shelf id
 * @property-read int|null $revision its newest, where a list asked for it
 * @property-read Crew $crew
 */
final class Job extends Model
{
    use SoftDeletes;

    // Each model names its table: finding the plural would take a millisecond of every request.
    protected $table = 'jobs';

    protected $fillable = ['name', 'client', 'kit', 'archived_at'];

    protected $casts = ['kit' => 'array', 'archived_at' => 'datetime'];

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    public function newest(): Revision
    {
        return $this->revisions()->orderByDesc('number')->firstOrFail();
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class);
    }

    /** @return HasMany<Trace, $this> */
    public function traces(): HasMany
    {
        return $this->hasMany(Trace::class);
    }

    /** @return HasMany<StepTick, $this> */
    public function ticks(): HasMany
    {
        return $this->hasMany(StepTick::class);
    }

    /** @return HasMany<JobLogEntry, $this> */
    public function logEntries(): HasMany
    {
        return $this->hasMany(JobLogEntry::class);
    }

    /** @return HasMany<BenchPractice, $this> */
    public function benchPractices(): HasMany
    {
        return $this->hasMany(BenchPractice::class);
    }

    /** @return HasOne<JobArrangement, $this> */
    public function arrangement(): HasOne
    {
        return $this->hasOne(JobArrangement::class);
    }

    /** @return HasMany<GivenQuote, $this> */
    public function quotes(): HasMany
    {
        return $this->hasMany(GivenQuote::class);
    }

    /** @return HasMany<PartMark, $this> */
    public function partMarks(): HasMany
    {
        return $this->hasMany(PartMark::class);
    }

    /** @return HasMany<JobProposal, $this> */
    public function proposals(): HasMany
    {
        return $this->hasMany(JobProposal::class);
    }

    /** @return HasMany<ClientLink, $this> */
    public function clientLinks(): HasMany
    {
        return $this->hasMany(ClientLink::class);
    }

    /** @return HasMany<LeftFact, $this> */
    public function leftFacts(): HasMany
    {
        return $this->hasMany(LeftFact::class);
    }

    /** @return HasMany<KitNote, $this> of its crew */
    public function kitNotes(): HasMany
    {
        return $this->hasMany(KitNote::class, 'crew_id', 'crew_id');
    }

    /** @return HasMany<JoinNeed, $this> */
    public function joinNeeds(): HasMany
    {
        return $this->hasMany(JoinNeed::class);
    }

    /** @return HasMany<JoinRun, $this> */
    public function joinRuns(): HasMany
    {
        return $this->hasMany(JoinRun::class);
    }
}
