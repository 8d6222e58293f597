<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** A power source for lights: a mains supply, a battery of blocks, a converter. */
interface Powers extends Entry
{
    /** As a supply, of so many in series and in parallel. */
    public function supply(int $series, int $parallel): Supply;
}
