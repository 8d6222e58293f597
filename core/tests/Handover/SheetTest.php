<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Handover;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Handover\SheetBuilder;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\SeededJobs;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The sheet as data: every cable, the current of a bank, the labels of devices. */
final class SheetTest extends TestCase
{
    /** @return iterable<string, array{Plan}> */
    public static function plans(): iterable
    {
        foreach (['observatory', 'narrowboat', 'hide'] as $job) {
            yield $job => [JobFile::read(Demo::shipped($job))];
        }
        foreach (range(1, 12) as $seed) {
            yield "seed {$seed}" => [SeededJobs::of($seed)];
        }
    }

    /** Splices, trunks, taps from both ends, fixtures: no cable of a plan is missing, and none stands twice at one run. */
    #[DataProvider('plans')]
    public function test_lists_every_cable_of_the_plan(Plan $plan): void
    {
        $sheet = self::sheet($plan);
        $listed = array_column($sheet['cables'], 'id');
        foreach ($sheet['runs'] as $run) {
            $ids = array_column($run['cables'], 'id');
            self::assertSame(array_unique($ids), $ids, $run['name']);
            $listed = [...$listed, ...$ids];
        }
        self::assertEqualsCanonicalizing(
            array_map(strtoupper(...), array_keys($plan->cables)),
            array_values(array_unique($listed)),
        );
    }

    /** The converter S1 of the narrowboat takes its watts from the bank S2 through K2: more than it gives, by its efficiency. */
    public function test_gives_the_current_from_a_bank_to_its_converter(): void
    {
        $plan = JobFile::read(Demo::shipped('narrowboat'));
        $rows = array_column(self::sheet($plan)['runs'][0]['cables'], null, 'id');
        self::assertSame('S2 to S1', $rows['K2']['way']);
        self::assertSame('K2', array_key_first($rows), 'the bank comes first');
        $converter = $plan->converter('s1');
        $bank = $plan->supply('s2');
        self::assertNotNull($converter);
        self::assertNotNull($bank);
        $given = JudgedJob::for(self::state($plan))->supply('s1')->watts();
        $most = $given / $converter->efficiency / ($bank->lowest ?? $bank->emf);
        $amps = (float) $rows['K2']['amps'];
        // Volts lost on the way raise it a little.
        self::assertGreaterThan($most, $amps);
        self::assertLessThan(1.1 * $most, $amps);
    }

    /** A board is named alike in its run and in the recovery steps, and a box is named as one: both may be B1. */
    public function test_calls_a_device_by_one_label(): void
    {
        $sheet = self::sheet(JobFile::read(Demo::shipped('observatory')));
        $where = array_column($sheet['hiding'], 'where', 'label');
        self::assertSame('Entrance tunnel, box B3', $where['C6']);
        self::assertSame('Lecture room, box B1', $where['C1']);
        $controllers = array_column($sheet['runs'], 'controller', 'id');
        self::assertStringStartsWith('C6 · ', $controllers['band']);
        self::assertStringContainsString('C6: R2', $sheet['losses'][count($sheet['losses']) - 1]['steps']);
    }

    /** @return array<string, mixed> */
    private static function sheet(Plan $plan): array
    {
        return (new SheetBuilder(JudgedJob::for(self::state($plan))))
            ->sheet(joinLog: [], findings: [], revision: 1, tested: [])
            ->write();
    }

    private static function state(Plan $plan): JobState
    {
        $results = [];
        foreach ($plan->runs as $id => $run) {
            if (WiredRun::for($plan, $run) !== null) {
                try {
                    $results[$id] = (new Engine($plan))->solve($run);
                } catch (Refusal $refusal) {
                    $results[$id] = $refusal;
                }
            }
        }

        return new JobState($plan, $results, Demo::shelf());
    }
}
