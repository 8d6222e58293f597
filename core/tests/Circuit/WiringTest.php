<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Circuit\Stretch;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Circuit\Wiring;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** From plan to network: elements between nodes, and their ohms. */
final class WiringTest extends TestCase
{
    private static function network(Plan $plan, Conditions $conditions = new Conditions()): Network
    {
        $run = $plan->runs[array_key_first($plan->runs)];

        return Wiring::for($plan, Island::for($plan, $run) ?? self::fail('parts are lacking'), $conditions);
    }

    /** @return array<string, array{string, string, float}> by name: from, to, ohms */
    private static function resistors(Network $network): array
    {
        $list = [];
        foreach ($network->resistors as $r) {
            $list[$r->name] = [$network->nodes[$r->from], $network->nodes[$r->to], $r->ohms];
        }

        return $list;
    }

    /** 1.5 m and 3.2 m of 1.5 mm² at 40 °C: 13.3 mohm/m x 1.0786, two milliohms at the terminals of units and one at the strip, soldered. */
    public function test_every_core_of_a_cable_is_a_resistor_with_its_joints(): void
    {
        $resistors = self::resistors(self::network(Demo::plan()));
        $perMetre = 0.0133 * 1.0786;
        foreach (
            [
                'k1_1' => ['s1_p', 'c1_p', 1.5, 0.004],
                'k1_2' => ['0', 'c1_m', 1.5, 0.004],
                'k2_1' => ['c1_com', 'r_cove_a0_p', 3.2, 0.003],
                'k2_2' => ['c1_1', 'r_cove_a0_1', 3.2, 0.003],
                'k2_3' => ['c1_2', 'r_cove_a0_2', 3.2, 0.003],
            ]
            as $name => [$from, $to, $metres, $ends]
        ) {
            self::assertSame([$from, $to], array_slice($resistors[$name], 0, 2), $name);
            self::assertEqualsWithDelta($ends + $perMetre * $metres, $resistors[$name][2], 1e-9, $name);
        }
    }

    public function test_a_controller_is_its_common_path_and_a_path_for_each_channel(): void
    {
        $resistors = self::resistors(self::network(Demo::plan()));
        self::assertSame(['c1_p', 'c1_com', 0.004], $resistors['c1_com']);
        self::assertSame(['c1_1', 'c1_m', 0.018], $resistors['c1_1']);
        self::assertSame(['c1_2', 'c1_m', 0.018], $resistors['c1_2']);
        self::assertEqualsWithDelta(0.012, self::network(Demo::plan())->draws[0]->amps, 1e-12);
    }

