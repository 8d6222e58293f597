<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Helpers;

use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\NoSolution;

/**
 * Two resistors between a signal and a pin of lower volts: the pair of series E12 that keeps farthest from both limits, that the pin bears and that
 * it reads as on. Textbook divider; both resistors are off by their tolerance in the worse direction.
 */
final readonly class Divider
{
    /** Milliamps through it: less is disturbed easily, more loads the signal (common practice, no source). */
    private const MILLIAMPS = [0.1, 1.0];

    /**
     * @param  float  $most  volts of the signal at most
     * @param  float  $least  volts of the signal that must count as on
     * @param  float  $bears  volts that the pin bears
     * @param  float  $reads  volts from which the pin reads on
     * @param  float  $tolerance  of the resistors, a share
     */
    public function __construct(
        private float $most,
        private float $least,
        private float $bears,
        private float $reads,
        private float $tolerance,
    ) {
        if ($least > $most) {
            throw InvalidInput::at('/least', 'The least volts of the signal are more than the most.');
        }
        if ($reads >= $bears) {
            throw InvalidInput::at('/reads', 'The pin reads on from more volts than it bears.');
        }
    }

    /** @throws NoSolution when no pair keeps both limits */
    public function circuit(): HelperCircuit
    {
        [$upper, $lower] = $this->pair();
        [$up, $low] = [PreferredValues::say($upper), PreferredValues::say($lower)];

        return new HelperCircuit(
            title: sprintf('Divider from %g V to %.1f V', $this->most, ($this->most * $lower) / ($upper + $lower)),
            parts: ["resistor {$up}", "resistor {$low}"],
            figures: [
                $this->figure('Volts at the pin, at most', $this->most, $upper, $lower, $this->tolerance),
                $this->figure('Volts at the pin, at least', $this->least, $upper, $lower, -$this->tolerance),
                new Figure(
                    label: 'Current from the signal',
                    value: (1000 * $this->most) / ($upper + $lower),
                    unit: 'mA',
                    decimals: 2,
                    formula: '1000 * U / (R1 + R2)',
                    inputs: [
                        new Input('U', 'signal at most', $this->most, 'V', 'typed.most'),
                        new Input('R1', 'from the signal to the pin', $upper, 'Ω', 'result.upper'),
                        new Input('R2', 'from the pin to minus', $lower, 'Ω', 'result.lower'),
                    ],
                ),
            ],
            stops: [],
            leads: [
                "Signal to {$up}",
                "{$up} to the pin",
                "{$low} from the pin to minus of the board",
                'Minus of the signal’s source to minus of the board: without it the pin reads nothing certain',
                'Measure at the pin’s lead before it touches the board',
            ],
            svg: HelperPicture::divider($up, $low),
            netlist: sprintf(
                "Divider\nVs sig 0 %.6g\nR1 sig pin %.6g\nR2 pin 0 %.6g\n.op\n.end\n",
                $this->most,
                $upper,
                $lower,
            ),
        );
    }

    /** Volts at the pin, the lower resistor off by the share and the upper one the other way. */
    private static function volts(float $signal, float $upper, float $lower, float $off): float
    {
        return ($signal * $lower * (1 + $off)) / ($upper * (1 - $off) + $lower * (1 + $off));
    }

    private function figure(string $label, float $signal, float $upper, float $lower, float $off): Figure
    {
        return new Figure(
            label: $label,
            value: self::volts($signal, $upper, $lower, $off),
            unit: 'V',
            decimals: 2,
            formula: 'U * R2 * (1 + t) / (R1 * (1 - t) + R2 * (1 + t))',
            inputs: [
                new Input('U', 'signal', $signal, 'V', 'typed.signal'),
                new Input('R1', 'from the signal to the pin', $upper, 'Ω', 'result.upper'),
                new Input('R2', 'from the pin to minus', $lower, 'Ω', 'result.lower'),
                new Input('t', 'resistors are off by', $off, 'share', 'typed.tolerance'),
            ],
            assumption: 'the pin itself takes no current',
            source: 'textbook voltage divider',
        );
    }

    /** @return array{float, float} from the signal to the pin, from the pin to minus */
    private function pair(): array
    {
        $best = null;
        $margin = 1.0;
        foreach (PreferredValues::all() as $upper) {
            foreach (PreferredValues::all() as $lower) {
                $milliamps = (1000 * $this->most) / ($upper + $lower);
                $room = min(
                    $this->bears / self::volts($this->most, $upper, $lower, $this->tolerance),
                    self::volts($this->least, $upper, $lower, -$this->tolerance) / $this->reads,
                );
                // Of equal pairs the one that takes less from the signal.
                $better =
                    $room > $margin + 1e-9 || ($best !== null && abs($room - $margin) <= 1e-9 && $upper > $best[0]);
                if ($milliamps >= self::MILLIAMPS[0] && $milliamps <= self::MILLIAMPS[1] && $better) {
                    [$best, $margin] = [[$upper, $lower], $room];
                }
            }
        }

        return $best ??
            throw new NoSolution(
                sprintf(
                    'No two resistors of %g %% keep the pin between %g V and %g V for a signal of %g V to %g V. ' .
                        'Use resistors of a smaller tolerance, or a level shifter.',
                    100 * $this->tolerance,
                    $this->reads,
                    $this->bears,
                    $this->least,
                    $this->most,
                ),
            );
    }
}
