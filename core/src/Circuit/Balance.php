<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Power balance of the supply's EMF. */
final readonly class Balance
{
    public function __construct(
        public float $emf,
        public float $source,
        public float $cables,
        public float $controller,
        public float $rails,
        public float $load,
    ) {}

    /** Unaccounted power as a share of the EMF's power. */
    public function gap(): float
    {
        return abs($this->emf - $this->source - $this->cables - $this->controller - $this->rails - $this->load) /
            max(1e-12, abs($this->emf));
    }
}
