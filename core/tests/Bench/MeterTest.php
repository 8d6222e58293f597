<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\Fault;
use EmberDusk\Bench\Faults\FaultKind;
use EmberDusk\Bench\Faults\FaultList;
use EmberDusk\Bench\Meter\BenchCircuit;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Circuit\Ngspice;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Dice;
use EmberDusk\Values\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Meter readings at two points of a circuit, with and without a fault, against ngspice and hand calculation. */
final class MeterTest extends TestCase
{
    /**
     * 2,000 counts and ±(0.5 % + 2 digits), by hand: 23.95 V is in the range of 200 V, with a digit of 0.1 V; 4.7 mV in that of 0.2 V, with a digit
     * of 0.1 mV (common practice, no source).
     */
    public function test_ranges_and_tolerance(): void
    {
        self::assertSame([200.0, 0.2, 2.0, 20.0], array_map(Multimeter::range(...), [23.95, -0.0047, 0.2, 19.99]));
        self::assertEqualsWithDelta(0.005 * 23.95 + 0.2, Multimeter::tolerance(23.95), 1e-12);
        self::assertEqualsWithDelta(0.005 * 0.0047 + 0.0002, Multimeter::tolerance(0.0047), 1e-12);
        self::assertSame(
            ['4.7 mV', '23.9 V', '1.234 A'],
            [Multimeter::print(0.0047, 'V'), Multimeter::print(23.94, 'V'), Multimeter::print(1.234, 'A')],
        );
    }

    public function test_a_reading_is_never_farther_off_than_its_tolerance_and_a_digit(): void
    {
        foreach (range(1, 200) as $seed) {
            $meter = new Multimeter(new Dice($seed));
            foreach ([0.0031, 0.19, 1.7, 11.4, 23.4, -5.2] as $true) {
                $shown = $meter->shows($true, "at {$true}");
                self::assertLessThanOrEqual(
                    Multimeter::tolerance($true) + Multimeter::digit($true) / 2 + 1e-12,
                    abs($shown - $true),
                );
                self::assertEqualsWithDelta(
                    round($shown / Multimeter::digit($true)),
                    $shown / Multimeter::digit($true),
                    1e-6,
                );
            }
            self::assertSame($meter->shows(12.3, 'a'), (new Multimeter(new Dice($seed)))->shows(12.3, 'a'));
        }
    }

