<?php

declare(strict_types=1);

namespace App\Console;

use EmberDusk\Bench\Faults\Fault;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Circuit\Island;

/** Part of a job that has a fault to be found; null where nothing is wrong. */
final readonly class FaultPlace
{
    public function __construct(public Island $island, public Predictions $predictions, public ?Fault $fault) {}
}
