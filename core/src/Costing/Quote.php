<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Terms;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** What the client is asked for: parts with the mark-up, labour by the hour, tax. Whole hundredths of the currency, so that the lines add up. */
final readonly class Quote
{
    /**
     * @param  array<string, array{what: string, count: string, cents: int}>  $lines  by part, labour last
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

    /** @param  int  $minutes  of all people together */
    public static function of(PartsList $parts, int $minutes, Terms $terms): self
    {
        $lines = $unpriced = [];
        foreach ($parts->parts as $part) {
            $cost = $part->cost();
            if ($cost === null) {
                $unpriced[] = $part->name . ($part->foreign === '' ? '' : " (priced in {$part->foreign})");
            } elseif ($cost > 0) {
                $lines[$part->key] = [
                    'what' => $part->name,
                    'count' => $part->say($part->paid()),
                    'cents' => (int) round(100 * $cost * (1 + $terms->markUp)),
                ];
            }
        }
        if ($minutes > 0) {
            $lines['labour'] = [
                'what' => 'Labour',
                'count' => sprintf('%.1f h', $minutes / 60),
                'cents' => (int) round(((100 * $minutes) / 60) * $terms->hourRate),
            ];
        }
        $net = array_sum(array_column($lines, 'cents'));
        $tax = (int) round($net * $terms->tax);

        return new self(terms: $terms, lines: $lines, net: $net, tax: $tax, total: $net + $tax, unpriced: $unpriced);
    }

    /**
     * Line by line what is other than in a quote that was given.
     *
     * @param  array<string, array{what: string, count: string, cents: int}>  $given
     * @return list<array{what: string, then: string, now: string, difference: string}>
     */
    public function since(array $given): array
    {
        $changes = [];
        foreach ($given + $this->lines as $key => $line) {
            [$then, $now] = [$given[$key] ?? null, $this->lines[$key] ?? null];
            if ($then !== $now) {
                $changes[] = [
                    'what' => $line['what'],
                    'then' => $then['count'] ?? '–',
                    'now' => $now['count'] ?? '–',
                    'difference' => sprintf('%+.2f', (($now['cents'] ?? 0) - ($then['cents'] ?? 0)) / 100),
                ];
            }
        }

        return $changes;
    }

    /** What it comes to, with its working. */
    public function figure(): Figure
    {
        $labour = $this->lines['labour']['cents'] ?? 0;
        $terms = $this->terms;

        return new Figure(
            label: 'Quote',
            value: $this->total / 100,
            unit: $terms->currency,
            decimals: 2,
            formula: 'P + L + T',
            inputs: [
                new Input(
                    'P',
                    sprintf('parts, with %g %% on each line', round(100 * $terms->markUp, 2)),
                    ($this->net - $labour) / 100,
                    $terms->currency,
                ),
                new Input(
                    'L',
                    sprintf('labour, %s at %.2f', $this->lines['labour']['count'] ?? '0 h', $terms->hourRate),
                    $labour / 100,
                    $terms->currency,
                ),
                new Input(
                    'T',
                    sprintf('tax, %g %% of both', round(100 * $terms->tax, 2)),
                    $this->tax / 100,
                    $terms->currency,
                ),
            ],
            assumption: 'Every line is rounded to hundredths, so that the lines add up.',
            source: 'prices of the shelf, hours of Build, mark-up and tax of the job',
        );
    }

    public static function money(int $cents): string
    {
        return sprintf('%.2f', $cents / 100);
    }
}
