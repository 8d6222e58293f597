<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Runs on one supply and under one controller: shared units, remaining units after a removal, and the common judgement. */
final class ShareTest extends TestCase
{
    private static function two(string $supply = 'supply-24-240'): Plan
    {
        $kit = static fn(string $run): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k],
            ['strip-tunable-24', $supply, 'controller-zigbee-2', 'cable-3x15'],
        );

        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "start end\n8 line\n10 shelf\ndry\nrun line, bare\nrun shelf, bare",
            ],
            ...$kit('line'),
            ...$kit('shelf'),
        );
    }

    /** @return list<string> codes of all findings but lengths */
    private static function codes(Plan $plan): array
    {
        $results = array_map(static fn(Run $r): RunResult => (new Engine($plan))->solve($r), $plan->runs);
        $codes = array_map(
            static fn(Finding $f): string => $f->code,
            Registry::check(JudgedJob::plan($plan, $results, Demo::shelf()), Registry::circuit()),
        );

        return array_values(array_diff($codes, ['reckoned', 'evenness', 'seam', 'seam-runs', 'cable-protection']));
    }

    public function test_a_supply_is_shared_and_judged_with_all_its_runs(): void
    {
        $plan = self::two('supply-24-150');
        self::assertSame([2, 2], [count(Island::all($plan)), count($plan->supplies)]);
        // 8 m take 76.8 W of 150, 10 m take 96; together they are 172.8 W and too much.
        self::assertSame([], self::codes($plan));
        $shared = Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 's1']);
        self::assertSame(
            [['s1'], 1, 2],
            [array_keys($shared->supplies), count(Island::all($shared)), count($shared->controllers)],
        );
        self::assertSame(['headroom'], self::codes($shared));
        $results = array_map(
            static fn(RunResult|FixtureResult $r): RunResult => $r instanceof RunResult ? $r : self::fail('no run'),
            (new Engine($shared))->island(Island::all($shared)[0]),
        );
        self::assertEqualsWithDelta($results['line']->supplyAmps, $results['shelf']->supplyAmps, 1e-12);
        self::assertGreaterThan(6.0, $results['line']->supplyAmps);
        self::assertLessThan(1e-6, $results['line']->balance->gap());
        self::assertEqualsWithDelta(
            $results['line']->balance->load,
            $results['line']->loadWatts + $results['shelf']->loadWatts,
            1e-9,
        );
        self::assertEquals($shared, JobFile::read(JobFile::write($shared)));
        // One of its own again: two islands.
        $own = Demo::with($shared, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 'own supply']);
        self::assertSame([2, []], [count(Island::all($own)), self::codes($own)]);
    }

    public function test_a_controller_is_shared_and_judged_with_all_its_metres(): void
    {
        $plan = self::two();
        $shared = Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 'c1']);
        self::assertSame([['s1'], ['c1']], [array_keys($shared->supplies), array_keys($shared->controllers)]);
        self::assertSame('c1', $shared->ways()->cableTo($shared->ways()->feedsOf($shared->run('shelf'))[0]->id)?->from);
        $long = Demo::with(
            $shared,
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "8 line\n18 shelf"],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'supply-24-480'],
        );
        // 25 m are what the controller carries: 26 are one finding, not two.
        self::assertSame(
            ['controller-amps'],
            array_values(array_intersect(self::codes($long), ['controller-amps', 'headroom'])),
        );
        // A run that goes leaves what the other one uses.
        $left = Demo::with($shared, ['kind' => 'DropRun', 'run' => 'line']);
        self::assertSame(
            [['s1'], ['c1'], ['shelf']],
            [array_keys($left->supplies), array_keys($left->controllers), array_keys($left->runs)],
        );
        self::assertNotNull(Island::for($left, $left->run('shelf')));
        $own = Demo::with($shared, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 'own controller']);
        self::assertCount(2, $own->controllers);
        self::assertCount(1, Island::all($own));
    }

    public function test_strips_of_different_kinds_do_not_share_a_controller(): void
    {
        $plan = Demo::with(self::two(), ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'strip-single-24']);
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('strips of different kinds');
        Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 'c1']);
    }

    private static function pixels(): Plan
    {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => '4 band'],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'pixels-5-rgb'],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'supply-5-100'],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'cable-2x25'],
            ['kind' => 'SetFeeds', 'run' => 'band', 'shares' => [0, 1]],
        );
    }

    /** Two supplies never meet in one + rail: the job stops until it is cut between them, the minus left whole. */
    public function test_two_positives_joined_stop_the_job_until_the_plus_is_cut(): void
    {
        $plan = Demo::with(self::pixels(), ['kind' => 'AddSupply', 'kit' => 'supply-5-100']);
        $both = Demo::with($plan, [
            'kind' => 'SetZones',
            'run' => 'band',
            'pads' => [],
            'feeds' => [['feed' => 'f2', 'supply' => 's2']],
        ]);
        $found = static fn(Plan $p): array => array_values(
            array_filter(
                Registry::check(
                    JudgedJob::plan($p, ['band' => (new Engine($p))->solve($p->run('band'))]),
                    Registry::circuit(),
                ),
                static fn(Finding $f): bool => $f->code === 'two-positives',
            ),
        );
        self::assertSame('stop', $found($both)[0]->severity->value);
        $cut = Demo::with($both, $found($both)[0]->fixes[0]->change);
        self::assertSame([[], [120]], [$found($cut), $cut->run('band')->zones]);
        // Each supply gives its half: 120 groups of 61 mA at most.
        $result = (new Engine($cut))->solve($cut->run('band'));
        self::assertCount(240, $result->light);
        self::assertLessThan(120 * 0.061 + 0.01, $result->supplyAmps);
        self::assertEquals($cut, JobFile::read(JobFile::write($cut)));
    }

    public function test_only_pixels_are_parted_by_their_plus(): void
    {
        foreach ([['kind' => 'SetZones', 'run' => 'line', 'pads' => [10]]] as $change) {
            $this->expectExceptionMessage('Only pixels can be split into zones');
            Demo::with(self::two(), $change);
        }
    }

    /** 5 V pixels take 20 mA a colour (common practice): 15 of three colours 0.90 A, 144 of four colours 11.5 A, without idle. */
    public function test_what_pixels_draw(): void
    {
        $rgb = Demo::shelf()->find('pixels-5-rgb')?->entry;
        $rgbw = Demo::shelf()->find('pixels-5-rgbw')?->entry;
        self::assertInstanceOf(\EmberDusk\Kit\Strip::class, $rgb);
        self::assertInstanceOf(\EmberDusk\Kit\Strip::class, $rgbw);
        self::assertEqualsWithDelta(0.9, 15 * ($rgb->pixels->amps ?? 0), 1e-9);
        self::assertEqualsWithDelta(11.52, 144 * ($rgbw->pixels->amps ?? 0), 1e-9);
    }
}
