<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Job;
use App\Models\StepTick;
use App\Time\Clock;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Press;
use EmberDusk\Schedule\TestTicks;
use EmberDusk\Schedule\Tick;
use Illuminate\Database\Eloquent\Builder;

/** State of the ticks: finished steps and tests of a job, and the crew's pace. */
final readonly class Ticks
{
    /** @return array<string, Tick> by step and by test */
    public static function for(Job $job, Plan $plan): array
    {
        $presses = StepTick::query()
            ->where('job_id', $job->id)
            ->orderBy('at')
            ->orderBy('id')
            ->get()
            ->map(
                static fn(StepTick $t): Press => new Press(
                    $t->step,
                    $t->done,
                    $t->minutes,
                    Clock::local($t->at)->format('Y-m-d H:i'),
                ),
            )
            ->all();

        if ($presses === []) {
            return [];
        }

        return TestTicks::from(array_values($presses), Tests::for($plan));
    }

    /** From the crew's other jobs, so that an estimate does not move under the hand while the job is done. */
    public static function productivity(Job $job): Productivity
    {
        $others = Job::query()->where('crew_id', $job->crew_id)->whereKeyNot($job->id)->select('id');
        $timed = [];
        // A test is part of a step: only full steps are held against the table.
        foreach (
            self::standing(StepTick::query()->whereIn('job_id', $others)->where('step', 'not like', '%/%'))
            as $tick
        ) {
            $timed[] = ['kind' => $tick->kind, 'table' => $tick->table_minutes, 'taken' => $tick->minutes];
        }

        return Productivity::from($timed);
    }

    /**
     * The last press on each step, where it says done.
     *
     * @param  Builder<StepTick>  $query
     * @return list<StepTick>
     */
    private static function standing(Builder $query): array
    {
        $last = [];
        foreach ($query->orderBy('at')->orderBy('id')->get() as $tick) {
            $last["{$tick->job_id} {$tick->step}"] = $tick;
        }

        return array_values(array_filter($last, static fn(StepTick $t): bool => $t->done));
    }
}
