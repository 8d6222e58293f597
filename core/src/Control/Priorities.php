<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;

/**
 * Priority between triggers active immediately, per light: the lower number wins; equal numbers conflict.
 */
final readonly class Priorities
{
    /** Number of inputs with a full truth table: more are listed in pairs. */
    private const WRITTEN = 4;

    /** @var list<Trigger> that stay on: presence, buttons, wires of a vehicle */
    public array $inputs;

    public function __construct(private Plan $plan)
    {
        $this->inputs = array_values(array_filter($plan->triggers, static fn(Trigger $t): bool => !$t->timed()));
    }

    /** @return list<array{on: list<Trigger>, wins: array<string, list<Trigger>>}> the truth table: by light the winning trigger, or the conflicting ones */
    public function table(): array
    {
        $rows = [];
        $count = count($this->inputs);
        $sets = $count <= self::WRITTEN ? range(1, 2 ** $count - 1) : $this->pairs();
        if ($count !== 0) {
            foreach ($sets as $set) {
                $on = array_values(
                    array_filter(
                        $this->inputs,
                        static fn(int $n): bool => ($set >> $n) % 2 === 1,
                        ARRAY_FILTER_USE_KEY,
                    ),
                );
                $rows[] = ['on' => $on, 'wins' => $this->wins($on)];
            }
        }

        return $rows;
    }

    /**
     * @param  list<Trigger>  $on
     * @return array<string, list<Trigger>> by light; more than one fight for it
     */
    public function wins(array $on): array
    {
        $wins = [];
        foreach ($on as $trigger) {
            foreach ($this->lights($trigger) as $light) {
                $best = $wins[$light][0] ?? null;
                if ($best === null || $trigger->priority < $best->priority) {
                    $wins[$light] = [$trigger];
                } elseif ($trigger->priority === $best->priority && $trigger->plays !== $best->plays) {
                    $wins[$light][] = $trigger;
                }
            }
        }

        return $wins;
    }

    /** @return list<TriggerFight> */
    public function fights(): array
    {
        $fights = [];
        foreach ($this->inputs as $n => $a) {
            foreach (array_slice($this->inputs, $n + 1) as $b) {
                $over = array_keys(array_filter($this->wins([$a, $b]), static fn(array $w): bool => count($w) > 1));
                if ($over !== []) {
                    $fights[] = new TriggerFight($a, $b, array_map(strval(...), $over));
                }
            }
        }

        return $fights;
    }

    /** @return list<string> lights that it takes hold of: what plays nothing takes all of them */
    public function lights(Trigger $trigger): array
    {
        $show = $this->plan->shows[$trigger->plays] ?? null;
        if ($show !== null) {
            return (new Running($this->plan, $show))->lights();
        }
        $scene = $this->plan->scenes[$trigger->plays] ?? null;

        return array_map(strval(...), array_keys($scene->levels ?? $this->plan->lightUnits()));
    }

    /** @return list<int> each alone, and each two together, as bits */
    private function pairs(): array
    {
        $sets = [];
        foreach (array_keys($this->inputs) as $a) {
            $sets[] = 1 << $a;
        }
        foreach (array_keys($this->inputs) as $a) {
            foreach (array_keys($this->inputs) as $b) {
                if ($a < $b) {
                    $sets[] = (1 << $a) | (1 << $b);
                }
            }
        }

        return $sets;
    }
}
