<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Loads;

/**
 * A fixture with a converter (docs/model.md 2): at least volts Vmin and up I = P/u; below, (P/Vmin) clamp((u - 0.9 Vmin)/(0.1 Vmin), 0, 1).
 *
 * Not monotone: of the circuit's answers the one counts that is reached by raising P from nothing.
 */
final readonly class ConstantPower
{
    public function __construct(public float $watts, public float $leastVolts) {}

    /** @return array{float, float} amps at so many volts, and how they rise per volt */
    public function at(float $u): array
    {
        if ($u >= $this->leastVolts) {
            return [$this->watts / $u, -$this->watts / ($u * $u)];
        }
        $most = $this->watts / $this->leastVolts;
        $x = ($u - 0.9 * $this->leastVolts) / (0.1 * $this->leastVolts);

        if ($x <= 0) {
            return [0.0, 0.0];
        }

        return [$most * $x, $most / (0.1 * $this->leastVolts)];
    }

    /** @return list<string> SPICE lines */
    public function netlist(string $name, string $plus, string $minus): array
    {
        $u = "V({$plus},{$minus})";

        return [
            sprintf(
                'B_%s %s %s I=%s>=%.12g ? %.12g/max(%s,%.12g) : %.12g*min(1,max(0,(%s-%.12g)/%.12g))',
                $name,
                $plus,
                $minus,
                $u,
                $this->leastVolts,
                $this->watts,
                $u,
                $this->leastVolts,
                $this->watts / $this->leastVolts,
                $u,
                0.9 * $this->leastVolts,
                0.1 * $this->leastVolts,
            ),
        ];
    }
}
