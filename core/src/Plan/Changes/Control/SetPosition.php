<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Control;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Position;

/** Sets the location of the job, for sunrise and sunset. */
final readonly class SetPosition extends Change
{
    private function __construct(private Position $position) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self(Position::read($f));
    }

    protected function changed(Plan $plan): Plan
    {
        return $plan->with(position: $this->position);
    }

    public function words(Plan $plan): string
    {
        return sprintf('Location set to %.2f°, %.2f°', $this->position->latitude, $this->position->longitude);
    }
}
