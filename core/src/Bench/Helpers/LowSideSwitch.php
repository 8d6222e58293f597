<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Helpers;

use EmberDusk\Kit\Transistor;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** A transistor that a pin of a board switches, between minus of a channel and minus of its supply. Volts, amps, ohms, °C. */
final readonly class LowSideSwitch
{
    /** Amps through a bipolar one for one amp into its base, so that it is surely full on (common practice, no source). */
    private const FORCED = 10.0;

    /** A hot MOSFET has about this many times its cold resistance (data sheets, from memory). */
    private const HOT = 1.5;

    /** Ohms in front of a gate, and from it to minus, so that it is off while the board starts (common practice, no source). */
    private const GATE = 220.0;

    private const PULL_DOWN = 10_000.0;

    /**
     * @param  float  $volts  of the channel's supply
     * @param  float  $amps  of the channel
     * @param  float  $pin  volts of the board's pin while it is on
     * @param  float  $pinAmps  that the pin gives at most
     * @param  float  $ambient  °C of the air around it
     */
    public function __construct(
        private Transistor $transistor,
        private float $volts,
        private float $amps,
        private float $pin,
        private float $pinAmps,
        private float $ambient,
    ) {}

    /** @throws Refusal where the shelf lacks a figure of the transistor, or the pin cannot switch it */
    public function circuit(): HelperCircuit
    {
        return $this->transistor->mosfet ? $this->mosfet() : $this->bipolar();
    }

    private function bipolar(): HelperCircuit
    {
        $t = $this->transistor;
        $gain = $this->known($t->gain, 'gain');
        $lost = $this->known($t->satVolts, 'volts that it loses while it is on');
        $share = min(self::FORCED, $gain / 2);
        $over = $this->pin - $t->baseVolts;
        $ohms = $over > 0 ? PreferredValues::below(($over * $share) / $this->amps) : null;
        if ($ohms === null) {
            throw InvalidInput::at(
                '/pin',
                sprintf('A pin of %g V cannot switch %s at %g A.', $this->pin, $t->name(), $this->amps),
            );
        }
        $base = new Figure(
            label: 'Current of the pin',
            value: (1000 * $over) / $ohms,
            unit: 'mA',
            decimals: 1,
            formula: '1000 * (U - B) / R',
            inputs: [
                new Input('U', 'pin while it is on', $this->pin, 'V', 'typed.pin'),
                new Input('B', 'from base to minus', $t->baseVolts, 'V', 'shelf.baseVolts'),
                new Input('R', 'base resistor', $ohms, 'Ω', 'result.base'),
            ],
        );
        $heat = new Figure(
            label: 'Heat in the transistor',
            value: $lost * $this->amps + ($t->baseVolts * $over) / $ohms,
            unit: 'W',
            decimals: 2,
            formula: 'S * I + B * (U - B) / R',
            inputs: [
                new Input('S', 'lost while it is full on', $lost, 'V', 'shelf.satVolts'),
                new Input('I', 'amps of the channel', $this->amps, 'A', 'typed.amps'),
                ...$base->inputs,
            ],
        );
        $say = PreferredValues::say($ohms);

        return $this->made(
            parts: [$t->name(), "resistor {$say}"],
            figures: [$base, $heat],
            heat: $heat->value,
            stops: $this->broken($base->value / 1000),
            leads: [
                "Pin to {$say}",
                "{$say} to the base",
                'Emitter to minus of the supply',
                'Collector to minus of the channel',
            ],
            svg: HelperPicture::lowSide($say, '', 'base'),
            netlist: sprintf(
                "Low-side switch\nVs sup 0 %.6g\nRl sup ch %.6g\nVp pin 0 %.6g\nRb pin b %.6g\nQ1 ch b 0 t\n.model t NPN(BF=%.6g)\n.op\n.end\n",
                $this->volts,
                $this->volts / $this->amps,
                $this->pin,
                $ohms,
                $gain,
            ),
        );
    }

    private function mosfet(): HelperCircuit
    {
        $t = $this->transistor;
        $on = $this->known($t->onOhms, 'resistance while it is on');
        $needs = $this->known($t->gateVolts, 'gate volts');
        $gate = new Figure(
            label: 'Volts at the gate',
            value: ($this->pin * self::PULL_DOWN) / (self::GATE + self::PULL_DOWN),
            unit: 'V',
            decimals: 2,
            formula: 'U * D / (G + D)',
            inputs: [
                new Input('U', 'pin while it is on', $this->pin, 'V', 'typed.pin'),
                new Input('G', 'before the gate', self::GATE, 'Ω', 'rule.gate'),
                new Input('D', 'from the gate to minus', self::PULL_DOWN, 'Ω', 'rule.down'),
            ],
        );
        $heat = new Figure(
            label: 'Heat in the transistor',
            value: $this->amps * $this->amps * $on * self::HOT,
            unit: 'W',
            decimals: 2,
            formula: 'I * I * R * h',
            inputs: [
                new Input('I', 'amps of the channel', $this->amps, 'A', 'typed.amps'),
                new Input('R', 'full on, cold', $on, 'Ω', 'shelf.onOhms'),
                new Input('h', 'times its cold resistance when hot', self::HOT, '', 'rule.hot'),
            ],
            source: 'data sheets, from memory',
        );
        $stops = $this->broken($this->pin / (self::GATE + self::PULL_DOWN));
        if ($gate->value < $needs) {
            $stops[] = sprintf(
                'Its gate gets %.2f V and needs %g V: it is not full on and burns. Choose one for the pin’s volts.',
                $gate->value,
                $needs,
            );
        }
        [$before, $down] = [PreferredValues::say(self::GATE), PreferredValues::say(self::PULL_DOWN)];
        // Level 1: half its gate volts as threshold, and the resistance of the data sheet at them.
        $threshold = $needs / 2;

        return $this->made(
            parts: [$t->name(), "resistor {$before}", "resistor {$down}"],
            figures: [$gate, $heat],
            heat: $heat->value,
            stops: $stops,
            leads: [
                "Pin to {$before}",
                "{$before} to the gate",
                "{$down} from the gate to minus: it stays dark while the board starts",
                'Source to minus of the supply',
                'Drain to minus of the channel',
            ],
            svg: HelperPicture::lowSide($before, $down, 'gate'),
            netlist: sprintf(
                "Low-side switch\nVs sup 0 %.6g\nRl sup ch %.6g\nVp pin 0 %.6g\nRg pin g %.6g\nRd g 0 %.6g\nM1 ch g 0 0 t L=1 W=1\n" .
                    ".model t NMOS(LEVEL=1 VTO=%.6g KP=%.6g)\n.op\n.end\n",
                $this->volts,
                $this->volts / $this->amps,
                $this->pin,
                self::GATE,
                self::PULL_DOWN,
                $threshold,
                1 / ($on * ($needs - $threshold)),
            ),
        );
    }

    /** @throws Refusal when the shelf does not say */
    private function known(?float $figure, string $what): float
    {
        return $figure ??
            throw InvalidInput::at(
                '/kit',
                "The shelf lacks the {$what} of {$this->transistor->name()}. Enter it there from the data sheet.",
            );
    }

    /** @return list<string> */
    private function broken(float $pinAmps): array
    {
        $stops = [];
        if ($this->amps > $this->transistor->amps) {
            $stops[] = sprintf(
                'The channel takes %g A, the transistor carries %g A.',
                $this->amps,
                $this->transistor->amps,
            );
        }
        if ($pinAmps > $this->pinAmps) {
            $stops[] = sprintf(
                'The pin has to give %.1f mA and gives %g mA. Choose a MOSFET: its gate takes next to nothing.',
                1000 * $pinAmps,
                1000 * $this->pinAmps,
            );
        }

        return $stops;
    }

    /**
     * @param  list<string>  $parts
     * @param  list<Figure>  $figures
     * @param  float  $heat  watts
     * @param  list<string>  $stops
     * @param  list<string>  $leads
     */
    private function made(
        array $parts,
        array $figures,
        float $heat,
        array $stops,
        array $leads,
        string $svg,
        string $netlist,
    ): HelperCircuit {
        $hot = new Figure(
            label: 'Its chip gets',
            value: $this->ambient + $heat * $this->transistor->heat,
            unit: '°C',
            decimals: 0,
            formula: 'a + P * K',
            inputs: [
                new Input('a', 'air around it', $this->ambient, '°C', 'typed.ambient'),
                new Input('P', 'heat in the transistor', $heat, 'W', 'result.heat'),
                new Input('K', 'chip to air, no heat sink', $this->transistor->heat, 'K/W', 'shelf.heat'),
            ],
            assumption: 'full on all the time; dimming by pulses heats it less or equally',
        );
        if ($hot->value > $this->transistor->mostCelsius) {
            $stops[] = sprintf(
                'It gets %.0f °C hot and bears %g °C: less current, a heat sink, or another transistor.',
                $hot->value,
                $this->transistor->mostCelsius,
            );
        }

        return new HelperCircuit(
            title: sprintf('%s switches %g A at %g V', $this->transistor->name(), $this->amps, $this->volts),
            parts: $parts,
            figures: [...$figures, $hot],
            stops: $stops,
            leads: [
                ...$leads,
                'Minus of the board to minus of the supply: one and the same',
                'Plus of the channel straight to plus of the supply, through its fuse',
            ],
            svg: $svg,
            netlist: $netlist,
        );
    }
}
