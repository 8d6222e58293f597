<?php

declare(strict_types=1);

namespace App\Results;

use App\Models\Crew;
use App\Models\CrewOffcut;
use App\Models\Job;
use App\Models\JoinEvent;
use App\Models\PartMark;
use App\Models\StepTick;
use App\Screens\Home\JobNext;
use App\Screens\Home\JobSummary;
use App\Screens\Home\Waiting;
use App\Screens\Stages;
use App\Time\Clock;
use EmberDusk\Checks\Findings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Formats\Fields;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Refusal;
use Illuminate\Support\Facades\DB;

/** Summary of each job for the list: stage states, next step, waits. Calculated once per state of a job. */
final readonly class Summaries
{
    public function __construct(private ResultStore $cache, private JobLoader $loader) {}

    /**
     * @param  list<int>  $jobs  of one crew
     * @return array<int, JobSummary|null> by job; null where it has to be calculated first
     */
    public function known(Crew $crew, array $jobs): array
    {
        return array_map($this->kept(...), self::keys($crew, $jobs));
    }

    public function for(Job $job): JobSummary
    {
        $key = self::keys($job->crew, [$job->id])[$job->id];
        $kept = $this->kept($key);
        if ($kept !== null) {
            return $kept;
        }
        $summary = self::summary($this->loader->load($job, $job->newest()->plan()));
        $this->cache->put($key, $summary->write());

        return $summary;
    }

    /** The cached summary; null where there is none, or one in the form of an earlier version. */
    private function kept(string $key): ?JobSummary
    {
        $kept = $this->cache->get($key);
        if (!is_array($kept)) {
            return null;
        }
        try {
            return JobSummary::read(new Fields($kept));
        } catch (Refusal) {
            return null;
        }
    }

    private static function summary(JobState $state): JobSummary
    {
        $findings = (new Findings($state))->for();
        $next = $findings[0] ?? null;

        return new JobSummary(
            stages: Stages::lamps($state, $findings),
            waits: Waiting::for($state),
            next: $next === null
                ? null
                : new JobNext(
                    code: $next->code,
                    severity: $next->severity->value,
                    title: $next->title,
                    stage: $next->place->stage->value,
                    place: $next->place->id,
                ),
        );
    }

    /**
     * A key names everything that a summary is made of: the plan's revision, the job's facts, the crew's shelf, van and pace,
     * the hour (the rest to do begins now).
     *
     * @param  list<int>  $jobs
     * @return array<int, string> by job
     */
    private static function keys(Crew $crew, array $jobs): array
    {
        $of = static function (string $table, string $what) use ($jobs): array {
            return DB::table($table)
                ->whereIn('job_id', $jobs)
                ->groupBy('job_id')
                ->selectRaw("job_id, {$what} as what")
                ->pluck('what', 'job_id')
                ->all();
        };
        $parts = [
            $of('revisions', 'max(id)'),
            $of((new PartMark())->getTable(), "group_concat(part || '=' || state || coalesce(arrives, ''), ' ')"),
            $of('arrangements', 'max(document)'),
            // Accepted points are log entries.
            $of('log_entries', "count(*) || '-' || max(id)"),
            $of((new StepTick())->getTable(), "count(*) || '-' || max(id)"),
            JoinEvent::query()
                ->join('join_runs', 'join_runs.id', '=', 'join_run_id')
                ->whereIn('job_id', $jobs)
                ->where('kind', 'named')
                ->groupBy('job_id')
                ->selectRaw('job_id, group_concat(distinct device) as what')
                ->toBase()
                ->pluck('what', 'job_id')
                ->all(),
        ];
        $shared = [
            Engine::VERSION,
            (string) DB::table('crews')->where('id', $crew->id)->value('shelf_version'),
            Clock::day(),
            substr(Clock::hour(), 0, 2),
            CrewOffcut::query()
                ->where('crew_id', $crew->id)
                ->orderBy('id')
                ->toBase()
                ->get(['id', 'kit', 'mm', 'kept_for', 'left_by'])
                ->toJson(),
            DB::table('ticks')->join('jobs', 'jobs.id', '=', 'job_id')->where('crew_id', $crew->id)->max('ticks.id'),
        ];
        $keys = [];
        foreach ($jobs as $job) {
            $keys[$job] =
                'summary.' .
                hash(
                    'xxh128',
                    (string) json_encode([
                        $shared,
                        $job,
                        array_map(static fn(array $p): mixed => $p[$job] ?? null, $parts),
                    ]),
                );
        }

        return $keys;
    }
}
