<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;

/** Names the job, its client and its one place. */
final readonly class DescribeJob implements Change
{
    private function __construct(private string $name, private string $client, private string $place)
    {
    }

    public static function read(Fields $f): self
    {
        foreach (['name' => 'the job', 'place' => 'the room'] as $key => $what) {
            if (trim($f->string($key, 80)) === '') {
                throw $f->trouble($key, "Give {$what} a name.");
            }
        }

        return new self(trim($f->string('name', 80)), trim($f->string('client', 80)), trim($f->string('place', 60)));
    }

    public function apply(Plan $plan): Plan
    {
        $places = $plan->places;
        $first = array_key_first($places);
        if ($first !== null) {
            $places[$first] = new Place($first, $this->place, $places[$first]->notes);
        }

        return $plan->with(name: $this->name, client: $this->client, places: $places);
    }

    public function words(Plan $plan): string
    {
        return "Job described as “{$this->name}”";
    }
}
