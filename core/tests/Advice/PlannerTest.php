<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Advice;

use EmberDusk\Advice\Planner\Bill;
use EmberDusk\Advice\Planner\Planner;
use EmberDusk\Advice\Planner\Proposal;
use EmberDusk\Advice\Planner\Sharing;
use EmberDusk\Advice\Planner\Tables;
use EmberDusk\Advice\Planner\Tried;
use PHPUnit\Framework\TestCase;

/** The planner against nested loops that share only its tables of choices: equal cost and equal plan, or neither finds one. */
final class PlannerTest extends TestCase
{
    public function test_it_finds_what_nested_loops_find(): void
    {
        $seen = ['infeasible' => 0, 'best single runs clash' => 0, 'no simple layout' => 0, 'existing leg' => 0];
        $solved = [0, 0];
        foreach (PlannerJobs::all(404) as $case => [$plan, $ids, $shelf, $kind]) {
            $runs = array_map(static fn(string $r) => $plan->run($r), $ids);
            $of = Sharing::groups($plan, $runs)[0];
            $enumerator = new Enumerator($plan, new Tables($plan, 'room', $shelf), $shelf);
            $wanted = $kind === 'pinned' ? $enumerator->onOneSupply($of) : $enumerator->best($of);
            $proposal = Planner::of($plan, $ids, $shelf);
            $found = $proposal->whole()
                ? [$proposal->cost(), implode(',', array_map(static fn(Tried $t): string => $t->key, $proposal->parts))]
                : null;
            self::assertSame($wanted, $found, "case {$case}, {$kind}");
            self::assertTrue($proposal->exact, "case {$case}");
            $solved = [$solved[0] + $enumerator->solved, $solved[1] + $proposal->solved];
            $seen['infeasible'] += (int) ($wanted === null);
            $seen['existing leg'] += (int) ($kind === 'leg');
            $seen['no simple layout'] += (int) ($found !== null && !self::simple($proposal));
            $seen['best single runs clash'] += (int) ($kind === 'pinned' && self::clash($enumerator, $of, $found));
            if ($found !== null) {
                $made = $proposal->built($proposal->parts, $shelf);
                self::assertSame(
                    $proposal->cost(),
                    Bill::of($made, Proposal::wired($made, $plan, ...$ids))->cost(),
                    "case {$case}: the table’s price is the built plan’s",
                );
            }
        }
        fwrite(
            STDOUT,
            sprintf(
                "\n%d infeasible, %d whose best single runs clash, %d no simple layout, %d with an existing leg, of 100 jobs; loops solved %d, the planner %d\n",
                $seen['infeasible'],
                $seen['best single runs clash'],
                $seen['no simple layout'],
                $seen['existing leg'],
                ...$solved,
            ),
        );
        self::assertGreaterThanOrEqual(20, $seen['infeasible']);
        self::assertGreaterThanOrEqual(30, $seen['best single runs clash']);
        self::assertGreaterThanOrEqual(30, $seen['no simple layout']);
        self::assertGreaterThanOrEqual(20, $seen['existing leg']);
    }

    /** Every run fed once, at its start. */
    private static function simple(Proposal $proposal): bool
    {
        foreach ($proposal->parts as $part) {
            foreach ($part->layout->blocks as $block) {
                foreach ($block->feeds as $feed) {
                    if ($feed->pattern !== 'start') {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /**
     * Whether what is best for each run alone is not what is best for both.
     *
     * @param  list<\EmberDusk\Plan\Run>  $runs
     * @param  array{int, string}|null  $found
     */
    private static function clash(Enumerator $enumerator, array $runs, ?array $found): bool
    {
        $alone = array_map(static fn($r): ?array => $enumerator->onOneSupply([$r]), $runs);
        if (in_array(null, $alone, true)) {
            return false;
        }
        $decisions = static fn(string $key): array => array_merge(
            ...array_map(
                static fn(array $b): array => [
                    ...array_map(static fn(array $r): string => implode(' ', $r), $b['runs']),
                    'trunk' => $b['trunk'],
                ],
                json_decode($key, true)['blocks'],
            ),
        );
        if ($found === null) {
            return true;
        }
        $together = $decisions($found[1]);
        foreach ($alone as $one) {
            $mine = $decisions($one[1]);
            if (array_diff_assoc($mine, $together) !== []) {
                return true;
            }
        }

        return false;
    }
}
