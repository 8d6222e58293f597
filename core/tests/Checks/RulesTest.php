<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RulesTest extends TestCase
{
    /** @return iterable<string, array{callable(): Plan, string, Severity}> */
    public static function cases(): iterable
    {
        $cove = static fn(array ...$changes): callable => static fn(): Plan => Demo::with(Demo::plan(), ...$changes);
        $line = static fn(
            string $m,
            string $strip,
            string $supply,
            string $controller,
            string $cable,
        ): callable => static fn(): Plan => Demo::run(
            metres: $m,
            strip: $strip,
            supply: $supply,
            controller: $controller,
            cable: $cable,
        );
        yield 'a long run fed at one end' => [$cove(), 'evenness', Severity::Stop];
        yield 'its two ends where they meet' => [$cove(), 'seam', Severity::Stop];
        yield 'high volts' => [
            $line('2', 'strip-single-12', 'supply-24-100', 'controller-zigbee-1', 'cable-2x15'),
            'supply-volts',
            Severity::Stop,
        ];
        yield 'low volts' => [
            $line('2', 'strip-single-24', 'supply-12-100', 'controller-zigbee-1', 'cable-2x15'),
            'supply-volts',
            Severity::Stop,
        ];
        // 15 m at 9.6 W/m are 144 W: 150 W carry them without the headroom, 100 W do not carry them.
        yield 'little headroom' => [
            $line('15', 'strip-single-24', 'supply-24-150', 'controller-zigbee-1', 'cable-2x15'),
            'headroom',
            Severity::Watch,
        ];
        yield 'too small a supply' => [
            $line('15', 'strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-2x15'),
            'headroom',
            Severity::Stop,
        ];
        yield 'too small a controller' => [
            $cove(['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => 'controller-zigbee-2-small']),
            'controller-amps',
            Severity::Stop,
        ];
        yield 'too few channels' => [
            $cove(['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => 'controller-zigbee-1']),
            'channels',
            Severity::Stop,
        ];
        yield 'too few cores' => [
            $cove(['kind' => 'SetCable', 'cable' => 'k2', 'kit' => 'cable-2x15']),
            'cores',
            Severity::Stop,
        ];
        yield 'a long thin tail' => [
            $cove(['kind' => 'SetCable', 'cable' => 'k2', 'kit' => 'cable-3x075', 'length' => 12]),
            'drop',
            Severity::Stop,
        ];
        // The 10 A of the supply alone are more than 0.75 mm² is rated for, 6 A (BS 7671 table 4F3A, from memory).
        yield 'a cable that the supply can overload' => [
            $cove(['kind' => 'SetCable', 'cable' => 'k2', 'kit' => 'cable-3x075']),
            'cable-protection',
            Severity::Stop,
        ];
        yield 'a length that nobody measured' => [
            $cove(['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']),
            'reckoned',
            Severity::Open,
        ];
        yield 'a run without kit' => [
            $cove(['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => "start door\n5 cove\n2 shelf"]),
            'lacking',
            Severity::Open,
        ];
    }

    /** @param  callable(): Plan  $plan */
    #[DataProvider('cases')]
    public function test_finds_a_breach_and_its_fix_resolves_it(callable $plan, string $code, Severity $severity): void
    {
        $plan = $plan();
        $found = self::coded(self::findings($plan), $code);
        self::assertNotSame([], $found, "no finding {$code}");
        self::assertSame($severity, $found[0]->severity);
        foreach ($found[0]->fixes as $fix) {
            $after = self::findings(Demo::with($plan, $fix->change));
            $now = self::coded($after, $code);
            // One more feed may only better a long run; its own fixes then lead on.
            if ($code === 'evenness') {
                self::assertTrue($now === [] || $now[0]->number > $found[0]->number, $fix->label);
            } else {
                self::assertCount(count($found) - 1, $now, $fix->label);
            }
            // A circuit that could not be solved before (too few cores or channels) may now show findings that were hidden.
            $computed = WiredRun::for($plan, $plan->runs[array_key_first($plan->runs)]) !== null;
            self::assertSame(
                [],
                array_diff(
                    self::stops($after),
                    self::stops(self::findings($plan)),
                    $computed ? [] : ['evenness', 'seam'],
                ),
                $fix->label,
            );
        }
    }

    /** The amps of a cable that carries all when the other feed is dead: 18 AWG carries 6 A (NEC 402.5, from memory). */
    public function test_a_dead_feed_is_not_hidden_by_the_other(): void
    {
        $plan = Demo::run(
            metres: '20',
            strip: 'strip-single-24',
            supply: 'supply-24-320',
            controller: 'controller-zigbee-1',
            cable: 'cable-2x18awg',
        );
        $plan = Demo::with(
            $plan,
            ['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 200],
            ['kind' => 'AddFeed', 'run' => 'line', 'pad' => 201],
            ['kind' => 'SetCable', 'cable' => 'k1', 'kit' => 'cable-3x12awg'],
            ['kind' => 'SetCable', 'cable' => 'k2', 'length' => 0.5],
            ['kind' => 'SetCable', 'cable' => 'k3', 'length' => 0.5],
        );
        $cables = (new Engine($plan))->solve($plan->run('line'))->cables;
        foreach (['k2', 'k3'] as $id) {
            self::assertLessThan(4.0, $cables[$id]->amps());
            self::assertGreaterThan(6.0, $cables[$id]->openAmps);
        }
        $found = self::coded(self::findings($plan), 'cable-amps');
        self::assertCount(2, $found);
        self::assertStringContainsString('nobody sees a dead feed', $found[0]->detail);
    }

    public function test_a_valid_plan_has_no_findings(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle'],
            ['kind' => 'SetCable', 'cable' => 'k3', 'length' => 3.2],
            ['kind' => 'SetCable', 'cable' => 'k4', 'length' => 12.2],
        );
        self::assertSame([], array_map(static fn(Finding $f): string => $f->title, self::findings($plan)));
    }

    /** The same plan is judged by the job's own limits; warmer cables lose more. */
    public function test_limits_of_the_job_decide(): void
    {
        $limits = [
            'kind' => 'SetLimits',
            'drop' => 0.05,
            'headroom' => 0.2,
            'evenness' => 0.9,
            'seam' => 0.05,
            'cableCelsius' => 40,
        ];
        $plan = Demo::with(Demo::plan(), ['drop' => 0.02, 'headroom' => 0.3] + $limits);
        self::assertNotSame([], self::coded(self::findings($plan), 'drop'));
        self::assertNotSame([], self::coded(self::findings($plan), 'headroom'));
        $warm = Demo::with(Demo::plan(), ['cableCelsius' => 70] + $limits);
        $of = static fn(Plan $p): float => (new Engine($p))->solve($p->run('cove'))->cables['k2']->coreOhms;
        self::assertEqualsWithDelta(
            (0.003 + 0.0133 * 1.1965 * 3.2) / (0.003 + 0.0133 * 1.0786 * 3.2),
            $of($warm) / $of(Demo::plan()),
            1e-9,
        );
    }

    /** 5 A a channel at 24 V and 4.8 W/m a channel are 25 m; 10 A in all at 9.6 W/m are 25 m as well. */
    public function test_how_many_metres_a_controller_carries(): void
    {
        $strip = Demo::shelf()->find('strip-tunable-24')?->entry;
        $controller = Demo::shelf()->find('controller-zigbee-2')?->entry;
        self::assertInstanceOf(Strip::class, $strip);
        self::assertInstanceOf(Controller::class, $controller);
        self::assertEqualsWithDelta(25.0, ControllerAmps::metres($strip, $controller), 1e-9);
    }

    /** @return list<Finding> */
    private static function findings(Plan $plan): array
    {
        $results = [];
        foreach ($plan->runs as $id => $run) {
            $results += WiredRun::for($plan, $run) === null ? [] : [$id => (new Engine($plan))->solve($run)];
        }

        $job = JudgedJob::plan($plan, $results, Demo::shelf());

        return array_map(
            static fn(Finding $f): Finding => $f->asks ? $f->mended(Registry::mend($job, $f)) : $f,
            Registry::check($job, Registry::circuit()),
        );
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function coded(array $findings, string $code): array
    {
        return array_values(array_filter($findings, static fn(Finding $f): bool => $f->code === $code));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<string>
     */
    private static function stops(array $findings): array
    {
        return array_values(
            array_map(
                static fn(Finding $f): string => $f->code,
                array_filter($findings, static fn(Finding $f): bool => $f->severity === Severity::Stop),
            ),
        );
    }
}
