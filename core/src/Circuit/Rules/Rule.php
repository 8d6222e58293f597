<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Rules;

use EmberDusk\Values\Finding;

/** One rule of the trade, held against one run. */
interface Rule
{
    /** @return list<Finding> */
    public function check(Judged $case): array;
}
