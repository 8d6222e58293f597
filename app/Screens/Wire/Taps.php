<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\DataChoices;
use EmberDusk\Plan\Changes\Wires\FeedFrom;
use EmberDusk\Plan\Changes\Wires\TapLeg;
use EmberDusk\Plan\Changes\Wires\UseLeg;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ExistingLegs;
use EmberDusk\Plan\Routes\LegChain;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Fix;

/** Other ways to feed a run, each as a change: past or through its pixel board, and surveyed legs that can carry the feed. */
final readonly class Taps
{
    /** @return list<Fix> */
    public static function for(JobState $state, Run $run): array
    {
        $strip = $state->plan->strip($run->strip);
        if ($strip === null || $state->plan->ways()->origin($run) === null) {
            return [];
        }
        $drop = null;
        foreach ($state->shelf->ofKind('cable') as $snapshot) {
            if (
                $snapshot->entry instanceof Cable &&
                $snapshot->entry->cores === count($strip->channels) + 1 &&
                $snapshot->entry->conductor->capacity !== null
            ) {
                $drop ??= $snapshot->entry;
            }
        }
        $taps = [...self::board($state->plan, $run), ...DataChoices::for($state->plan, $run)];
        if ($drop === null) {
            return $taps;
        }
        $heavy = self::heavy($state, count($strip->channels) + 1);
        if ($heavy !== null && count($state->plan->of($run)->cutMarks()->groups ?? []) > 1) {
            $taps[] = new Fix(
                "Lay {$heavy->name()} past it, joined at both ends of each section",
                TapLeg::payload(run: $run->id, leg: $heavy->id(), drop: $drop->id()),
            );
        }
        $legs = ExistingLegs::for($state->plan, $run, $state->shelf);
        foreach (LegChain::names($legs) as $names) {
            $taps[] = new Fix(
                'Feed it by legs ' . implode(', ', $names) . ' as one trunk, both ends of each section tapped',
                UseLeg::payload(run: $run->id, legs: $names, drop: $drop->id()),
            );
        }
        foreach ($legs as $name => $leg) {
            $taps[] = new Fix(
                "Feed it by leg {$name}, {$state->plan->terms->say(
                    $leg->length,
                )} from {$leg->ends[0]->name} to {$leg->ends[1]->name}",
                UseLeg::payload(run: $run->id, legs: [(string) $name], drop: $drop->id()),
            );
        }

        return $taps;
    }

    /** @return list<Fix> that start the feeds of a pixel run at its supply, or at its board */
    private static function board(Plan $plan, Run $run): array
    {
        $board = $plan->of($run)->board()?->id;
        if ($board === null || $run->supply === null || $plan->ways()->cableTo($board) === null) {
            return [];
        }
        $starts = $plan->ways()->startsOf($run);
        [$label, $supply] = [strtoupper($board), strtoupper($run->supply)];

        return [
            ...in_array($board, $starts, true)
                ? [new Fix("Feed it from {$supply}, past {$label}", FeedFrom::payload($run->id, $run->supply))]
                : [],
            ...array_diff($starts, [$board]) === []
                ? []
                : [new Fix("Feed it through {$label}", FeedFrom::payload($run->id, $board))],
        ];
    }

    /** The thickest cable of the shelf with just so many cores. */
    private static function heavy(JobState $state, int $cores): ?Cable
    {
        $best = null;
        foreach ($state->shelf->ofKind('cable') as $snapshot) {
            $cable = $snapshot->entry;
            if (
                $cable instanceof Cable &&
                $cable->cores === $cores &&
                $cable->conductor->capacity !== null &&
                ($best === null || $cable->conductor->capacity > $best->conductor->capacity)
            ) {
                $best = $cable;
            }
        }

        return $best;
    }
}
