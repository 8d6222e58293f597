<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Values\Figure;

/** Numbers to enter in a pixel board, from the plan: kind, pixels and start of each output, and the current limit. */
final readonly class BoardSettings
{
    /** Milliamps to which a limit is rounded down. */
    private const STEP = 50;

    /** @return list<BoardSetting> none while no run of pixels is on the board */
    public static function for(Plan $plan, string $board): array
    {
        $settings = [];
        $start = 0;
        foreach (DataOutput::needed($plan, $board) as $output) {
            $pixels = $plan->strip($plan->runs[$output->parts[0]->run]->strip)?->pixels;
            $settings[] = new BoardSetting(
                "Output {$output->output}",
                sprintf(
                    '%d pixels, start %d, %d colours, %s',
                    $output->pixels(),
                    $start,
                    $pixels->colours ?? 3,
                    $pixels?->dataWires === 2 ? 'data and clock' : 'one data wire',
                ),
                implode(
                    '; the same: ',
                    array_map(
                        static fn(array $parts): string => implode(
                            ', then ',
                            array_map(
                                static fn(DataPart $p): string => $plan->runs[$p->run]->name() .
                                    ($p->first > 1 ? " from pixel {$p->first}" : '') .
                                    ($p->reversed ? ' from its end' : ''),
                                $parts,
                            ),
                        ),
                        [$output->parts, ...$output->branches],
                    ),
                ),
                array_map(static fn(DataPart $p): string => $p->run, array_merge($output->parts, ...$output->branches)),
            );
            $start += $output->pixels();
        }
        if ($settings === []) {
            return [];
        }
        $limit = self::limit($plan, $board);

        return $limit === null ? $settings : [...$settings, $limit];
    }

    /** @return list<BoardSetting> of one run, and the limit of its board */
    public static function ofRun(Plan $plan, Run $run): array
    {
        return array_values(
            array_filter(
                self::for($plan, (string) $run->controller),
                static fn(BoardSetting $s): bool => $s->runs === [] || in_array($run->id, $s->runs, true),
            ),
        );
    }

    /** The least of the currents that the supplies, the terminals and the limits of the runs allow; null without a supply. */
    private static function limit(Plan $plan, string $board): ?BoardSetting
    {
        $entry = $plan->controller($board);
        $limits = [];
        $mine = 0.0;
        $capped = $through = false;
        foreach ($plan->runs as $run) {
            if ($run->controller !== $board) {
                continue;
            }
            $mine += $plan->labelAmps($run);
            $capped = $capped || $run->cap < 1;
            $through = $through || in_array($board, $plan->ways()->startsOf($run), true);
            foreach ($plan->ways()->suppliesOf($run) as $supply) {
                $limits['what ' . strtoupper($supply) . ' can give, with its headroom'] = self::left(
                    $plan,
                    $board,
                    $supply,
                );
            }
        }
        if ($limits === []) {
            return null;
        }
        if ($capped) {
            $limits['the limit that the supply is sized for'] = $mine;
        }
        if ($through && $entry !== null) {
            $limits['what its terminals carry'] = $entry->totalAmps;
        }
        asort($limits);

        return new BoardSetting(
            'Current limit',
            Figure::print(max(0.0, self::STEP * floor((1000 * reset($limits)) / self::STEP + 1e-6)), 0) . ' mA',
            (string) array_key_first($limits),
        );
    }

    /** Amps of a supply that its headroom, its other loads by their label and the board itself leave. */
    private static function left(Plan $plan, string $board, string $supply): float
    {
        $rated = $plan->supply($supply);
        $amps = ($rated->ratedAmps ?? 0.0) * $plan->limits->usable() - ($plan->controller($board)->standbyAmps ?? 0.0);
        foreach ($plan->runs as $run) {
            if ($run->controller !== $board && in_array($supply, $plan->ways()->suppliesOf($run), true)) {
                $amps -= $plan->labelAmps($run);
            }
        }

        return $amps;
    }
}
