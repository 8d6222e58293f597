<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Job;
use App\Models\Tick;
use App\Time\Clock;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Tick as Done;
use Illuminate\Database\Eloquent\Builder;

/** What the ticks say: which steps of a job are done, and how fast the crew is. */
final readonly class Ticks
{
    /** @return array<string, Done> by step */
    public static function of(Job $job): array
    {
        $done = [];
        foreach (self::standing(Tick::query()->where('job_id', $job->id)) as $tick) {
            $done[$tick->step] = new Done($tick->step, $tick->minutes, Clock::local($tick->at)->format('Y-m-d H:i'));
        }

        return $done;
    }

    /** From the crew's other jobs, so that an estimate does not move under the hand while the job is done. */
    public static function productivity(Job $job): Productivity
    {
        $others = Job::query()->where('crew_id', $job->crew_id)->whereKeyNot($job->id)->select('id');
        $timed = [];
        foreach (self::standing(Tick::query()->whereIn('job_id', $others)) as $tick) {
            $timed[] = ['kind' => $tick->kind, 'table' => $tick->table_minutes, 'taken' => $tick->minutes];
        }

        return Productivity::of($timed);
    }

    /**
     * The last press on each step, where it says done.
     *
     * @param  Builder<Tick>  $query
     * @return list<Tick>
     */
    private static function standing(Builder $query): array
    {
        $last = [];
        foreach ($query->orderBy('at')->orderBy('id')->get() as $tick) {
            $last["{$tick->job_id} {$tick->step}"] = $tick;
        }

        return array_values(array_filter($last, static fn(Tick $t): bool => $t->done));
    }
}
