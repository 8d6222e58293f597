<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Objective of a search; cost breaks ties. */
enum Aim: string
{
    case Cost = 'cheapest';
    case Joints = 'fewest joints';
    case Boxes = 'fewest hidden boxes';

    /** Dearer than any job, in hundredths of the smallest coin. */
    private const DEAREST = 1_000_000_000_000;

    /** One number to order by. */
    public function rank(int $cost, int $joints, int $boxes): int
    {
        return $cost +
            self::DEAREST *
                match ($this) {
                    self::Cost => 0,
                    self::Joints => $joints,
                    self::Boxes => $boxes,
                };
    }
}
