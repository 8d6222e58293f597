<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Planner;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Rules\Seam;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Trouble;

/** Choices put into the plan and solved whole at full light, nominal values; each figure is rounded to 1e-4 of its unit before it is judged. */
final readonly class Tried
{
    /**
     * @param  non-empty-list<Choice>  $choices  one a run
     * @param  list<string>  $broken  limits that it does not hold, in words
     */
    private function __construct(public array $choices, public float $evenness, public array $broken)
    {
    }

    /** @param  non-empty-list<Choice>  $choices */
    public static function of(Plan $plan, array $choices, ShelfSource $shelf): self
    {
        try {
            $made = Choices::applied($plan, array_merge(...array_map(static fn (Choice $c): array => $c->changes, $choices)), $shelf);
            $broken = [];
            $evenness = 1.0;
            foreach ($choices as $choice) {
                $run = $made->run($choice->run);
                $result = Engine::nominal($made, $run);
                $evenness = min($evenness, $result->evenness());
                array_push($broken, ...self::broken($made, $run, $result));
            }

            return new self($choices, $evenness, $broken);
        } catch (Trouble $t) {
            return new self($choices, 0.0, [$t->getMessage()]);
        }
    }

    public function cost(): int
    {
        return array_sum(array_map(static fn (Choice $c): int => $c->cost, $this->choices));
    }

    public function joints(): int
    {
        return array_sum(array_map(static fn (Choice $c): int => $c->joints, $this->choices));
    }

    /** @return list<string> */
    private static function broken(Plan $plan, Run $run, RunResult $result): array
    {
        $strip = $plan->strip($run->strip);
        $broken = [];
        if (round($result->evenness(), 4) < $plan->limits->evenness) {
            $broken[] = sprintf('evenness %.2f, limit %.2f', $result->evenness(), $plan->limits->evenness);
        }
        if (Seam::applies($plan, $run) && round($result->seam(), 4) > $plan->limits->seam) {
            $broken[] = sprintf('seam %.1f %%, limit %.0f %%', 100 * $result->seam(), 100 * $plan->limits->seam);
        }
        $drop = $result->supplyVolts - $result->farthestFeed()->volts;
        if ($strip !== null && round($drop, 4) > $plan->limits->drop * $strip->volts) {
            $broken[] = sprintf('%.2f V lost, limit %.2f V', $drop, $plan->limits->drop * $strip->volts);
        }
        foreach ($result->cables as $id => $cable) {
            $capacity = $plan->cable($plan->cables[$id]->kit)->conductor->capacity ?? 0.0;
            if (round($cable->amps(), 4) > $capacity) {
                $broken[] = sprintf('%s carries %.1f A, may carry %g A', strtoupper($id), $cable->amps(), $capacity);
            }
        }

        return $broken;
    }
}
