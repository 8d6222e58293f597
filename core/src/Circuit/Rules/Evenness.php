<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Rules;

use EmberDusk\Circuit\Engine;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Workings\Finding;
use EmberDusk\Workings\Fix;
use EmberDusk\Workings\Place;
use EmberDusk\Workings\Severity;
use EmberDusk\Workings\Trouble;

/** Darkest over brightest: 0.90 and up even, to 0.80 visible to a careful eye, below visible (common practice, no source). */
final readonly class Evenness implements Rule
{
    private const VISIBLE = 0.80;

    /** Most feeds that are proposed. */
    private const FEEDS = 6;

    public function check(Judged $case): array
    {
        $result = $case->result;
        if ($result === null) {
            return [];
        }
        $even = $result->evenness();
        $limit = $case->plan->limits->evenness;
        $range = $result->evennessRange();
        if ($even >= $limit && ! $range->straddles($limit)) {
            return [];
        }
        $at = ($result->darkestGroup() + 0.5) * $result->pitch;
        $name = $case->run->name();
        [$severity, $title] = match (true) {
            $range->straddles($limit) => [Severity::Watch, "{$name}: near the limit of evenness"],
            $even >= self::VISIBLE => [Severity::Watch, "{$name}: a careful eye sees the fall"],
            default => [Severity::Stop, "{$name}: visibly dull"],
        };

        return [new Finding('evenness', $severity, $title,
            sprintf('Darkest %.2f of the brightest, at %.2f m; limit %.2f. With rails and supply as far off as they may be: %.2f to %.2f.',
                $even, $at, $limit, $range->low, $range->high),
            new Place('wire', $case->run->id), $even, $limit, 'common practice, no source', self::fixes($case))];
    }

    /** @return list<Fix> at most two ways of feeding that have been solved and hold the limit even with thin rails and low volts */
    private static function fixes(Judged $case): array
    {
        $run = $case->run->id;
        $ways = ['Feed both ends' => ['kind' => 'FeedPattern', 'run' => $run, 'pattern' => 'ends'], 'Feed the middle' => ['kind' => 'FeedPattern', 'run' => $run, 'pattern' => 'middle']];
        for ($k = 2; $k <= self::FEEDS; $k++) {
            $ways["Feed at {$k} equal points"] = ['kind' => 'SetFeeds', 'run' => $run, 'shares' => array_map(static fn (int $j): float => (2 * $j - 1) / (2 * $k), range(1, $k))];
        }
        $fixes = [];
        foreach ($case->shelf === null ? [] : $ways as $label => $change) {
            if (count($fixes) < 2 && self::holds($case, $change)) {
                $fixes[] = new Fix($label, $change);
            }
        }

        return $fixes;
    }

    /** @param  array<string, mixed>  $change */
    private static function holds(Judged $case, array $change): bool
    {
        try {
            assert($case->shelf !== null);
            $plan = Catalogue::read($change, $case->shelf)->apply($case->plan);
            $light = Engine::poorest($plan, $plan->run($case->run->id));
        } catch (Trouble) {
            return false;
        }

        return $light !== [] && min($light) / max($light) >= $case->plan->limits->evenness;
    }
}
