<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\Belief;
use EmberDusk\Bench\Faults\Chooses;
use EmberDusk\Bench\Faults\NextReading;
use EmberDusk\Bench\Meter\Command;
use EmberDusk\Bench\Meter\Spot;

/** The next reading; the first one, which is the same whatever the fault is, looked for once an island. */
final class KeptFirst implements Chooses
{
    /** @var array{Spot, Command}|null */
    private ?array $first = null;

    public function next(Belief $belief, array $readings): ?array
    {
        if ($readings !== []) {
            return (new NextReading())->next($belief, $readings);
        }

        return $this->first ??= (new NextReading())->next($belief, $readings);
    }
}
