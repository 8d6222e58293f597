<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\Command;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Bench\Meter\Spot;

/** A way to choose where the meter goes next. */
interface ReadingChooser
{
    /**
     * @param  list<Reading>  $readings  so far
     * @return array{Spot, Command}|null null when nothing more would tell anything
     */
    public function next(Belief $belief, array $readings): ?array;
}
