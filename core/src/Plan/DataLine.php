<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** One data output of a pixel board: the pixels of a run that it drives, from the run's start. */
final readonly class DataLine
{
    /**
     * @param  int  $output  from 1
     * @param  int  $first  number of its first pixel in the run, from 1
     */
    private function __construct(
        public string $board,
        public int $output,
        public string $run,
        public int $first,
        public int $pixels,
    ) {}

    /** Output and pixels as text: "output 2, 120 pixels from pixel 61". */
    public function words(): string
    {
        return "output {$this->output}, {$this->pixels} pixels" .
            ($this->first > 1 ? " from pixel {$this->first}" : '');
    }

    /**
     * The outputs that the runs of a board need: each run begins at an output of its own, in the order of the plan, and a run with more pixels than an
     * output supports takes the next ones.
     *
     * @return list<self>
     */
    public static function needed(Plan $plan, string $board): array
    {
        $each = $plan->controller($board)->pixels->each ?? 0;
        $lines = [];
        foreach ($plan->runs as $run) {
            $group = $run->controller === $board ? $plan->strip($run->strip)?->pixels : null;
            $pixels = ($plan->cutMarks($run)?->groupCount() ?? 0) * ($group->pixels ?? 0);
            for ($first = 1; $each > 0 && $first <= $pixels; $first += $each) {
                $lines[] = new self($board, count($lines) + 1, $run->id, $first, min($each, $pixels - $first + 1));
            }
        }

        return $lines;
    }
}
