<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** Takes the hub out of the job; what was decided about it goes too. */
final readonly class RemoveHub extends Change
{
    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self();
    }

    protected function changed(Plan $plan): Plan
    {
        if ($plan->hubs === []) {
            throw InvalidInput::at('/kind', 'The job has no hub.');
        }

        return $plan->with(hubs: []);
    }

    public function words(Plan $plan): string
    {
        return ($plan->hub(array_key_first($plan->hubs))?->name() ?? 'Hub') . ' removed from the job';
    }
}
