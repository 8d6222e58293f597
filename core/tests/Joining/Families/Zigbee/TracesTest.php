<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining\Families\Zigbee;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families\Zigbee\StandIn\Site;
use EmberDusk\Joining\Kit;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Timed traces of the stand-ins, written by hand from the joining notes before their code: five presses within 3 s reset,
 * the controller then listens 15 s, joining takes 3.5 s to 7.5 s, the hub searches 60 s, its list lags 2 s to 6 s
 * (the demo kit's own invented values; the behaviours are common practice, no source). "Joined" is measured at the end.
 */
final class TracesTest extends TestCase
{
    /** @return list<Event> */
    private static function presses(float $first, int $times, float $apart = 0.4): array
    {
        return array_map(
            static fn(int $n): Event => new Event($first + $n * $apart, 'press', 'c1'),
            range(0, $times - 1),
        );
    }

    /** @return iterable<string, array{list<Event>, bool}> */
    public static function traces(): iterable
    {
        $on = new Event(0, 'power-on', 'c1');
        $search = static fn(float $at): Event => new Event($at, 'search', 'h1');
        // Power-up itself opens a window of 15 s; these traces let it pass first, where it would help.
        yield 'search, then reset' => [[$on, $search(20), ...self::presses(25, 5)], true];
        yield 'reset, then search inside the window' => [[$on, ...self::presses(20, 5), $search(25)], true];
        yield 'search, then a power-cycle: unjoined it listens again' => [
            [$on, $search(20), new Event(25, 'power-off', 'c1'), new Event(26, 'power-on', 'c1')],
            true,
        ];
        // Near misses.
        yield 'search one second after the window' => [[$on, ...self::presses(20, 5), $search(21.6 + 15 + 1)], false];
        yield 'one press fewer' => [[$on, $search(20), ...self::presses(25, 4)], false];
        yield 'five presses in 3.2 s' => [[$on, $search(20), ...self::presses(25, 5, 0.8)], false];
        yield 'search ends before joining can be done' => [[$on, $search(20), ...self::presses(75.5, 5)], false];
        yield 'no power' => [[$search(0), ...self::presses(2, 5)], false];
        yield 'nobody searches' => [[$on, ...self::presses(2, 5)], false];
    }

    /** @param  list<Event>  $log */
    #[DataProvider('traces')]
    public function test_a_trace_ends_as_it_does_on_the_bench(array $log, bool $joined): void
    {
        foreach (range(1, 20) as $seed) {
            self::assertSame(
                $joined,
                Site::after(Kit::of(Demo::plan()), $seed, $log, 200)->isJoined('c1'),
                "seed {$seed}",
            );
        }
    }

    public function test_the_load_shows_the_reset_and_then_the_join(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [new Event(0, 'power-on', 'c1'), new Event(20, 'search', 'h1'), ...self::presses(25, 5)];
        $reset = Site::after($kit, 1, $log, 26.7)->signal('c1');
        self::assertSame('3 quick, then 2 slow', $reset === null ? '' : $reset[1]->words());
        self::assertEqualsWithDelta(26.6, $reset[0] ?? 0, 1e-9);
        $joined = Site::after($kit, 1, $log, 40)->signal('c1');
        self::assertSame('5 quick', $joined === null ? '' : $joined[1]->words());
        self::assertGreaterThanOrEqual(26.6 + 3.5, $joined[0] ?? 0);
        self::assertLessThanOrEqual(26.6 + 7.5, $joined[0] ?? 0);
    }

    public function test_the_list_lags_behind_the_join(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [new Event(0, 'power-on', 'c1'), new Event(20, 'search', 'h1'), ...self::presses(25, 5)];
        $joined = Site::after($kit, 4, $log, 40)->signal('c1')[0] ?? 0.0;
        self::assertSame([], Site::after($kit, 4, $log, $joined + 1.9)->list());
        self::assertSame(['c1' => 'Light 1'], Site::after($kit, 4, $log, $joined + 6.1)->list());
    }

    public function test_an_old_network_keeps_it_from_joining_until_it_is_reset(): void
    {
        $kit = Kit::of(Demo::plan());
        foreach ([[], self::presses(30, 5)] as $reset) {
            $site = new Site($kit, 1, used: ['c1']);
            foreach (
                [new Event(0, 'search', 'h1'), new Event(1, 'power-on', 'c1'), new Event(28, 'search', 'h1'), ...$reset]
                as $event
            ) {
                $site->apply($event);
            }
            $site->advance(60);
            self::assertSame($reset !== [], $site->isJoined('c1'));
        }
    }

    public function test_a_light_switched_in_the_app_goes_dark(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [new Event(0, 'power-on', 'c1'), new Event(20, 'search', 'h1'), ...self::presses(25, 5)];
        self::assertTrue(Site::after($kit, 1, $log, 60)->isLit('c1'));
        self::assertFalse(Site::after($kit, 1, [...$log, new Event(55, 'toggle', 'c1')], 60)->isLit('c1'));
        self::assertFalse(Site::after($kit, 1, [...$log, new Event(55, 'power-off', 'c1')], 60)->isLit('c1'));
    }

    public function test_the_same_seed_gives_the_same_site(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = [new Event(0, 'power-on', 'c1'), new Event(20, 'search', 'h1'), ...self::presses(25, 5)];
        $at = static fn(int $seed): float => Site::after($kit, $seed, $log, 60)->signal('c1')[0] ?? 0.0;
        self::assertSame($at(5), $at(5));
        self::assertNotSame($at(5), $at(6));
    }
}