    public function test_only_fed_and_cut_pads_are_nodes(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'AddFeed', 'run' => 'cove', 'pad' => 120]);
        $network = self::network($plan);
        $pads = array_values(
            array_filter($network->nodes, static fn(string $n): bool => preg_match('/_a\d+_p$/', $n) === 1),
        );
        self::assertSame(['r_cove_a0_p', 'r_cove_a120_p', 'r_cove_a360_p'], $pads);
        self::assertSame(
            [[0, 120], [120, 240]],
            array_map(static fn(Stretch $s): array => [$s->first, $s->groups], $network->stretches),
        );
    }

    public function test_a_gap_is_bridged_by_a_lead_of_the_tails_kind(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'ReviseNotes',
            'place' => 'lecture',
            'text' => "start door\n5 cove, gap 0.9 at 2 window",
        ]);
        $network = self::network($plan);
        $resistors = self::resistors($network);
        self::assertSame(['r_cove_a40_p', 'r_cove_a41_p'], array_slice($resistors['r_cove_j0_0'], 0, 2));
        self::assertEqualsWithDelta(0.002 + 0.0133 * 1.0786 * 0.9, $resistors['r_cove_j0_2'][2], 1e-9);
        self::assertSame([40, 42], array_map(static fn(Stretch $s): int => $s->groups, $network->stretches));
    }

    public function test_conditions_move_rails_supply_and_leave_a_feed_open(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        $poor = self::network($plan, Conditions::poor());
        self::assertEqualsWithDelta(0.99 * 24, $poor->sources[0]->emf, 1e-9);
        self::assertEqualsWithDelta(1.1 * 0.03, $poor->stretches[0]->plusRail, 1e-9);
        $open = self::network($plan, new Conditions(openFeed: 'f2'));
        self::assertArrayNotHasKey('k3_1', self::resistors($open));
        self::assertContains('r_cove_a360_p', $open->nodes);
    }

    /**
     * One piece of single-colour strip by hand: every ohm in series, the LEDs by their law. At the current found, the
     * volts round the loop must add up to the EMF.
     */
    public function test_the_volts_round_the_loop_of_one_piece_add_up(): void
    {
        $plan = Demo::run(
            metres: '0.05',
            strip: 'strip-single-24',
            supply: 'supply-24-100',
            controller: 'controller-zigbee-1',
            cable: 'cable-2x075',
        );
        $network = self::network($plan);
        $solution = Newton::solve($network);
        $amps = $solution->groupAmps(0)[0][0];
        $trunk = 2 * (0.004 + 0.026 * 1.0786 * 1.0);
        $tail = 2 * (0.003 + 0.026 * 1.0786 * 1.0);
        // The strip's volts by the law written out: k Vs + k nVT ln(I/I0 + 1) + R I.
        $nominal = (9.6 * 0.05) / 24;
        $resistor = (24 - 6 * 2.95) / $nominal;
        $law = 6 * (2.95 - 0.05 * log($nominal / 1e-12 + 1)) + 6 * 0.05 * log($amps / 1e-12 + 1) + $resistor * $amps;
        $standby = 0.012;
        $drops = $amps * ($tail + 0.004 + 0.018 + 2 * 0.045 * 0.025) + ($amps + $standby) * ($trunk + 0.01);
        self::assertEqualsWithDelta(24.0, $law + $drops, 1e-6);
    }

    public function test_a_supply_in_its_limit_gives_its_limit_and_no_more(): void
    {
        // 20 m fed at both ends would adopt 6 A of a supply that ends at 4.62 A.
        $plan = Demo::with(
            Demo::run(
                metres: '20',
                strip: 'strip-single-24',
                supply: 'supply-24-100',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x25',
            ),
            [
                'kind' => 'FeedPattern',
                'run' => 'line',
                'pattern' => 'ends',
            ],
        );
        $result = (new Engine($plan))->solve($plan->run('line'));
        self::assertEqualsWithDelta(1.1 * 4.2, $result->supplyAmps, 0.05);
        self::assertLessThan(22.5, $result->supplyVolts);
        self::assertLessThan(1e-6, $result->balance->gap());
    }

    /** A run of 50,000 groups solves; the rounds do not grow with its length. */
    public function test_a_very_long_run_is_solved(): void
    {
        $short = self::network(
            Demo::run(
                metres: '9',
                strip: 'strip-single-24',
                supply: 'supply-24-240',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x25',
            ),
        );
        $sections = implode("\n", array_fill(0, 5, '500 line'));
        $long = self::network(
            Demo::with(
                Demo::run(
                    metres: '9',
                    strip: 'strip-single-24',
                    supply: 'supply-24-240',
                    controller: 'controller-zigbee-1',
                    cable: 'cable-2x25',
                ),
                [
                    'kind' => 'ReviseNotes',
                    'place' => 'room',
                    'text' => $sections,
                ],
            ),
        );
        self::assertSame(50_000, array_sum(array_map(static fn(Stretch $s): int => $s->groups, $long->stretches)));
        self::assertLessThanOrEqual(Newton::solve($short)->iterations + 12, Newton::solve($long)->iterations);
    }

    public function test_a_title_cannot_break_out_of_its_comment(): void
    {
        $text = Netlist::write("Job\n.include /etc/passwd", [self::network(Demo::plan())]);
        self::assertStringStartsWith("* Job?.include /etc/passwd\n", $text);
        self::assertDoesNotMatchRegularExpression('/^\.include/m', $text);
    }

    public function test_too_few_cores_are_no_circuit(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'SetCable', 'cable' => 'k2', 'kit' => 'cable-2x15']);
        self::assertSame(['k2' => [2, 3]], WiredRun::short($plan, $plan->run('cove')));
        self::assertSame([], (new Engine($plan))->networks());
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('enough cores or channels at K2');
        (new Engine($plan))->network($plan->run('cove'));
    }
}