    /** With joints as resistors of their own everything reads as the solver says it does without. */
    public function test_good_wiring_reads_what_the_solver_says(): void
    {
        foreach (['observatory', 'narrowboat', 'hide'] as $job) {
            $plan = JobFile::read(Demo::shipped($job));
            foreach (Island::all($plan) as $island) {
                $read = BenchCircuit::for($plan, $island)->read(MeterSpots::for($plan, $island), MeterCommand::full());
                foreach ((new Engine($plan))->planned($island) as $id => $result) {
                    foreach ($result->supplies as $supply => $of) {
                        self::assertEqualsWithDelta($of->volts, $read[$supply], 1e-4, "{$job} {$supply}");
                        self::assertEqualsWithDelta($of->amps, $read["{$supply}:amps"], 1e-4, "{$job} {$supply}");
                    }
                    foreach ($result->cables as $cable => $of) {
                        self::assertEqualsWithDelta(
                            $of->outAmps,
                            abs($read["{$cable}:amps:1"]),
                            1e-4,
                            "{$job} {$id} {$cable}",
                        );
                    }
                }
            }
        }
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function faults(): iterable
    {
        yield 'a bad joint of a return' => ['observatory', 'joint@k5:to:3', 0.8];
        yield 'a thin cable' => ['observatory', 'size@k2', 3.0];
        yield 'a supply set low' => ['narrowboat', 'low@s1', 0.9];
        yield 'weak rails' => ['observatory', 'rail@rail', 2.0];
        yield 'no data from the third piece on' => ['observatory', 'data@band:3', 2 / 6];
        yield 'a limit at its default' => ['observatory', 'limit@band', 0.5];
        yield 'a count too low' => ['observatory', 'count@band', 0.4];
        yield 'a dead feed' => ['observatory', 'feed@f8', 1.0];
        yield 'a piece the wrong way round' => ['observatory', 'reversed@jetty:1', 1.0];
    }

    /** The circuit with the fault in it, solved by another program: every node within 1 mV. */
    #[DataProvider('faults')]
    public function test_a_circuit_with_a_fault_is_solved_as_ngspice_solves_it(
        string $job,
        string $name,
        float $size,
    ): void {
        $plan = JobFile::read(Demo::shipped($job));
        [$island, $fault] = self::fault($plan, $name);
        foreach (
            BenchCircuit::for($plan, $island)->networks(MeterCommand::full(), new Conditions(), [$fault->sized($size)])
            as $network
        ) {
            $netlist = Netlist::write($name, [$network]);
            $theirs = Ngspice::nodes($netlist);
            $ours = \EmberDusk\Circuit\Solver\Newton::solve($network)->nodes();
            self::assertGreaterThan(10, count($ours));
            foreach ($ours as $node => $volts) {
                self::assertEqualsWithDelta($theirs[$node] ?? NAN, $volts, 1e-3, "{$name} {$node}");
            }
        }
    }

    /** By hand: across a joint of R that carries I are R I volts, and no more anywhere else in that core than before. */
    public function test_a_bad_joint_drops_its_ohms_times_its_amps(): void
    {
        $plan = JobFile::read(Demo::shipped('hide'));
        [$island, $fault] = self::fault($plan, 'joint@k2:to:1');
        $read = BenchCircuit::for($plan, $island)->read(
            MeterSpots::for($plan, $island),
            MeterCommand::full(),
            faults: [$fault->sized(0.75)],
        );
        $amps = $read['k2:amps:1'];
        self::assertGreaterThan(0.3, $amps);
        self::assertEqualsWithDelta(0.751 * $amps, $read['k2:to:1'], 1e-6, 'with the soldered joint’s own 1 mohm');
        self::assertEqualsWithDelta(0.002 * $amps, $read['k2:from:1'], 1e-6, 'the controller’s terminal has 2 mohm');
        self::assertEqualsWithDelta($amps, $read['k2:amps:2'] + $read['k2:amps:3'], 1e-6, 'what goes out comes back');
    }

    public function test_lumps_are_off_by_little(): void
    {
        foreach (['observatory', 'narrowboat', 'hide'] as $job) {
            $plan = JobFile::read(Demo::shipped($job));
            foreach (Island::all($plan) as $island) {
                $spots = MeterSpots::for($plan, $island);
                $exact = BenchCircuit::for($plan, $island)->read($spots, MeterCommand::full());
                foreach (BenchCircuit::lumped($plan, $island)->read($spots, MeterCommand::full()) as $id => $value) {
                    self::assertEqualsWithDelta($exact[$id], $value, 0.01, "{$job} {$id}");
                }
            }
        }
    }

    /** Tolerances carried through: each alone is solved again; the band holds every mixture of both. */
    public function test_the_band_covers_all_tolerances_of_rails_and_supplies(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $dice = new Dice(7);
        foreach (Island::all($plan) as $n => $island) {
            $spots = MeterSpots::for($plan, $island);
            $expected = ExpectedReadings::for($plan, $island, $spots, [MeterCommand::full()]);
            for ($k = 0; $k < 6; $k++) {
                $conditions = new Conditions(
                    $dice->between(0.9, 1.1, "r{$n}{$k}"),
                    $dice->between(0.99, 1.01, "s{$n}{$k}"),
                );
                foreach (
                    BenchCircuit::for($plan, $island)->read($spots, MeterCommand::full(), $conditions)
                    as $id => $value
                ) {
                    $range = $expected->range("full {$id}");
                    self::assertNotNull($range);
                    $room = 0.02 * ($range->high - $range->low) + 1e-4;
                    self::assertGreaterThanOrEqual($range->low - $room, $value, $id);
                    self::assertLessThanOrEqual($range->high + $room, $value, $id);
                }
            }
        }
    }

    /** Rails of the shelf are within ±10 %, supplies within ±1 % (docs/model.md 5): each is solved at its edge here. */
    public function test_the_band_is_ten_percent_of_rails_and_one_of_the_supply(): void
    {
        $plan = JobFile::read(Demo::shipped('hide'));
        $island = Island::all($plan)[0];
        $spots = [MeterSpots::named($plan, $island, 'shelf@3.10:1')];
        $at = static fn(float $rail, float $supply): float => BenchCircuit::for($plan, $island)->read(
            $spots,
            MeterCommand::full(),
            new Conditions($rail, $supply),
        )[$spots[0]->id];
        $range = ExpectedReadings::for($plan, $island, $spots, [MeterCommand::full()])->range("full {$spots[0]->id}");
        self::assertNotNull($range);
        self::assertEqualsWithDelta($at(1.0, 1.0), ($range->low + $range->high) / 2, 1e-9);
        $off = abs($at(1.1, 1.0) - $at(1.0, 1.0)) + abs($at(1.0, 1.01) - $at(1.0, 1.0));
        self::assertEqualsWithDelta($off, ($range->high - $range->low) / 2, 1e-9);
    }

    /** LEDs the wrong way round block: nothing flows, and the piece’s own pads read all of the supply with a minus, at both its ends. */
    public function test_a_piece_the_wrong_way_round_blocks_and_reads_minus(): void
    {
        $plan = JobFile::read(Demo::shipped('hide'));
        [$island, $fault] = self::fault($plan, 'reversed@shelf:1');
        $read = BenchCircuit::for($plan, $island)->read(
            MeterSpots::for($plan, $island),
            MeterCommand::full(),
            faults: [$fault],
        );
        self::assertEqualsWithDelta(0.0, $read['k2:amps:1'], 1e-3);
        $volts = $plan->supply('s1')->emf ?? 0.0;
        foreach (['shelf@0.00:2', 'shelf@3.10:2'] as $pad) {
            self::assertEqualsWithDelta(-$volts, $read[$pad], 0.05, $pad);
        }
        // A piece in the middle hands both poles on: the one behind it lights as it should.
        $band = JobFile::read(Demo::shipped('observatory'));
        [$island, $fault] = self::fault($band, 'reversed@band:2');
        $spots = array_map(static fn(string $id) => MeterSpots::named($band, $island, $id), [
            'band@2.20:1',
            'band@3.70:1',
        ]);
        $read = BenchCircuit::for($band, $island)->read($spots, MeterCommand::full(), faults: [$fault]);
        self::assertLessThan(-18.0, $read[$spots[0]->id]);
        self::assertGreaterThan(18.0, $read[$spots[1]->id]);
    }

    /** Any pad can be named: it is at the mark nearest to the metres, and its volts between those of its neighbours. */
    public function test_any_pad_can_be_read(): void
    {
        $plan = JobFile::read(Demo::shipped('hide'));
        $island = Island::all($plan)[0];
        $spot = MeterSpots::named($plan, $island, 'shelf@1.23:1');
        self::assertSame('shelf@1.25:1', $spot->id, 'marks every 50 mm');
        $read = BenchCircuit::for($plan, $island)->read(
            [
                $spot,
                MeterSpots::named($plan, $island, 'shelf@1.20:1'),
                MeterSpots::named($plan, $island, 'shelf@1.30:1'),
            ],
            MeterCommand::full(),
        );
        self::assertGreaterThan($read['shelf@1.30:1'], $read['shelf@1.25:1']);
        self::assertLessThan($read['shelf@1.20:1'], $read['shelf@1.25:1']);
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('The planned wiring has no place k99:drop:1.');
        MeterSpots::named($plan, $island, 'k99:drop:1');
    }

    public function test_a_lifted_feed_conducts_nothing_and_the_rest_carries_more(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $island = Island::for($plan, $plan->run('jetty'));
        self::assertNotNull($island);
        $spots = MeterSpots::for($plan, $island);
        $circuit = BenchCircuit::for($plan, $island);
        $all = $circuit->read($spots, MeterCommand::full());
        $feed = BenchJob::feed($plan, 'jetty');
        $tail = $plan->ways()->cableTo($feed)->id ?? '';
        $lifted = $circuit->read($spots, MeterCommand::read("lifted:{$feed}"));
        self::assertGreaterThan(0.05, $all["{$tail}:amps:1"]);
        self::assertEqualsWithDelta(0.0, $lifted["{$tail}:amps:1"] ?? 0.0, 1e-6);
        self::assertLessThan($all['s7:amps'], $lifted['s7:amps'], 'fed from fewer places it gets duller');
    }

    /** @return array{Island, Fault} */
    public static function fault(Plan $plan, string $name): array
    {
        foreach (Island::all($plan) as $island) {
            foreach ((new FaultList($plan, $island))->for() as $fault) {
                if ($fault->name() === $name) {
                    return [$island, $fault];
                }
            }
        }
        self::fail("No island can have {$name}.");
    }

    /** A switch that leaves outputs alone, a joint, a wrong word. */
    public function test_kinds_have_words_and_classes(): void
    {
        foreach (FaultKind::cases() as $kind) {
            self::assertNotSame('', $kind->words());
        }
        self::assertSame(FaultKind::Size->class(), FaultKind::Length->class());
        $this->expectException(InvalidInput::class);
        MeterCommand::read('louder');
    }
}
