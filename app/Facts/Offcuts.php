<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Job;
use App\Models\Offcut;
use EmberDusk\Parts\Bar;
use EmberDusk\Parts\Offcut as InVan;
use EmberDusk\Parts\StockCut;
use Illuminate\Database\Eloquent\Builder;

/** Offcuts in a crew's van available to a job: without those packed for other jobs and those from this one. */
final readonly class Offcuts
{
    /** @return list<InVan> */
    public static function for(Job $job): array
    {
        return array_values(
            self::free($job)
                ->orderBy('kit')
                ->orderBy('mm')
                ->get()
                ->map(static fn(Offcut $o): InVan => new InVan($o->id, $o->kit, $o->mm / 1000, $o->kept_for !== null))
                ->all(),
        );
    }

    /** @return Builder<Offcut> */
    public static function free(Job $job): Builder
    {
        return Offcut::query()
            ->where('crew_id', $job->crew_id)
            ->where(static fn(Builder $q) => $q->whereNull('kept_for')->orWhere('kept_for', $job->id))
            ->where(static fn(Builder $q) => $q->whereNull('left_by')->orWhere('left_by', '!=', $job->id));
    }

    /** Keeps the offcuts that a cut list uses for a job when packed; releases them when unpacked. */
    public static function pack(Job $job, StockCut $cut, bool $packed): void
    {
        Offcut::query()
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
        Offcut::query()->where('left_by', $job->id)->where('kit', $cut->kit)->whereNull('kept_for')->delete();
        foreach ($cut->kept() as $mm) {
            $job->crew->offcuts()->create(['kit' => $cut->kit, 'mm' => $mm, 'left_by' => $job->id]);
        }
    }
}
