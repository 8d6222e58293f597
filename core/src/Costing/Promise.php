<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Plan\Plan;

/** Change of the quote by an option: the price of the current plan, calculated once, compared with others. */
final class Promise
{
    private ?Quote $before = null;

    public function __construct(private readonly Plan $plan, public readonly Basis $basis) {}

    public function change(Plan $after): QuoteChange
    {
        $this->before ??= Costing::price($this->plan, $this->basis);

        return QuoteChange::between($this->before, Costing::price($after, $this->basis), $after->terms->currency);
    }
}
