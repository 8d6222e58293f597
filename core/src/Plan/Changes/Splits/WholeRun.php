<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** A run that is ready to be split, in the plan in which it is whole. */
final readonly class WholeRun
{
    public function __construct(public Plan $plan, public Run $run, public CutMarks $marks) {}
}
