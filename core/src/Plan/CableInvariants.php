<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Dimmer;

/** Invariants of the cables and feeds of every plan: their ends. */
final readonly class CableInvariants
{
    public function __construct(private Plan $plan) {}

    public function feeds(): void
    {
        $groups = 0;
        $last = [];
        foreach ($this->plan->runs as $run) {
            $marks = $this->plan->of($run)->cutMarks();
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
        foreach (array_values($this->plan->feeds) as $n => $feed) {
            Invariants::need(isset($this->plan->runs[$feed->run]), "/feeds/{$n}/run", "No run “{$feed->run}”.");
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
    public function cables(): void
    {
        $ends = [];
        foreach (array_values($this->plan->cables) as $n => $cable) {
            Invariants::need(
                isset($this->plan->supplies[$cable->from]) ||
                    isset($this->plan->controllers[$cable->from]) ||
                    isset($this->plan->splices[$cable->from]) ||
                    isset($this->plan->modules[$cable->from]),
                "/cables/{$n}/from",
                "No “{$cable->from}” that a cable could start at.",
            );
            if (isset($this->plan->modules[$cable->from])) {
                $this->line($n, $cable, $ends);
                $ends[$cable->to] = true;

                continue;
            }
            $root = $this->plan->ways()->root($cable->from);
            Invariants::need(
                $root !== null,
                "/cables/{$n}/from",
                "“{$cable->from}” is not connected to a supply or a controller.",
            );
            if (isset($this->plan->splices[$cable->to])) {
                Invariants::need(
                    $cable->to !== $cable->from,
                    "/cables/{$n}/to",
                    'A cable must end at another place than it starts.',
                );

                continue;
            }
            $run = isset($this->plan->feeds[$cable->to])
                ? $this->plan->runs[$this->plan->feeds[$cable->to]->run]
                : null;
            $pixels = $run !== null && $this->plan->strip($run->strip)?->switched() === false;
            $tail =
                $run !== null &&
                (isset($this->plan->controllers[$root ?? ''])
                    ? $run->controller === $root && (!$pixels || $this->plan->of($run)->board() !== null)
                    : $pixels);
            $trunk =
                isset($this->plan->supplies[$root ?? ''], $this->plan->controllers[$cable->to]) &&
                array_filter(
                    $this->plan->runs,
                    static fn(Run $r): bool => $r->supply === $root && $r->controller === $cable->to,
                ) !== [];
            $lamp =
                isset($this->plan->supplies[$root ?? ''], $this->plan->fixtures[$cable->to]) &&
                $this->plan->fixture($this->plan->fixtures[$cable->to]->kit)?->lowVoltage() === true;
            $input = $root !== null && ($this->plan->supplies[$cable->to]->bank ?? null) === $root;
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

    /**
     * A control line: from a module to the fixtures under it.
     *
     * @param  array<string, true>  $ends  ids that have a cable
     */
    private function line(int $n, LaidCable $cable, array $ends): void
    {
        $fitting = $this->plan->fixtures[$cable->to] ?? null;
        Invariants::need(
            $fitting?->module === $cable->from &&
                in_array($this->plan->fixture($fitting->kit)?->dim, Dimmer::BY_LINE, true),
            "/cables/{$n}/to",
            "A control line runs from a module to 0-10 V or DALI fixtures under it, not from “{$cable->from}” to “{$cable->to}”.",
        );
        Invariants::need(!isset($ends[$cable->to]), "/cables/{$n}/to", "“{$cable->to}” has a cable already.");
    }
}
