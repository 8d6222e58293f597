<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\BenchRun;
use EmberDusk\Bench\Faults\Fault;
use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\FaultKind;
use EmberDusk\Bench\Faults\FaultWords;
use EmberDusk\Bench\Faults\NextReading;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Faults\SimulatedMeter;
use EmberDusk\Bench\Meter\BenchCircuit;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Two faults at the same time, good wiring, and readings that no wiring gives: the finder concludes only what the readings prove. */
final class SeveralFaultsTest extends TestCase
{
    use DemoIslands;

    /** @return iterable<string, array{string, string, list<array{string, float}>, int}> */
    public static function masked(): iterable
    {
        // Each was once taken for one other fault at 99 %, after two readings.
        yield 'a low supply and a dead feed' => ['observatory', 'rail', [['low@s5', 0.911], ['feed@f6', 1.0]], 5142];
        yield 'a dead feed and a low supply' => ['observatory', 'cove', [['feed@f1', 1.0], ['low@s1', 0.714]], 5506];
        yield 'strip of other watts and a thin cable' => [
            'hide',
            'shelf',
            [['strip@shelf', 2.257], ['length@k2', 6.5]],
            5737,
        ];
        yield 'a cable too long and a dead feed' => [
            'narrowboat',
            'port',
            [['length@k6', 4.088], ['feed@f1', 1.0]],
            5044,
        ];
        yield 'weak rails and strip of other watts' => [
            'narrowboat',
            'port',
            [['rail@star', 2.206], ['strip@star', 0.568]],
            5324,
        ];
    }

    /** @param  list<array{string, float}>  $put */
    #[DataProvider('masked')]
    public function test_two_faults_are_not_taken_for_one_other(string $job, string $run, array $put, int $seed): void
    {
        [$plan, $island, $predictions] = self::island($job, $run);
        $faults = array_map(static fn(array $p): Fault => self::fault($predictions, $p[0], $p[1]), $put);
        $found = BenchRun::for($plan, $island, $predictions, $faults, $seed);
        self::assertTrue(
            self::right($found, $faults) || !$found->confident(),
            "named {$found->named()} at {$found->sure()}",
        );
    }

    /** A share of the 500 cases that bin/bench counts: seeds of their own, one and two faults in turn on every island. */
    public function test_seeded_single_and_double_faults_are_never_confidently_wrong(): void
    {
        $islands = [['hide', 'shelf'], ['observatory', 'cove'], ['observatory', 'bench'], ['observatory', 'rail']];
        foreach (range(1, 12) as $n) {
            [$plan, $island, $predictions] = self::island(...$islands[$n % count($islands)]);
            $faults = [];
            for ($seed = 40_000 + 100 * $n; count($faults) < 1 + ($n % 3 > 0 ? 1 : 0); $seed++) {
                $fault = RandomFault::for($predictions, $seed);
                self::assertNotNull($fault);
                $faults[$fault->class()] = $fault;
            }
            $found = BenchRun::for($plan, $island, $predictions, array_values($faults), $n);
            self::assertTrue(
                self::right($found, array_values($faults)) || !$found->confident(),
                implode(' + ', array_keys($faults)) . " named {$found->named()} at {$found->sure()}",
            );
        }
    }

    /** A pair that explains the readings is offered: which two, by their own names. */
    public function test_two_faults_are_named_as_more_than_one(): void
    {
        [$plan, $island, $predictions] = self::island('hide', 'shelf');
        $faults = [self::fault($predictions, 'strip@shelf', 2.257), self::fault($predictions, 'length@k2', 6.5)];
        $found = BenchRun::for($plan, $island, $predictions, $faults, 5737);
        self::assertSame(FaultBelief::SEVERAL, $found->named());
        $pairs = array_map(static fn(array $p): array => [$p[0]->class(), $p[1]->class()], $found->belief->pairs);
        self::assertEqualsCanonicalizing(['strip@shelf', 'cable@k2'], $pairs[0] ?? []);
        self::assertSame(
            'more than one fault, or a fault that is not in the list',
            (new FaultWords($plan))->class($found->belief, FaultBelief::SEVERAL),
        );
    }

