<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Units and cables go with their last user. */
final class SettledTest extends TestCase
{
    /** Two runs, each with its own supply and controller: line on S1 and C1, shelf on S2 and C2. */
    private static function two(): Plan
    {
        $kit = static fn(string $run): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k],
            ['strip-single-24', 'supply-24-150', 'controller-zigbee-1', 'cable-3x15'],
        );

        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n8 line\n10 shelf\ndry"],
            ...$kit('line'),
            ...$kit('shelf'),
        );
    }

    /** @return list<string> "from>to" of every cable */
    private static function cables(Plan $plan): array
    {
        return array_values(array_map(static fn(LaidCable $c): string => "{$c->from}>{$c->to}", $plan->cables));
    }

    public function test_units_and_cables_go_with_the_last_run_and_an_added_supply_stays(): void
    {
        $plan = Demo::with(
            self::two(),
            ['kind' => 'AddSupply', 'kit' => 'supply-24-60'],
            ['kind' => 'DropRun', 'run' => 'shelf'],
        );
        self::assertSame([['s1', 's3'], ['c1']], [array_keys($plan->supplies), array_keys($plan->controllers)]);
        self::assertSame(['s1>c1', 'c1>f1'], self::cables($plan));
    }

    public function test_a_supply_stays_for_the_fixtures_that_it_feeds(): void
    {
        $plan = Demo::with(
            self::two(),
            ['kind' => 'SetFixture', 'kit' => 'fixture-reading-24', 'place' => 'room', 'count' => 2],
            ['kind' => 'HangFixture', 'fixture' => 'x1', 'on' => 's2', 'kit' => 'cable-2x15'],
            ['kind' => 'DropRun', 'run' => 'shelf'],
        );
        self::assertSame([['s1', 's2'], ['c1']], [array_keys($plan->supplies), array_keys($plan->controllers)]);
        self::assertContains('s2>x1', self::cables($plan));
        $without = Demo::with($plan, [
            'kind' => 'SetFixture',
            'fixture' => 'x1',
            'kit' => 'fixture-reading-24',
            'place' => 'room',
            'count' => 0,
        ]);
        self::assertSame(['s1'], array_keys($without->supplies));
        self::assertSame(['s1>c1', 'c1>f1'], self::cables($without));
    }

    public function test_a_bank_goes_with_the_converter_of_the_last_run(): void
    {
        $plan = Demo::with(
            new Plan('Cart', '', places: ['cart' => new Place('cart', 'Cart', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'cart',
                'text' =>
                    "start\n3.2 rail\n2 step\ndry\nbattery E1 box, 6 of 8 V, 2 rows, want 12 V, charged elsewhere",
            ],
            ['kind' => 'ChooseKit', 'run' => 'rail', 'kit' => 'strip-single-12'],
            ['kind' => 'ChooseKit', 'run' => 'rail', 'kit' => 'battery-8'],
            ['kind' => 'ChooseKit', 'run' => 'rail', 'kit' => 'converter-48-12'],
        );
        self::assertCount(2, $plan->supplies);
        self::assertSame([], Demo::with($plan, ['kind' => 'DropRun', 'run' => 'rail'])->supplies);
    }

    public function test_a_leg_moves_with_its_run_to_another_controller(): void
    {
        $plan = Demo::with(
            self::two(),
            ['kind' => 'TapLeg', 'run' => 'shelf', 'leg' => 'cable-3x15', 'drop' => 'cable-3x15'],
            ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 'c1'],
        );
        self::assertSame([['s1'], ['c1']], [array_keys($plan->supplies), array_keys($plan->controllers)]);
        self::assertNotSame([], $plan->splices);
        foreach ($plan->ways()->feedsOf($plan->run('shelf')) as $feed) {
            self::assertSame('c1', $plan->ways()->root($plan->ways()->cableTo($feed->id)->from ?? ''));
        }
    }

    public function test_fixtures_of_another_kind_leave_the_cable_that_they_cannot_have(): void
    {
        $plan = Demo::with(
            self::two(),
            ['kind' => 'SetFixture', 'kit' => 'fixture-reading-24', 'place' => 'room', 'count' => 2],
            ['kind' => 'HangFixture', 'fixture' => 'x1', 'on' => 's2', 'kit' => 'cable-2x15'],
            ['kind' => 'SetFixture', 'fixture' => 'x1', 'kit' => 'fixture-dali', 'place' => 'room', 'count' => 2],
        );
        self::assertNotContains('s2>x1', self::cables($plan));
        self::assertSame(['s1', 's2'], array_keys($plan->supplies), 'its run still needs it');
    }

    /** Freed ids are reused: an old cable must not connect to a new feed with the same id. */
    public function test_changes_made_together_leave_what_they_leave_one_by_one(): void
    {
        $changes = [
            ['kind' => 'SplitRun', 'run' => 'shelf', 'parts' => 1],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'pixels-5-rgbw'],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'supply-5-300'],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'cable-3x15'],
        ];
        $together = Demo::with(self::two(), ['kind' => 'Together', 'words' => 'Other kit', 'changes' => $changes]);
        self::assertEquals(Demo::with(self::two(), ...$changes), $together);
        self::assertSame(['s1>c1', 'c1>f1', 's2>f2'], self::cables($together));
    }

    /** The first half was put on another supply after the split: that is where the whole is fed from, and its feeds are the earlier ones. */
    public function test_a_run_put_back_together_is_fed_as_its_first_part_is(): void
    {
        $plan = Demo::with(
            self::two(),
            ['kind' => 'FeedPattern', 'run' => 'shelf', 'pattern' => 'ends'],
            ['kind' => 'SplitController', 'run' => 'shelf'],
            ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 's1'],
            ['kind' => 'BackTogether', 'run' => 'shelf'],
        );
        $run = $plan->run('shelf');
        self::assertSame(['s1', 'c2', 1], [$run->supply, $run->controller, $run->parts]);
        self::assertCount(2, $plan->ways()->feedsOf($run));
        self::assertSame([['s1'], ['c1', 'c2']], [array_keys($plan->supplies), array_keys($plan->controllers)]);
    }
}
