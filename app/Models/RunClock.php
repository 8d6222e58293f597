<?php

declare(strict_types=1);

namespace App\Models;

/**
 * The clock of a run: it goes on with the wall clock, at its own pace.
 *
 * @property float $clock_seconds run seconds when it was last set
 * @property float $clock_since wall clock in seconds at that moment
 * @property int $speed 0 while paused
 */
trait RunClock
{
    /** Run seconds at a moment of the wall clock, in seconds. */
    public function clockAt(float $wall): float
    {
        return $this->clock_seconds + max(0.0, $wall - $this->clock_since) * $this->speed;
    }
}
