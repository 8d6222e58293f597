<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Protection of the cables of a block: by what the supply gives, or by a fuse. */
final readonly class CableGuard
{
    /**
     * @param  float  $carries  amps that every cable must carry
     * @param  float  $each  amps that flow in each cable behind a fuse of its own; infinite where the trunk has the fuse
     * @param  int  $cost  of the fuse, in hundredths of the smallest coin
     */
    public function __construct(public float $carries, public float $each, public int $cost) {}
}
