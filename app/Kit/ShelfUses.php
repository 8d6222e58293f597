<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Crew;
use App\Models\Job;
use App\Models\Revision;
use App\Results\JobLoader;
use App\Screens\Shelf\Shift;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Kit\RefreshKit;
use Illuminate\Database\Eloquent\Builder;

/** Which jobs of a crew use a shelf entry; and, when one is looked at, what would move in it if it took the entry as it stands now. */
final readonly class ShelfUses
{
    /** Jobs that are told at once. */
    private const MOST = 50;

    public function __construct(private JobLoader $loader) {}

    /** @return array<string, mixed> as in app/Screens/Shelf/shelf.json, $defs/uses: those that hold an older copy first; jobs in the archive are left alone */
    public function of(Crew $crew, string $entry, ?KitSnapshot $now): array
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

        return [
            'total' => $held()->count(),
            'jobs' => $jobs
                ->map(
                    static fn(Job $job): array => [
                        'job' => $job->id,
                        'name' => $job->name,
                        'revision' => (int) $job->revision,
                        'moved' => $now !== null && ($job->kit[$entry] ?? '') !== $now->hash,
                    ],
                )
                ->all(),
        ];
    }

    /** @return array<string, mixed> as in app/Screens/Shelf/shelf.json, $defs/shift */
    public function shift(Job $job, string $entry): array
    {
        $shelf = Shelves::ofCrew($job->crew);
        $plan = $job->newest()->plan();

        return Shift::of(
            $this->loader->load($job, $plan, $shelf),
            $this->loader->load($job, Catalogue::make(RefreshKit::payload(kit: $entry), $shelf)->apply($plan), $shelf),
        );
    }
}
