<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Crew;
use App\Models\Job;
use App\Models\Revision;
use App\Results\JobLoader;
use App\Screens\Shelf\EntryUses;
use App\Screens\Shelf\JobUse;
use App\Screens\Shelf\Shift;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Kit\RefreshKit;
use Illuminate\Database\Eloquent\Builder;

/** Jobs of a crew that use a shelf entry, and, for one of them, the changes from the current entry. */
final readonly class ShelfUses
{
    /** Number of jobs in a list. */
    private const MOST = 50;

    public function __construct(private JobLoader $loader) {}

    public function for(Crew $crew, string $entry, ?KitSnapshot $now): EntryUses
    {
        $held = static fn(): Builder => Job::query()
            ->where('crew_id', $crew->id)
            ->whereNull('archived_at')
            ->whereRaw('json_extract(kit, ?) is not null', ["$.\"{$entry}\""]);
        $jobs = $held()
            ->orderByRaw('json_extract(kit, ?) = ?', ["$.\"{$entry}\"", $now->hash ?? ''])
            ->orderByDesc('updated_at')
            ->limit(self::MOST)
            ->addSelect([
                'jobs.*',
                'revision' => Revision::query()->whereColumn('job_id', 'jobs.id')->selectRaw('max(number)'),
            ])
            ->get();

        return new EntryUses(
            total: $held()->count(),
            jobs: array_values(
                $jobs
                    ->map(
                        static fn(Job $job): JobUse => new JobUse(
                            job: $job->id,
                            name: $job->name,
                            revision: (int) $job->revision,
                            moved: $now !== null && ($job->kit[$entry] ?? '') !== $now->hash,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function shift(Job $job, string $entry): Shift
    {
        $shelf = Shelves::ofCrew($job->crew);
        $plan = $job->newest()->plan();

        return Shift::for(
            $this->loader->load($job, $plan, $shelf),
            $this->loader->load($job, Catalogue::make(RefreshKit::payload(kit: $entry), $shelf)->apply($plan), $shelf),
        );
    }
}
