<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** Place of a finding: the stage, and the id of the thing in the plan (empty: the entire job). */
final readonly class FindingPlace
{
    public function __construct(public JobStage $stage, public string $id = '') {}
}
