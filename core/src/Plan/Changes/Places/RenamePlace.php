<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Places;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;

/** Another name for a place. */
final readonly class RenamePlace extends Change
{
    private function __construct(private string $place, private string $name) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('place'), PlaceName::read($f));
    }

    protected function changed(Plan $plan): Plan
    {
        $place = $plan->place($this->place);
        PlaceName::free($plan, $this->name, $place->id);

        return $plan->put('places', $place->id, new Place($place->id, $this->name, $place->notes));
    }

    public function words(Plan $plan): string
    {
        return ($plan->places[$this->place]->name ?? $this->place) . " is now called {$this->name}";
    }
}
