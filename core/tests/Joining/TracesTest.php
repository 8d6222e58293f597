<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Timed traces of Zigbee, its links and devices on a hub, written by hand from the joining notes, with near misses beside them: working controls are
 * pressed and read at the end. All behaviours: common practice, no source.
 */
final class TracesTest extends TestCase
{
    /** @return iterable<string, array{list<array{float, string, string, 3?: string}>, bool}> */
    public static function zigbee(): iterable
    {
        $on = [0.0, 'power-on', 'c1'];
        $search = static fn(float $at): array => [$at, 'tap', 'h1', 'search'];
        $reset = static fn(float $at): array => Bench::presses('c1', 'PROG', 5, $at);
        yield 'search, then reset' => [[$on, $search(20), ...$reset(25)], true];
        yield 'reset, then search inside the window' => [[$on, ...$reset(20), $search(25)], true];
        yield 'unjoined, a power-cycle lets it listen again' => [
            [$on, $search(20), [25, 'power-off', 'c1'], [26, 'power-on', 'c1']],
            true,
        ];
        yield 'search one second after the window' => [[$on, ...$reset(20), $search(21.6 + 15 + 1)], false];
        yield 'one press fewer' => [[$on, $search(20), ...Bench::presses('c1', 'PROG', 4, 25)], false];
        yield 'five presses in 3.2 s' => [[$on, $search(20), ...Bench::presses('c1', 'PROG', 5, 25, 0.8)], false];
        yield 'no power' => [[$search(0), ...$reset(2)], false];
    }

