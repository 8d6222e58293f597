<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Places;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;

/** One more room or other place, with its notes if there are any yet. */
final readonly class AddPlace extends Change
{
    private function __construct(private string $name) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self(PlaceName::read($f));
    }

    protected function changed(Plan $plan): Plan
    {
        PlaceName::free($plan, $this->name, null);
        $id = Plan::nextId('place', $plan->places);

        return $plan->put('places', $id, new Place($id, $this->name, ''));
    }

    public function words(Plan $plan): string
    {
        return "{$this->name} added";
    }
}
