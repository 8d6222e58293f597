<?php

declare(strict_types=1);

namespace App\Results;

use App\History\DeletedJobs;
use App\Models\Job;
use App\Models\Revision;
use App\Models\User;
use App\People\Permission;
use App\People\Role;
use App\Screens\Home\Home;
use App\Screens\Home\JobCard;
use Illuminate\Database\Eloquent\Builder;

/** The jobs that a person sees, a page at a time, those in the archive apart. */
final readonly class JobList
{
    public const PAGE = 25;

    public function __construct(private Summaries $summaries) {}

    /**
     * @param  list<string>  $words all of which must be in name or client
     */
    public function page(User $user, array $words, bool $archived, int $page): Home
    {
        $crew = $user->crew;
        $matching = self::matching($user, $words, $archived);
        $total = $matching->count();
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min($page, $pages);
        $jobs = $matching
            ->orderByDesc('updated_at')
            ->orderBy('id')
            ->offset(($page - 1) * self::PAGE)
            ->limit(self::PAGE)
            ->addSelect([
                'jobs.*',
                'revision' => Revision::query()->whereColumn('job_id', 'jobs.id')->selectRaw('max(number)'),
            ])
            ->get();
        $summaries = $this->summaries->known($crew, array_values($jobs->map(static fn(Job $j): int => $j->id)->all()));

        return new Home(
            find: implode(' ', $words),
            archived: $archived,
            page: $page,
            pages: $pages,
            total: $total,
            aside: self::matching($user, $words, !$archived)->count(),
            jobs: array_values(
                $jobs
                    ->map(
                        static fn(Job $job): JobCard => new JobCard(
                            id: $job->id,
                            name: $job->name,
                            client: $job->client,
                            revision: (int) $job->revision,
                            changed: $job->updated_at->toIso8601String(),
                            summary: $summaries[$job->id],
                        ),
                    )
                    ->all(),
            ),
            deleted: $archived && $page === 1 && $user->role->may(Permission::Plan) ? DeletedJobs::of($crew) : [],
        );
    }

    /**
     * @param  list<string>  $words
     * @return Builder<Job>
     */
    private static function matching(User $user, array $words, bool $archived): Builder
    {
        $matching = Job::query()->where('crew_id', $user->crew_id)->whereNull('archived_at', not: $archived);
        if ($user->role === Role::Guest) {
            $matching->whereKey($user->job_id);
        }
        foreach ($words as $word) {
            $like = '%' . addcslashes($word, '\\%_') . '%';
            $matching->where(
                static fn(Builder $q) => $q
                    ->whereRaw("name like ? escape '\\'", [$like])
                    ->orWhereRaw("client like ? escape '\\'", [$like]),
            );
        }

        return $matching;
    }
}
