<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Job;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Limits;
use EmberDusk\Plan\Plan;

/** Sets the limits of the job: shares of one, the cables' temperature in degrees Celsius. */
final readonly class SetLimits extends Change
{
    private function __construct(private Limits $limits) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self(Limits::read($f));
    }

    protected function changed(Plan $plan): Plan
    {
        return $plan->with(limits: $this->limits);
    }

    public function words(Plan $plan): string
    {
        $l = $this->limits;

        return sprintf(
            'Limits set: drop %g %%, headroom %g %%, evenness %g, seam %g %%, cables at %g °C',
            100 * $l->drop,
            100 * $l->headroom,
            $l->evenness,
            100 * $l->seam,
            $l->cableCelsius,
        );
    }
}
