<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Fingerprint;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FigureAssertions;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

final class EngineTest extends TestCase
{
    use FigureAssertions;

    public function test_every_watt_of_the_emf_is_accounted_for(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle']);
        $balance = (new Engine($plan))->solve($plan->run('cove'))->balance;
        self::assertLessThan(1e-6, $balance->gap());
        foreach ([$balance->source, $balance->cables, $balance->controller, $balance->rails] as $part) {
            self::assertGreaterThan(0, $part);
        }
    }

    /** Common practice, no source: fed at one end a long run is dull at the other; both ends are better, the middle better still. */
    public function test_more_feeds_make_it_more_even(): void
    {
        $one = Demo::plan();
        $two = Demo::with($one, ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        $three = Demo::with($two, ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle']);
        $even = array_map(static fn($p): float => (new Engine($p))->solve($p->run('cove'))->evenness(), [
            $one,
            $two,
            $three,
        ]);
        self::assertLessThan(0.8, $even[0]);
        self::assertGreaterThan($even[0] + 0.1, $even[1]);
        self::assertGreaterThan($even[1] + 0.02, $even[2]);
    }

    /** Fed alike at both ends the ends look alike and the darkest place is in the middle. */
    public function test_symmetry_of_a_run_fed_alike_at_both_ends(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        $result = (new Engine($plan))->solve($plan->run('cove'));
        self::assertEqualsWithDelta(0.0, $result->seam(), 1e-9);
        self::assertEqualsWithDelta(179.5, $result->darkestGroup(), 1.0);
        self::assertCount(360, $result->light);
        self::assertEqualsWithDelta($result->cables['k2']->outAmps, $result->cables['k3']->outAmps, 1e-9);
    }

    /** With one of two feeds open the other carries everything: more than with both, less than both together. */
    public function test_a_dead_feed_loads_the_other_cable(): void
    {
        // 0.75 mm² is rated for 6 A, the cove could take 7.2 A: here it matters.
        $thin = ['kind' => 'SetCable', 'cable' => 'k2', 'kit' => 'cable-3x075'];
        $plan = Demo::with(Demo::plan(), $thin, ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        $cable = (new Engine($plan))->solve($plan->run('cove'))->cables['k2'];
        $alone = (new Engine(Demo::with(Demo::plan(), $thin)))->solve(Demo::plan()->run('cove'))->cables['k2'];
        self::assertEqualsWithDelta($alone->amps(), $cable->openAmps, 0.01);
        self::assertGreaterThan(1.5 * $cable->amps(), $cable->openAmps);
    }

    /** The ends of the ranges are the figures of circuits that are built with such rails and volts. */
    public function test_ranges_end_at_the_figures_of_the_poorest_and_richest_circuit(): void
    {
        $solve = static function (float $rails, float $volts): RunResult {
            $result = Circuits::in()
                ->supply('s1', ['volts' => 24.0 * $volts, 'sourceOhms' => 0.005])
                ->controller('c1')
                ->run('r1', 6.0, ['plusRail' => 0.06 * $rails, 'returnRail' => 0.06 * $rails], 's1', controller: 'c1')
                ->feed('f1', 'r1', 0)
                ->cable('k1', '2x2.5', 's1', 'c1')
                ->cable('k2', '2x2.5', 'c1', 'f1')
                ->state()->results['r1'];
            self::assertInstanceOf(RunResult::class, $result);

            return $result;
        };
        $planned = $solve(1.0, 1.0);
        [$poor, $rich] = [$solve(1.1, 0.99), $solve(0.9, 1.01)];
        self::assertLessThan(0.99 * $planned->darkest(), $poor->darkest(), 'the circuit is one in which it matters');
        foreach (
            [
                [$planned->darkestRange(), $poor->darkest(), $rich->darkest()],
                [$planned->evennessRange(), $poor->evenness(), $rich->evenness()],
                [$planned->seamRange(), $rich->seam(), $poor->seam()],
            ]
            as [$range, $low, $high]
        ) {
            self::assertEqualsWithDelta($low, $range->low, 1e-6);
            self::assertEqualsWithDelta($high, $range->high, 1e-6);
        }
    }

    public function test_a_run_that_lacks_parts_says_which(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => "5 cove\n2 shelf"]);
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('It lacks a strip, a supply, a controller, cables.');
        (new Engine($plan))->solve($plan->run('shelf'));
    }

    public function test_a_fingerprint_knows_the_circuit_and_nothing_else(): void
    {
        $plan = Demo::plan();
        $print = static fn($p): string => Fingerprint::for($p, (new Engine($p))->islandOf($p->run('cove')));
        self::assertSame(
            $print($plan),
            $print(Demo::with($plan, ['kind' => 'DescribeJob', 'name' => 'Else', 'client' => ''])),
        );
        self::assertNotSame(
            $print($plan),
            $print(Demo::with($plan, ['kind' => 'SetCable', 'cable' => 'k2', 'length' => 3.3])),
        );
        self::assertNotSame(
            $print($plan),
            $print(Demo::with($plan, ['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 1])),
        );
    }
}
