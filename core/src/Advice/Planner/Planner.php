<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Planner;

use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Figure;
use EmberDusk\Workings\Input;
use SplPriorityQueue;

/**
 * The cheapest feeds and cables for runs that share a supply, with strip, supply and controller as they are chosen.
 *
 * Best first over the cost of all runs together: each combination is solved whole, the first that holds every limit is
 * the cheapest there is. Bounds are on cost only: lower volts at a hub can improve evenness.
 */
final readonly class Planner
{
    /** Combinations solved before the search stops with what it has. */
    private const MOST = 400;

    /**
     * @param  list<string>  $runs  ids, of one island
     * @param  callable(int): bool|null  $stop  asked before each solve with how many were done; true ends the search
     */
    public static function of(Plan $plan, array $runs, ShelfSource $shelf, ?callable $stop = null): Proposal
    {
        $choices = [];
        foreach ($runs as $id) {
            $choices[] = Choices::of($plan, $plan->run($id), $shelf);
        }
        $nearest = null;
        $dearer = [];
        $bound = 0;
        foreach (self::combinations($choices) as $solved => $combination) {
            $bound = array_sum(array_map(static fn (Choice $c): int => $c->cost, $combination));
            if ($solved >= self::MOST || ($stop !== null && $stop($solved))) {
                return new Proposal(null, $nearest, $dearer, $bound, $solved, []);
            }
            $tried = Tried::of($plan, $combination, $shelf);
            if ($tried->broken === []) {
                return new Proposal($tried, $tried, $dearer, $bound, $solved + 1, self::alternatives($plan, $tried, $choices, $shelf));
            }
            $dearer = count($dearer) < Proposal::REASONS ? [...$dearer, $tried] : $dearer;
            if ($nearest === null || [count($tried->broken), -$tried->evenness] < [count($nearest->broken), -$nearest->evenness]) {
                $nearest = $tried;
            }
        }

        return new Proposal(null, $nearest, $dearer, $bound, 0, []);
    }

    /** @return list<list<string>> run ids that must be planned together */
    public static function together(Plan $plan): array
    {
        $groups = [];
        $seen = [];
        foreach (Island::all($plan) as $island) {
            $groups[] = array_keys($island->parts);
            $seen += $island->parts;
        }
        foreach ($plan->runs as $id => $run) {
            if (! isset($seen[$id]) && self::ready($plan, $run)) {
                $groups[] = [$id];
            }
        }

        return $groups;
    }

    /** What a plan's feeds and cables of these runs cost, told as a figure. */
    public static function cost(Plan $plan, int $cost): Figure
    {
        $value = $cost / 10_000;

        return new Figure('Cables and joints', $value, $plan->terms->currency, 2, 'c', [new Input('c', 'cable rounded up to 0.1 m, joints at '.Choices::JOINT.' minutes', $value, $plan->terms->currency)],
            'Prices of the shelf, an hour as the job says.', 'common practice, no source');
    }

    private static function ready(Plan $plan, Run $run): bool
    {
        return $plan->strip($run->strip) !== null && $plan->supply($run->supply) !== null && $plan->origin($run) !== null;
    }

    /**
     * One choice of each list, cheapest sums first.
     *
     * @param  list<list<Choice>>  $lists  each by cost
     * @return iterable<int, non-empty-list<Choice>>
     */
    private static function combinations(array $lists): iterable
    {
        if ($lists === [] || in_array([], $lists, true)) {
            return;
        }
        /** @var SplPriorityQueue<array{int, int}, string> $queue of numbers in the lists, parted by commas */
        $queue = new SplPriorityQueue;
        $first = implode(',', array_fill(0, count($lists), 0));
        $seen = [$first => true];
        $order = 0;
        $queue->insert($first, [0, 0]);
        for ($n = 0; ! $queue->isEmpty(); $n++) {
            $key = $queue->extract();
            $at = array_map(intval(...), explode(',', is_string($key) ? $key : ''));
            $combination = self::picked($lists, $at);
            if ($combination !== []) {
                yield $n => $combination;
            }
            foreach ($at as $k => $i) {
                $next = [...array_slice($at, 0, $k), $i + 1, ...array_slice($at, $k + 1)];
                $name = implode(',', $next);
                if (isset($lists[$k][$i + 1]) && ! isset($seen[$name])) {
                    $seen[$name] = true;
                    $queue->insert($name, [-array_sum(array_map(static fn (Choice $c): int => $c->cost, self::picked($lists, $next))), --$order]);
                }
            }
        }
    }

    /**
     * @param  list<list<Choice>>  $lists
     * @param  list<int>  $at  number in each
     * @return list<Choice>
     */
    private static function picked(array $lists, array $at): array
    {
        $picked = [];
        foreach ($lists as $k => $list) {
            $picked[] = $list[$at[$k]];
        }

        return $picked;
    }

    /**
     * The most even and the one with the fewest joints, each with cost as the tie-break, where one run is planned alone:
     * among its patterns and tails with the trunk that was found.
     *
     * @param  list<list<Choice>>  $choices
     * @return array<string, Tried>
     */
    private static function alternatives(Plan $plan, Tried $found, array $choices, ShelfSource $shelf): array
    {
        if (count($choices) !== 1) {
            return [];
        }
        $even = $few = $found;
        foreach ($choices[0] as $choice) {
            if ($choice->trunk !== $found->choices[0]->trunk) {
                continue;
            }
            $tried = Tried::of($plan, [$choice], $shelf);
            if ($tried->broken !== []) {
                continue;
            }
            $even = [-round($tried->evenness, 4), $tried->cost()] < [-round($even->evenness, 4), $even->cost()] ? $tried : $even;
            $few = [$tried->joints(), $tried->cost()] < [$few->joints(), $few->cost()] ? $tried : $few;
        }

        return ['most even' => $even, 'fewest joints' => $few];
    }
}
