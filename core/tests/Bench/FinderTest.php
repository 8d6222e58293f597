<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\BenchRun;
use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\FaultDraw;
use EmberDusk\Bench\Faults\FaultWords;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Faults\ReadingChooser;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Faults in the wiring of the demo jobs, found with the simulated meter. */
final class FinderTest extends TestCase
{
    use DemoIslands;

    /** Seeds by island: 40 cases altogether. EMBER_SEEDS takes more, bin/bench 38. */
    private const SEEDS = 5;

    /** Seeds on which the baselines are tried too; bin/bench tries them on all. */
    private const COMPARED = 5;

    /** An island of each: a run that hangs in it. */
    private const ISLANDS = [
        ['observatory', 'band'],
        ['observatory', 'bench'],
        ['observatory', 'cove'],
        ['observatory', 'jetty'],
        ['observatory', 'path'],
        ['observatory', 'rail'],
        ['narrowboat', 'port'],
        ['hide', 'shelf'],
    ];

    /** @return iterable<string, array{string, string}> */
    public static function islands(): iterable
    {
        foreach (self::ISLANDS as [$job, $run]) {
            yield "{$job} {$run}" => [$job, $run];
        }
    }

    /**
     * At least 95 % are named right within six readings, none wrong with a belief of 0.9 or more; reading from end to end and halving
     * name fewer on the same cases. An island may miss one of its first ten, and no more than 5 % of more.
     */
    #[DataProvider('islands')]
    public function test_faults_are_named_in_six_readings(string $job, string $run): void
    {
        [$plan, $island, $predictions] = self::island($job, $run);
        $seeds = max(self::SEEDS, (int) getenv('EMBER_SEEDS'));
        $right = $compared = array_fill_keys(['finder', 'end to end', 'halving'], 0);
        $finder = new KeptFirst();
        for ($seed = 1; $seed <= $seeds; $seed++) {
            $fault = RandomFault::for($predictions, $seed);
            self::assertNotNull($fault);
            $baselines = $seed > self::COMPARED ? [] : ['end to end' => new EndToEnd(), 'halving' => new Halving()];
            foreach (['finder' => $finder, ...$baselines] as $name => $way) {
                $found = self::looked($plan, $island, $predictions, $seed, $way);
                $right[$name] += $found->named() === $fault->class() ? 1 : 0;
                $compared[$name] += $seed <= self::COMPARED && $found->named() === $fault->class() ? 1 : 0;
                self::assertLessThanOrEqual(BenchRun::MOST, count($found->readings));
                if ($name === 'finder') {
                    self::assertTrue(
                        $found->named() === $fault->class() || !$found->confident(),
                        "{$job}, seed {$seed}: {$fault->name()} was named {$found->named()} and believed",
                    );
                }
            }
        }
        self::assertGreaterThanOrEqual($seeds - max(1, 0.05 * $seeds), $right['finder'], "{$job} {$run}");
        self::assertGreaterThan($compared['end to end'], $compared['finder'], "{$job} {$run}");
        self::assertGreaterThan($compared['halving'], $compared['finder'], "{$job} {$run}");
    }

    private static function looked(
        Plan $plan,
        Island $island,
        Predictions $predictions,
        int $seed,
        ReadingChooser $way,
    ): BenchRun {
        return BenchRun::for(
            plan: $plan,
            island: $island,
            predictions: $predictions,
            faults: [RandomFault::for($predictions, $seed) ?? self::fail('no fault here')],
            seed: $seed,
            chooses: $way,
        );
    }

    /** Good wiring, rails and supplies as far off as they may be: nothing is named and believed. */
    public function test_good_wiring_is_left_alone(): void
    {
        [$plan, $island, $predictions] = self::island('observatory', 'cove');
        for ($seed = 1; $seed <= 25; $seed++) {
            $run = BenchRun::for($plan, $island, $predictions, [], $seed);
            self::assertTrue(
                $run->named() === FaultBelief::NONE || !$run->confident(),
                "seed {$seed}: {$run->named()}",
            );
        }
    }

