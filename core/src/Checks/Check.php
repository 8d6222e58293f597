<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Values\Finding;

/** One rule of the trade, held against one run. */
interface Check
{
    /** @return list<Finding> */
    public function check(Judged $case): array;
}
