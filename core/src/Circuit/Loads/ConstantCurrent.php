<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Loads;

use EmberDusk\Circuit\Load;

/**
 * Pixels and strips with drivers (docs/model.md 2): x = clamp((u - V0) / (Vfull - V0), 0, 1), I = In x² (3 - 2x).
 *
 * Monotone, flat above full volts and below turn-on.
 */
final readonly class ConstantCurrent implements Load
{
    /**
     * @param  float  $nominal  amps at full volts, idle current with it
     * @param  float  $turnOn  volts
     * @param  float  $full  volts
     */
    public function __construct(private float $nominal, private float $turnOn, private float $full) {}

    public function nominalAmps(): float
    {
        return $this->nominal;
    }

    public function evaluate(array $volts): array
    {
        $amps = $slopes = [];
        $span = $this->full - $this->turnOn;
        foreach ($volts as $u) {
            $x = min(1.0, max(0.0, ($u - $this->turnOn) / $span));
            $amps[] = $this->nominal * $x * $x * (3 - 2 * $x);
            $slopes[] = (6 * $this->nominal * $x * (1 - $x)) / $span;
        }

        return [$amps, $slopes];
    }

    public function netlist(string $name, string $plus, string $minus): array
    {
        $x = sprintf('min(1,max(0,(V(%s,%s)-%.12g)/%.12g))', $plus, $minus, $this->turnOn, $this->full - $this->turnOn);

        return [sprintf('B_%s %s %s I=%.12g*%s*%s*(3-2*%s)', $name, $plus, $minus, $this->nominal, $x, $x, $x)];
    }

    public function modelLine(): ?string
    {
        return null;
    }
}
