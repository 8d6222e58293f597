<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench\Helpers;

use EmberDusk\Bench\Helpers\Divider;
use EmberDusk\Bench\Helpers\HelperCircuit;
use EmberDusk\Bench\Helpers\LowSideSwitch;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Transistor;
use EmberDusk\Tests\Circuit\Ngspice;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Figure;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Helper circuits beside a board: closed forms, the reference simulator on their netlists, and what they refuse. */
final class HelperCircuitsTest extends TestCase
{
    private static function transistor(string $id): Transistor
    {
        $entry = Demo::shelf()->find($id)?->entry;
        self::assertInstanceOf(Transistor::class, $entry);

        return $entry;
    }

    /** A channel of 12 V for a pin of 3.3 V and 12 mA, in air of 30 °C. */
    private static function switched(string $id, float $amps): HelperCircuit
    {
        return (new LowSideSwitch(
            self::transistor($id),
            volts: 12.0,
            amps: $amps,
            pin: 3.3,
            pinAmps: 0.012,
            ambient: 30.0,
        ))->circuit();
    }

    /** @return array<string, float> by label */
    private static function values(Figure ...$figures): array
    {
        return array_column(array_map(static fn(Figure $f): array => [$f->label, $f->value], $figures), 1, 0);
    }

    /** 10 kΩ over 15 kΩ brings 5 V to 3 V (textbook: 5 x 15 / 25); both at their worst 5 % it is 3.119 V at most and 2.591 V at least from 4.5 V. */
    public function test_five_volts_for_a_pin_of_three_point_three(): void
    {
        $circuit = (new Divider(most: 5.0, least: 4.5, bears: 3.3, reads: 2.5, tolerance: 0.05))->circuit();
        $values = self::values(...$circuit->figures);
        self::assertLessThan(3.3, $values['Volts at the pin, at most']);
        self::assertGreaterThan(2.5, $values['Volts at the pin, at least']);
        preg_match('/R1 sig pin (\S+)\nR2 pin 0 (\S+)/', $circuit->netlist, $r);
        [$upper, $lower] = [(float) ($r[1] ?? 0), (float) ($r[2] ?? 0)];
        self::assertEqualsWithDelta(
            (5 * 1.05 * $lower) / (0.95 * $upper + 1.05 * $lower),
            $values['Volts at the pin, at most'],
            1e-9,
        );
        self::assertEqualsWithDelta((5 * $lower) / ($upper + $lower), Ngspice::nodes($circuit->netlist)['pin'], 1e-6);
        // Enumerated by hand: no pair of E12 keeps farther from both limits than 10 to 15.
        self::assertEqualsWithDelta(10 / 15, $upper / $lower, 1e-9);
    }

    /** A vehicle on charge gives 14.4 V, at the start of its engine 9 V: between 3.3 V and 1.8 V with resistors of 1 %. */
    public function test_a_signal_of_a_vehicle_keeps_both_limits(): void
    {
        $values = self::values(
            ...(new Divider(most: 14.4, least: 9.0, bears: 3.3, reads: 1.8, tolerance: 0.01))->circuit()->figures,
        );
        self::assertLessThanOrEqual(3.3, $values['Volts at the pin, at most']);
        self::assertGreaterThanOrEqual(1.8, $values['Volts at the pin, at least']);
        self::assertLessThanOrEqual(1.0, $values['Current from the signal']);
    }

    public function test_a_signal_that_varies_too_much_is_refused(): void
    {
        $this->expectException(NoSolution::class);
        (new Divider(most: 14.4, least: 9.0, bears: 3.3, reads: 2.4, tolerance: 0.05))->circuit();
    }

    /** 0.2 A through a gain of 100: a tenth into the base, (3.3 - 0.9) / 0.02 = 120 ohm, which shops have: 20 mA, more than a pin of 12 mA gives. */
    public function test_a_bipolar_transistor_asks_more_than_a_pin_gives(): void
    {
        $switch = static fn(float $milliamps): LowSideSwitch => new LowSideSwitch(
            self::transistor('transistor-npn'),
            volts: 12.0,
            amps: 0.2,
            pin: 3.3,
            pinAmps: $milliamps / 1000,
            ambient: 30.0,
        );
        $circuit = $switch(12.0)->circuit();
        self::assertContains('resistor 120 Ω', $circuit->parts);
        self::assertEqualsWithDelta(20.0, self::values(...$circuit->figures)['Current of the pin'], 1e-9);
        self::assertCount(1, $circuit->stops);
        self::assertSame([], $switch(20.1)->circuit()->stops);
        // 0.4 V x 0.2 A and 0.9 V x 0.02 A are 0.098 W; at 200 K/W that is 19.6 K above 30 °C.
        self::assertEqualsWithDelta(49.6, self::values(...$circuit->figures)['Its chip gets'], 1e-6);
        // The reference: it is full on, its collector below the 0.4 V of the data sheet.
        self::assertLessThan(0.4, Ngspice::nodes($circuit->netlist)['ch']);
    }

    /** 5 A² x 0.02 ohm x 1.5 are 0.75 W: 46.5 K at 62 K/W. The reference loses I x R within a tenth: its channel is a little over linear. */
    public function test_a_mosfet_for_logic_volts_takes_five_amps(): void
    {
        $circuit = self::switched('mosfet-logic', 5.0);
        self::assertSame([], $circuit->stops);
        $values = self::values(...$circuit->figures);
        self::assertEqualsWithDelta(76.5, $values['Its chip gets'], 1e-6);
        self::assertEqualsWithDelta((3.3 * 10) / 10.22, $values['Volts at the gate'], 1e-9);
        $nodes = Ngspice::nodes($circuit->netlist);
        self::assertEqualsWithDelta($values['Volts at the gate'], $nodes['g'], 1e-3);
        self::assertLessThanOrEqual(1.1 * 5.0 * 0.02, $nodes['ch']);
    }

    #[TestWith(['mosfet-power', 5.0, 'full on'])]
    #[TestWith(['mosfet-logic', 15.1, 'carries 15 A'])]
    #[TestWith(['mosfet-logic', 9.0, 'hot'])]
    public function test_a_limit_that_is_broken_is_said(string $id, float $amps, string $says): void
    {
        $circuit = self::switched($id, $amps);
        self::assertStringContainsString($says, implode(' ', $circuit->stops));
    }

    public function test_the_reference_shows_a_gate_without_its_volts_half_open(): void
    {
        $circuit = self::switched('mosfet-power', 5.0);
        self::assertGreaterThan(6.0, Ngspice::nodes($circuit->netlist)['ch']);
    }

    public function test_a_pin_below_the_base_switches_nothing(): void
    {
        $this->expectException(Refusal::class);
        (new LowSideSwitch(
            self::transistor('transistor-npn'),
            volts: 12.0,
            amps: 0.2,
            pin: 0.8,
            pinAmps: 0.012,
            ambient: 30.0,
        ))->circuit();
    }

    public function test_a_figure_that_the_shelf_lacks_is_asked_for(): void
    {
        $bare = Transistor::read(
            new Fields([
                'id' => 't',
                'name' => 'a MOSFET',
                'make' => 'MOSFET',
                'amps' => 5,
                'heat' => 62,
                'mostCelsius' => 150,
            ]),
        );
        $this->expectExceptionMessage('The shelf lacks the resistance while it is on of a MOSFET.');
        (new LowSideSwitch($bare, volts: 12.0, amps: 0.2, pin: 3.3, pinAmps: 0.012, ambient: 30.0))->circuit();
    }
}
