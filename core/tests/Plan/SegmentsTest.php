<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Fingerprint;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Circuit\Phases;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Circuit\Wiring;
use EmberDusk\Control\Names;
use EmberDusk\Plan\BoardSetting;
use EmberDusk\Plan\BoardSettings;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Segment;
use EmberDusk\Tests\Circuit\Ngspice;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Segments: several lights in one run of pixels, on its copper and its data. */
final class SegmentsTest extends TestCase
{
    /** 2 m of pixels of 5 V on a board that passes the power on, 60 of them. */
    private static function plan(): Plan
    {
        return Circuits::in()
            ->supply('s1', ['volts' => 5.0, 'ratedAmps' => 20.0])
            ->run('r1', 2.0, ['kind' => 'pixels'], 's1')
            ->board('c1', ['inputLeast' => 4.0, 'inputMost' => 24.0, 'outputs' => 2, 'pixelsPerOutput' => 500], 'r1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'f1')
            ->plan();
    }

    /** @param  list<array<string, mixed>>  $segments */
    private static function divided(array $segments): Plan
    {
        return Demo::with(self::plan(), ['kind' => 'SetSegments', 'run' => 'r1', 'segments' => $segments]);
    }

    /** @return array{Plan, int} halves of the run, near and far, and its pixels */
    private static function halves(): array
    {
        $count = self::plan()
            ->of(self::plan()->run('r1'))
            ->pixels();

        return [
            self::divided([
                ['name' => 'Near', 'first' => 1, 'last' => intdiv($count, 2)],
                ['name' => 'Far', 'first' => intdiv($count, 2) + 1, 'last' => $count, 'reversed' => true],
            ]),
            $count,
        ];
    }

    private static function amps(Plan $plan, Scene $scene): float
    {
        $island = Island::all($plan)[0];
        $phase = Phases::for($plan, $island, $scene)[0];
        $network = Wiring::for($plan, $island, new Conditions(), $phase);
        $solution = Newton::solve($network);
        // The reference has the same volts at every node.
        Ngspice::assertAgrees(Netlist::write('segments', [$network]), $solution->nodes());

        return $solution->delivered($network->sources[0]);
    }

    public function test_a_segment_takes_its_own_current_where_it_is(): void
    {
        [$plan, $count] = self::halves();
        $pixels = $plan->strip($plan->run('r1')->strip)?->pixels;
        self::assertNotNull($pixels);
        $idle = $count * $pixels->idle;
        $near = self::amps($plan, new Scene('e1', 'Near', levels: ['sg1' => [1.0, 1.0, 1.0]]));
        $far = self::amps($plan, new Scene('e2', 'Far', levels: ['sg2' => [1.0, 1.0, 1.0]]));
        // By the label: half of the pixels at full, the others idle.
        $half = intdiv($count, 2) * $pixels->amps + $idle;
        self::assertEqualsWithDelta($half, $near, 0.05 * $half);
        self::assertEqualsWithDelta($half, $far, 0.05 * $half);
        // The far half loses more on the way: its last pixel gets fewer volts than the last of the near half does alone.
        $volts = static function (Plan $plan, Scene $scene): float {
            $island = Island::all($plan)[0];
            $network = Wiring::for($plan, $island, new Conditions(), Phases::for($plan, $island, $scene)[0]);

            return min(
                99.0,
                ...array_values(array_filter(Newton::solve($network)->nodes(), static fn(float $v): bool => $v > 2.5)),
            );
        };
        self::assertLessThan(
            $volts($plan, new Scene('e1', 'Near', levels: ['sg1' => [1.0, 1.0, 1.0]])),
            $volts($plan, new Scene('e2', 'Far', levels: ['sg2' => [1.0, 1.0, 1.0]])),
        );
    }

    public function test_all_segments_alike_are_the_run_as_one_light(): void
    {
        [$plan] = self::halves();
        $whole = self::amps($plan, new Scene('e1', 'All', levels: ['r1' => [0.4, 0.4, 0.4]]));
        $parts = self::amps(
            $plan,
            new Scene('e2', 'Parts', levels: ['sg1' => [0.4, 0.4, 0.4], 'sg2' => [0.4, 0.4, 0.4]]),
        );
        self::assertEqualsWithDelta($whole, $parts, 1e-9);
    }

    public function test_a_segment_may_be_off_beside_its_run(): void
    {
        [$plan] = self::halves();
        $plan = Demo::with($plan, [
            'kind' => 'SetScene',
            'scene' => null,
            'name' => 'Half',
            'levels' => [['of' => 'r1', 'duties' => [0.5, 0.5, 0.5]], ['of' => 'sg2', 'duties' => [0, 0, 0]]],
        ]);
        $scene = array_values($plan->scenes)[0];
        self::assertSame([0.0, 0.0, 0.0], array_map(floatval(...), $scene->levels['sg2']));
        self::assertLessThan(
            0.6 * self::amps($plan, new Scene('e9', 'All', levels: ['r1' => [0.5, 0.5, 0.5]])),
            self::amps($plan, $scene),
        );
    }

    /** A limit of half of the current leaves one half of the pixels alone, and dims both halves at full to half. */
    public function test_a_limit_of_the_board_counts_over_the_whole_run(): void
    {
        [$plan] = self::halves();
        $run = $plan->run('r1');
        $limited = Demo::with($plan, ['kind' => 'SetCap', 'run' => 'r1', 'cap' => 0.5]);
        self::assertSame(0.5, $limited->run('r1')->cap);
        $near = new Scene('e1', 'Near', levels: ['sg1' => [1.0, 1.0, 1.0]]);
        $both = new Scene('e2', 'Both', levels: ['sg1' => [1.0, 1.0, 1.0], 'sg2' => [1.0, 1.0, 1.0]]);
        self::assertEqualsWithDelta(0.5, $near->share($plan, $run), 1e-9);
        self::assertEqualsWithDelta(self::amps($plan, $near), self::amps($limited, $near), 1e-9);
        self::assertEqualsWithDelta(
            self::amps($plan, new Scene('e3', 'Half', levels: ['r1' => [0.5, 0.5, 0.5]])),
            self::amps($limited, $both),
            1e-9,
        );
    }

    public function test_equal_parts_differ_by_one_pixel_at_most_and_keep_their_names(): void
    {
        [$plan, $count] = self::halves();
        $known = array_map(static fn(Segment $s): array => $s->write(), array_values($plan->segments));
        $parts = static fn(int $n): Plan => Demo::with($plan, [
            'kind' => 'SetSegments',
            'run' => 'r1',
            'segments' => $known,
            'parts' => $n,
        ]);
        $seven = array_values($parts(7)->segments);
        self::assertSame(['Near', 'Far'], array_slice(array_column($seven, 'name'), 0, 2));
        self::assertSame(['sg1', 'sg2'], array_slice(array_column($seven, 'id'), 0, 2));
        $lengths = array_map(static fn(Segment $s): int => $s->pixels(), $seven);
        self::assertSame($count, array_sum($lengths));
        sort($lengths);
        self::assertLessThanOrEqual(1, $lengths[6] - $lengths[0]);
        self::assertSame([1, $count], [$seven[0]->first, $seven[6]->last]);
        foreach ([0, 33] as $wrong) {
            try {
                $parts($wrong);
                self::fail("{$wrong} parts were made.");
            } catch (InvalidInput $refused) {
                self::assertSame('/parts', $refused->pointer);
            }
        }
    }

    /** Voice control takes a segment for a light: its name is judged beside the others, and the fix renames it. */
    public function test_a_segment_that_sounds_like_a_light_is_renamed(): void
    {
        [$plan] = self::halves();
        $named = Demo::with($plan, ['kind' => 'NameLight', 'controller' => 'c1', 'name' => 'Bench', 'room' => 'Room']);
        self::assertSame([], Names::for($named)->clashes());
        $alike = Demo::with($named, ['kind' => 'NameLight', 'controller' => 'sg2', 'name' => 'Benches', 'room' => '']);
        $clashes = Names::for($alike)->clashes();
        self::assertSame(['sg2'], array_column($clashes, 'light'));
        $instead = ['kind' => 'NameLight', 'controller' => 'sg2', 'name' => $clashes[0]->instead, 'room' => ''];
        self::assertSame([], Names::for(Demo::with($alike, $instead))->clashes());
    }

    public function test_scenes_keep_their_light_when_a_run_is_divided_and_joined_again(): void
    {
        $scene = [
            'kind' => 'SetScene',
            'scene' => null,
            'name' => 'Evening',
            'levels' => [['of' => 'r1', 'duties' => [0.3, 0.2, 0.1]]],
        ];
        $halves = [['name' => 'Near', 'first' => 1, 'last' => 20], ['name' => 'Far', 'first' => 21, 'last' => 30]];
        $plan = Demo::with(self::plan(), $scene, ['kind' => 'SetSegments', 'run' => 'r1', 'segments' => $halves]);
        $levels = static fn(Plan $p): array => array_values($p->scenes)[0]->levels;
        self::assertSame(['sg1' => [0.3, 0.2, 0.1], 'sg2' => [0.3, 0.2, 0.1]], $levels($plan));
        $one = Demo::with($plan, ['kind' => 'SetSegments', 'run' => 'r1', 'segments' => []]);
        self::assertSame(['r1' => [0.3, 0.2, 0.1]], $levels($one));
    }

    public function test_names_do_not_change_a_circuit_and_borders_do(): void
    {
        [$plan, $count] = self::halves();
        $print = static fn(Plan $p): string => Fingerprint::for(
            $p,
            Island::all($p)[0],
            new Scene('e1', 'Near', levels: ['sg1' => [1.0, 1.0, 1.0]]),
        );
        $segment = $plan->segments['sg1'];
        $renamed = $plan->put('segments', 'sg1', new Segment('sg1', 'r1', 'Door', $segment->first, $segment->last));
        $shorter = $plan->put('segments', 'sg1', new Segment('sg1', 'r1', 'Near', 1, intdiv($count, 4)));
        self::assertSame($print($plan), $print($renamed));
        self::assertNotSame($print($plan), $print($shorter));
        self::assertNotSame([], (new Engine($plan))->island(Island::all($plan)[0]));
    }

    public function test_settings_of_the_board_follow_the_order_of_the_data(): void
    {
        [$plan, $count] = self::halves();
        $half = intdiv($count, 2);
        $say = static fn(Plan $p): array => array_column(
            array_map(
                static fn(BoardSetting $s): array => [$s->what, $s->value],
                array_filter(
                    BoardSettings::for($p, 'c1'),
                    static fn(BoardSetting $s): bool => str_starts_with($s->what, 'Seg'),
                ),
            ),
            1,
            0,
        );
        self::assertSame(
            [
                'Segment “Near”' => "start 0, {$half} pixels",
                'Segment “Far”' => sprintf('start %d, %d pixels, reversed', $half, $count - $half),
            ],
            $say($plan),
        );
        // With the data in at the other end they change places and directions.
        $turned = $plan->with(lines: ['d1' => new DataLine('d1', 'c1', ['r1'], ['r1'])]);
        self::assertSame(
            [
                'Segment “Near”' => sprintf('start %d, %d pixels, reversed', $count - $half, $half),
                'Segment “Far”' => sprintf('start 0, %d pixels', $count - $half),
            ],
            $say($turned),
        );
    }

    public function test_they_go_with_their_pixels_and_out_of_scenes(): void
    {
        [$plan] = self::halves();
        $plan = Demo::with($plan, [
            'kind' => 'SetScene',
            'scene' => null,
            'name' => 'Near only',
            'levels' => [['of' => 'sg1', 'duties' => [1, 1, 1]]],
        ]);
        self::assertSame('Near', (new LightNames($plan))->of('sg1'));
        $one = Demo::with($plan, ['kind' => 'SetSegments', 'run' => 'r1', 'segments' => []]);
        self::assertSame([[], ['r1']], [$one->segments, array_keys(array_values($one->scenes)[0]->levels)]);
        $bare = $plan->with(runs: [], feeds: [], cables: []);
        self::assertSame([[], []], [$bare->segments, array_values($bare->scenes)[0]->levels]);
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string}> */
    public static function faulty(): iterable
    {
        yield 'past the end' => [[['name' => 'A', 'first' => 1, 'last' => 5000]], '/segments/0/last'];
        yield 'from behind' => [[['name' => 'A', 'first' => 9, 'last' => 3]], '/segments/0/last'];
        yield 'no name' => [[['name' => ' ', 'first' => 1, 'last' => 3]], '/segments/0/name'];
        yield 'name twice' => [
            [['name' => 'A', 'first' => 1, 'last' => 3], ['name' => 'a', 'first' => 4, 'last' => 5]],
            '/segments/1/name',
        ];
        yield 'pixels twice' => [
            [['name' => 'A', 'first' => 1, 'last' => 3], ['name' => 'B', 'first' => 3, 'last' => 5]],
            '/segments/1/first',
        ];
        yield 'from pixel 0' => [[['name' => 'A', 'first' => 0, 'last' => 3]], '/segments/0/first'];
    }

    /** @param  list<array<string, mixed>>  $segments */
    #[DataProvider('faulty')]
    public function test_what_cannot_be_is_refused_at_its_place(array $segments, string $pointer): void
    {
        try {
            self::divided($segments);
            self::fail('it was taken');
        } catch (InvalidInput $t) {
            self::assertSame($pointer, $t->pointer);
        }
    }
}
