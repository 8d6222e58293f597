<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** Shelf price of a piece, metre or length, and its currency; none means the job's own. */
final readonly class Price
{
    private function __construct(public float $amount, public string $currency) {}

    /** Null when the shelf does not say. */
    public static function from(Fields $entry): ?self
    {
        $amount = $entry->numberOrNull('price');
        if ($amount === null) {
            return null;
        }

        return new self($amount, $entry->stringOrNull('currency', 3) ?? '');
    }

    /** @throws \EmberDusk\Values\Refusal when it is no code as in ISO 4217 */
    public static function currency(Fields $f, string $key = 'currency'): string
    {
        $currency = $f->string($key, 3);
        if (preg_match('/^[A-Z]{3}$/', $currency) !== 1) {
            throw $f->invalid($key, 'A currency has three capital letters (ISO 4217), such as EUR.');
        }

        return $currency;
    }
}
