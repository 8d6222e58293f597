<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Values\Finding;

/** One rule of the trade, or several on one subject, applied to a job as far as it is planned and solved. */
interface Check
{
    /** @return list<Rule> one for each code of its findings */
    public function rules(): array;

    /** @return list<Finding> */
    public function check(JudgedJob $job): array;
}
