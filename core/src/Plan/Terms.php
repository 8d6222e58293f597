<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Price;
use EmberDusk\Survey\Length;

/**
 * Units and terms of a job: lengths, wire sizes, currency, hourly rate, hours of light per day, mark-up on parts and tax as shares, travel,
 * follow-up visit.
 */
final readonly class Terms
{
    /** Minutes of a way back and forth at most: a day. */
    private const LONGEST = 1440;

    /**
     * @param  array<string, float>  $rates  what one unit of another currency is worth in the job's own, by its code
     * @param  float  $travelMinutes  back and forth, of each person
     * @param  float  $travelCost  of each way back and forth: fuel, parking
     * @param  bool  $again whether a follow-up visit is planned
     */
    public function __construct(
        public string $length = Length::METRIC,
        public string $wire = 'mm2',
        public string $currency = 'EUR',
        public float $hourRate = 40.0,
        public float $hoursADay = 4.0,
        public float $markUp = 0.0,
        public float $tax = 0.0,
        public array $rates = [],
        public float $travelMinutes = 0.0,
        public float $travelCost = 0.0,
        public bool $again = true,
    ) {}

    /** @throws \EmberDusk\Values\Refusal at the first value that cannot be */
    public static function read(Fields $f): self
    {
        $currency = Price::currency($f);
        $rates = [];
        if ($f->has('rates')) {
            foreach ($f->objects('rates') as $rate) {
                $rates[Price::currency($rate)] = $rate->number('rate', 1e-6, 1e6);
            }
        }
        ksort($rates);

        return new self(
            length: $f->oneOf('length', [Length::METRIC, Length::IMPERIAL]),
            wire: $f->oneOf('wire', ['mm2', 'awg']),
            currency: $currency,
            hourRate: $f->number('hourRate', 0, 10_000),
            hoursADay: $f->number('hoursADay', 0, 24),
            markUp: $f->numberOr('markUp', 0.0, 0, 5),
            tax: $f->numberOr('tax', 0.0, 0, 1),
            rates: array_diff_key($rates, [$currency => true]),
            travelMinutes: $f->numberOr('travelMinutes', 0.0, 0, self::LONGEST),
            travelCost: $f->numberOr('travelCost', 0.0, 0, 100_000),
            again: !$f->has('again') || $f->flag('again'),
        );
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'length' => $this->length,
            'wire' => $this->wire,
            'currency' => $this->currency,
            'hourRate' => $this->hourRate,
            'hoursADay' => $this->hoursADay,
            'markUp' => $this->markUp,
            'tax' => $this->tax,
            'travelMinutes' => $this->travelMinutes,
            'travelCost' => $this->travelCost,
            'again' => $this->again,
            'rates' => array_map(
                static fn(string $currency, float $rate): array => ['currency' => $currency, 'rate' => $rate],
                array_keys($this->rates),
                array_values($this->rates),
            ),
        ];
    }

    /** Shelf price in the job's currency; null without a price, or without a rate for its currency. */
    public function price(KitSnapshot $kit): ?float
    {
        $price = Price::of(new Fields($kit->written));
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
        $price = Price::of(new Fields($kit->written));
        if ($price === null || $this->own($price) || isset($this->rates[$price->currency])) {
            return null;
        }

        return $price->currency;
    }

    /** The currency of a price that is turned into the job's; empty where it is the job's. */
    public function turned(KitSnapshot $kit): string
    {
        $price = Price::of(new Fields($kit->written));
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
