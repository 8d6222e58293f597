<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures from a run's light, and a result read back from the cache. */
final class RunResultTest extends TestCase
{
    private static function solved(): RunResult
    {
        $plan = Demo::plan();

        return (new Engine($plan))->solve($plan->run('cove'));
    }

    /**
     * @param  list<float>  $light
     * @param  list<float>|null  $poor
     * @param  list<float>|null  $rich
     * @param  array<int, list<float>>  $channels
     */
    private static function lit(array $light, ?array $poor = null, ?array $rich = null, array $channels = []): RunResult
    {
        $of = self::solved();

        return new RunResult(
            pitch: $of->pitch,
            light: $light,
            volts: $of->volts,
            railAmps: $of->railAmps,
            cables: $of->cables,
            feeds: $of->feeds,
            channelAmps: $of->channelAmps,
            supplyVolts: $of->supplyVolts,
            supplyAmps: $of->supplyAmps,
            spread: [$poor ?? $light, $rich ?? $light],
            balance: $of->balance,
            loadWatts: $of->loadWatts,
            railWatts: $of->railWatts,
            iterations: $of->iterations,
            channelLight: $channels,
            nominal: $of->nominal,
        );
    }

    public function test_a_result_is_the_same_after_the_cache(): void
    {
        $result = self::solved();
        $bytes = serialize($result);
        self::assertEquals($result, unserialize($bytes));
        // Light, volts and light by two channels, rail amps and both ends of the range: nine rows of eight bytes a group, and what else there is.
        self::assertLessThan(9 * 8 * count($result->light) + 20_000, strlen($bytes), 'rows are kept as bytes');
        $none = self::lit([]);
        self::assertEquals($none, unserialize(serialize($none)));
    }

    /** @return iterable<string, array{list<float>, float, float, int, float, float}> light, darkest, brightest, its group, evenness, seam */
    public static function rows(): iterable
    {
        yield 'falling' => [[1.0, 0.9, 0.75], 0.75, 1.0, 2, 0.75, 0.25];
        yield 'a dip in the middle' => [[1.0, 0.6, 0.95], 0.6, 1.0, 1, 0.6, 0.05];
        yield 'rising' => [[0.5, 0.8], 0.5, 0.8, 0, 0.625, 0.375];
        yield 'one group' => [[0.7], 0.7, 0.7, 0, 1.0, 0.0];
        yield 'dark' => [[0.0, 0.0], 0.0, 0.0, 0, 0.0, 0.0];
        yield 'nothing' => [[], 0.0, 0.0, 0, 0.0, 0.0];
    }

    /** @param  list<float>  $light */
    #[DataProvider('rows')]
    public function test_darkest_evenness_and_seam(
        array $light,
        float $darkest,
        float $brightest,
        int $group,
        float $evenness,
        float $seam,
    ): void {
        $result = self::lit($light);
        self::assertSame(
            [$darkest, $brightest, $group],
            [$result->darkest(), $result->brightest(), $result->darkestGroup()],
        );
        self::assertEqualsWithDelta($evenness, $result->evenness(), 1e-12);
        self::assertEqualsWithDelta($seam, $result->seam(), 1e-12);
    }

    public function test_ranges_hold_the_value_and_what_may_be(): void
    {
        $result = self::lit([1.0, 0.9, 0.8], [1.0, 0.85, 0.7], [1.0, 0.95, 0.9]);
        self::assertEqualsWithDelta([0.7, 0.9], [$result->evennessRange()->low, $result->evennessRange()->high], 1e-12);
        self::assertEqualsWithDelta([0.7, 0.9], [$result->darkestRange()->low, $result->darkestRange()->high], 1e-12);
        self::assertEqualsWithDelta([0.1, 0.3], [$result->seamRange()->low, $result->seamRange()->high], 1e-12);
        self::assertTrue($result->evennessRange()->straddles(0.75));
        self::assertFalse($result->evennessRange()->straddles(0.65));
    }

    public function test_the_least_even_channel_bounds_every_scene(): void
    {
        self::assertEqualsWithDelta(
            0.6,
            self::lit([1.0, 0.8], null, null, [0 => [1.0, 0.9], 1 => [1.0, 0.6]])->leastEven(),
            1e-12,
        );
        self::assertSame(1.0, self::lit([1.0, 0.8])->leastEven(), 'a run without channels has none');
    }

    public function test_the_farthest_feed_has_the_fewest_volts(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        $result = (new Engine($plan))->solve($plan->run('cove'));
        $volts = array_map(static fn($f): float => $f->volts, $result->feeds);
        self::assertCount(2, $volts);
        self::assertSame(min([INF, ...array_values($volts)]), $result->farthestFeed()->volts);
    }

    /** The mirrored layout is solved to the mirrored light: no end is special. */
    public function test_a_run_fed_at_its_other_end_is_its_mirror(): void
    {
        $of = static function (float $share): RunResult {
            $plan = Demo::with(
                Demo::run(
                    metres: '9.00',
                    strip: 'strip-tunable-24',
                    supply: 'supply-24-240',
                    controller: 'controller-zigbee-2',
                    cable: 'cable-3x15',
                ),
                ['kind' => 'SetFeeds', 'run' => 'line', 'shares' => [$share]],
            );

            return (new Engine(self::length($plan)))->solve(self::length($plan)->run('line'));
        };
        $start = $of(0.0)->light;
        $end = array_reverse($of(1.0)->light);
        self::assertCount(180, $start);
        foreach ($start as $n => $light) {
            self::assertEqualsWithDelta($light, $end[$n], 1e-6, "group {$n}");
        }
    }

    /** The same tail wherever the run is fed. */
    private static function length(Plan $plan): Plan
    {
        $tail = $plan->ways()->cableTo($plan->ways()->feedsOf($plan->run('line'))[0]->id);
        self::assertNotNull($tail);

        return Demo::with($plan, ['kind' => 'SetCable', 'cable' => $tail->id, 'length' => 2.0]);
    }
}
