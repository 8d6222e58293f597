<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\BenchRun;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\RunParts;
use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Circuit\Island;
use EmberDusk\Tests\SeededJobs;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The bench on jobs that no demo has: two supplies, zones, repeaters, batteries, shared kit, fixtures, legs. */
final class SeededTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, max(2, (int) getenv('EMBER_SEEDS'))) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_every_place_can_be_named_and_a_fault_is_never_named_wrong_and_believed(int $seed): void
    {
        $plan = SeededJobs::of($seed);
        self::assertSame(
            [],
            array_filter(
                Tests::for($plan),
                static fn(BenchTest $t): bool => !isset(($plan->runs + $plan->controllers + $plan->fixtures)[$t->of]),
            ),
        );
        foreach (Island::all($plan) as $island) {
            $spots = MeterSpots::for($plan, $island);
            self::assertCount(count($spots), array_unique(array_column($spots, 'id')));
            foreach ($spots as $spot) {
                self::assertEquals($spot, MeterSpots::named($plan, $island, $spot->id));
            }
            if ($island->parts === []) {
                continue;
            }
            $run = array_values($island->parts)[0]->run;
            try {
                $good = ExpectedReadings::for($plan, $island, $spots, [MeterCommand::full()]);
                $predictions = Predictions::for($plan, $island, $run);
                $fault = RandomFault::for($predictions, $seed);
                $found = $fault === null ? null : BenchRun::for($plan, $island, $predictions, [$fault], $seed);
            } catch (Refusal) {
                // A seeded job need not be a good one: this island has no solution.
                continue;
            }
            self::assertSame([], array_filter($good->base, static fn(float $v): bool => !is_finite($v)));
            $near = RunParts::for($plan, $island, $run);
            self::assertSame(
                [],
                array_filter($predictions->spots, static fn(MeterSpot $s): bool => !$near->has($s->of)),
                'a fault is looked for where the run hangs',
            );
            if ($fault !== null && $found !== null) {
                self::assertTrue(
                    $found->named() === $fault->class() || !$found->confident(),
                    "{$run->id}: {$fault->name()} of {$fault->size} was named {$found->named()} and believed",
                );
            }
        }
    }
}
