<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/**
 * A supply with its source resistance and its current limit (engineering.md 4):
 * y = (E - V)/Rs; I = y - max(0, y - L) - s ln(1 + exp(-|y - L|/s)), s = 0.01 L.
 */
final readonly class Source
{
    private float $soft;

    public function __construct(
        public string $name,
        public int $plus,
        public float $emf,
        public float $ohms,
        public float $limit,
    ) {
        $this->soft = 0.01 * $limit;
    }

    /** @return array{float, float} amps delivered at so many terminal volts, and how they fall per volt */
    public function at(float $volts): array
    {
        $y = ($this->emf - $volts) / $this->ohms;
        $over = $y - $this->limit;
        $tail = exp(-abs($over) / $this->soft);
        $amps = $y - max(0.0, $over) - $this->soft * log(1 + $tail);
        $share = $over > 0 ? $tail / (1 + $tail) : 1 / (1 + $tail);

        return [$amps, $share / $this->ohms];
    }

    /** @return list<string> */
    public function netlist(string $plus): array
    {
        $y = sprintf('((%.12g-V(%s))/%.12g)', $this->emf, $plus, $this->ohms);
        $over = sprintf('(%s-%.12g)', $y, $this->limit);

        return [
            sprintf('B_%s 0 %s I=%s-max(0,%s)-%.12g*ln(1+exp(-abs(%s)/%.12g))', $this->name, $plus, $y, $over, $this->soft, $over, $this->soft),
            sprintf('.nodeset V(%s)=%.12g', $plus, $this->emf),
        ];
    }
}
