<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/** A stretch seen from its two pads, in channel differences: conductances and the currents that its residuals send there. */
final readonly class CondensedStretch
{
    /**
     * @param  list<list<float>>  $startStart  [c][d] siemens
     * @param  list<list<float>>  $startEnd
     * @param  list<list<float>>  $endEnd
     * @param  list<float>  $start  amps, a channel each
     * @param  list<float>  $end
     */
    public function __construct(
        public array $startStart,
        public array $startEnd,
        public array $endEnd,
        public array $start,
        public array $end,
    ) {}
}
