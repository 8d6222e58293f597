<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Plan\Changes\Wires\SetFeeds;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Planner\Feeding;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\Proposal;
use EmberDusk\Planner\Wish;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A run is fed at the best of 25 places, or of all pairs of them: each is wired by the change that a person makes, priced and judged. */
final class FeedPlacesTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<string>}> walls, strip, and what else is on the shelf */
    public static function runs(): iterable
    {
        $with = static fn(string $controller, string $tail): array => [
            ['cable-2x15', 'supply-24-240', 'fuse-10', 'fuse-15', $controller, $tail],
        ];
        yield 'one colour, the box nearer to its start' => [
            "start door\ndry\n6.00 line\nbox B1 at 1.40, 60x40x20, vented\noutlet P1 at 0.90",
            'strip-single-24',
            ...$with('controller-zigbee-1', 'cable-2x1'),
        ];
        yield 'too long for one feed' => [
            "start door\ndry\n11.00 line\nbox B1 at 3.10, 60x40x20, vented\noutlet P1 at 2.20",
            'strip-single-24',
            ...$with('controller-zigbee-1', 'cable-2x25'),
        ];
        yield 'its ends meet: they must not differ' => [
            "start door\ndry\n3.00 line\nright 2.50 line\nright 3.00 line\nright 2.50 line\nclose\n" .
            "box B1 on line at 1.20, 60x40x20, vented\noutlet P1 on line at 0.60",
            'strip-single-24',
            ...$with('controller-zigbee-1', 'cable-2x15'),
        ];
    }

    private static function plan(string $walls, string $strip): Plan
    {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => $walls],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $strip],
        );
    }

    /** @param  list<string>  $entries */
    #[DataProvider('runs')]
    public function test_no_other_places_are_cheaper(string $walls, string $strip, array $entries): void
    {
        $basis = new Basis(new FewOnShelf($entries));
        $plan = self::plan($walls, $strip);
        $proposal = Planner::propose($plan, ['line'], $basis);
        $made = $proposal->built($proposal->parts);
        $cost = static fn(Plan $p): int => Costing::moving($p, $basis, ['line'])->cost();
        self::assertSame($proposal->cost(), $cost($made));
        $cheaper = $held = 0;
        for ($one = 0; $one <= Feeding::STEPS; $one++) {
            for ($two = $one; $two <= Feeding::STEPS; $two++) {
                $shares = array_map(static fn(int $k): float => $k / Feeding::STEPS, array_unique([$one, $two]));
                $other = Demo::with($made, SetFeeds::payload('line', array_values($shares)));
                if (!(new PlanJudge())->judge($other, array_values($other->runs))->holds()) {
                    continue;
                }
                $held++;
                $cheaper += $cost($other) < $proposal->cost() ? 1 : 0;
            }
        }
        self::assertGreaterThan(10, $held);
        self::assertSame(0, $cheaper);
    }

    /**
     * “Why not so many feeds”: none is cheaper with as many, where few enough to try them all; more than the best cost more.
     *
     * @param  list<string>  $entries
     */
    #[DataProvider('runs')]
    public function test_a_number_of_feeds_that_is_asked_for_is_kept_to(
        string $walls,
        string $strip,
        array $entries,
    ): void {
        $basis = new Basis(new FewOnShelf($entries));
        $plan = self::plan($walls, $strip);
        $best = Planner::propose($plan, ['line'], $basis);
        $feeds = static fn(Proposal $p): int => count($p->built($p->parts)->feeds);
        foreach ([1, 2, 3, 4] as $count) {
            $wished = Planner::propose($plan, ['line'], $basis, wish: Wish::read("feeds {$count}"));
            if ($wished->whole()) {
                self::assertSame($count, $feeds($wished));
                self::assertGreaterThanOrEqual($best->cost(), $wished->cost());
            } else {
                self::assertLessThan($feeds($best), $count, 'only fewer feeds than the best can fail');
            }
            self::assertSame($count === $feeds($best), $wished->whole() && $wished->cost() === $best->cost());
        }
    }

    public function test_places_are_said_from_the_start(): void
    {
        $plan = self::plan("start door\ndry\n6.00 line", 'strip-single-24');
        $run = $plan->run('line');
        $marks = $plan->of($run)->marks();
        [$third, $last] = [$marks->nearest(2.0), $marks->lastPad()];
        foreach (
            [
                'middle' => ['middle', [$third]],
                '2.00 m from its start' => ['at 8', [$third]],
                'its start and 2.00 m from it' => ['at 0+8', [0, $third]],
                '2.00 m from its start and its end' => ['at 8+24', [$third, $last]],
            ]
            as $words => [$pattern, $pads]
        ) {
            self::assertSame($words, Feeding::words($plan, $run, $pattern, $pads));
        }
    }
}