    /** Good wiring is concluded only when a bad joint in any core of any cable would have moved a reading that was taken. */
    public function test_good_wiring_is_concluded_only_when_every_core_was_read(): void
    {
        [$plan, $island, $predictions] = self::island('hide', 'shelf');
        $meter = new SimulatedMeter($plan, $island, [], 5);
        $readings = [];
        $belief = FaultBelief::from($predictions, []);
        $words = new FaultWords($plan);
        while (!BenchRun::enough($belief, $readings)) {
            if ($belief->open !== []) {
                self::assertSame('no fault found so far', $words->class($belief, FaultBelief::NONE));
            }
            $next = (new NextReading())->next($belief, $readings);
            self::assertNotNull(
                $next,
                'there is a reading for all that is not ruled out: ' . implode(', ', $belief->open),
            );
            $readings[] = $meter->read($next[0], $next[1]);
            $belief = FaultBelief::from($predictions, $readings);
            self::assertLessThan(25, count($readings));
        }
        self::assertSame('no fault', $words->class($belief, FaultBelief::NONE));
        $circuit = BenchCircuit::for($plan, $island);
        foreach ($predictions->faults as ['fault' => $fault]) {
            if ($fault->kind !== FaultKind::Joint && $fault->kind !== FaultKind::Feed) {
                continue;
            }
            $moved = 0.0;
            foreach ($readings as $r) {
                $with = $circuit->read([$r->spot], $r->command, new Conditions(), [$fault->sized(4.0)])[$r->spot->id];
                $without = $circuit->read([$r->spot], $r->command)[$r->spot->id];
                $moved = max($moved, abs($with - $without) / Multimeter::tolerance($without));
            }
            self::assertGreaterThan(1.0, $moved, "{$fault->name()}: 4 Ω there would not have been seen");
        }
        $short = array_slice($readings, 0, -1);
        self::assertFalse(
            BenchRun::enough(FaultBelief::from($predictions, $short), $short),
            'one reading fewer is not enough',
        );
    }

    /** Readings that no wiring gives end in an answer, not in a division by zero. */
    public function test_any_reading_from_minus_60_to_60_has_an_answer(): void
    {
        foreach ([['hide', 'shelf'], ['observatory', 'rail']] as [$job, $run]) {
            [, , $predictions] = self::island($job, $run);
            foreach ($predictions->spots as $spot) {
                foreach ([-60.0, -12.0, 0.0, 0.05, 5.0, 60.0] as $value) {
                    $readings = [new Reading($spot, MeterCommand::full(), $value)];
                    $belief = FaultBelief::from($predictions, $readings);
                    $next = (new NextReading())->next($belief, $readings);
                    self::assertEqualsWithDelta(1.0, array_sum($belief->classes), 1e-9, "{$spot->id} {$value}");
                    self::assertNotSame($spot->id, $next[0]->id ?? null, 'the same place is not read twice');
                    self::assertFalse(BenchRun::enough($belief, $readings), 'one reading proves nothing');
                }
            }
        }
    }

    /** @param  list<Fault>  $faults */
    private static function right(BenchRun $found, array $faults): bool
    {
        $classes = array_map(static fn(Fault $f): string => $f->class(), $faults);

        return in_array($found->named(), $classes, true) ||
            (count($faults) > 1 && $found->named() === FaultBelief::SEVERAL);
    }

    private static function fault(Predictions $of, string $name, float $size): Fault
    {
        foreach ($of->faults as ['fault' => $fault]) {
            if ($fault->name() === $name) {
                return $fault->sized($size);
            }
        }
        self::fail("no {$name} here");
    }
}
