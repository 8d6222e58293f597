<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ExistingLegs;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\LayoutTrial;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\Proposal;
use EmberDusk\Planner\Sharing;
use EmberDusk\Planner\Tables;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The planner against nested loops that share only its tables of choices: equal cost and equal plan, or neither finds one. */
final class PlannerTest extends TestCase
{
    private const SEED = 404;

    /** Jobs of the first ten that take less than the half minute of two runs whose every pair of feeds is tried. */
    private const QUICK = [0, 1, 3, 4, 5];

    /** @return iterable<string, array{int}> five of the hundred jobs; EMBER_SEEDS=100 takes all, in tens */
    public static function tens(): iterable
    {
        for ($from = 0; $from < min(100, max(10, (int) getenv('EMBER_SEEDS'))); $from += 10) {
            yield "jobs {$from} to " . ($from + 9) => [$from];
        }
    }

    /** Worth of the comparison: some jobs have no solution, or none found run by run or at the start. */
    #[DataProvider('tens')]
    public function test_it_finds_what_nested_loops_find(int $from): void
    {
        $seen = ['infeasible' => 0, 'best single runs clash' => 0, 'no simple layout' => 0, 'existing leg' => 0];
        $all = getenv('EMBER_SEEDS') !== false;
        foreach (self::jobs($from, $all) as $case => [$plan, $ids, $shelf, $kind]) {
            $of = self::group($plan, $ids);
            $enumerator = new Enumerator($plan, new Tables($plan, 'room', new Basis($shelf)), $shelf);
            $wanted = $kind === 'pinned' ? $enumerator->onOneSupply($of) : $enumerator->best($of);
            $proposal = Planner::propose($plan, $ids, new Basis($shelf));
            $found = self::found($proposal);
            self::assertSame($wanted, $found, "case {$case}, {$kind}");
            self::assertTrue($proposal->exact, "case {$case}");
            $seen['infeasible'] += (int) ($found === null);
            $seen['existing leg'] += count(ExistingLegs::for($plan, $plan->run($ids[0]), $shelf));
            $seen['best single runs clash'] += (int) ($kind === 'pinned' && self::clash($enumerator, $of, $found));
            if ($found !== null) {
                $made = $proposal->built($proposal->parts);
                self::assertSame(
                    $proposal->cost(),
                    Costing::moving($made, new Basis($shelf), Proposal::wired($made, $plan, ...$ids))->cost(),
                    "case {$case}: the table’s price is the built plan’s",
                );
                $seen['no simple layout'] += (int) !self::simple($proposal);
            }
        }
        self::assertGreaterThanOrEqual(1, $seen['infeasible']);
        self::assertGreaterThanOrEqual($all ? 2 : 1, $seen['best single runs clash']);
        self::assertGreaterThanOrEqual($all ? 2 : 1, $seen['no simple layout']);
        self::assertGreaterThanOrEqual(1, $seen['existing leg']);
    }

    /** @return array<int, array{Plan, list<string>, FewOnShelf, string}> */
    private static function jobs(int $from, bool $all): array
    {
        $ten = array_slice(iterator_to_array(PlannerJobs::all(self::SEED)), $from, 10, true);

        return $all ? $ten : array_intersect_key($ten, array_flip(self::QUICK));
    }

    /**
     * @param  list<string>  $ids
     * @return non-empty-list<Run>
     */
    private static function group(Plan $plan, array $ids): array
    {
        return Sharing::groups($plan, array_map(static fn(string $r): Run => $plan->run($r), $ids))[0];
    }

    /** @return array{int, string}|null cost and decisions */
    private static function found(Proposal $proposal): ?array
    {
        if ($proposal->whole()) {
            return [
                $proposal->cost(),
                implode(',', array_map(static fn(LayoutTrial $t): string => $t->key, $proposal->parts)),
            ];
        }

        return null;
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
     * Whether the best for each run alone is not the best for both.
     *
     * @param  list<Run>  $runs
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
