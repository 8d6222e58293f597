<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Works;

use EmberDusk\Advice\Work;
use EmberDusk\Parts\Mark;

/** The list of parts and the cut list for a spreadsheet. */
final readonly class PartsTables
{
    /**
     * The list for a spreadsheet.
     *
     * @return list<list<string>>
     */
    public static function rows(Work $work): array
    {
        $sheet = Worksheet::of($work);
        $rows = [['group', 'part', 'wanted', 'unit', 'spare', 'buy', 'cost', 'currency', 'state', 'arrives', 'why']];
        foreach ($sheet->parts->parts as $part) {
            $mark = $sheet->mark($part);
            $rows[] = [
                $part->group,
                $part->name,
                sprintf('%g', round($part->count, 2)),
                $part->unit,
                (string) $part->spare,
                sprintf('%g', $part->buy),
                $part->cost() === null ? '' : sprintf('%.2f', $part->cost()),
                $work->plan->terms->currency,
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
    public static function cutRows(Work $work): array
    {
        $rows = [['material', 'length', 'of', 'offcut', 'piece', 'for', 'left']];
        foreach (Worksheet::of($work)->parts->cuts as $cut) {
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
