<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** What lights can hang on: a mains supply, a battery of blocks, a converter. */
interface Powers extends Entry
{
    /** As a supply, of so many in series and side by side. */
    public function supply(int $series, int $parallel): Supply;
}
