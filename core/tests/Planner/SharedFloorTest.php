<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\FeedOption;
use EmberDusk\Planner\FeedRoom;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\PlannerProgress;
use EmberDusk\Planner\Proposal;
use EmberDusk\Planner\Search;
use EmberDusk\Planner\SetTrials;
use EmberDusk\Planner\SharedFloor;
use EmberDusk\Planner\Tables;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Bounds of sets of runs that share supplies, and rooms of more runs than can be parted in every way. */
final class SharedFloorTest extends TestCase
{
    /** Five runs along one wall, one of them tunable. */
    private static function room(): Plan
    {
        $names = ['a', 'b', 'c', 'd', 'e'];
        $lengths = [5.0, 6.5, 8.0, 5.5, 7.0];
        $walls = implode(
            "\n",
            array_map(static fn(string $n, float $m): string => sprintf('%.2f %s', $m, $n), $names, $lengths),
        );
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "start door\ndry\n{$walls}\noutlet P1 at 0.50\nbox B1 at 1.00, 60x40x20, vented",
        ]);
        foreach ($names as $n => $name) {
            $strip = $n % 3 === 2 ? 'strip-tunable-24' : 'strip-single-24';
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $name, 'kit' => $strip]);
        }

        return $plan;
    }

    /** @param  list<Run>  $runs */
    private static function bound(Plan $plan, array $runs, Basis $basis): int
    {
        if ($runs === []) {
            return 0;
        }
        $tables = new Tables($plan, $runs[0]->place, $basis);
        $search = new Search($tables, $basis->shelf, new PlannerProgress(), new PlanJudge());

        return (new SharedFloor($search, $runs))->least([])[0] ?? 0;
    }

    /**
     * The bound of ways of feeding that were solved with their own cables and behind their trunks.
     *
     * @param  list<Run>  $runs
     */
    private static function refined(Plan $plan, array $runs, Basis $basis): int
    {
        assert($runs !== []);
        $tables = new Tables($plan, $runs[0]->place, $basis);
        $search = new Search($tables, $basis->shelf, new PlannerProgress(), new PlanJudge());

        return (new SetTrials($search, $runs))->refined(0)->least([])[0] ?? 0;
    }

    /** Three mixed runs are parted and planned in every way: no bound is above that, and in most rooms it is that. */
    public function test_the_refined_bound_of_three_runs_is_at_most_what_every_way_finds(): void
    {
        $same = 0;
        foreach ([4, 7, 13] as $seed) {
            $plan = SeededRooms::of($seed);
            $ids = array_slice(array_map(strval(...), array_keys($plan->runs)), 0, 3);
            $proposal = Planner::propose($plan, $ids, Demo::basis());
            self::assertTrue($proposal->whole());
            $bound = self::refined($plan, array_map($plan->run(...), $ids), Demo::basis());
            self::assertLessThanOrEqual($proposal->cost(), $bound, "room {$seed}");
            $same += $bound === $proposal->cost() ? 1 : 0;
        }
        self::assertGreaterThan(1, $same);
    }

    /** On seeded jobs that nested loops solve exactly, the bound is never above what they find, and mostly near it. */
    public function test_no_bound_is_above_the_cheapest_layout(): void
    {
        $gaps = [];
        foreach (PlannerJobs::all(17) as $case => [$plan, $ids, $shelf, $kind]) {
            if ($kind === 'pinned' || $case >= 25) {
                continue;
            }
            $proposal = Planner::propose($plan, $ids, new Basis($shelf));
            if ($proposal->whole() && $proposal->exact) {
                $runs = array_map(static fn(string $id): Run => $plan->run($id), $ids);
                $bound = self::bound($plan, $runs, new Basis($shelf));
                self::assertLessThanOrEqual($proposal->cost(), $bound, "case {$case}, {$kind}");
                self::assertGreaterThan(0, $bound, "case {$case}, {$kind}");
                $refined = self::refined($plan, $runs, new Basis($shelf));
                self::assertGreaterThanOrEqual($bound, $refined, "case {$case}, {$kind}");
                self::assertLessThanOrEqual($proposal->cost(), $refined, "case {$case}, {$kind}");
                $gaps[] = 1 - $bound / $proposal->cost();
            }
        }
        self::assertGreaterThan(8, count($gaps));
        sort($gaps);
        self::assertLessThan(0.02, $gaps[intdiv(count($gaps), 2)]);
    }

    /**
     * Five runs: every limit holds, the price is that of the built plan, above the bound, and less than each run alone. The bound lets a controller
     * carry runs whose cables lose as much as they may: here a fifth is open.
     */
    public function test_a_room_of_five_runs_is_near_its_bound(): void
    {
        $plan = self::room();
        $ids = array_map(strval(...), array_keys($plan->runs));
        $proposal = Planner::propose($plan, $ids, Demo::basis());
        self::assertTrue($proposal->whole());
        $made = $proposal->built($proposal->parts);
        self::assertSame([], (new PlanJudge())->judge($made, array_values($made->runs))->broken);
        self::assertSame(
            $proposal->cost(),
            Costing::moving($made, Demo::basis(), Proposal::wired($made, $plan, ...$ids))->cost(),
        );
        // Solved with their own cables, ways of feeding lose more than was known of them.
        self::assertGreaterThanOrEqual(self::bound($plan, array_values($plan->runs), Demo::basis()), $proposal->bound);
        self::assertGreaterThan(0.8 * $proposal->cost(), $proposal->bound);
        self::assertLessThanOrEqual($proposal->cost(), $proposal->bound);
        $alone = 0;
        foreach ($ids as $id) {
            $alone += Planner::propose($plan, [$id], Demo::basis())->cost();
        }
        self::assertLessThan($alone, $proposal->cost());
    }

    /** No feed of a plan that holds is refused behind its trunk; behind one that loses the limit alone, which no plan has, each is. */
    public function test_what_fails_behind_a_trunk_is_in_no_plan_that_holds(): void
    {
        $asked = 0;
        foreach ([3, 10, 17] as $seed) {
            $plan = SeededRooms::of($seed);
            $proposal = Planner::propose($plan, array_map(strval(...), array_keys($plan->runs)), Demo::basis());
            self::assertTrue($proposal->whole());
            $tables = new Tables($plan, 'room', Demo::basis());
            $search = new Search($tables, Demo::shelf(), new PlannerProgress(), new PlanJudge());
            foreach ($proposal->parts as $part) {
                foreach ($part->layout->blocks as $block) {
                    self::assertNotNull($block->trunk);
                    $ohms = $tables->ohms($block->trunk, $tables->routes->trunk($part->layout->place, $block->place));
                    $amps = array_map(
                        static fn(FeedOption $f): float => $search->proof->amps->least($plan->run($f->run)),
                        $block->feeds,
                    );
                    foreach ($block->feeds as $n => $feed) {
                        $others = $ohms * (array_sum($amps) - $amps[$n]);
                        $label = "room {$seed}, {$feed->key}";
                        self::assertFalse(
                            $search->proof->trunks->refutes($feed, new FeedRoom(INF, ohms: $ohms, others: $others)),
                            $label,
                        );
                        // 5 % of 24 V over the least amps of the run alone.
                        $most = 1.2 / $amps[$n];
                        self::assertTrue(
                            $search->proof->trunks->refutes($feed, new FeedRoom(INF, ohms: 1.2 * $most, others: 0.0)),
                            $label,
                        );
                        $thinner = new FeedRoom(INF, ohms: 1.3 * $most, others: 0.1);
                        self::assertTrue($search->proof->trunks->refuted($feed, $thinner), $label);
                        $asked++;
                    }
                }
            }
        }
        self::assertGreaterThan(12, $asked);
    }

    /** Two runs that are one light keep one controller, in a room where no set on one supply holds both. */
    public function test_runs_of_one_light_stay_together(): void
    {
        $plan = self::room();
        foreach (['a', 'b', 'd', 'e'] as $run) {
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'controller-zigbee-1']);
        }
        $plan = Demo::with(
            $plan,
            ['kind' => 'ShareKit', 'run' => 'e', 'with' => (string) $plan->run('a')->controller],
            [
                'kind' => 'NameLight',
                'controller' => (string) $plan->run('a')->controller,
                'name' => 'Wall',
                'room' => 'Room',
            ],
        );
        $ids = array_map(strval(...), array_keys($plan->runs));
        $proposal = Planner::propose($plan, $ids, Demo::basis());
        self::assertTrue($proposal->whole());
        $made = $proposal->built($proposal->parts);
        self::assertSame($made->run('a')->controller, $made->run('e')->controller);
        self::assertLessThanOrEqual($proposal->cost(), $proposal->bound);
    }
}
