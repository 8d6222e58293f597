<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** One data output of a pixel board: the pixels that it drives, in the order of the data. */
final readonly class DataOutput
{
    /**
     * @param  int  $output  from 1
     * @param  non-empty-list<DataPart>  $parts
     * @param  list<non-empty-list<DataPart>>  $branches  that a splitter feeds with the same data
     */
    private function __construct(
        public string $board,
        public int $output,
        public array $parts,
        public array $branches = [],
    ) {}

    /** Pixels to be entered for it: those of its longest branch. */
    public function pixels(): int
    {
        return max(array_map(self::length(...), [$this->parts, ...$this->branches]));
    }

    /** The part of a run on it, also in a branch; null if it does not drive the run. */
    public function part(string $run): ?DataPart
    {
        foreach (array_merge($this->parts, ...$this->branches) as $part) {
            if ($part->run === $run) {
                return $part;
            }
        }

        return null;
    }

    /** Position of a run on it, as text: "output 2, pixels 1 to 120". */
    public function words(string $run): string
    {
        return "output {$this->output}, " . ($this->part($run)?->words() ?? '');
    }

    /**
     * The outputs that the lines of a board need: a line with more pixels than an output supports takes the next ones; one that mirrors takes none.
     *
     * @return list<self>
     */
    public static function needed(Plan $plan, string $board): array
    {
        $each = $plan->controller($board)->pixels->each ?? 0;
        $outputs = $of = $branches = [];
        foreach ($each > 0 ? DataLine::on($plan, $board) : [] as $line) {
            foreach (self::parts($plan, $line, $each) as $n => $parts) {
                if ($line->mirrors !== null) {
                    $branches[$line->mirrors][$n][] = $parts;

                    continue;
                }
                $of[] = [$line->id, $n];
                $outputs[] = [$board, count($outputs) + 1, $parts];
            }
        }

        return array_map(
            static fn(array $output, array $line): self => new self(
                ...[...$output, $branches[$line[0]][$line[1]] ?? []],
            ),
            $outputs,
            $of,
        );
    }

    /**
     * Outputs that drive a run, one unless it is too long for one.
     *
     * @return list<self>
     */
    public static function ofRun(Plan $plan, Run $run): array
    {
        return array_values(
            array_filter(
                self::needed($plan, (string) $run->controller),
                static fn(self $o): bool => $o->part($run->id) !== null,
            ),
        );
    }

    /**
     * Runs of a line as parts, by output.
     *
     * @return list<non-empty-list<DataPart>>
     */
    private static function parts(Plan $plan, DataLine $line, int $each): array
    {
        $outputs = [];
        $used = 0;
        foreach ($line->runs as $id) {
            $run = $plan->run($id);
            $pixels = $plan->of($run)->pixels();
            for ($first = 1; $first <= $pixels; $first += $take) {
                $start = $used % $each;
                $take = min($each - $start, $pixels - $first + 1);
                $outputs[intdiv($used, $each)][] = new DataPart(
                    $id,
                    $first,
                    $take,
                    $start,
                    in_array($id, $line->reversed, true),
                );
                $used += $take;
            }
        }

        return array_values($outputs);
    }

    /** @param  list<DataPart>  $parts */
    private static function length(array $parts): int
    {
        return array_sum(array_map(static fn(DataPart $p): int => $p->pixels, $parts));
    }
}
