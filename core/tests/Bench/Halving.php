<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\ReadingChooser;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\Multimeter;

/** Both ends of the way first, then the middle of the half at whose ends one reading is as it should be and the other is not. */
final readonly class Halving implements ReadingChooser
{
    public function next(FaultBelief $belief, array $readings): ?array
    {
        $way = EndToEnd::way($belief);
        $low = 0;
        $high = count($way) - 1;
        if (count($readings) < 2) {
            return [$way[$readings === [] ? $low : $high], MeterCommand::full()];
        }
        foreach (array_slice($readings, 2) as $reading) {
            $middle = intdiv($low + $high, 2);
            $base = $belief->predictions->base["full {$reading->spot->id}"];
            if (abs($reading->value - $base) > Multimeter::tolerance($base)) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $high - $low < 2 ? null : [$way[intdiv($low + $high, 2)], MeterCommand::full()];
    }
}
