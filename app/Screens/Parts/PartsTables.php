<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;

/** The list of parts and the cut list for a spreadsheet. */
final readonly class PartsTables
{
    /**
     * The list for a spreadsheet.
     *
     * @return list<list<string>>
     */
    public static function rows(JobState $state): array
    {
        $schedule = $state->schedule();
        $rows = [['group', 'part', 'wanted', 'unit', 'spare', 'buy', 'cost', 'currency', 'state', 'arrives', 'why']];
        foreach ($schedule->parts->parts as $part) {
            $mark = $schedule->mark($part);
            $rows[] = [
                $part->group,
                $part->name,
                sprintf('%g', round($part->count, 2)),
                $part->unit,
                (string) $part->spare,
                sprintf('%g', $part->buy),
                $part->cost() === null ? '' : sprintf('%.2f', $part->cost()),
                $state->plan->terms->currency,
                Mark::STATES[$mark->state] ?? '',
                $mark->arrives ?? '',
                implode('; ', array_keys($part->why)),
            ];
        }

        return $rows;
    }

    /**
     * The cut list for a spreadsheet: a line for each piece, in millimetres.
     *
     * @return list<list<string>>
     */
    public static function cutRows(JobState $state): array
    {
        $rows = [['material', 'length', 'of', 'offcut', 'piece', 'for', 'left']];
        foreach ($state->schedule()->parts->cuts as $cut) {
            foreach ($cut->bars as $n => $bar) {
                foreach ($bar->pieces as [$mm, $piece]) {
                    $rows[] = [
                        $cut->name,
                        (string) ($n + 1),
                        (string) $bar->length,
                        $bar->offcut ? 'yes' : 'no',
                        (string) $mm,
                        $piece->what,
                        (string) $bar->left,
                    ];
                }
            }
        }

        return $rows;
    }
}
