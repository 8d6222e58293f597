<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Guide\GuideSteps;
use EmberDusk\Joining\Order\JoinMoves;
use EmberDusk\Joining\Order\Nearest;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\TestCase;

/** The order of joins and links against all orders, enumerated and priced here on their own; its rules; large jobs. */
final class OrderTest extends TestCase
{
    /** Small jobs: two or three lights, a hub, a remote, now and then a panel. */
    private static function small(int $seed): Roster
    {
        $units = [Bench::hub()];
        $wants = [];
        $lights = 2 + ($seed % 2);
        foreach (range(1, $lights) as $n) {
            $units[] = Bench::zigbee("c{$n}", ($seed * 7 * $n) % 15);
            $wants[] = ['h1', "c{$n}"];
            if ($seed % 3 !== 0) {
                $wants[] = ['r1', "c{$n}", $n];
            }
        }
        if ($seed % 3 !== 0) {
            $units[] = Bench::remote();
        }

        return Bench::roster($units, $wants);
    }

    public function test_small_jobs_are_as_cheap_as_the_best_of_all_orders(): void
    {
        foreach (range(1, 24) as $seed) {
            $roster = self::small($seed);
            self::assertSame((new AllOrders($roster))->best(), Order::seconds($roster), "seed {$seed}");
        }
    }

    public function test_large_jobs_stay_near_the_best_where_that_is_known(): void
    {
        foreach (range(1, 24) as $seed) {
            $roster = self::small($seed);
            $tasks = array_values(
                array_filter(
                    Order::for($roster),
                    static fn(Task $t): bool => in_array($t->what, [Task::JOIN, Task::LINK], true),
                ),
            );
            $quick = (new Nearest(
                JoinMoves::for(array_map(static fn(Task $t): Task => $t->in(''), $tasks), $roster),
            ))->for()[0];
            self::assertGreaterThanOrEqual(Order::seconds($roster), $quick);
            self::assertLessThanOrEqual(1.25 * Order::seconds($roster), $quick, "seed {$seed}");
        }
    }

    public function test_a_job_of_sixty_devices_has_all_its_tasks_once_and_batches_that_fit(): void
    {
        $units = [
            new Unit(
                'h1',
                'Hub',
                Unit::HUB,
                'hub',
                'zigbee',
                Bench::leaflet([], ['search' => 90, 'lagLeast' => 1, 'lagMost' => 4]),
                'table',
                speaks: ['zigbee'],
            ),
        ];
        $wants = [];
        foreach (range(1, 55) as $n) {
            $units[] = Bench::zigbee("c{$n}", fmod($n * 3.7, 40));
            $wants[] = ['h1', "c{$n}"];
            $wants[] = ['r1', "c{$n}", 1 + ($n % 4)];
        }
        $roster = Bench::roster([...$units, Bench::remote()], $wants);
        $tasks = Order::for($roster);
        $ids = array_map(static fn(Task $t): string => $t->id(), $tasks);
        self::assertSame($ids, array_values(array_unique($ids)));
        // Joins, links and trials; then two controls with covers closed, every light after mains off and on, the remote without the hub.
        self::assertCount(55 + 1 + 55 + 110 + (2 + 55 + 1), $ids);
        $batches = [];
        foreach ($tasks as $task) {
            if ($task->batch !== '') {
                $batches[$task->batch][] = $task;
            }
        }
        self::assertGreaterThan(3, count($batches));
        foreach ($batches as $batch) {
            $seconds = 0;
            foreach ($batch as $n => $task) {
                $seconds += ($n > 0 ? $roster->walk($batch[$n - 1]->device, $task->device) : 0) + 2 + 6;
            }
            self::assertLessThanOrEqual(90, $seconds, 'resets of 1.4 s and joins of 6 s at most');
        }
        $at = array_flip($ids);
        foreach ($tasks as $task) {
            if ($task->what === Task::LINK) {
                self::assertGreaterThan($at["join {$task->other} h1"], $at[$task->id()], 'joined before it is linked');
                self::assertGreaterThan($at['join r1 h1'], $at[$task->id()], 'the hub before the link');
            }
        }
    }

    /** If the way through the app takes longer than the window allows, the search goes first in every method. */
    public function test_reset_then_search_is_taken_only_where_walk_and_taps_fit_the_window(): void
    {
        foreach ([[15.0, 26.0, true], [40.0, 26.0, false], [15.0, 3.0, false]] as [$listens, $taps, $searchFirst]) {
            $light = Bench::zigbee();
            $unit = new Unit(
                'c1',
                'Run',
                Unit::LIGHT,
                'zigbee',
                'zigbee',
                $light->leaflet->withFigures(['listens' => $listens]),
                'table',
            );
            $hub = new Unit(
                'h1',
                'Hub',
                Unit::HUB,
                'hub',
                'zigbee',
                Bench::hub()->leaflet->withFigures(['taps' => $taps]),
                'table',
                speaks: ['zigbee'],
            );
            $roster = Bench::roster([$unit, $hub], [['h1', 'c1']])->in(new TimingMethod(TimingMethod::RESET_FIRST));
            $steps = (new GuideSteps($roster))->for(Order::for($roster)[0]);
            self::assertSame($searchFirst ? 'h1' : null, $steps[0]->search, "window {$listens} s, way {$taps} s");
        }
    }
}
