<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Loads;

use EmberDusk\Circuit\Load;

/**
 * k LEDs in series with a resistor (docs/model.md 2): u = k V(I) + R I, V(I) = Vs + nVT ln(I/I0 + 1),
 * R = (Vnom - k Vled) / Inom. k = 0 is the resistor alone. Volts, amps, ohms.
 */
final readonly class ResistorLimited implements Load
{
    /** Saturation current of the diode, amps. */
    private const I0 = 1e-12;

    /** Slope below 0 V, siemens. */
    private const LEAK = 1e-12;

    /** kT/q at 27 °C, where the reference tool runs, volts. */
    private const THERMAL = 0.0258649258;

    private float $ohms;

    /** k nVT and k Vs, volts. */
    private float $bend;

    private float $shift;

    public function __construct(float $volts, private float $nominal, private int $leds, float $ledVolts, float $slope)
    {
        $this->ohms = ($volts - $leds * $ledVolts) / $nominal;
        $this->bend = $leds * $slope;
        $this->shift = $leds * ($ledVolts - $slope * log($nominal / self::I0 + 1));
    }

    public function nominalAmps(): float
    {
        return $this->nominal;
    }

    public function evaluate(array $volts): array
    {
        $amps = [];
        $slopes = [];
        if ($this->leds === 0) {
            foreach ($volts as $u) {
                $amps[] = $u / $this->ohms;
                $slopes[] = 1 / $this->ohms;
            }

            return [$amps, $slopes];
        }
        $rI0 = $this->ohms * self::I0;
        $bend = $this->bend;
        foreach ($volts as $u) {
            if ($u <= 0) {
                $amps[] = -self::I0 + $u * self::LEAK;
                $slopes[] = self::LEAK;

                continue;
            }
            // r e^w + b w = u - shift + r, r = R I0, solved for w = (diode volts) / (k nVT). Both bounds are at or
            // above the root; from there Newton on this convex, rising function comes down without overshoot.
            $drive = $u - $this->shift + $rI0;
            $w = $drive / $bend;
            if ($drive > $rI0) {
                $w = min($w, log($drive / $rI0));
                // Well lit, the resistor has most of the volts: the rest after the bound is a bound from below, and nearer.
                $rest = $drive - $bend * $w;
                if ($rest > 0.1 * $drive) {
                    $w = log($rest / $rI0);
                }
            }
            for ($n = 0; $n < 50; $n++) {
                $e = $rI0 * exp($w);
                $step = ($e + $bend * $w - $drive) / ($e + $bend);
                $w -= $step;
                // Newton doubles the digits: the rest after such a step is below the last one.
                if (abs($step) < 1e-7) {
                    break;
                }
            }
            $diode = self::I0 * exp($w);
            $amps[] = $diode - self::I0;
            $slopes[] = 1 / ($this->ohms + $bend / $diode);
        }

        return [$amps, $slopes];
    }

    public function netlist(string $name, string $plus, string $minus): array
    {
        if ($this->leds === 0) {
            return [sprintf('R_%s %s %s %.12g', $name, $plus, $minus, $this->ohms)];
        }

        return [
            sprintf('R_%s %s x_%s %.12g', $name, $plus, $name, $this->ohms),
            sprintf('I_%s x_%s %s %.12g', $name, $name, $plus, $this->shift / $this->ohms),
            sprintf('D_%s x_%s %s M_%s', $name, $name, $minus, $this->model()),
        ];
    }

    /** Diode model shared by all loads of one bend, as a SPICE line. */
    public function modelLine(): ?string
    {
        if ($this->leds === 0) {
            return null;
        }

        return sprintf('.model M_%s D(IS=1e-12 N=%.12g)', $this->model(), $this->bend / self::THERMAL);
    }

    private function model(): string
    {
        return 'LED' . (string) preg_replace('/\D/', '', sprintf('%.6f', $this->bend));
    }
}
