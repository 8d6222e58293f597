<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Job;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;

/** Names the job and its client. */
final readonly class DescribeJob extends Change
{
    private function __construct(private string $name, private string $client) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        if (trim($f->string('name', 80)) === '') {
            throw $f->invalid('name', 'Give the job a name.');
        }

        return new self(trim($f->string('name', 80)), trim($f->string('client', 80)));
    }

    protected function changed(Plan $plan): Plan
    {
        return $plan->with(name: $this->name, client: $this->client);
    }

    public function words(Plan $plan): string
    {
        return "Job described as “{$this->name}”";
    }
}
