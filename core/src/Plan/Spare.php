<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** How many of a part are taken along on top, where that is not one in ten. The id is the shelf entry's. */
final readonly class Spare
{
    public function __construct(public string $id, public int $count) {}
}
