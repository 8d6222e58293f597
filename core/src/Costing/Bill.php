<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\JointMinutes;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/**
 * What the wiring of some runs costs, line by line, in hundredths of the smallest coin: units, cable rounded up to
 * 0.1 m, fuses, joints by the hour's price.
 */
final readonly class Bill
{
    private const COIN = 10_000;

    /**
     * @param  array<string, array{string, float, string, int}>  $lines  by shelf id: name, how many, unit, cost
     */
    private function __construct(public array $lines, public int $joints, public int $boxes) {}

    /** @param  list<string>  $runs  ids */
    public static function of(Plan $plan, array $runs): self
    {
        $lines = [];
        $add = static function (?KitSnapshot $kit, float $count, string $unit, int $cost) use (&$lines): void {
            if ($kit !== null) {
                $id = $kit->entry->id();
                $lines[$id] = [
                    $kit->entry->name(),
                    ($lines[$id][1] ?? 0.0) + $count,
                    $unit,
                    ($lines[$id][3] ?? 0) + $cost,
                ];
            }
        };
        $units = $cables = $where = [];
        foreach ($runs as $id) {
            $run = $plan->run($id);
            $units[$run->supply ?? ''] = $plan->supplies[$run->supply ?? ''] ?? null;
            if ($plan->strip($run->strip)?->switched() === true) {
                $units[$run->controller ?? ''] = $plan->controllers[$run->controller ?? ''] ?? null;
                $cables += $plan->wayTo($run->controller ?? '');
            }
            foreach ($plan->feedsOf($run) as $feed) {
                $cables += $plan->wayTo($feed->id);
            }
        }
        foreach (array_filter($units) as $unit) {
            $kit = $plan->kit[$unit->kit] ?? null;
            $add($kit, 1, '', $kit === null ? 0 : self::piece($plan, $kit));
            $where[$unit->where === '' ? $unit->id : $unit->where] = true;
        }
        foreach ($cables as $cable) {
            $kit = $plan->kit[$cable->kit] ?? null;
            if ($kit !== null && !$cable->existing) {
                $add($kit, self::tenths($cable->length) / 10, 'm', self::metres($plan, $kit, $cable->length));
            }
            $fuse = $plan->kit[$cable->fuse ?? ''] ?? null;
            $add($fuse, 1, '', $fuse === null ? 0 : self::piece($plan, $fuse));
        }
        $joints = self::count($plan, $cables, $runs);
        if ($joints > 0) {
            $lines['joints'] = ['Joints', (float) $joints, '', self::joints($plan, $joints)];
        }

        return new self($lines, $joints, count($where));
    }

    public function cost(): int
    {
        return array_sum(array_map(static fn(array $l): int => $l[3], $this->lines));
    }

    public static function piece(Plan $plan, KitSnapshot $kit): int
    {
        return (int) round(self::COIN * ($plan->terms->price($kit) ?? 0.0));
    }

    /** Of so many metres of a cable. */
    public static function metres(Plan $plan, KitSnapshot $cable, float $metres): int
    {
        return (int) round((self::COIN * ($plan->terms->price($cable) ?? 0.0) * self::tenths($metres)) / 10);
    }

    public static function joints(Plan $plan, int $joints): int
    {
        return $joints * (int) round(((self::COIN * JointMinutes::SOLDERED) / 60) * $plan->terms->hourRate);
    }

    /** What it all comes to, with every line in its working. */
    public function total(Plan $plan): Figure
    {
        $inputs = [];
        foreach (array_values($this->lines) as $n => $line) {
            $inputs[] = new Input(
                'c' . ($n + 1),
                $line[0] . ($line[2] === 'm' ? sprintf(', %.1f m', $line[1]) : sprintf(', %d', $line[1])),
                $line[3] / self::COIN,
                $plan->terms->currency,
            );
        }

        return new Figure(
            label: 'Cost',
            value: $this->cost() / self::COIN,
            unit: $plan->terms->currency,
            decimals: 2,
            formula: implode(' + ', array_map(static fn(Input $i): string => $i->symbol, $inputs)),
            inputs: $inputs,
            assumption: 'Prices of the shelf; cable rounded up to 0.1 m; joints at ' .
                JointMinutes::SOLDERED .
                ' minutes, an hour as the job says.',
            source: 'common practice, no source',
        );
    }

    /** A sum told as a figure. */
    public static function figure(Plan $plan, int $cost, string $label = 'Cost'): Figure
    {
        $value = $cost / self::COIN;

        return new Figure(
            label: $label,
            value: $value,
            unit: $plan->terms->currency,
            decimals: 2,
            formula: 'c',
            inputs: [
                new Input(
                    'c',
                    'units, cable rounded up to 0.1 m, fuses, joints at ' . JointMinutes::SOLDERED . ' minutes',
                    $value,
                    $plan->terms->currency,
                ),
            ],
            assumption: 'Prices of the shelf, an hour as the job says.',
            source: 'common practice, no source',
        );
    }

    /** @return list<array{what: string, count: string, cost: string}> */
    public function toArray(): array
    {
        return array_map(
            static fn(array $l): array => [
                'what' => $l[0],
                'count' => $l[2] === 'm' ? sprintf('%.1f m', $l[1]) : sprintf('%d', $l[1]),
                'cost' => sprintf('%.2f', $l[3] / self::COIN),
            ],
            array_values($this->lines),
        );
    }

    private static function tenths(float $metres): float
    {
        return ceil(10 * $metres - 1e-9);
    }

    /**
     * One joint for each core of each end of a cable; at a splice all that meet there are one joint a core. A fuse has two ends.
     *
     * @param  array<string, \EmberDusk\Plan\LaidCable>  $cables
     * @param  list<string>  $runs
     */
    private static function count(Plan $plan, array $cables, array $runs): int
    {
        $joints = 0;
        $splices = [];
        foreach ($cables as $cable) {
            $run = self::runOf($plan, $cable->to, $runs);
            if (isset($plan->controllers[$cable->to]) || $run === null) {
                $cores = 2;
            } else {
                $cores = count($plan->strip($run->strip)->channels ?? []) + 1;
            }
            foreach ([$cable->from, $cable->to] as $end) {
                if (isset($plan->splices[$end])) {
                    $splices[$end] = max($splices[$end] ?? 0, $cores);
                } else {
                    $joints += $cores;
                }
            }
            $joints += $cable->fuse === null ? 0 : 2;
        }

        return $joints + array_sum($splices);
    }

    /**
     * The run that a cable's end leads to, through splices.
     *
     * @param  list<string>  $runs
     */
    private static function runOf(Plan $plan, string $end, array $runs): ?Run
    {
        for ($n = 0; isset($plan->splices[$end]) && $n <= count($plan->splices); $n++) {
            foreach ($plan->cables as $cable) {
                if ($cable->from === $end) {
                    $end = $cable->to;
                    break;
                }
            }
        }
        if (isset($plan->feeds[$end])) {
            return $plan->runs[$plan->feeds[$end]->run];
        }

        return null;
    }
}
