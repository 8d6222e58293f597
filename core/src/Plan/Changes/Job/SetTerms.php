<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Job;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Terms;

/** How the job is written and reckoned. */
final readonly class SetTerms implements Change
{
    private function __construct(private Terms $terms) {}

    public static function read(Fields $f): self
    {
        return new self(Terms::read($f));
    }

    public function apply(Plan $plan): Plan
    {
        return $plan->with(terms: $this->terms);
    }

    public function words(Plan $plan): string
    {
        $t = $this->terms;

        return sprintf(
            'Terms set: %s, %s, %s, %g an hour, lit %g h a day%s',
            $t->length === 'metric' ? 'metres' : 'feet and inches',
            $t->wire === 'awg' ? 'AWG' : 'mm²',
            $t->currency,
            $t->hourRate,
            $t->hoursADay,
            $t->rates === [] ? '' : ', with the rate of ' . implode(', ', array_keys($t->rates)),
        );
    }
}
