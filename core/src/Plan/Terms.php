<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Measure\Length;

/** How a job is written and reckoned: lengths, wire sizes, currency, an hour's price, how long the light burns a day, mark-up on parts and tax as shares. */
final readonly class Terms
{
    public function __construct(
        public string $length = Length::METRIC,
        public string $wire = 'mm2',
        public string $currency = 'EUR',
        public float $hourRate = 40.0,
        public float $hoursADay = 4.0,
        public float $markUp = 0.0,
        public float $tax = 0.0,
    ) {
    }

    /** @throws \EmberDusk\Workings\Trouble at the first value that cannot be */
    public static function read(Fields $f): self
    {
        $currency = $f->string('currency', 3);
        if (preg_match('/^[A-Z]{3}$/', $currency) !== 1) {
            throw $f->trouble('currency', 'A currency has three capital letters (ISO 4217), such as EUR.');
        }

        return new self($f->oneOf('length', [Length::METRIC, Length::IMPERIAL]), $f->oneOf('wire', ['mm2', 'awg']), $currency,
            $f->number('hourRate', 0, 10_000), $f->number('hoursADay', 0, 24), $f->numberOr('markUp', 0.0, 0, 5), $f->numberOr('tax', 0.0, 0, 1));
    }

    /** @return array<string, string|float> */
    public function write(): array
    {
        return ['length' => $this->length, 'wire' => $this->wire, 'currency' => $this->currency, 'hourRate' => $this->hourRate, 'hoursADay' => $this->hoursADay, 'markUp' => $this->markUp, 'tax' => $this->tax];
    }

    /** Unit of lengths in figures, and how many of it one metre is: feet with decimals where the job is in feet and inches. */
    public function unit(): string
    {
        return $this->length === Length::IMPERIAL ? 'ft' : 'm';
    }

    public function inUnit(float $metres): float
    {
        return $this->length === Length::IMPERIAL ? $metres / Length::UNITS['ft'] : $metres;
    }

    public function say(float $metres): string
    {
        return Length::say($metres, $this->length);
    }
}
