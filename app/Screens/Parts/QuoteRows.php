<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use EmberDusk\Costing\Quote;
use EmberDusk\Costing\QuoteChange;
use EmberDusk\Costing\QuoteLine;
use EmberDusk\Plan\Terms;

/** The quote line by line, with the terms that it is made by, and what something would change in it. */
final readonly class QuoteRows
{
    /** @param  QuoteGiven|null  $given  the last that was given */
    public static function for(Quote $quote, Terms $terms, ?QuoteGiven $given = null): QuoteState
    {
        $rows = static fn(bool $work): array => array_values(
            array_map(
                static fn(QuoteLine $l): QuoteLineView => new QuoteLineView(
                    what: $l->what,
                    count: $l->count,
                    amount: Quote::money($l->cents),
                ),
                array_filter(
                    $quote->lines,
                    static fn(string $key): bool => self::work($key) === $work,
                    ARRAY_FILTER_USE_KEY,
                ),
            ),
        );

        return new QuoteState(
            total: $quote->figure(),
            parts: $rows(false),
            work: $rows(true),
            net: Quote::money($quote->net),
            tax: Quote::money($quote->tax),
            unpriced: $quote->unpriced,
            terms: $terms,
            given: $given,
        );
    }

    public static function moved(QuoteChange $change): QuoteMove
    {
        return new QuoteMove(moves: $change->figure(), lines: $change->rows());
    }

    public static function work(string $key): bool
    {
        return str_starts_with($key, Quote::WORK) || $key === Quote::WAYS;
    }
}
