<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\CrewOffcut;
use App\Models\Job;
use EmberDusk\Parts\Bar;
use EmberDusk\Parts\Offcut;
use EmberDusk\Parts\StockCut;
use Illuminate\Database\Eloquent\Builder;

/** Offcuts in a crew's van available to a job: without those packed for other jobs and those from this one. */
final readonly class Offcuts
{
    /** @return list<Offcut> */
    public static function for(Job $job): array
    {
        return array_values(
            self::free($job)
                ->orderBy('kit')
                ->orderBy('mm')
                ->get()
                ->map(
                    static fn(CrewOffcut $o): Offcut => new Offcut(
                        $o->id,
                        $o->kit,
                        $o->mm / 1000,
                        $o->kept_for !== null,
                    ),
                )
                ->all(),
        );
    }

    /** @return Builder<CrewOffcut> */
    public static function free(Job $job): Builder
    {
        return CrewOffcut::query()
            ->where('crew_id', $job->crew_id)
            ->where(static fn(Builder $q) => $q->whereNull('kept_for')->orWhere('kept_for', $job->id))
            ->where(static fn(Builder $q) => $q->whereNull('left_by')->orWhere('left_by', '!=', $job->id));
    }

    /** Keeps the offcuts that a cut list uses for a job when packed; releases them when unpacked. */
    public static function pack(Job $job, StockCut $cut, bool $packed): void
    {
        CrewOffcut::query()
            ->where('kept_for', $job->id)
            ->where('kit', $cut->kit)
            ->update(['kept_for' => null]);
        if (!$packed) {
            return;
        }
        $used = array_count_values(
            array_map(
                static fn(Bar $b): int => $b->length,
                array_values(array_filter($cut->bars, static fn(Bar $b): bool => $b->offcut)),
            ),
        );
        foreach (self::free($job)->where('kit', $cut->kit)->orderBy('mm')->get() as $offcut) {
            // A strip is used up to its last cut mark: the length in the list may be a little shorter.
            foreach ($used as $mm => $count) {
                if ($count > 0 && $cut->usable($offcut->mm) === $mm) {
                    $offcut->update(['kept_for' => $job->id]);
                    $used[$mm]--;
                    break;
                }
            }
        }
    }

    /** Adds the offcuts of a cut list to the van, replacing earlier ones of this job. */
    public static function leave(Job $job, StockCut $cut): void
    {
        CrewOffcut::query()->where('left_by', $job->id)->where('kit', $cut->kit)->whereNull('kept_for')->delete();
        foreach ($cut->kept() as $mm) {
            $job->crew->offcuts()->create(['kit' => $cut->kit, 'mm' => $mm, 'left_by' => $job->id]);
        }
    }
}
