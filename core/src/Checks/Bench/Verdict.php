<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Bench;

use EmberDusk\Bench\Log\Row;
use EmberDusk\Bench\Meter\Multimeter;

/**
 * A reading against what good wiring gives: inside, outside, or doubtful, where the meter alone may be the reason (±(0.5 % + 2 digits),
 * common practice, no source).
 */
enum Verdict: string
{
    case Inside = 'inside';
    case Doubtful = 'doubtful';
    case Outside = 'outside';
    case Open = 'open';

    /** Open where nothing is expected there, or where the reading itself is asked back. */
    public static function for(Row $row): self
    {
        $value = (float) $row->entry->value;
        $meter = Multimeter::tolerance($value);

        return match (true) {
            $row->range === null || $row->doubt !== null => self::Open,
            $value >= $row->range->low && $value <= $row->range->high => self::Inside,
            $value >= $row->range->low - $meter && $value <= $row->range->high + $meter => self::Doubtful,
            default => self::Outside,
        };
    }
}
