<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Control;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Position;

/** Sets the location of the job, for sunrise and sunset. */
final readonly class SetPosition implements Change
{
    private function __construct(private Position $position) {}

    public static function read(Fields $f): self
    {
        return new self(Position::read($f));
    }

    public function apply(Plan $plan): Plan
    {
        return $plan->with(position: $this->position);
    }

    public function words(Plan $plan): string
    {
        return sprintf('Location set to %.2f°, %.2f°', $this->position->latitude, $this->position->longitude);
    }
}
