<?php

declare(strict_types=1);

namespace EmberDusk\Bench;

use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Pixels of a run, as its plan calculates them: cut lengths times the pixels of each. */
final readonly class PixelCount
{
    /** @return non-empty-list<int> of each section, in the order of the data */
    public static function sections(Plan $plan, Run $run): array
    {
        $each = $plan->strip($run->strip)->pixels->pixels ?? 1;
        $sections = array_map(static fn(int $g): int => $g * $each, $plan->of($run)->cutMarks()->groups ?? []);

        if ($sections === []) {
            return [0];
        }
        $reversed = DataLine::to($plan, $run)->reversed ?? [];

        return in_array($run->id, $reversed, true) ? array_reverse($sections) : $sections;
    }
}
