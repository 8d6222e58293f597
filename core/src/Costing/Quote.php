<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Terms;
use EmberDusk\Rates\Work;
use EmberDusk\Rates\WorkGroup;
use EmberDusk\Schedule\Labour;
use EmberDusk\Schedule\Step;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/**
 * The quote: parts with mark-up, every kind of work by the hour, travel, tax. Whole hundredths of the currency, so that the lines add up.
 */
final readonly class Quote
{
    /** Labels of work lines. */
    public const WORK = 'work-';

    /** The line of ways back and forth that are paid by the way: fuel, parking. */
    public const WAYS = 'ways';

    /**
     * @param  array<string, QuoteLine>  $lines  by part, then by kind of work
     * @param  list<string>  $unpriced  parts that the sum is without
     */
    private function __construct(
        private Terms $terms,
        public array $lines,
        public int $net,
        public int $tax,
        public int $total,
        public array $unpriced,
    ) {}

    /** @param  list<Step>  $steps  of Build */
    public static function for(PartsList $parts, array $steps, Terms $terms, Basis $basis): self
    {
        $lines = $unpriced = [];
        foreach ($parts->parts as $part) {
            $cost = $part->cost();
            if ($cost === null) {
                $unpriced[] = $part->name . ($part->foreign === '' ? '' : " (priced in {$part->foreign})");
            } elseif ($cost > 0) {
                $lines[$part->key] = new QuoteLine(
                    $part->name,
                    $part->say($part->paid()),
                    self::partCents($part, $terms),
                );
            }
        }
        $labour = Labour::for($steps, $basis->arrangement, $basis->crew, $terms);
        foreach ($labour->minutes as $kind => $minutes) {
            $lines[self::WORK . $kind] = new QuoteLine(
                ucfirst(Work::from($kind)->words()),
                QuoteLine::time($minutes),
                (int) round((100 * $minutes * $terms->hourRate) / 60),
                $minutes,
            );
        }
        $ways = $labour->visits + ((int) ($terms->again && $labour->visits > 0));
        if ($ways > 0 && $terms->travelCost > 0) {
            $lines[self::WAYS] = new QuoteLine(
                'Ways back and forth',
                (string) $ways,
                (int) round(100 * $ways * $terms->travelCost),
            );
        }
        $net = array_sum(array_map(static fn(QuoteLine $l): int => $l->cents, $lines));
        $tax = (int) round($net * $terms->tax);

        return new self(terms: $terms, lines: $lines, net: $net, tax: $tax, total: $net + $tax, unpriced: $unpriced);
    }

    /** Amount of a part in the quote, in hundredths of the currency. */
    public static function partCents(Part $part, Terms $terms): int
    {
        return (int) round(100 * ($part->cost() ?? 0.0) * (1 + $terms->markUp));
    }

    /** Unrounded minutes of all people together. */
    public function minutes(): float
    {
        return array_sum(array_map(static fn(QuoteLine $l): float => $l->minutes, $this->lines));
    }

    /** @return list<QuoteLine> work and travel in the groups that a client reads; their sum is that of the lines */
    public function works(): array
    {
        $groups = [];
        foreach (WorkGroup::cases() as $group) {
            $cents = 0;
            $minutes = 0.0;
            foreach (Work::cases() as $work) {
                $line = $this->lines[self::WORK . $work->value] ?? null;
                if ($line !== null && $work->group() === $group) {
                    $cents += $line->cents;
                    $minutes += $line->minutes;
                }
            }
            if ($minutes > 0.0) {
                $groups[] = new QuoteLine($group->value, '', $cents, $minutes);
            }
        }

        return isset($this->lines[self::WAYS]) ? [...$groups, $this->lines[self::WAYS]] : $groups;
    }

    /** @return array<string, array{what: string, count: string, cents: int}> the lines, tax as the last */
    public function write(): array
    {
        $lines = array_map(static fn(QuoteLine $l): array => $l->write(), $this->lines);
        if ($this->tax !== 0) {
            $lines['tax'] = [
                'what' => 'Tax',
                'count' => sprintf('%g %%', round(100 * $this->terms->tax, 2)),
                'cents' => $this->tax,
            ];
        }

        return $lines;
    }

    /** The total, with its working. */
    public function figure(): Figure
    {
        $labour = array_sum(array_map(static fn(QuoteLine $l): int => $l->minutes > 0 ? $l->cents : 0, $this->lines));
        $ways = $this->lines[self::WAYS]->cents ?? 0;
        $terms = $this->terms;
        $input = static fn(string $symbol, string $meaning, int $cents, string $path): Input => new Input(
            $symbol,
            $meaning,
            $cents / 100,
            $terms->currency,
            $path,
        );

        return new Figure(
            label: 'Quote',
            value: $this->total / 100,
            unit: $terms->currency,
            decimals: 2,
            formula: 'P + L + W + T',
            inputs: [
                $input(
                    'P',
                    sprintf('parts, with %g %% on each line', round(100 * $terms->markUp, 2)),
                    $this->net - $labour - $ways,
                    'quote: lines of parts',
                ),
                $input(
                    'L',
                    sprintf('work, %s at %.2f an hour', QuoteLine::time($this->minutes()), $terms->hourRate),
                    $labour,
                    'quote: lines of work',
                ),
                $input('W', 'ways back and forth', $ways, 'quote.lines.ways.cents / 100'),
                $input('T', sprintf('tax, %g %% of all', round(100 * $terms->tax, 2)), $this->tax, 'quote.tax / 100'),
            ],
            assumption: 'Every line is rounded to hundredths, so that the lines add up; minutes are not rounded.',
            source: 'prices of the shelf, minutes of Build, mark-up, travel and tax of the job',
        );
    }

    public static function money(int $cents): string
    {
        return sprintf('%.2f', $cents / 100);
    }
}
