<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Places;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Runs\DropRun;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** Takes a place out with its notes and all its runs; the last one stays. */
final readonly class RemovePlace extends Change
{
    private function __construct(private string $place) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('place'));
    }

    protected function changed(Plan $plan): Plan
    {
        $place = $plan->place($this->place);
        if (count($plan->places) === 1) {
            throw InvalidInput::at('/place', 'A job has at least one place. Rename this one instead.');
        }
        foreach ($plan->runs as $run) {
            if ($run->place === $place->id) {
                $plan = DropRun::for($run->id)->changed($plan);
            }
        }

        // Units of the deleted place have no position.
        $lost = static fn(Device $d): Device => $d->stands?->place === $place->id ? $d->standing(null) : $d;

        return $plan->with(
            fixtures: array_filter($plan->fixtures, static fn(Fitting $f): bool => $f->place !== $place->id),
            items: array_filter($plan->items, static fn(Item $i): bool => $i->place !== $place->id),
            places: array_diff_key($plan->places, [$place->id => true]),
            supplies: array_map($lost, $plan->supplies),
            controllers: array_map($lost, $plan->controllers),
            hubs: array_map($lost, $plan->hubs),
            modules: array_map($lost, $plan->modules),
        );
    }

    public function words(Plan $plan): string
    {
        return ($plan->places[$this->place]->name ?? $this->place) . ' removed with its runs';
    }
}