    /** @param  list<array{float, string, string, 3?: string}>  $hands */
    #[DataProvider('zigbee')]
    public function test_zigbee_controller_and_hub(array $hands, bool $works): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        foreach (range(1, 20) as $seed) {
            $site = Bench::after($roster, $hands, seed: $seed);
            self::assertSame(
                $works ? Observation::Expected : Observation::Nothing,
                Bench::works($site),
                "seed {$seed}",
            );
        }
    }

    public function test_an_old_network_is_left_by_a_reset_and_by_nothing_else(): void
    {
        $roster = Bench::roster([Bench::zigbee()->used(), Bench::hub()], [['h1', 'c1']]);
        $cycle = [
            [0.0, 'power-on', 'c1'],
            [5.0, 'tap', 'h1', 'search'],
            [6.0, 'power-off', 'c1'],
            [7.0, 'power-on', 'c1'],
        ];
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $cycle)),
            'a power-cycle erases nothing',
        );
        $reset = [[0.0, 'power-on', 'c1'], [5.0, 'tap', 'h1', 'search'], ...Bench::presses('c1', 'PROG', 5, 8)];
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $reset)));
    }

    public function test_a_hub_holds_so_many_lights_and_no_more(): void
    {
        $units = [Bench::hub()];
        $hands = [[0.0, 'tap', 'h1', 'search']];
        foreach ([1, 2, 3] as $n) {
            $units[] = Bench::zigbee("c{$n}", 5.0 * $n);
            $hands = [...$hands, [$n * 10.0, 'power-on', "c{$n}"]];
        }
        $site = Bench::after(Bench::roster($units, [['h1', 'c1'], ['h1', 'c2'], ['h1', 'c3']]), $hands);
        self::assertSame(
            [Observation::Expected, Observation::Expected, Observation::Nothing],
            [Bench::works($site), Bench::works($site, 1), Bench::works($site, 2)],
        );
        self::assertSame([['Light 1'], ['Light 2']], array_values($site->device('h1')->list()));
    }

    /** Hub, remote and one controller on the table: the light is in the hub's network, the remote joins it, then links. */
    private const JOINED = [
        [0.0, 'power-on', 'c1'],
        [1.0, 'tap', 'h1', 'search'],
        [30.0, 'tap', 'h1', 'search'],
        [33.0, 'hold', 'r1', 'ON 3'],
        [33.5, 'press', 'r1', 'MEET'],
    ];

    /** @return list<array{float, string, string, string}> */
    private static function link(float $at, float $metres = 0.05, string $to = 'c1'): array
    {
        return [
            ...Bench::presses($to, 'PROG', 4, $at),
            [$at + 4, 'near', 'r1', sprintf('%s %.2F', $to, $metres)],
            [$at + 5, 'set', 'r1', 'zone 1'],
            [$at + 8, 'hold', 'r1', 'zone 2'],
            [$at + 9, 'press', 'r1', 'MEET'],
        ];
    }

    /** @return iterable<string, array{list<array{float, string, string, 3?: string}>, Observation, Observation}> hands, by remote, by hub */
    public static function links(): iterable
    {
        yield 'hub first, then the link' => [
            [...self::JOINED, ...self::link(60)],
            Observation::Expected,
            Observation::Expected,
        ];
        yield 'opened by itself, 20 s after power-up' => [
            [...self::JOINED, [50, 'power-off', 'c1'], [51, 'power-on', 'c1'], ...array_slice(self::link(67), 4)],
            Observation::Expected,
            Observation::Expected,
        ];
        yield 'link first: the remote forms a network of its own, and the hub loses the light' => [
            [...array_slice(self::JOINED, 0, 2), ...self::link(20), ...array_slice(self::JOINED, 2)],
            Observation::Expected,
            Observation::Nothing,
        ];
        yield '0.11 m away' => [
            [...self::JOINED, ...self::link(60, 0.11)],
            Observation::Nothing,
            Observation::Expected,
        ];
        yield 'three presses do not open it' => [
            [...self::JOINED, [50, 'power-off', 'c1'], [51, 'power-on', 'c1'], ...array_slice(self::link(53), 1)],
            Observation::Nothing,
            Observation::Expected,
        ];
        yield 'a second after the link window' => [
            [
                ...self::JOINED,
                ...Bench::presses('c1', 'PROG', 4, 180),
                ...array_slice(self::link(181.2 + 0.8 + 169 + 1 - 9), 4),
            ],
            Observation::Nothing,
            Observation::Expected,
        ];
    }

    /** @param  list<array{float, string, string, 3?: string}>  $hands */
    #[DataProvider('links')]
    public function test_remote_and_touch_link(array $hands, Observation $byRemote, Observation $byHub): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), Bench::remote()], [['r1', 'c1', 1], ['h1', 'c1']]);
        $site = Bench::after($roster, $hands, until: 500);
        self::assertSame([$byRemote, $byHub], [Bench::works($site), Bench::works($site, 1)]);
    }

    public function test_a_second_controller_with_power_near_by_takes_the_link(): void
    {
        foreach ([[1.9, Observation::Elsewhere], [2.1, Observation::Expected]] as [$away, $seen]) {
            $roster = Bench::roster(
                [Bench::zigbee(), Bench::zigbee('c2', $away - 0.05), Bench::hub(), Bench::remote()],
                [['r1', 'c1', 1], ['h1', 'c1']],
            );
            $site = Bench::after($roster, [[0.0, 'power-on', 'c2'], ...self::JOINED, ...self::link(60)], until: 500);
            self::assertSame($seen, Bench::works($site), "{$away} m");
        }
    }

    public function test_a_remote_without_its_blinks_is_not_joined(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), Bench::remote()], [['r1', 'c1', 1], ['h1', 'c1']]);
        self::assertContains('joined', Bench::after($roster, self::JOINED)->device('r1')->shown(0, 100));
        foreach (['not-joined@r1', 'flat@r1'] as $flaw) {
            self::assertNotContains(
                'joined',
                Bench::after($roster, self::JOINED, [$flaw])
                    ->device('r1')
                    ->shown(0, 100),
                $flaw,
            );
        }
        $late = [...array_slice(self::JOINED, 0, 2), [92.0, 'hold', 'r1', 'ON 3'], [92.5, 'press', 'r1', 'MEET']];
        self::assertNotContains(
            'joined',
            Bench::after($roster, $late)->device('r1')->shown(0, 200),
            'the search is over',
        );
    }

    public function test_an_assistant_knows_the_names_of_the_moment_at_which_it_searched(): void
    {
        $assistant = new Unit(
            'a1',
            'Assistant',
            Unit::ASSISTANT,
            'assistant',
            'wifi',
            Bench::leaflet([], ['search' => 20]),
            'table',
        );
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), $assistant], [['a1', 'c1']]);
        $joined = [[0.0, 'power-on', 'c1'], [1.0, 'tap', 'h1', 'search']];
        $named = [40.0, 'tap', 'h1', 'name Light 1=Cove'];
        $read = static fn(float $at): array => [[$at, 'tap', 'a1', 'link h1'], [$at + 1, 'tap', 'a1', 'search']];
        self::assertSame(
            Observation::Expected,
            Bench::works(Bench::after($roster, [...$joined, $named, ...$read(50)])),
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, [...$joined, ...$read(15), $named])),
            'named afterwards',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, [...$joined, $named, [51.0, 'tap', 'a1', 'search']])),
            'no account',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, [...$joined, $named, ...$read(50)], until: 70.9)),
            'not done yet',
        );
    }
}
