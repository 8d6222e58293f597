<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Values\Finding;

/** A check that looks at one run after the other. */
abstract readonly class RunCheck extends Check
{
    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->runs() as $case) {
            array_push($findings, ...$this->run($case));
        }

        return $findings;
    }

    /** @return list<Finding> */
    abstract protected function run(JudgedRun $case): array;
}
