<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Plan;
use EmberDusk\Schedule\Steps;

/** The two prices of a plan: the quote, and the cost of a choice. */
final readonly class Costing
{
    /** The quote: full reels and bags, spares, every minute of Build, travel, the follow-up visit, mark-up, tax. */
    public static function price(Plan $plan, Basis $basis): Quote
    {
        $parts = PartsList::for($plan, $basis->shelf, $basis->offcuts);

        return Quote::for($parts, Steps::for($plan, $parts, $basis->crew), $plan->terms, $basis);
    }

    /**
     * Additive cost of the wiring of some runs: units, cable by 0.1 m, unrounded minutes.
     *
     * @param  list<string>  $runs  ids
     */
    public static function moving(Plan $plan, Basis $basis, array $runs): Moving
    {
        return Moving::for($plan, $basis, $runs);
    }
}
