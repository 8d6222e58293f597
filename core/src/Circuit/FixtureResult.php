<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Values\Copies;

/** Results of fixtures on a cable: volts at them, their total amps, the cables on their way. */
final readonly class FixtureResult
{
    use Copies;

    /**
     * @param  array<string, CableResult>  $cables
     * @param  array<string, SupplyResult>  $supplies  of the entire island
     * @param  array<string, ControllerResult>  $controllers  of the entire island
     */
    public function __construct(
        public float $volts,
        public float $amps,
        public array $cables,
        public float $least,
        public float $watts,
        public array $supplies = [],
        public array $controllers = [],
    ) {}

    /**
     * With the most that its cables carry in other states too.
     *
     * @param  array<string, array<string, float>>  $open  amps by cable, by the state
     */
    public function opened(array $open): self
    {
        return $this->withChanged(
            cables: array_map(static fn(CableResult $c): CableResult => $c->opened($open), $this->cables),
        );
    }
}
