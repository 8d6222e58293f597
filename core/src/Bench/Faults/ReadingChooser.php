<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Bench\Meter\Reading;

/** A way to choose where the meter goes next. */
interface ReadingChooser
{
    /**
     * @param  list<Reading>  $readings  so far
     * @return array{MeterSpot, MeterCommand}|null null when nothing more would tell anything
     */
    public function next(FaultBelief $belief, array $readings): ?array;
}
