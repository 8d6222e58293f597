<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A data line of a pixel board as arranged by hand: its runs in the order of the data, and at which end each takes the data in. */
final readonly class DataLine implements JsonReadable
{
    use Record;

    /**
     * @param  string  $board  id among the controllers
     * @param  list<string>  $runs  ids, in the order of the data
     * @param  list<string>  $reversed  ids of the runs that take the data in at their end
     * @param  string|null  $mirrors  id of the line whose output a splitter leads here too: it shows the same
     */
    public function __construct(
        public string $id,
        public string $board,
        #[Field(of: Field::TEXTS)] public array $runs,
        #[Field(of: Field::TEXTS)] public array $reversed = [],
        public ?string $mirrors = null,
    ) {}

    /**
     * The lines of every board in the order of their outputs: as arranged, then one for each other run of pixels, from its start.
     *
     * @return list<self>
     */
    public static function on(Plan $plan, string $board): array
    {
        $lines = array_values(array_filter($plan->lines, static fn(self $l): bool => $l->board === $board));
        $arranged = array_merge(...array_map(static fn(self $l): array => $l->runs, $lines));
        foreach ($plan->runs as $run) {
            if (
                $run->controller === $board &&
                !in_array($run->id, $arranged, true) &&
                $plan->strip($run->strip)?->pixels !== null
            ) {
                $lines[] = new self('', $board, [$run->id]);
            }
        }

        return $lines;
    }

    /** The line that leads to a run; null without a pixel board. */
    public static function to(Plan $plan, Run $run): ?self
    {
        foreach (self::on($plan, (string) $run->controller) as $line) {
            if (in_array($run->id, $line->runs, true)) {
                return $line;
            }
        }

        return null;
    }

    /** Pad at which a run takes the data in, and the one at which it leaves: 0 or its last. */
    public function pad(Plan $plan, Run $run, bool $leaves = false): int
    {
        return in_array($run->id, $this->reversed, true) === $leaves ? 0 : $plan->of($run)->marks()->lastPad();
    }

    /** On a separate output. */
    public function alone(): self
    {
        return $this->withChanged(mirrors: null);
    }

    /** As a branch of another line. */
    public function mirroring(string $line): self
    {
        return $this->withChanged(mirrors: $line);
    }

    /**
     * @param  list<string>  $runs
     * @param  list<string>  $reversed
     */
    public function over(array $runs, array $reversed): self
    {
        return $this->withChanged(runs: $runs, reversed: $reversed);
    }

    /** With data into a run of it at the other end. */
    public function turned(string $run): self
    {
        return $this->over(
            $this->runs,
            in_array($run, $this->reversed, true)
                ? array_values(array_diff($this->reversed, [$run]))
                : [...$this->reversed, $run],
        );
    }

    public function without(string $run): self
    {
        return $this->over(
            array_values(array_diff($this->runs, [$run])),
            array_values(array_diff($this->reversed, [$run])),
        );
    }

    /** With the runs that a board still drives; null when none is left. */
    public function keeping(Plan $plan): ?self
    {
        $here = fn(string $id): bool => ($plan->runs[$id]->controller ?? null) === $this->board &&
            $plan->strip($plan->runs[$id]->strip)?->pixels !== null;
        $runs = array_values(array_filter($this->runs, $here));
        if ($runs === [] || !isset($plan->controllers[$this->board])) {
            return null;
        }

        return $this->over($runs, array_values(array_intersect($this->reversed, $runs)));
    }
}
