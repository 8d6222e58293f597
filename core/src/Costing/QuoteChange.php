<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** Difference between two quotes, line by line: for an option, a proposal, or since a quote was sent. */
final readonly class QuoteChange
{
    /** @param  array<string, array{what: string, then: string, now: string, cents: int}>  $lines  that differ, by part and kind of work */
    private function __construct(
        public array $lines,
        public int $cents,
        public float $minutes,
        private string $currency,
    ) {}

    public static function between(Quote $before, Quote $after, string $currency): self
    {
        return new self(
            self::lines($before->write(), $after->write()),
            $after->total - $before->total,
            $after->minutes() - $before->minutes(),
            $currency,
        );
    }

    /**
     * Since one that was given.
     *
     * @param  array<string, array{what: string, count: string, cents: int}>  $given
     */
    public static function since(array $given, int $total, Quote $now, string $currency): self
    {
        // Quotes that were given before tax had its own line.
        $tax = $total - array_sum(array_column($given, 'cents'));
        if ($tax !== 0) {
            $given += ['tax' => ['what' => 'Tax', 'count' => '', 'cents' => $tax]];
        }

        return new self(self::lines($given, $now->write()), $now->total - $total, 0.0, $currency);
    }

    /** Effect on the quote, with each changed line in its working. */
    public function figure(): Figure
    {
        $inputs = [];
        foreach ($this->lines as $key => $line) {
            $inputs[] = new Input(
                symbol: 'd' . (count($inputs) + 1),
                meaning: "{$line['what']}, {$line['then']} to {$line['now']}",
                value: $line['cents'] / 100,
                unit: $this->currency,
                path: "change.lines.{$key}.cents / 100",
            );
        }

        return new Figure(
            label: 'Quote changes by',
            value: $this->cents / 100,
            unit: $this->currency,
            decimals: 2,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: 'New quote minus current quote: whole reels, spares, the client’s own kit, mark-up and tax included.',
            source: 'the quote',
        );
    }

    /** @return list<ChangedLine> */
    public function rows(): array
    {
        return array_values(
            array_map(
                static fn(array $l): ChangedLine => new ChangedLine(
                    what: $l['what'],
                    then: $l['then'],
                    now: $l['now'],
                    difference: sprintf('%+.2f', $l['cents'] / 100),
                ),
                $this->lines,
            ),
        );
    }

    /**
     * @param  array<string, array{what: string, count: string, cents: int}>  $before
     * @param  array<string, array{what: string, count: string, cents: int}>  $after
     * @return array<string, array{what: string, then: string, now: string, cents: int}>
     */
    private static function lines(array $before, array $after): array
    {
        $lines = [];
        foreach ($before + $after as $key => $line) {
            [$then, $now] = [$before[$key] ?? null, $after[$key] ?? null];
            if ($then !== $now) {
                $lines[$key] = [
                    'what' => $line['what'],
                    'then' => $then['count'] ?? '–',
                    'now' => $now['count'] ?? '–',
                    'cents' => ($now['cents'] ?? 0) - ($then['cents'] ?? 0),
                ];
            }
        }

        // Lines calculated from others come last.
        $tax = array_intersect_key($lines, ['tax' => true]);

        return array_diff_key($lines, $tax) + $tax;
    }
}
