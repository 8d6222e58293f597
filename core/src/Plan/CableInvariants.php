<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Invariants of the cables and feeds of every plan: their ends. */
final readonly class CableInvariants
{
    public static function feeds(Plan $plan): void
    {
        $groups = 0;
        $last = [];
        foreach ($plan->runs as $run) {
            $marks = $plan->of($run)->cutMarks();
            $groups += $marks?->groupCount() ?? 0;
            $last[$run->id] = $marks?->lastPad() ?? 0;
        }
        Invariants::need(
            $groups <= Invariants::MOST_GROUPS,
            '/runs',
            sprintf(
                'The runs have %d groups together; at most %d can be calculated.',
                $groups,
                Invariants::MOST_GROUPS,
            ),
        );
        $seen = [];
        foreach (array_values($plan->feeds) as $n => $feed) {
            Invariants::need(isset($plan->runs[$feed->run]), "/feeds/{$n}/run", "No run “{$feed->run}”.");
            Invariants::need(
                $feed->pad <= $last[$feed->run],
                "/feeds/{$n}/pad",
                "Run “{$feed->run}” ends at pad {$last[$feed->run]}.",
            );
            Invariants::need(
                !isset($seen[$feed->run][$feed->pad]),
                "/feeds/{$n}/pad",
                "Pad {$feed->pad} of “{$feed->run}” is fed already.",
            );
            $seen[$feed->run][$feed->pad] = true;
        }
    }

    /**
     * Cables go from a supply or a controller, through splices or straight, to a controller or a feed of a run connected to it; pixels are fed by
     * a supply or by their board.
     */
    public static function cables(Plan $plan): void
    {
        $ends = [];
        foreach (array_values($plan->cables) as $n => $cable) {
            Invariants::need(
                isset($plan->supplies[$cable->from]) ||
                    isset($plan->controllers[$cable->from]) ||
                    isset($plan->splices[$cable->from]),
                "/cables/{$n}/from",
                "No “{$cable->from}” that a cable could start at.",
            );
            $root = $plan->ways()->root($cable->from);
            Invariants::need(
                $root !== null,
                "/cables/{$n}/from",
                "“{$cable->from}” is not connected to a supply or a controller.",
            );
            if (isset($plan->splices[$cable->to])) {
                Invariants::need(
                    $cable->to !== $cable->from,
                    "/cables/{$n}/to",
                    'A cable must end at another place than it starts.',
                );

                continue;
            }
            $run = isset($plan->feeds[$cable->to]) ? $plan->runs[$plan->feeds[$cable->to]->run] : null;
            $pixels = $run !== null && $plan->strip($run->strip)?->switched() === false;
            $tail =
                $run !== null &&
                (isset($plan->controllers[$root ?? ''])
                    ? $run->controller === $root && (!$pixels || $plan->of($run)->board() !== null)
                    : $pixels);
            $trunk =
                isset($plan->supplies[$root ?? ''], $plan->controllers[$cable->to]) &&
                array_filter(
                    $plan->runs,
                    static fn(Run $r): bool => $r->supply === $root && $r->controller === $cable->to,
                ) !== [];
            $lamp =
                isset($plan->supplies[$root ?? ''], $plan->fixtures[$cable->to]) &&
                $plan->fixture($plan->fixtures[$cable->to]->kit)?->lowVoltage() === true;
            $input = $root !== null && ($plan->supplies[$cable->to]->bank ?? null) === $root;
            Invariants::need(
                $trunk || $tail || $lamp || $input,
                "/cables/{$n}/to",
                'A cable runs from a run’s supply to its controller, from that or for pixels from the supply to one of its feeds, from a supply ' .
                    "to fixtures or from a bank to its converter, not from “{$cable->from}” to “{$cable->to}”.",
            );
            Invariants::need(!isset($ends[$cable->to]), "/cables/{$n}/to", "“{$cable->to}” has a cable already.");
            $ends[$cable->to] = true;
        }
    }
}
