<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Light;

use EmberDusk\Plan\Run;

/** Two ends beside each other that are not alike. */
final readonly class UnevenEnds
{
    /**
     * @param  float  $apart  share by which they differ
     * @param  float  $less  light of the darker one, of the brighter one in $more
     */
    public function __construct(
        public float $apart,
        public Run $dark,
        public Run $bright,
        public float $less,
        public float $more,
    ) {}
}
