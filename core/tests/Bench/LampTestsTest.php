<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\LampTests;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Handover\TestRecord;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lamps under each kind of module are tested in a step of their own, before the module is joined. */
final class LampTestsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> */
    public static function kinds(): iterable
    {
        yield 'phase-cut' => [
            ['kind' => 'phasecut', 'mostWatts' => 150.0, 'leastWatts' => 5.0],
            ['dim' => 'phase-cut', 'volts' => 230.0],
            'edge',
            'trailing',
        ];
        yield '0-10 V' => [
            ['kind' => 'analog', 'milliamps' => 20, 'outputs' => 1],
            ['dim' => '0-10 V', 'volts' => 230.0],
            'line',
            '10 V at full and 1 V',
        ];
        yield 'DALI' => [
            ['kind' => 'dali', 'milliamps' => 60, 'addresses' => 16],
            ['dim' => 'dali', 'volts' => 230.0],
            'addresses',
            'As many addresses as fixtures',
        ];
    }

    /**
     * @param  array<string, mixed>  $module
     * @param  array<string, mixed>  $fixture
     */
    #[DataProvider('kinds')]
    public function test_each_kind_of_module_has_its_tests(
        array $module,
        array $fixture,
        string $key,
        string $says,
    ): void {
        $plan = Circuits::in()->module('d1', $module)->fixture('x1', 3, $fixture, 'd1')->plan();
        $tests = LampTests::for($plan, $plan->fixtures['x1']);
        self::assertSame(
            ['second-x1/lit', 'second-x1/low', "second-x1/{$key}"],
            array_map(static fn(BenchTest $t): string => $t->id, $tests),
        );
        self::assertStringContainsString('All 3 light', $tests[0]->see);
        self::assertStringContainsString($says, $tests[2]->do . $tests[2]->see . $tests[2]->otherwise);
        foreach ($tests as $test) {
            self::assertStringContainsString('licensed person', $test->caution);
        }
        self::assertEquals($tests, Tests::for($plan));
    }

    public function test_lamps_without_a_module_have_none(): void
    {
        $plan = Circuits::in()
            ->supply('s1', ['volts' => 12.0])
            ->fixture('x1', 3)
            ->plan();
        self::assertSame([], LampTests::for($plan, $plan->fixtures['x1']));
        self::assertNotContains('second-x1', self::steps($plan));
    }

    public function test_they_are_a_step_between_mounting_and_joining_and_stand_on_the_record(): void
    {
        $circuit = Circuits::in()
            ->module('d1', ['kind' => 'phasecut', 'mostWatts' => 150.0, 'leastWatts' => 5.0])
            ->fixture('x1', 3, ['dim' => 'phase-cut', 'volts' => 230.0], 'd1');
        self::assertContains('second-x1', self::steps($circuit->plan()));
        $row = TestRecord::for($circuit->state())[0];
        self::assertSame(['Room lamps', 'Room', []], [$row->name, $row->place, $row->done]);
        self::assertSame(['all on, all off', 'lowest level', 'edge and hum'], $row->untested);
    }

    /** @return list<string> ids */
    private static function steps(Plan $plan): array
    {
        return array_column(Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([])), 'id');
    }
}
