<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Where the watts of the supply's EMF go. */
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

    /** What is not accounted for, as a share of the EMF's power. */
    public function gap(): float
    {
        return abs($this->emf - $this->source - $this->cables - $this->controller - $this->rails - $this->load) /
            max(1e-12, abs($this->emf));
    }
}
