<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Price;
use EmberDusk\Survey\Length;

/**
 * Units and terms of a job: lengths, wire sizes, currency, hourly rate, hours of light per day, mark-up on parts and tax as shares, travel,
 * follow-up visit.
 */
final readonly class Terms implements CheckedRecord
{
    use Record;

    /** Minutes of a way back and forth at most: a day. */
    private const LONGEST = 1440;

    /**
     * @param  array<string, float>  $rates  what one unit of another currency is worth in the job's own, by its code
     * @param  float  $travelMinutes  back and forth, of each person
     * @param  float  $travelCost  of each way back and forth: fuel, parking
     * @param  bool  $again whether a follow-up visit is planned
     * @param  int  $validDays  of a quote from its day; 0: not stated
     * @param  float  $deposit  share of a quote that is paid in advance; 0: none
     * @param  string  $conditions  of the quote, as printed
     */
    public function __construct(
        #[Field(oneOf: [Length::METRIC, Length::IMPERIAL])] public string $length = Length::METRIC,
        #[Field(oneOf: ['mm2', 'awg'])] public string $wire = 'mm2',
        #[Field(longest: 3)] public string $currency = 'EUR',
        #[Field(0, 10_000)] public float $hourRate = 40.0,
        #[Field(0, 24)] public float $hoursADay = 4.0,
        #[Field(0, 5, optional: true)] public float $markUp = 0.0,
        #[Field(0, 1, optional: true)] public float $tax = 0.0,
        #[Field(0, self::LONGEST, optional: true)] public float $travelMinutes = 0.0,
        #[Field(0, 100_000, optional: true)] public float $travelCost = 0.0,
        #[Field(optional: true)] public bool $again = true,
        #[Field(1e-6, 1e6, optional: true, pairs: ['currency', 'rate'])] public array $rates = [],
        #[Field(0, 3650, optional: true)] public int $validDays = 0,
        #[Field(0, 1, optional: true)] public float $deposit = 0.0,
        #[Field(longest: 1000, optional: true)] public string $conditions = '',
    ) {}

    public function checked(Fields $f): self
    {
        Price::currency($f);
        foreach ($f->has('rates') ? $f->objects('rates') : [] as $rate) {
            Price::currency($rate);
        }
        $rates = array_diff_key($this->rates, [$this->currency => true]);
        ksort($rates);

        return $this->withChanged(rates: $rates);
    }

    /** Without anything that says what the work or the kit costs. */
    public function unpriced(): self
    {
        return $this->withChanged(
            hourRate: 0.0,
            markUp: 0.0,
            tax: 0.0,
            travelCost: 0.0,
            rates: [],
            deposit: 0.0,
            conditions: '',
        );
    }

    /** Shelf price in the job's currency; null without a price, or without a rate for its currency. */
    public function price(KitSnapshot $kit): ?float
    {
        $price = Price::from(new Fields($kit->written));
        if ($price === null) {
            return null;
        }
        $rate = !$this->own($price) ? $this->rates[$price->currency] ?? null : 1.0;
        if ($rate === null) {
            return null;
        }

        return $price->amount * $rate;
    }

    /** The currency of a price that cannot be calculated, as the job has no rate for it. */
    public function foreign(KitSnapshot $kit): ?string
    {
        $price = Price::from(new Fields($kit->written));
        if ($price === null || $this->own($price) || isset($this->rates[$price->currency])) {
            return null;
        }

        return $price->currency;
    }

    /** The currency of a price that is turned into the job's; empty where it is the job's. */
    public function turned(KitSnapshot $kit): string
    {
        $price = Price::from(new Fields($kit->written));
        if ($price === null || $this->own($price) || !isset($this->rates[$price->currency])) {
            return '';
        }

        return $price->currency;
    }

    private function own(Price $price): bool
    {
        return $price->currency === '' || $price->currency === $this->currency;
    }

    /** Unit of lengths in figures, and how many of it one metre is: feet with decimals where the job is in feet and inches. */
    public function unit(): string
    {
        if ($this->length === Length::IMPERIAL) {
            return 'ft';
        }

        return 'm';
    }

    public function inUnit(float $metres): float
    {
        if ($this->length === Length::IMPERIAL) {
            return $metres / Length::UNITS['ft'];
        }

        return $metres;
    }

    public function say(float $metres): string
    {
        return Length::say($metres, $this->length);
    }
}
