<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Crew;
use App\Models\CrewOffcut;
use App\Models\Job;
use App\Screens\Home\DeletedJob;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Jobs that were deleted: for 30 days they can be brought back, then they go with their history, photos and ticks. */
final readonly class DeletedJobs
{
    public const DAYS = 30;

    public static function delete(Job $job): void
    {
        DB::transaction(static function () use ($job): void {
            // What it had packed of the van is for other jobs now.
            CrewOffcut::query()
                ->where('kept_for', $job->id)
                ->update(['kept_for' => null]);
            $job->forceFill(['deleted_at' => Clock::now()])->save();
        });
    }

    /** Into the archive, where it was deleted from. */
    public static function bringBack(Job $job): void
    {
        DB::transaction(static fn(): bool => $job->forceFill(['deleted_at' => null])->save());
    }

    /** Removes those of all crews whose days are over. Returns their number. */
    public static function expire(CarbonImmutable $now): int
    {
        $over = Job::onlyTrashed()->where('deleted_at', '<', Carbon::instance($now)->subDays(self::DAYS));
        $count = $over->count();
        if ($count > 0) {
            DB::transaction(static fn(): mixed => $over->forceDelete());
        }

        return $count;
    }

    /** @return list<DeletedJob> of a crew, the last deleted first; those whose days are over go */
    public static function of(Crew $crew): array
    {
        self::expire(Clock::now());
        $oldest = Carbon::instance(Clock::now())->subDays(self::DAYS);

        return array_values(
            Job::onlyTrashed()
                ->where('crew_id', $crew->id)
                ->orderByDesc('deleted_at')
                ->orderByDesc('id')
                ->get()
                ->map(
                    static fn(Job $job): DeletedJob => new DeletedJob(
                        id: $job->id,
                        name: $job->name,
                        client: $job->client,
                        until: Clock::local(($job->deleted_at ?? $oldest)->copy()->addDays(self::DAYS))->format(
                            'Y-m-d',
                        ),
                    ),
                )
                ->all(),
        );
    }
}
