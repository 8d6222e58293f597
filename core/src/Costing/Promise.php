<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Plan\Plan;

/** What taking something would make of the quote: the price of the plan as it is, reckoned once, beside that of others. */
final class Promise
{
    private ?Quote $before = null;

    public function __construct(private readonly Plan $plan, public readonly Basis $basis) {}

    public function of(Plan $after): QuoteChange
    {
        $this->before ??= Costing::price($this->plan, $this->basis);

        return QuoteChange::between($this->before, Costing::price($after, $this->basis), $after->terms->currency);
    }
}
