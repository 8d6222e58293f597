<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Options;

use EmberDusk\Options\SharedUnit;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** One unit for all alike runs of a place, as far as it and a supply of the shelf carry them. */
final class SharedUnitTest extends TestCase
{
    private const SIX = "1.0 one\nright 0.8 two\nright 0.7 three\nleft 0.6 four\n0.5 five\n0.4 six";

    /** @param  array<string, list<string>>  $kit  strip, supply, controller and cable by run */
    private static function room(string $walls, array $kit): Plan
    {
        $plan = Demo::with(new Plan('Room', 'Nobody', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "start door\n{$walls}\noutlet P1 at 0.1\ndry",
        ]);
        foreach ($kit as $run => $entries) {
            foreach ($entries as $entry) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $entry]);
            }
        }

        return $plan;
    }

    /** @return array<string, list<string>> */
    private static function pixels(string ...$runs): array
    {
        $kit = ['pixels-24-rgb', 'supply-24-60', 'board-screw', 'cable-3x15'];

        return array_fill_keys($runs, $kit);
    }

    /** @return array<string, string|null> unit by run */
    private static function units(Plan $plan): array
    {
        return array_map(static fn(Run $r): ?string => $r->controller, $plan->runs);
    }

    /** Six sections on two outputs: one line, as they follow on the tape, and nothing of the others is left. */
    public function test_six_sections_of_pixels_share_a_board_and_a_line(): void
    {
        $plan = self::room(self::SIX, self::pixels('one', 'two', 'three', 'four', 'five', 'six'));
        self::assertCount(6, $plan->controllers);
        $fix = SharedUnit::for($plan, $plan->run('four'), Demo::shelf());
        $unit = (string) $plan->run('four')->controller;
        self::assertStringStartsWith('6 runs of Room on ' . strtoupper($unit), (string) $fix?->label);
        $after = Demo::with($plan, $fix?->change->write() ?? []);
        self::assertSame([$unit], array_values(array_unique(self::units($after))));
        self::assertCount(1, $after->supplies);
        self::assertSame(
            [['one', 'two', 'three', 'four', 'five', 'six']],
            array_map(static fn(DataLine $l): array => $l->runs, DataLine::on($after, $unit)),
        );
        // Done: nothing is left to offer.
        self::assertNull(SharedUnit::for($after, $after->run('four'), Demo::shelf()));
    }

    /** Two runs fit its two outputs: each keeps its own, and no order is made. */
    public function test_no_line_is_made_where_the_outputs_are_enough(): void
    {
        $plan = self::room("1.0 one\n1.0 two", self::pixels('one', 'two'));
        $after = Demo::with($plan, SharedUnit::for($plan, $plan->run('one'), Demo::shelf())?->change->write() ?? []);
        self::assertSame([], $after->lines);
        self::assertCount(1, $after->controllers);
    }

    public function test_an_order_made_by_hand_and_a_pinned_run_stay(): void
    {
        $plan = self::room(self::SIX, self::pixels('one', 'two', 'three', 'four', 'five', 'six'));
        $unit = (string) $plan->run('one')->controller;
        $arranged = Demo::with($plan, [
            'kind' => 'ArrangeData',
            'board' => $unit,
            'lines' => [['runs' => ['one'], 'reversed' => [], 'mirrors' => null]],
        ]);
        // With a line by hand only as many join as there are outputs.
        $after = Demo::with(
            $arranged,
            SharedUnit::for($arranged, $arranged->run('one'), Demo::shelf())?->change->write() ?? [],
        );
        self::assertCount(2, array_keys(self::units($after), $unit, true));
        $pinned = Demo::with($plan, ['kind' => 'PinRun', 'run' => 'six', 'pins' => ['kit']]);
        $after = Demo::with(
            $pinned,
            SharedUnit::for($pinned, $pinned->run('one'), Demo::shelf())?->change->write() ?? [],
        );
        self::assertSame($plan->run('six')->controller, $after->run('six')->controller);
        self::assertCount(5, array_keys(self::units($after), $unit, true));
    }

    /** 11 W/m are 0.46 A/m at 24 V: 20 m are 9.2 A and pass a board of 10 A, 24 m are 11 A and do not, although it has the outputs. */
    public function test_a_board_passes_no_more_amps_than_it_is_rated_for(): void
    {
        $kit = ['pixels-24-rgb', 'supply-24-240', 'board-screw', 'cable-3x25'];
        $fix = static function (string $metres) use ($kit): ?string {
            $plan = self::room("{$metres} one\n{$metres} two", ['one' => $kit, 'two' => $kit]);
            self::assertSame(10.0, $plan->controller($plan->run('one')->controller)?->totalAmps);
            self::assertEqualsWithDelta(11.0, $plan->strip('pixels-24-rgb')?->wattsPerMetre(), 0.1);

            return SharedUnit::for($plan, $plan->run('one'), Demo::shelf())?->label;
        };
        self::assertNotNull($fix('10.0'));
        self::assertNull($fix('12.0'));
    }

    /** Strips of 9.6 W/m: 7 m are 2.8 A at 24 V, so a controller of 8 A carries two of them and not three; another kind never joins. */
    public function test_no_more_join_than_the_controller_carries(): void
    {
        $kit = ['strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-2x15'];
        $plan = self::room("7.0 one\n7.0 two\n7.0 three", array_fill_keys(['one', 'two', 'three'], $kit));
        $unit = (string) $plan->run('one')->controller;
        $fix = SharedUnit::for($plan, $plan->run('one'), Demo::shelf());
        self::assertNotNull($fix);
        self::assertStringContainsString('as one light', $fix->label);
        $after = Demo::with($plan, $fix->change->write());
        $amps = (9.6 / 24) * 7.0;
        $fits = (int) floor($plan->controller($unit)?->totalAmps / $amps);
        self::assertCount(min(3, $fits), array_keys(self::units($after), $unit, true));
        $mixed = self::room("2.0 one\n2.0 two", [
            'one' => $kit,
            'two' => ['strip-tunable-24', 'supply-24-60', 'controller-zigbee-2', 'cable-3x15'],
        ]);
        self::assertNull(SharedUnit::for($mixed, $mixed->run('one'), Demo::shelf()));
    }
}