    /** A drawn fault moves a reading at a terminal or pad by three times the meter error there. */
    public function test_faults_that_are_listed_are_large_enough_to_be_met(): void
    {
        foreach (self::ISLANDS as [$job, $run]) {
            [, , $predictions] = self::island($job, $run);
            $all = (new FaultDraw($predictions))->all();
            self::assertNotSame([], $all);
            foreach ($predictions->faults as ['fault' => $fault, 'sizes' => $sizes, 'values' => $values]) {
                foreach ($sizes as $n => $size) {
                    $moved = 0.0;
                    foreach ($values[$n] as $key => $value) {
                        if (!$predictions->spots[explode(' ', $key)[1]]->fine) {
                            $off = abs($value - $predictions->base[$key]);
                            $moved = max($moved, $off / Multimeter::tolerance($predictions->base[$key]));
                        }
                    }
                    self::assertSame(
                        $moved > 3,
                        in_array($size, $all[$fault->name()] ?? [], true),
                        "{$fault->name()} {$size}",
                    );
                }
            }
        }
    }

    /** Size and length of a cable are one class: no reading tells them apart, since both only scale its copper. */
    public function test_a_class_is_faults_that_read_alike(): void
    {
        [$plan, , $predictions] = self::island('hide', 'shelf');
        $rows = array_column($predictions->faults, null, null);
        $by = [];
        foreach ($rows as $row) {
            $by[$row['fault']->class()][] = $row['values'][0];
        }
        foreach (array_filter($by, static fn(array $v): bool => count($v) > 1) as $class => $values) {
            self::assertStringStartsWith('cable@', $class);
            foreach ($values[0] as $key => $value) {
                self::assertEqualsWithDelta($value, $values[1][$key], 1e-9, "{$class} {$key}");
            }
        }
        $belief = FaultBelief::from($predictions, []);
        self::assertSame(
            'K2: cable thinner or longer than planned (volts alone cannot show which)',
            (new FaultWords($plan))->class($belief, 'cable@k2'),
        );
    }

    /** One reading by hand: 7 V across a joint at which good wiring has a millivolt leaves no doubt which it is, and how many ohms. */
    public function test_a_joint_is_named_with_its_ohms(): void
    {
        [$plan, $island, $predictions] = self::island('hide', 'shelf');
        $fault = (new FaultDraw($predictions))->named('joint@k2:to:1', 3);
        self::assertNotNull($fault);
        $run = BenchRun::for($plan, $island, $predictions, [$fault], 3);
        self::assertSame('joint@k2:to:1', $run->named());
        $found = $run->belief->fault($run->named());
        self::assertNotNull($found);
        self::assertEqualsWithDelta(1.0, $found->size / $fault->size, 0.25, 'within a quarter of its ohms');
        $words = new FaultWords($plan);
        self::assertSame('bad joint of + of K2 at F1', $words->class($run->belief, $run->named()));
        self::assertStringStartsWith('about ', $words->size($found));
        foreach ($predictions->faults as ['fault' => $one]) {
            self::assertNotSame('', $words->mend($one));
        }
    }

    /** A reading at a pad that is not offered counts like one at those beside it: the same fault comes out. */
    public function test_counts_a_pad_between_the_offered_ones(): void
    {
        [$plan, $island, $predictions] = self::island('observatory', 'cove');
        $spot = \EmberDusk\Bench\Meter\MeterSpots::named($plan, $island, 'cove@5.00:1');
        self::assertArrayNotHasKey($spot->id, $predictions->spots);
        $shares = $predictions->shares($spot);
        self::assertCount(3, $shares);
        self::assertEqualsWithDelta(1.0, array_sum($shares), 1e-9);
        $expected = 0.0;
        foreach ($shares as $id => $share) {
            $expected += $share * $predictions->base["full {$id}"];
        }
        $true = \EmberDusk\Bench\Meter\BenchCircuit::for($plan, $island)->read([$spot], MeterCommand::full())[
            $spot->id
        ];
        self::assertEqualsWithDelta($true, $expected, 0.02);
        $belief = FaultBelief::from($predictions, [new Reading($spot, MeterCommand::full(), $true - 4.0)]);
        self::assertNotSame(FaultBelief::NONE, $belief->top());
    }
}
