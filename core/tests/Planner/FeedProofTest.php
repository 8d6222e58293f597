<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\FeedResult;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\Controller;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\Aim;
use EmberDusk\Planner\BlockOhms;
use EmberDusk\Planner\FeedBound;
use EmberDusk\Planner\FeedKinds;
use EmberDusk\Planner\FeedMeasures;
use EmberDusk\Planner\FeedOption;
use EmberDusk\Planner\FeedSolver;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\PlannerProgress;
use EmberDusk\Planner\RunAmps;
use EmberDusk\Planner\Tables;
use EmberDusk\Planner\UnevenFeeds;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Bounds of ways of feeding, compared with solves at many voltages and with plans that hold. */
final class FeedProofTest extends TestCase
{
    /** Steps of the hub's volts from the highest to the lowest. */
    private const STEPS = 30;

    /** A solve at each of 31 voltages agrees with the maximum that was found, and with a failure at all voltages. */
    public function test_a_way_of_feeding_is_uneven_at_all_volts_above_its_most(): void
    {
        $plan = SeededRooms::of(133);
        $tables = new Tables($plan, 'room', Demo::basis());
        $solver = new FeedSolver($tables, new PlannerProgress());
        $uneven = new UnevenFeeds($solver, new FeedMeasures($plan), new FeedKinds());
        $lowest = FeedBound::lowest($tables, 24.0);
        $asked = ['always' => 0, 'above' => 0, 'never' => 0];
        foreach (['c', 'g', 'b'] as $name) {
            foreach (self::options($plan, $tables, $name) as $option) {
                $run = $plan->run($name);
                $uneven->refine($run, $option, $lowest);
                $most = $uneven->most($option);
                $always = $uneven->fails($run, $option);
                $asked[$always ? 'always' : ($most < INF ? 'above' : 'never')]++;
                for ($n = 0; $n <= self::STEPS; $n++) {
                    $share = 1.0 - ($n * (1.0 - $lowest)) / self::STEPS;
                    if ($always || $share >= $most) {
                        self::assertGreaterThan(
                            0.0,
                            $solver->at($run, $option, $share)->excess ?? 0.0,
                            "{$option->key} {$share}",
                        );
                    }
                }
                if (!$always && $most < INF) {
                    // A little lower it holds: no more is refused than must be.
                    $step = (1.0 - $lowest) / 8;
                    self::assertLessThan(1e-3, $solver->at($run, $option, $most - $step)->excess ?? 1.0, $option->key);
                }
            }
        }
        self::assertGreaterThan(0, min($asked));
    }

    /** @return iterable<FeedOption> one for each way of feeding a run from the outlet, by the thickest cable */
    private static function options(Plan $plan, Tables $tables, string $run): iterable
    {
        $seen = [];
        foreach (array_reverse($tables->feeds($plan->run($run), 'P1', Aim::Cost)) as $option) {
            if (count($option->pads) <= 2 && !isset($seen[$option->pattern]) && !$option->halves()) {
                $seen[$option->pattern] = true;
                if (count($seen) % 6 === 0) {
                    yield $option;
                }
            }
        }
    }

    /** In plans that hold, the current of each run and the voltage of each hub are within their bounds. */
    public function test_runs_of_a_plan_draw_and_have_no_less_than_is_said(): void
    {
        foreach ([3, 10] as $seed) {
            $plan = SeededRooms::of($seed);
            $proposal = Planner::propose($plan, array_map(strval(...), array_keys($plan->runs)), Demo::basis());
            $tables = new Tables($plan, 'room', Demo::basis());
            $solver = new FeedSolver($tables, new PlannerProgress());
            $measures = new FeedMeasures($plan);
            $known = new FeedKinds();
            $amps = new RunAmps($solver, new UnevenFeeds($solver, $measures, $known), $measures, $known);
            $made = $proposal->built($proposal->parts);
            $results = array_merge(...array_map((new Engine($made))->planned(...), Island::all($made)));
            foreach ($proposal->parts as $part) {
                foreach ($part->layout->blocks as $block) {
                    self::assertNotNull($block->trunk);
                    $controller = $block->controller?->entry;
                    self::assertInstanceOf(Controller::class, $controller);
                    $runs = array_map(static fn(FeedOption $f): Run => $plan->run($f->run), $block->feeds);
                    $ohms = new BlockOhms(
                        $tables->ohms($block->trunk, $tables->routes->trunk($part->layout->place, $block->place)),
                        0.0,
                        $controller->inside(count($tables->strip($runs[0])->channels)),
                        array_sum(array_map($amps->most(...), $runs)),
                    );
                    foreach ($runs as $run) {
                        $result = $results[$run->id];
                        self::assertInstanceOf(RunResult::class, $result);
                        $drawn = array_sum(array_map(static fn(FeedResult $f): float => $f->amps, $result->feeds));
                        self::assertGreaterThan($amps->least($run), $drawn, $run->id);
                        self::assertLessThan($amps->most($run), $drawn, $run->id);
                        self::assertLessThan(1.4 * $drawn, $amps->most($run), $run->id);
                        $trunk = $made->ways()->cableTo((string) $made->run($run->id)->controller)->id ?? '';
                        $hub = $result->farthestFeed()->supplyVolts - $result->cables[$trunk]->drop;
                        $said = 24.0 * FeedBound::highest($tables, 24.0) - $ohms->lost($amps->most($run));
                        self::assertGreaterThan($said, $hub, "room {$seed}, {$run->id}");
                        self::assertLessThan($said + 1.0, $hub, "room {$seed}, {$run->id}");
                    }
                }
            }
        }
    }
}
