<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Running;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\ShowStep;
use EmberDusk\Tests\Circuits;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Shows second by second, against values written in advance. */
final class RunningTest extends TestCase
{
    private static function plan(): Plan
    {
        $circuit = Circuits::in()->supply('s1');
        foreach (['c1', 'c2', 'c3'] as $n => $id) {
            $circuit = $circuit->controller($id, ['channels' => 3])->run(
                'r' . $n,
                1.0,
                [
                    'channels' => [
                        ['name' => 'red', 'wattsPerMetre' => 4.0, 'colour' => '#ff0000'],
                        ['name' => 'green', 'wattsPerMetre' => 4.0, 'colour' => '#00ff00'],
                        ['name' => 'blue', 'wattsPerMetre' => 4.0, 'colour' => '#0000ff'],
                    ],
                ],
                's1',
                controller: $id,
            );
        }

        return $circuit
            ->scene('e1', ['c1' => [1.0, 0.0, 0.0]])
            ->scene('e2', ['c1' => [0.0, 0.0, 0.5], 'c2' => [1.0, 1.0, 1.0]])
            ->plan();
    }

    /** @param  list<ShowStep>  $steps */
    private static function listed(array $steps, int $rounds = 0): Running
    {
        return new Running(self::plan(), new Show('w1', 'Evening', Show::LIST, $steps, rounds: $rounds));
    }

    private static function wash(string $way): Running
    {
        return new Running(self::plan(), new Show('w1', 'Wash', Show::WASH, [], ['c1', 'c2', 'c3'], 2.0, $way));
    }

    public function test_scenes_one_after_another_with_their_fades(): void
    {
        $show = self::listed([new ShowStep('e1', 10.0, 2.0), new ShowStep('e2', 6.0, 4.0)], 2);
        self::assertSame([22.0, 44.0], [$show->round(), $show->ends()]);
        self::assertEqualsWithDelta(['c1' => [0.5, 0.0, 0.0]], $show->at(1.0), 1e-9, 'half way up from dark');
        self::assertSame(['c1' => [1.0, 0.0, 0.0]], $show->at(11.9));
        self::assertEqualsWithDelta(
            ['c1' => [0.75, 0.0, 0.125], 'c2' => [0.25, 0.25, 0.25]],
            $show->at(13.0),
            1e-9,
            'a quarter of the way from the first to the second',
        );
        self::assertEqualsWithDelta(
            ['c1' => [0.5, 0.0, 0.25], 'c2' => [0.5, 0.5, 0.5]],
            $show->at(23.0),
            1e-9,
            'the second round comes from the last scene',
        );
        self::assertSame(self::plan()->scenes['e2']->levels, $show->at(1e6), 'it stays as it ended');
        self::assertNull(self::listed([new ShowStep('e1', 10.0)])->ends(), 'without rounds it goes on and on');
    }

    /** @return iterable<string, array{string, list<string>}> the light that the colour is on, every two seconds */
    public static function ways(): iterable
    {
        yield 'forth' => ['forth', ['c1', 'c2', 'c3', 'c1']];
        yield 'back' => ['back', ['c3', 'c2', 'c1', 'c3']];
        yield 'both' => ['both', ['c1', 'c2', 'c3', 'c2', 'c1']];
    }

    /** @param  list<string>  $lights */
    #[DataProvider('ways')]
    public function test_a_colour_runs_over_the_lights(string $way, array $lights): void
    {
        $show = self::wash($way);
        foreach ($lights as $n => $light) {
            $at = $show->at(2.0 * $n + 0.5);
            $alike = array_keys($at, $at[$light], true);
            self::assertSame([$light], $alike, "{$n}: one light differs from the other two");
        }
    }

    public function test_colours_by_chance_are_the_same_for_the_same_seed_and_follow_a_leader(): void
    {
        $show = static fn(string $leader, int $seed): Running => new Running(
            self::plan(),
            new Show('w1', 'Drift', Show::RANDOM, [], ['c1', 'c2', 'c3'], 5.0, leader: $leader),
            $seed,
        );
        $turns = static fn(Running $r): array => array_map(
            static fn(int $n): array => $r->at(5.0 * $n + 1.0),
            range(0, 19),
        );
        self::assertSame($turns($show('', 3)), $turns($show('', 3)));
        self::assertNotSame($turns($show('', 3)), $turns($show('', 4)));
        foreach ($turns($show('c1', 3)) as $turn) {
            self::assertSame([$turn['c1'], $turn['c1']], [$turn['c2'], $turn['c3']]);
        }
        self::assertGreaterThan(
            1,
            count(
                array_unique(
                    array_map(json_encode(...), array_merge(...array_map(array_values(...), $turns($show('', 3))))),
                ),
            ),
        );
        self::assertSame($show('', 3)->at(5.0), $show('', 3)->at(9.9), 'it stays until it changes');
        self::assertNotEquals($show('', 3)->at(0.0), $show('', 3)->at(5.0));
    }

    /** @return iterable<string, array{list<ShowStep>, float}> flashes in the worst second: pairs of opposing changes (WCAG 2.3.1) */
    public static function flashing(): iterable
    {
        $s = static fn(float $seconds): array => [new ShowStep('e1', $seconds), new ShowStep('e2', $seconds)];
        yield 'eight changes a second are four flashes' => [$s(0.125), 4.0];
        yield 'four changes a second are two' => [$s(0.25), 2.0];
        yield 'every five seconds there is half a one' => [$s(5.0), 0.5];
        yield 'a scene alone does not flash' => [[new ShowStep('e1', 0.1)], 0.0];
    }

    /** @param  list<ShowStep>  $steps */
    #[DataProvider('flashing')]
    public function test_flashes_are_counted_in_the_worst_second(array $steps, float $flashes): void
    {
        self::assertEqualsWithDelta($flashes, self::listed($steps)->flashes(), 1e-9);
    }

    /** A show that never moves and one without anything: sensible answers. */
    public function test_a_show_without_time_or_steps(): void
    {
        self::assertSame([], self::listed([])->at(5.0));
        self::assertSame(['c1' => [1.0, 0.0, 0.0]], self::listed([new ShowStep('e1', 0.0)])->at(5.0));
        self::assertSame(0.0, self::listed([new ShowStep('e1', 0.0), new ShowStep('e2', 0.0)])->flashes());
    }
}
