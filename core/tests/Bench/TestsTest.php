<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\Commander;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Press;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Schedule\TestTicks;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Tests in the order of the trade, each in a step of the plan of work; a tick on either is a tick on both. */
final class TestsTest extends TestCase
{
    /** Dead before anything, bare ends, controller alone, strip, single colours, white, mix; the soak last (common practice, no source). */
    public function test_the_order_of_the_trade(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $keys = static fn(string $run): array => array_map(
            static fn(BenchTest $t): string => explode('/', $t->id)[1],
            Tests::ofRun($plan, $plan->run($run)),
        );
        self::assertSame(
            [
                'switch',
                ...['dead', 'ends', 'alone', 'strip', 'colours', 'white', 'mix'],
                ...['again', 'recoloured', 'readings', 'flicker', 'soak'],
            ],
            $keys('path'),
        );
        self::assertSame(
            [
                ...['kind', 'order', 'count'],
                ...['dead', 'ends', 'alone', 'strip', 'pixels', 'white', 'mix'],
                ...['again', 'readings', 'flicker', 'soak'],
            ],
            $keys('band'),
        );
        self::assertSame(
            ['dead', 'ends', 'alone', 'strip', 'white', 'again', 'readings', 'feeds', 'flicker', 'soak'],
            $keys('jetty'),
            'fed in several places: each feed is lifted; a single colour has no colours to tell apart',
        );
    }

    public function test_every_test_says_what_to_do_what_to_see_and_what_else_it_means(): void
    {
        foreach (Demo::SHIPPED as $job) {
            $tests = Tests::for(JobFile::read(Demo::shipped($job)));
            self::assertNotSame([], $tests);
            self::assertCount(count($tests), array_unique(array_column($tests, 'id')));
            foreach ($tests as $test) {
                foreach ([$test->title, $test->by, $test->do, $test->see, $test->otherwise, $test->caution] as $said) {
                    self::assertNotSame('', trim($said), $test->id);
                }
                self::assertMatchesRegularExpression('/^[a-z][a-z0-9-]*\/[a-z]+$/', $test->id);
                self::assertLessThanOrEqual(60, strlen($test->id));
            }
        }
    }

    /** Unjoined, a controller only lights: colours are commanded by something, and only a bench remote or hub is reset after. */
    public function test_what_commands_a_run(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $of = static fn(string $run): Commander => Commander::for($plan, $plan->run($run));
        self::assertSame([Commander::Remote, Commander::Board], [$of('path'), $of('band')]);
        self::assertSame(
            [true, true, false, false],
            array_map(static fn(Commander $c): bool => $c->resetAfter(), [
                Commander::Remote,
                Commander::Hub,
                Commander::Phone,
                Commander::Board,
            ]),
        );
        $bluetooth = Demo::with($plan, ChooseKit::payload(run: 'path', kit: 'controller-bluetooth-4'));
        self::assertSame(Commander::Phone, Commander::for($bluetooth, $bluetooth->run('path')));
        self::assertStringContainsString('first join comes before', Commander::Phone->words());
    }

    /** Each belongs to a step of the plan of work; settings come before mounting, the loose test before sticking. */
    public function test_tests_are_part_of_their_steps_in_the_plan_of_work(): void
    {
        foreach (Demo::SHIPPED as $job) {
            $plan = JobFile::read(Demo::shipped($job));
            $steps = self::steps($plan);
            foreach (Tests::for($plan) as $test) {
                self::assertArrayHasKey($test->step, $steps, "{$job} {$test->id}");
                $kind = $steps[$test->step]->kind;
                $later = array_keys(
                    array_filter($steps, static fn(Step $s): bool => in_array($test->step, $s->after, true)),
                );
                if ($kind === Work::Settings) {
                    self::assertNotSame(
                        [],
                        preg_grep('/^(supply|cables|loose)-/', $later),
                        "{$test->id} comes before mounting",
                    );
                }
            }
        }
    }

    public function test_a_tick_on_a_step_is_one_on_its_tests_and_all_tests_make_the_step(): void
    {
        $tests = array_values(
            array_filter(
                Tests::for(JobFile::read(Demo::shipped('hide'))),
                static fn(BenchTest $t): bool => $t->step === 'loose-shelf',
            ),
        );
        $ids = array_column($tests, 'id');
        $press = static fn(string $id, bool $done, int $minute): Press => new Press(
            $id,
            $done,
            2,
            sprintf('2026-11-28 09:%02d', $minute),
        );
        $whole = TestTicks::from([$press('loose-shelf', true, 1)], $tests);
        self::assertEqualsCanonicalizing(['loose-shelf', ...$ids], array_keys($whole));
        $one = TestTicks::from([$press('loose-shelf', true, 1), $press($ids[2], false, 2)], $tests);
        self::assertArrayNotHasKey('loose-shelf', $one, 'a test that is not done after all takes the step with it');
        self::assertCount(count($ids) - 1, $one);
        $each = [];
        foreach ($ids as $n => $id) {
            $each[] = $press($id, true, $n + 1);
            self::assertSame($n === count($ids) - 1, isset(TestTicks::from($each, $tests)['loose-shelf']));
        }
        $made = TestTicks::from($each, $tests)['loose-shelf'];
        self::assertSame([2 * count($ids), sprintf('2026-11-28 09:%02d', count($ids))], [$made->minutes, $made->at]);
        $none = TestTicks::from([...$each, $press('loose-shelf', false, 30)], $tests);
        self::assertSame([], $none);
        self::assertSame(
            ['dry-shelf'],
            array_keys(TestTicks::from([$press('dry-shelf', true, 1), $press('gone/test', true, 2)], $tests)),
        );
    }

    /** @return array<string, Step> */
    private static function steps(Plan $plan): array
    {
        return array_column(
            Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([])),
            null,
            'id',
        );
    }
}
