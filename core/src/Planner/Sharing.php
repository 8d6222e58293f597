<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Which runs can share what: a place and volts for a supply, the same kind of strip for a controller; runs of one light stay together. */
final readonly class Sharing
{
    public function __construct(private Tables $tables) {}

    /**
     * Groups of runs that are planned together: they could share a supply. Runs with pinned kit stay with their sharers.
     *
     * @param  list<Run>  $runs
     * @param  array<string, RunBank>  $banks  of runs without mains, by id
     * @return list<non-empty-list<Run>> in the order of the ids
     */
    public static function groups(Plan $plan, array $runs, array $banks = []): array
    {
        $pinned = [];
        foreach ($runs as $run) {
            if (in_array('kit', $run->pins, true) && $run->supply !== null) {
                $pinned[$run->supply] = true;
            }
        }
        $groups = [];
        foreach ($runs as $run) {
            $volts = $plan->strip($run->strip)->volts ?? 0.0;
            $bank = isset($banks[$run->id]) ? $banks[$run->id]->key() : '';
            $groups[
                isset($pinned[$run->supply ?? '']) ? "on {$run->supply}" : "{$run->place} {$volts} {$bank}"
            ][] = isset($pinned[$run->supply ?? ''])
                ? $run->pinned(array_values(array_unique(['kit', ...$run->pins])))
                : $run;
        }

        return array_values($groups);
    }

    /**
     * All ways to part runs into blocks, each under its own controller.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<list<non-empty-list<Run>>>
     */
    public function blocks(array $runs): array
    {
        $plan = $this->tables->plan;
        if (in_array('kit', $runs[0]->pins, true)) {
            $now = [];
            foreach ($runs as $run) {
                $now[$this->tables->strip($run)->switched() ? (string) $run->controller : "pixels {$run->id}"][] = $run;
            }

            return [array_values($now)];
        }
        $all = [[]];
        foreach ($runs as $run) {
            $next = [];
            foreach ($all as $blocks) {
                foreach ($blocks as $n => $block) {
                    if ($this->together([...$block, $run])) {
                        $next[] = array_values(array_replace($blocks, [$n => [...$block, $run]]));
                    }
                }
                $next[] = [...$blocks, [$run]];
            }
            $all = $next;
        }

        return array_values(array_filter($all, static fn(array $blocks): bool => self::whole($plan, $blocks)));
    }

    /** @param  non-empty-list<Run>  $runs  Whether they can share a controller: alike strip, and never two lights, which are controllers with a name. */
    public function together(array $runs): bool
    {
        $lights = array_filter(array_map(fn(Run $r): ?string => self::light($this->tables->plan, $r), $runs));

        return count(array_unique($lights)) <= 1 &&
            array_filter($runs, fn(Run $r): bool => $r !== $runs[0] && !$this->alike($runs[0], $r)) === [];
    }

    private function alike(Run $a, Run $b): bool
    {
        [$x, $y] = [$this->tables->strip($a), $this->tables->strip($b)];

        return $x->switched() &&
            $y->switched() &&
            $x->volts === $y->volts &&
            $x->colours() === $y->colours() &&
            $this->tables->plan->controller($a->controller)?->family ===
                $this->tables->plan->controller($b->controller)?->family;
    }

    /**
     * Runs that cannot be parted: those of one light, else each alone.
     *
     * @param  list<Run>  $runs
     * @return list<non-empty-list<Run>> in the order of their first
     */
    public static function units(Plan $plan, array $runs): array
    {
        $units = [];
        foreach ($runs as $run) {
            $units[self::light($plan, $run) ?? "run {$run->id}"][] = $run;
        }

        return array_values($units);
    }

    /** The controller with a name that a run is on. */
    private static function light(Plan $plan, Run $run): ?string
    {
        return $run->controller !== null && isset($plan->lights[$run->controller]) ? $run->controller : null;
    }

    /** @param  list<non-empty-list<Run>>  $blocks  Whether no light, which is a controller with a name, is torn. */
    public static function whole(Plan $plan, array $blocks): bool
    {
        $of = [];
        foreach ($blocks as $n => $block) {
            foreach ($block as $run) {
                $light = self::light($plan, $run);
                if ($light !== null && ($of[$light] ??= $n) !== $n) {
                    return false;
                }
            }
        }

        return true;
    }
}
