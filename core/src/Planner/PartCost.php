<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Work and material that a run takes in every layout, in hundredths of the smallest coin. */
final readonly class PartCost
{
    /**
     * @param  int  $cost  without the joints of the strip
     * @param  int  $joints  of the strip, in cores
     * @param  int  $data  joints of its data wire, which are in the cost
     */
    public function __construct(public int $cost, public int $joints, public int $data) {}
}
