<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Electrically connected parts: runs and fixtures that share a supply, directly or through a controller, or through a run with two supplies. */
final readonly class Island
{
    /**
     * @param  array<string, WiredRun>  $parts  by run
     * @param  array<string, Fitting>  $fixtures  with a cable of their own
     * @param  non-empty-list<string>  $supplies  ids; the first one's minus is node 0
     * @param  list<string>  $controllers  ids
     */
    private function __construct(
        public array $parts,
        public array $fixtures,
        public array $supplies,
        public array $controllers,
    ) {}

    /** The island of a run; null while the run lacks parts. */
    public static function for(Plan $plan, Run $run): ?self
    {
        foreach (self::all($plan) as $island) {
            if (isset($island->parts[$run->id])) {
                return $island;
            }
        }

        return null;
    }

    /** @return list<self> in the order of their first runs, those of fixtures alone last */
    public static function all(Plan $plan): array
    {
        $islands = [];
        foreach ($plan->runs as $id => $run) {
            $parts = WiredRun::for($plan, $run);
            if ($parts !== null) {
                $islands = self::join($islands, [
                    'parts' => [$id => $parts],
                    'fixtures' => [],
                    'supplies' => self::feeding($plan, $parts),
                ]);
            }
        }
        foreach ($plan->fixtures as $id => $fitting) {
            $root = $plan->ways()->root($plan->ways()->cableTo($id)->from ?? '');
            if ($root !== null && isset($plan->supplies[$root])) {
                $islands = self::join($islands, [
                    'parts' => [],
                    'fixtures' => [$id => $fitting],
                    'supplies' => [$root => true],
                ]);
            }
        }

        return array_values(
            array_filter(
                array_map(
                    static fn(array $i): ?self => self::made($i['parts'], $i['fixtures'], array_keys($i['supplies'])),
                    $islands,
                ),
            ),
        );
    }

    /** @return array<string, LaidCable> by id, each after the cables before it */
    public function cables(Plan $plan): array
    {
        $ends = [];
        foreach ($this->parts as $parts) {
            $ends[] = $parts->trunk?->to;
        }
        foreach ($this->parts as $parts) {
            array_push($ends, ...array_keys($parts->tails));
        }
        $cables = [];
        foreach ([...array_filter($ends), ...array_keys($this->fixtures)] as $end) {
            $cables += array_reverse($plan->ways()->wayTo($end), true);
        }

        return $cables;
    }

    /**
     * @param  list<array{parts: array<string, WiredRun>, fixtures: array<string, Fitting>, supplies: array<string, true>}>  $islands
     * @param  array{parts: array<string, WiredRun>, fixtures: array<string, Fitting>, supplies: array<string, true>}  $more
     * @return list<array{parts: array<string, WiredRun>, fixtures: array<string, Fitting>, supplies: array<string, true>}>
     */
    private static function join(array $islands, array $more): array
    {
        foreach ($islands as $n => $other) {
            if (array_intersect_key($other['supplies'], $more['supplies']) !== []) {
                $more = [
                    'parts' => $other['parts'] + $more['parts'],
                    'fixtures' => $other['fixtures'] + $more['fixtures'],
                    'supplies' => $other['supplies'] + $more['supplies'],
                ];
                unset($islands[$n]);
            }
        }

        return [...array_values($islands), $more];
    }

    /**
     * @param  array<string, WiredRun>  $parts
     * @param  array<string, Fitting>  $fixtures
     * @param  list<string>  $supplies
     */
    private static function made(array $parts, array $fixtures, array $supplies): ?self
    {
        sort($supplies, SORT_NATURAL);
        $controllers = [];
        foreach ($parts as $of) {
            if ($of->controller !== null && $of->run->controller !== null) {
                $controllers[$of->run->controller] = true;
            }
        }
        if ($supplies === []) {
            return null;
        }

        return new self($parts, $fixtures, $supplies, array_keys($controllers));
    }

    /**
     * @return array<string, true> ids of the supplies of a run: its own, those of the cables to its feeds, and those joined by a repeater's ground
     */
    private static function feeding(Plan $plan, WiredRun $parts): array
    {
        $supplies = [(string) $parts->run->supply => true];
        foreach ($parts->tails as $tail) {
            $root = $plan->ways()->root($tail->from);
            if ($root !== null && isset($plan->supplies[$root])) {
                $supplies[$root] = true;
            }
        }
        $before = $plan->of($parts->run)->before();
        if ($before?->supply !== null && $parts->controller?->groundsApart === false) {
            $supplies[$before->supply] = true;
        }

        return $supplies;
    }
}
