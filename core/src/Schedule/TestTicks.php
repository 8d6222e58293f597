<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Bench\Tests\BenchTest;

/**
 * Ticks of steps and of the tests that some of them are made of: one thing on two screens. The later press holds; a step is done when all
 * its tests are.
 */
final readonly class TestTicks
{
    /**
     * @param  list<Press>  $presses  in the order of time
     * @param  list<BenchTest>  $tests
     * @return array<string, Tick> by step and by test
     */
    public static function from(array $presses, array $tests): array
    {
        $last = $order = [];
        foreach ($presses as $n => $press) {
            $last[$press->id] = $press;
            $order[$press->id] = $n;
        }
        $ticks = $steps = [];
        foreach ($tests as $test) {
            $later = ($order[$test->id] ?? -1) > ($order[$test->step] ?? -1) ? $test->id : $test->step;
            $steps[$test->step][$test->id] = $last[$later] ?? null;
        }
        foreach ($steps as $step => $of) {
            $done = array_filter($of, static fn(?Press $p): bool => $p?->done === true);
            foreach ($done as $test => $press) {
                $ticks[$test] = new Tick($test, $press->minutes, $press->at);
            }
            if (count($done) === count($of)) {
                $ticks[$step] = self::whole($step, $done, $last[$step] ?? null);
            }
        }
        foreach (array_diff_key($last, $steps) as $id => $press) {
            if ($press->done && !str_contains($id, '/')) {
                $ticks[$id] = new Tick($id, $press->minutes, $press->at);
            }
        }

        return $ticks;
    }

    /** @param  non-empty-array<string, Press>  $done  presses by test */
    private static function whole(string $step, array $done, ?Press $own): Tick
    {
        $at = max(array_map(static fn(Press $p): string => $p->at, $done));
        $single = array_filter($done, static fn(Press $p): bool => $p->id !== $step);
        $minutes = array_sum(array_map(static fn(Press $p): int => $p->minutes, $single));

        return new Tick($step, $single === [] ? $own->minutes ?? 1 : $minutes, $at);
    }
}
