<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Job;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Terms;

/** Sets units and terms of the job. Missing values stay unchanged. */
final readonly class SetTerms extends Change
{
    private function __construct(private Fields $given) {}

    /** @throws \EmberDusk\Values\Refusal at the first value that cannot be */
    public static function read(Fields $f, ShelfSource $shelf): self
    {
        Terms::read($f->over((new Terms())->write()));

        return new self($f);
    }

    protected function changed(Plan $plan): Plan
    {
        return $plan->with(terms: $this->terms($plan));
    }

    public function words(Plan $plan): string
    {
        [$before, $t] = [$plan->terms, $this->terms($plan)];
        $words = [
            'length' => $t->length === 'metric' ? 'metres' : 'feet and inches',
            'wire' => $t->wire === 'awg' ? 'AWG' : 'mm²',
            'currency' => $t->currency,
            'hourRate' => sprintf('%g an hour', $t->hourRate),
            'hoursADay' => sprintf('lit %g h a day', $t->hoursADay),
            'markUp' => sprintf('%g %% on parts', round(100 * $t->markUp, 2)),
            'tax' => sprintf('tax %g %%', round(100 * $t->tax, 2)),
            'travelMinutes' => sprintf('%g min back and forth', $t->travelMinutes),
            'travelCost' => sprintf('%g for each way', $t->travelCost),
            'again' => $t->again ? 'with a follow-up visit' : 'without a follow-up visit',
            'rates' => 'rates of ' . (implode(', ', array_keys($t->rates)) ?: 'no other currency'),
        ];
        $changed = array_filter(
            $words,
            static fn(string $key): bool => $before->write()[$key] !== $t->write()[$key],
            ARRAY_FILTER_USE_KEY,
        );

        return 'Terms set: ' . implode(', ', $changed ?: ['as they were']);
    }

    private function terms(Plan $plan): Terms
    {
        return Terms::read($this->given->over($plan->terms->write()));
    }
}
