<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\NextReading;
use EmberDusk\Bench\Faults\ReadingChooser;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;

/** The next reading; the first one, which does not depend on the fault, is searched once per island. */
final class KeptFirst implements ReadingChooser
{
    /** @var array{MeterSpot, MeterCommand}|null */
    private ?array $first = null;

    public function next(FaultBelief $belief, array $readings): ?array
    {
        if ($readings !== []) {
            return (new NextReading())->next($belief, $readings);
        }

        return $this->first ??= (new NextReading())->next($belief, $readings);
    }
}
