<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining\Families\Zigbee;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families\Zigbee\Attempt;
use EmberDusk\Joining\Families\Zigbee\Windows;
use EmberDusk\Joining\Kit;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the guide reads out of a log: windows and how far a controller has come. Worked out by hand. */
final class WindowsTest extends TestCase
{
    /** @return list<Event> */
    private static function gesture(float $last): array
    {
        return array_map(static fn(int $n): Event => new Event($last - 0.4 * (4 - $n), 'press', 'c1'), range(0, 4));
    }

    public function test_a_search_started_again_goes_on_without_a_break(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [new Event(0, 'search', 'h1'), new Event(40, 'search', 'h1'), new Event(130, 'search', 'h1')];
        self::assertEquals([[0.0, 100.0], [130.0, 190.0]], Windows::searches($kit, $log));
    }

    public function test_listening_ends_where_it_was_seen_to_join(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [
            new Event(0, 'power-on', 'c1'),
            ...self::gesture(10),
            ...self::gesture(50),
            new Event(55, 'saw-joined', 'c1'),
        ];
        self::assertEqualsWithDelta([[10.0, 25.0], [50.0, 55.0]], Windows::listening($kit, 'c1', $log), 1e-9);
    }

    /** @return iterable<string, array{list<array{float, float}>, float}> */
    public static function overlaps(): iterable
    {
        yield 'none' => [[], 0.0];
        yield 'before' => [[[0.0, 9.0]], 0.0];
        yield 'whole' => [[[0.0, 90.0]], 15.0];
        yield 'tail' => [[[20.0, 90.0]], 5.0];
        yield 'the longer of two, not their sum' => [[[0.0, 12.0], [20.0, 90.0]], 5.0];
    }

    /** @param  list<array{float, float}>  $windows */
    #[DataProvider('overlaps')]
    public function test_the_longest_meeting_with_a_window_from_10_to_25(array $windows, float $seconds): void
    {
        self::assertEqualsWithDelta($seconds, Windows::overlap($windows, 10, 25), 1e-9);
    }

    public function test_an_attempt_follows_the_log(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [new Event(0, 'power-on', 'c1'), new Event(1, 'search', 'h1'), ...self::gesture(10)];
        $attempt = Attempt::of('c1', $kit, $log);
        self::assertTrue($attempt->powered);
        self::assertSame(1.0, $attempt->searchFrom);
        self::assertEqualsWithDelta(10.0, $attempt->resetAt, 1e-9);
        $missed = Attempt::of('c1', $kit, [
            ...$log,
            new Event(11, 'saw-reset', 'c1'),
            new Event(25, 'missed', 'c1', 'why'),
        ]);
        self::assertNull($missed->resetAt);
        self::assertSame(['why', 1, false], [$missed->missed, $missed->misses, $missed->resetSeen]);
    }

    /** Nothing where the reset's flashes belong: the gesture did not count. After them: no confirmation yet. */
    public function test_nothing_seen_means_two_things(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [new Event(0, 'power-on', 'c1'), ...self::gesture(10)];
        self::assertNull(Attempt::of('c1', $kit, [...$log, new Event(12, 'saw-nothing', 'c1')])->resetAt);
        $later = Attempt::of('c1', $kit, [
            ...$log,
            new Event(11, 'saw-reset', 'c1'),
            new Event(12, 'saw-nothing', 'c1'),
        ]);
        self::assertNotNull($later->resetAt);
        self::assertTrue($later->nothingSeen);
    }

    public function test_presses_without_power_are_none(): void
    {
        self::assertNull(Attempt::of('c1', Kit::of(Demo::plan()), self::gesture(10))->resetAt);
    }

    public function test_another_reset_begins_anew(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [
            new Event(0, 'power-on', 'c1'),
            ...self::gesture(10),
            new Event(11, 'saw-reset', 'c1'),
            new Event(15, 'saw-joined', 'c1'),
            new Event(18, 'found', 'c1', 'Light 1'),
            ...self::gesture(30),
        ];
        $attempt = Attempt::of('c1', $kit, $log);
        self::assertSame([null, false, false], [$attempt->listedAs, $attempt->joinedSeen, $attempt->resetSeen]);
    }
}
