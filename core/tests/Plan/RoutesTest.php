<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\Feeding;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Ways of cables in a room, measured by hand on its plan; patterns of feeds, counted by hand on the cut marks. */
final class RoutesTest extends TestCase
{
    private static function room(string $notes, string ...$strips): Plan
    {
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => $notes,
        ]);
        foreach ($strips as $run => $strip) {
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => (string) $run, 'kit' => $strip]);
        }

        return $plan;
    }

    /** An L of 4 and 3 m, the box at 1 m of the first wall: 0.3 m to work with wherever the cable goes. */
    public function test_from_a_box_along_the_walls(): void
    {
        $plan = self::room(
            "start end\n4.00 line\nbox B1 shelf at 1.00\nright 3.00 shelf",
            ...['line' => 'strip-single-24', 'shelf' => 'strip-single-24'],
        );
        $routes = new Routes($plan, 'room');
        self::assertEqualsWithDelta(1.3, $routes->tail('B1', $plan->run('line'), 0), 1e-9);
        self::assertEqualsWithDelta(3.3, $routes->tail('B1', $plan->run('line'), 80), 1e-9);
        self::assertEqualsWithDelta(3.3 + 3.0, $routes->tail('B1', $plan->run('shelf'), 60), 1e-9);
        self::assertEqualsWithDelta(0.3, $routes->trunk('B1', 'B1'), 1e-9);
    }

    /** A closed room of 5.2 and 3.8 m has 18 m of wall: the shorter way round counts. */
    public function test_a_closed_room_has_two_ways_round(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $routes = new Routes($plan, 'lecture');
        $cove = $plan->run('cove');
        // B1 at 1.20 m of the third wall is at 10.2 m; the cove's start is 7.8 m away over the end, its middle 1.2 m.
        self::assertEqualsWithDelta(7.8 + 0.3, $routes->tail('B1', $cove, 0), 1e-9);
        self::assertEqualsWithDelta(1.2 + 0.3, $routes->tail('B1', $cove, 180), 1e-9);
        // P1 at 4.60 m of the first wall, 5.6 m from B1.
        self::assertEqualsWithDelta(5.6 + 0.3, $routes->trunk('P1', 'B1'), 1e-9);
        // As now: 3.2 m to the start as measured, and on along the run; to a place by the tail and the walls.
        self::assertEqualsWithDelta(3.2, $routes->tail('now cove', $cove, 0), 1e-9);
        self::assertEqualsWithDelta(3.2 + 4.5, $routes->tail('now cove', $cove, 90), 1e-9);
        self::assertEqualsWithDelta(3.2 + 4.5, $routes->tail('now cove', $cove, 270), 1e-9, 'the ends meet');
        self::assertEqualsWithDelta(1.5, $routes->trunk('now cove', 'now cove'), 1e-9);
    }

    public function test_where_a_unit_can_stand(): void
    {
        $plan = self::room(
            "start end\n4.00 line\nbox B1 hatch at 1.00, sealed, ladder\nbox B2 gap at 2.00, open, closed\nbox B3 somewhere, vented\noutlet P1 wall at 3.00",
            ...['line' => 'strip-single-24'],
        );
        $routes = new Routes($plan, 'room');
        self::assertSame(['P1'], $routes->places([$plan->run('line')], true), 'a supply wants air');
        self::assertSame(['B1', 'P1'], $routes->places([$plan->run('line')], false));
        self::assertSame(
            ['now line'],
            (new Routes(self::room("start end\n4.00 line"), 'room'))->places([$plan->run('line')], true),
            'nothing surveyed: where it begins',
        );
        self::assertSame(['', 'B1'], [Routes::where('now line'), Routes::where('B1')]);
    }

    public function test_patterns_are_fixed_lists_of_pads(): void
    {
        $plan = self::room("start end\n6.00 line", ...['line' => 'strip-single-24']);
        // 120 groups of 0.05 m: (2j-1)/(2k) of 6 m.
        $patterns = (new Feeding($plan, $plan->run('line')))->for();
        self::assertSame(
            [[0], [120], [0, 120], [60], [30, 90], [20, 60, 100]],
            [
                $patterns['start'],
                $patterns['end'],
                $patterns['both ends'],
                $patterns['middle'],
                $patterns['2 equal feeds'],
                $patterns['3 equal feeds'],
            ],
        );
        self::assertSame([10, 30, 50, 70, 90, 110], $patterns['6 equal feeds']);
        self::assertSame([0, 60], $patterns[Feeding::HALVES]);
    }

    public function test_a_short_run_has_no_pattern_twice_and_a_pinned_one_its_own_only(): void
    {
        $plan = self::room("start end\n0.15 line", ...['line' => 'strip-single-24']);
        $patterns = (new Feeding($plan, $plan->run('line')))->for();
        $pads = array_map(
            static fn(array $p): string => implode(',', $p),
            array_diff_key($patterns, [Feeding::HALVES => true]),
        );
        self::assertSame(count($pads), count(array_unique($pads)));
        $pinned = Demo::with(
            $plan,
            ['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 2],
            ['kind' => 'PinRun', 'run' => 'line', 'pins' => ['feeds']],
        );
        self::assertSame([Feeding::NOW => [2]], (new Feeding($pinned, $pinned->run('line')))->for());
        self::assertSame(
            [],
            (new Feeding($plan, new Run(id: 'other', place: 'room', word: 'other', sections: [1.0], jumps: [])))->for(),
        );
    }
}
