<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Plan\CableRating;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Refusal;

/** An island in every state but the planned one: a feed open, a battery empty or on charge. */
final readonly class States
{
    private function __construct(private Plan $plan, private Island $island) {}

    /**
     * Amps of each cable's fullest core with one feed after the other open, where a tail could then carry too much.
     *
     * @return array<string, array<string, float>> by the open feed
     *
     * @throws Refusal when the circuit has no solution
     */
    public static function opened(Plan $plan, Island $island): array
    {
        return (new self($plan, $island))->open();
    }

    /**
     * @return array<string, array<string, float>> by the open feed
     *
     * @throws Refusal when the circuit has no solution
     */
    private function open(): array
    {
        $open = [];
        foreach ($this->openable(Wiring::for($this->plan, $this->island)) as $feed) {
            $without = Wiring::for($this->plan, $this->island, new Conditions(openFeed: $feed));
            $open[$feed] = Readings::cableAmps($without, Newton::solve($without));
        }

        return $open;
    }

    /**
     * Amps of each cable's fullest core in every state but the planned one: a feed open, a battery empty or on charge.
     *
     * @return array<string, array<string, float>> by the state
     *
     * @throws Refusal when the circuit has no solution
     */
    public static function all(Plan $plan, Island $island): array
    {
        return (new self($plan, $island))->every();
    }

    /**
     * @return array<string, array<string, float>> by the state
     *
     * @throws Refusal when the circuit has no solution
     */
    private function every(): array
    {
        $states = $this->open();
        if (self::swings($this->plan, $this->island)) {
            foreach (self::extremes() as $state => $conditions) {
                $other = Wiring::for($this->plan, $this->island, $conditions);
                $states[$state] = Readings::cableAmps($other, Newton::solve($other));
            }
        }

        return $states;
    }

    /** @return array<string, Conditions> as a battery's volts name them */
    public static function extremes(): array
    {
        return ['lowest' => Conditions::poor(), 'charging' => Conditions::rich()];
    }

    /** Whether its volts go up and down with a battery's. */
    public static function swings(Plan $plan, Island $island): bool
    {
        foreach ($island->supplies as $id) {
            if ($plan->supply($id)?->battery() === true) {
                return true;
            }
        }

        return false;
    }

    /**
     * Feeds that are worth leaving open: some tail or rail could then carry too much. No group has more across it than the
     * greatest EMF; what they all take at that is more than any tail will ever carry, and mostly less than every tail may.
     *
     * @return list<string>
     */
    private function openable(Network $network): array
    {
        $most = array_sum(array_map(static fn(Draw $d): float => $d->amps, $network->draws));
        $emf = max(array_map(static fn(SourceCurrent $s): float => $s->emf, $network->sources) ?: [0.0]);
        foreach ($network->stretches as $stretch) {
            foreach ($stretch->loads as $load) {
                $most += $stretch->groups * $load->evaluate([$emf])[0][0];
            }
        }
        $feeds = [];
        foreach ($network->points as $point) {
            $most += $point->load->watts / $point->load->leastVolts;
        }
        foreach ($this->island->parts as $parts) {
            foreach ($parts->tails as $tail) {
                $may = min(CableRating::amps($this->plan, $tail), $parts->strip->railAmps ?? INF);
                if (count($parts->tails) > 1 && $may < $most) {
                    array_push($feeds, ...array_keys($parts->tails));
                    break;
                }
            }
        }

        return $feeds;
    }
}
