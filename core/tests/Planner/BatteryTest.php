<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Checks\Supply\Swing;
use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\LayoutTrial;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\PlannerProgress;
use EmberDusk\Planner\Proposal;
use EmberDusk\Planner\RunBank;
use EmberDusk\Planner\Search;
use EmberDusk\Planner\SharedFloor;
use EmberDusk\Planner\Tables;
use EmberDusk\Planner\Wish;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Runs without mains: their bank itself, or a converter at one of the places, with its cable and its fuse. */
final class BatteryTest extends TestCase
{
    private const FEW = [
        'battery-12',
        'cable-2x1',
        'cable-2x25',
        'fuse-3',
        'fuse-5',
        'fuse-10',
        'fuse-15',
        'controller-zigbee-1',
    ];

    /** @param  array<string, string>  $strips  by run */
    private static function room(string $notes, array $strips): Plan
    {
        $plan = new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]);
        $plan = Demo::with($plan, ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start hatch\ndry\n{$notes}"]);
        foreach ($strips as $run => $strip) {
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $strip]);
            // Of two runs every pair of feeds would take a minute: they stay where they are.
            $pins = count($strips) > 1 ? ['feeds'] : [];
            $plan = Demo::with($plan, ['kind' => 'PinRun', 'run' => $run, 'pins' => $pins]);
        }

        return $plan;
    }

    /** @return iterable<string, array{string, array<string, string>, list<string>, string|null}> notes, strips, more on the shelf, and the unit */
    public static function rooms(): iterable
    {
        yield 'pixels draw no more on charge: the bank itself' => [
            "3.00 line\nbattery E1 at 0.40, 1 of 12 V",
            ['line' => 'pixels-12-rgb'],
            ['cable-3x15', 'converter-12-12'],
            'battery-12',
        ];
        yield 'a strip of resistors draws far more on charge: a regulator' => [
            "3.00 line\nbattery E1 at 0.40, 1 of 12 V\nbox B1 locker at 1.20, 40x30x12, vented",
            ['line' => 'strip-single-12'],
            ['converter-12-12', 'converter-24-12'],
            'converter-12-12',
        ];
        yield 'a bank of other volts, two runs' => [
            "3.00 line\nright 2.20 shelf\nbattery E1 at 0.40, 2 of 12 V\nbox B1 locker at 1.60, 40x30x12, vented",
            ['line' => 'strip-single-12', 'shelf' => 'strip-single-12'],
            ['converter-12-12', 'converter-24-12'],
            'converter-24-12',
        ];
        yield 'no converter takes the volts of the bank' => [
            "2.00 line\nbattery E1 at 0.40, 4 of 12 V\nbox B1 locker at 1.20, 40x30x12, vented",
            ['line' => 'strip-single-12'],
            ['converter-12-12', 'converter-24-12'],
            null,
        ];
        yield 'a bank of 48 V asks for a fuse that breaks it' => [
            "2.00 line\nbattery E1 at 0.40, 4 of 12 V\nbox B1 locker at 1.20, 40x30x12, vented",
            ['line' => 'strip-single-12'],
            ['converter-48-12', 'fuse-bolt-10'],
            'converter-48-12',
        ];
    }

    /**
     * @param  array<string, string>  $strips
     * @param  list<string>  $more
     */
    #[DataProvider('rooms')]
    public function test_it_finds_what_nested_loops_find(string $notes, array $strips, array $more, ?string $unit): void
    {
        $plan = self::room($notes, $strips);
        $shelf = new FewOnShelf([...self::FEW, ...$more]);
        $runs = array_map(static fn(string $r): Run => $plan->run($r), array_keys($strips));
        $bank = RunBank::for($plan, $runs[0], $shelf);
        $tables = new Tables($plan, 'room', new Basis($shelf), null, $bank);
        $wanted = (new Enumerator($plan, $tables, $shelf))->best($runs);
        $proposal = Planner::propose($plan, array_keys($strips), new Basis($shelf));
        $parts = array_map(static fn(LayoutTrial $t): string => $t->key, $proposal->parts);
        self::assertSame($wanted, $proposal->whole() ? [$proposal->cost(), implode(',', $parts)] : null);
        self::assertSame($unit === null, $wanted === null);
        self::assertTrue($proposal->exact);
        if ($unit === null) {
            return;
        }
        $made = $proposal->built($proposal->parts);
        $supply = (string) $made->run($runs[0]->id)->supply;
        self::assertSame($unit, $made->supplies[$supply]->kit);
        $banks = array_filter(array_keys($made->supplies), static fn(string $s): bool => $made->block($s) !== null);
        self::assertCount(1, $banks);
        // A fuse in everything that leaves it, and it is not bought: it is there.
        foreach (array_filter($made->cables, static fn($c): bool => in_array($c->from, $banks, true)) as $cable) {
            self::assertNotNull($cable->fuse, $cable->id);
        }
        self::assertTrue($made->supplies[array_values($banks)[0]]->there);
        self::assertSame(
            $proposal->cost(),
            Costing::moving($made, new Basis($shelf), Proposal::wired($made, $plan, ...array_keys($strips)))->cost(),
        );
    }

    public function test_a_tap_across_part_of_a_bank_is_never_proposed(): void
    {
        // 12 V are between the first two of three blocks of 6 V: they would be drained more than the third.
        $plan = self::room("3.00 line\nbattery E1 at 0.40, 3 of 6 V", ['line' => 'pixels-12-rgb']);
        $shelf = new FewOnShelf([...self::FEW, 'cable-3x15', 'battery-6']);
        $proposal = Planner::propose($plan, ['line'], new Basis($shelf));
        self::assertSame([], $proposal->parts);
        self::assertCount(1, $proposal->clashes);
        // Drawn by a person it stays, with the reason.
        $drawn = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'battery-6']);
        self::assertSame(2, $drawn->supplies[(string) $drawn->run('line')->supply]->series);
        $left = Planner::propose($drawn, ['line'], new Basis($shelf))->left;
        self::assertStringContainsString('taps part of its bank', $left['line'] ?? '');
    }

    public function test_the_narrowboat_keeps_its_bank_its_switch_and_its_two_lights(): void
    {
        $boat = JobFile::read(Demo::shipped('narrowboat'));
        $proposal = Planner::propose($boat, ['port', 'star'], Demo::basis());
        self::assertTrue($proposal->whole());
        self::assertSame([], $proposal->left);
        $made = $proposal->built($proposal->parts);
        self::assertSame(array_keys($boat->supplies), array_keys($made->supplies));
        self::assertEquals($boat->supplies['s2'], $made->supplies['s2']);
        $input = $made->ways()->cableTo('s1');
        self::assertSame(['s2', 'switch-post-20'], [$input?->from, $input?->switch]);
        // Two controllers with names are two lights: a person switches each.
        self::assertNotSame($made->run('port')->controller, $made->run('star')->controller);
        self::assertEquals(array_column($boat->lights, 'name'), array_column($made->lights, 'name'));
        $cost = static fn(Plan $p): int => Costing::moving($p, Demo::basis(), ['port', 'star'])->cost();
        self::assertSame($cost($made), $proposal->cost());
        self::assertLessThan($cost($boat), $cost($made));
    }

    /** @return iterable<string, array{string, string}> strip, and its bank */
    public static function taps(): iterable
    {
        yield 'resistors on one block of 12 V' => ['strip-single-12', 'battery E1 at 0.40, 1 of 12 V'];
        yield 'resistors on two of them' => ['strip-single-24', 'battery E1 at 0.40, 2 of 12 V'];
        yield 'pixels' => ['pixels-12-rgb', 'battery E1 at 0.40, 1 of 12 V'];
    }

    /** The planner leaves a tap out unsolved only where the check refuses it behind every cable within the limits. */
    #[DataProvider('taps')]
    public function test_no_tap_is_left_out_that_the_check_allows(string $strip, string $bank): void
    {
        $left = $allowed = 0;
        foreach ([1.0, 3.0, 6.0] as $metres) {
            foreach ([0.02, 0.1, 0.25] as $drop) {
                $plan = self::room(sprintf("%.2f line\n%s", $metres, $bank), ['line' => $strip]);
                $block = RunBank::for($plan, $plan->run('line'), Demo::shelf());
                $limits = ['headroom' => 0.2, 'evenness' => 0.3, 'seam' => 0.5, 'cableCelsius' => 40];
                $plan = Demo::with(
                    $plan,
                    ['kind' => 'SetLimits', 'drop' => $drop, ...$limits],
                    ...array_map(
                        static fn(string $kit): array => ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $kit],
                        [
                            'battery-12',
                            ...str_starts_with($strip, 'pixels') ? [] : ['controller-zigbee-1'],
                            'cable-2x075',
                        ],
                    ),
                );
                $of = $plan->strip($plan->run('line')->strip);
                assert($block !== null && $of !== null);
                $certain = Swing::certain(
                    $plan->limits,
                    $of,
                    $block->supply(),
                    $plan->of($plan->run('line'))->labelAmps(),
                );
                $left += $certain ? 1 : 0;
                foreach ([0.5, 4.0, 12.0, 30.0] as $long) {
                    foreach ($plan->cables as $cable) {
                        $length = ['kind' => 'SetCable', 'cable' => $cable->id, 'length' => $long];
                        $plan = Demo::with($plan, $length);
                    }
                    $codes = array_column((new PlanJudge())->judge($plan, [$plan->run('line')], true)->broken, 'code');
                    if (!in_array('drop', $codes, true) && !in_array('swing', $codes, true)) {
                        self::assertFalse($certain, "{$metres} m, drop {$drop}, cables of {$long} m");
                        $allowed++;
                    }
                }
            }
        }
        self::assertGreaterThan(0, $strip === 'pixels-12-rgb' ? $allowed : $left);
    }

    /** The least cost of a set is near the cheapest of all its layouts, and never above it. */
    public function test_bounds_of_sets_on_a_bank(): void
    {
        foreach (['strip-single-12' => '2 of 12 V', 'pixels-12-rgb' => '1 of 12 V'] as $strip => $blocks) {
            $walls = "2.20 a\nright 1.90 b\nbattery E1 at 0.40, {$blocks}\nright 2.60 c\nbox B1 locker at 0.80, 60x40x20, vented";
            $plan = self::room($walls, ['a' => $strip, 'b' => $strip, 'c' => $strip]);
            $runs = array_map(static fn(string $r): Run => $plan->run($r), ['a', 'b', 'c']);
            $bank = RunBank::for($plan, $runs[0], Demo::shelf());
            $search = new Search(
                new Tables($plan, 'room', Demo::basis(), null, $bank),
                Demo::shelf(),
                new PlannerProgress(),
                new PlanJudge(),
            );
            $bound = (new SharedFloor($search, $runs))->least([])[0] ?? 0;
            $proposal = Planner::propose($plan, ['a', 'b', 'c'], Demo::basis());
            self::assertTrue($proposal->exact, $strip);
            self::assertLessThanOrEqual($proposal->cost(), $bound, $strip);
            self::assertGreaterThan(0.9 * $proposal->cost(), $bound, $strip);
        }
    }

    public function test_a_converter_can_be_asked_for(): void
    {
        $plan = self::room("3.00 line\nbattery E1 at 0.40, 1 of 12 V", ['line' => 'pixels-12-rgb']);
        $basis = new Basis(new FewOnShelf([...self::FEW, 'cable-3x15', 'converter-12-12']));
        $best = Planner::propose($plan, ['line'], $basis);
        $wished = Planner::propose($plan, ['line'], $basis, wish: Wish::read('converter converter-12-12'));
        self::assertContains('converter converter-12-12', array_column($best->write()['wishes'], 'key'));
        self::assertLessThan($wished->cost(), $best->cost());
        $made = $wished->built($wished->parts);
        self::assertNotNull($made->converter($made->run('line')->supply));
    }

    public function test_a_converter_that_is_not_needed_goes_with_its_cable(): void
    {
        // Two runs on two converters of one bank: one carries both.
        $plan = self::room("2.00 line\nright 2.20 shelf\nbattery E1 at 0.40, 2 of 12 V", [
            'line' => 'strip-single-12',
            'shelf' => 'strip-single-12',
        ]);
        foreach (['line', 'shelf'] as $run) {
            foreach (['converter-24-12', 'battery-12', 'controller-zigbee-1', 'cable-2x1'] as $kit) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit]);
            }
        }
        $converters = static fn(Plan $p): int => count(
            array_filter(array_keys($p->supplies), static fn(string $s): bool => $p->converter($s) !== null),
        );
        self::assertSame(2, $converters($plan));
        $proposal = Planner::propose($plan, ['line', 'shelf'], Demo::basis());
        $made = $proposal->built($proposal->parts);
        self::assertSame(1, $converters($made));
        foreach ($made->cables as $cable) {
            self::assertTrue(
                isset($made->supplies[$cable->from]) || isset($made->controllers[$cable->from]),
                $cable->id,
            );
            self::assertTrue(
                isset($made->supplies[$cable->to]) ||
                    isset($made->controllers[$cable->to]) ||
                    isset($made->feeds[$cable->to]),
                $cable->id,
            );
        }
    }
}
