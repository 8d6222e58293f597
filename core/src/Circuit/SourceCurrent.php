<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/**
 * A supply with its source resistance and its current limit (docs/model.md 4):
 * y = (E - V)/Rs; I = y - max(0, y - L) - s ln(1 + exp(-|y - L|/s)), s = 0.01 L.
 */
final readonly class SourceCurrent
{
    private float $soft;

    public function __construct(
        public string $name,
        public int $plus,
        public float $emf,
        public float $ohms,
        public float $limit,
        public int $minus = 0,
    ) {
        $this->soft = 0.01 * $limit;
    }

    /** @return array{float, float} amps delivered at so many volts between its terminals, and how they fall per volt */
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
    public function netlist(string $plus, string $minus): array
    {
        $y = sprintf(
            $minus === '0' ? '((%.12g-V(%s))/%.12g)' : '((%1$.12g-V(%2$s,%4$s))/%3$.12g)',
            $this->emf,
            $plus,
            $this->ohms,
            $minus,
        );
        $over = sprintf('(%s-%.12g)', $y, $this->limit);

        return [
            sprintf(
                'B_%s %s %s I=%s-max(0,%s)-%.12g*ln(1+exp(-abs(%s)/%.12g))',
                $this->name,
                $minus,
                $plus,
                $y,
                $over,
                $this->soft,
                $over,
                $this->soft,
            ),
            sprintf('.nodeset V(%s)=%.12g', $plus, $this->emf),
        ];
    }
}
