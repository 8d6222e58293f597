<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Routes\DataRoute;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Fix;

/** Other ways for data to reach a run of pixels, each as a change: from its other end, behind other runs, as a branch, in a shorter order. */
final readonly class DataChoices
{
    /** Metres that a shorter order must save to be worth a choice. */
    private const WORTH = 0.1;

    /** @param  list<DataLine>  $lines  of the board, their ids their numbers */
    private function __construct(private Plan $plan, private string $board, private array $lines) {}

    /** @return list<Fix> none without a pixel board */
    public static function for(Plan $plan, Run $run): array
    {
        $board = $plan->of($run)->board()?->id;
        $lines = $board === null ? [] : DataLine::on($plan, $board);
        $numbers = array_map(static fn(DataLine $l): string => $l->id, $lines);
        foreach ($lines as $n => $line) {
            $mirrors = $line->mirrors === null ? null : (string) array_search($line->mirrors, $numbers, true);
            $lines[$n] = new DataLine((string) $n, $line->board, $line->runs, $line->reversed, $mirrors);
        }
        foreach ($lines as $n => $line) {
            if (in_array($run->id, $line->runs, true)) {
                return (new self($plan, (string) $board, $lines))->of($run, $n);
            }
        }

        return [];
    }

    /** @return list<Fix> for a run of the line with this number */
    private function of(Run $run, int $n): array
    {
        $line = $this->lines[$n];
        $back = in_array($run->id, $line->reversed, true);
        $choices = $this->plan->of($run)->directed()
            ? []
            : [
                $this->fix($back ? 'Data comes in at the start' : 'Data comes in at the end', [
                    $n => $line->turned($run->id),
                ]),
            ];
        if (count($line->runs) > 1) {
            $choices[] = $this->fix('Data on an output of its own', [
                $n => $line->without($run->id),
                count($this->lines) => new DataLine('', $this->board, [$run->id], $back ? [$run->id] : []),
            ]);
        } elseif ($line->mirrors !== null) {
            $choices[] = $this->fix('Data on an output of its own', [$n => $line->alone()]);
        }

        return [...$choices, ...$this->joined($run, $n), ...$this->shorter($n)];
    }

    /** @return list<Fix> behind the runs of other lines, or as a branch of them: of its place, while nothing depends on its own line */
    private function joined(Run $run, int $n): array
    {
        $line = $this->lines[$n];
        $choices = [];
        foreach ($this->lines as $k => $other) {
            if ($k === $n || $other->mirrors !== null || count($line->runs) > 1 || $this->leads($n)) {
                continue;
            }
            $last = $this->plan->run($other->runs[count($other->runs) - 1]);
            if ($last->place !== $run->place) {
                continue;
            }
            if ($line->mirrors === null) {
                $choices[] = $this->fix("Data from {$last->name()}, behind its last pixel", [
                    $n => null,
                    $k => $other->over([...$other->runs, ...$line->runs], [...$other->reversed, ...$line->reversed]),
                ]);
                $choices[] = $this->fix(
                    "The same picture as {$this->plan->run($other->runs[0])->name()}, by a splitter",
                    [
                        $n => null,
                        count($this->lines) => $line->mirroring((string) $k),
                    ],
                );
            }
        }

        return $choices;
    }

    /** Whether another line mirrors it. */
    private function leads(int $n): bool
    {
        return array_filter($this->lines, static fn(DataLine $l): bool => $l->mirrors === (string) $n) !== [];
    }

    /** @return list<Fix> the order of its runs with the least lead */
    private function shorter(int $n): array
    {
        $line = $this->lines[$n];
        $best = count($line->runs) > 1 ? DataRoute::best($this->plan, $line) : null;
        if ($best === null) {
            return [];
        }
        [$now, $then] = [$this->metres($line), $this->metres($best)];
        if ($now === null || $then === null || $then > $now - self::WORTH) {
            return [];
        }
        $say = $this->plan->terms->say(...);

        return [$this->fix("Data in the order with {$say($then)} of lead instead of {$say($now)}", [$n => $best])];
    }

    /** Metres of its leads; null if one of them is not known, as sums could not be compared then. */
    private function metres(DataLine $line): ?float
    {
        $metres = array_map(static fn(DataLead $l): ?float => $l->metres, DataLead::of($this->plan, $line));

        return in_array(null, $metres, true) ? null : array_sum($metres);
    }

    /** @param  array<int, DataLine|null>  $changed  by number; null goes */
    private function fix(string $label, array $changed): Fix
    {
        $lines = array_filter($changed + $this->lines);
        ksort($lines);

        return new Fix($label, ArrangeData::payload($this->board, array_values($lines)));
    }
}
