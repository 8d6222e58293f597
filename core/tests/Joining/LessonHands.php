<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Practice\Lesson;

/**
 * Hands of every lesson, written in advance: correct, and with the mistake that it names.
 *
 * @phpstan-type Hand array{float, string, string, 3?: string}
 */
final class LessonHands
{
    public const ON = [0.0, 'power-on', 'c1'];

    /** @return list<array{float, string, string, 3?: string}> the first controller into the hub */
    private static function joined(): array
    {
        return [self::ON, [5.0, 'tap', 'h1', 'search'], ...Bench::presses('c1', 'SET', 7, 8.0)];
    }

    /** @return list<array{float, string, string, 3?: string}> a link of zone and light, its window opened by the key */
    private static function link(string $light, int $zone, float $at, float $away = 0.05): array
    {
        return [
            ...Bench::presses($light, 'SET', 6, $at),
            [$at + 3, 'near', 'r1', "{$light} {$away}"],
            [$at + 3, 'set', 'r1', "zone {$zone}"],
            [$at + 4, 'hold', 'r1', 'zone 3'],
            [$at + 7, 'press', 'r1', 'NEW'],
        ];
    }

    /** @return list<array{float, string, string, 3?: string}> the remote into the hub’s network */
    private static function remote(float $at): array
    {
        return [[$at, 'hold', 'r1', 'DAY 2'], [$at + 2.2, 'press', 'r1', 'NEW']];
    }

    /** @return list<array{float, string, string, 3?: string}> */
    private static function panel(string $light, int $zone, float $at, float $away = 0.05): array
    {
        return [
            [$at, 'near', 'p1', "{$light} {$away}"],
            [$at, 'set', 'p1', "zone {$zone}"],
            [$at + 1, 'hold', 'p1', 'zone 4'],
            [$at + 5.2, 'press', 'p1', 'FIND'],
        ];
    }

    /** @return list<array{float, string, string, 3?: string}> */
    private static function zone(int $zone, float $at): array
    {
        return [[$at, 'set', 'r1', "zone {$zone}"], ...Bench::presses('r1', 'zone', 3, $at)];
    }

    /** @return list<array{float, string, string, 3?: string}> three controllers, the last first, so that its line is the first */
    private static function three(): array
    {
        return [
            self::ON,
            [0.0, 'power-on', 'c2'],
            [0.0, 'power-on', 'c3'],
            [15.0, 'tap', 'h1', 'search'],
            ...Bench::presses('c3', 'SET', 7, 20.0),
            ...Bench::presses('c1', 'SET', 7, 30.0),
            ...Bench::presses('c2', 'SET', 7, 40.0),
        ];
    }

    /** @return list<array{float, string, string, 3?: string}> two controllers in the hub, c1 on the first line */
    private static function two(): array
    {
        return [
            self::ON,
            [0.0, 'power-on', 'c2'],
            [15.0, 'tap', 'h1', 'search'],
            ...Bench::presses('c1', 'SET', 7, 20.0),
            ...Bench::presses('c2', 'SET', 7, 32.0),
        ];
    }

    /**
     * @param  array<string, string>  $names  by line
     * @return list<array{float, string, string, string}>
     */
    private static function named(array $names, float $at): array
    {
        $taps = [];
        foreach ($names as $line => $name) {
            $taps[] = [$at++, 'tap', 'h1', "toggle {$line}"];
            $taps[] = [$at++, 'tap', 'h1', "name {$line}={$name}"];
        }

        return $taps;
    }

    /** @return list<array{float, string, string, string}> */
    private static function asked(float $at): array
    {
        return [[$at, 'tap', 'a1', 'link h1'], [$at + 1, 'tap', 'a1', 'search']];
    }

    /** @return list<array{float, string, string, 3?: string}> */
    private static function house(bool $again): array
    {
        return [
            self::ON,
            [0.0, 'power-on', 'c2'],
            [0.0, 'power-on', 'p1'],
            [15.0, 'tap', 'h1', 'search'],
            ...Bench::presses('c1', 'SET', 7, 18.0),
            ...Bench::presses('c2', 'SET', 7, 20.0),
            ...$again ? Bench::presses('c2', 'SET', 7, 36.0) : [],
            ...self::remote(45.0),
            [47.0, 'hold', 'p1', 'MAIN 5'],
            ...Bench::presses('p1', 'MAIN', 3, 52.5),
            [56.0, 'hold', 'p1', 'MAIN 2'],
            [58.2, 'press', 'p1', 'FIND'],
            ...self::link('c1', 1, 80.0),
            ...self::panel('c1', 1, 92.0),
            ...self::link('c2', 2, 110.0),
            ...self::panel('c2', 2, 122.0),
            ...self::named($again ? ['Lamp 1' => 'Foyer', 'Lamp 2' => 'Gallery'] : ['Lamp 1' => 'Foyer'], 140.0),
            ...self::asked(150.0),
        ];
    }

    /**
     * Lesson, correct hands, hands with the mistake, text of the turning point, its time range.
     *
     * @return iterable<string, array{string, list<Hand>, list<Hand>, string, array{float, float}}>
     */
    public static function lessons(): iterable
    {
        yield 'first-join' => [
            'first-join',
            self::joined(),
            [self::ON, ...Bench::presses('c1', 'SET', 7, 20.0), [37.0, 'tap', 'h1', 'search']],
            'did not meet the search',
            [37.0, 45.0],
        ];
        $cycles = array_merge(
            ...array_map(
                static fn(int $n): array => [[8.0 + 2 * $n, 'power-off', 'c1'], [9.0 + 2 * $n, 'power-on', 'c1']],
                range(0, 3),
            ),
        );
        yield 'somebody-elses' => [
            'somebody-elses',
            [self::ON, [5.0, 'tap', 'h1', 'search'], ...$cycles],
            [self::ON, [5.0, 'tap', 'h1', 'search'], [8.0, 'power-off', 'c1'], [9.0, 'power-on', 'c1']],
            'still belongs to the network',
            [5.0, 20.0],
        ];
        yield 'five-not-four' => [
            'five-not-four',
            self::joined(),
            [self::ON, [5.0, 'tap', 'h1', 'search'], ...Bench::presses('c1', 'SET', 6, 8.0)],
            'was pressed 6 times: that is its link',
            [5.0, 20.0],
        ];
        $guessed = ['Lamp 1' => 'Door', 'Lamp 2' => 'Table', 'Lamp 3' => 'Window'];
        yield 'which-is-which' => [
            'which-is-which',
            [...self::three(), ...self::named(['Lamp 1' => 'Window', 'Lamp 2' => 'Door', 'Lamp 3' => 'Table'], 60.0)],
            [...self::three(), ...self::named($guessed, 60.0)],
            'switch each entry and look before you name it',
            [60.0, 66.0],
        ];
        $both = ['Lamp 1' => 'Bed', 'Lamp 2' => 'Wardrobe'];
        yield 'names-first' => [
            'names-first',
            [...self::two(), ...self::named($both, 60.0), ...self::asked(70.0)],
            [...self::two(), ...self::asked(55.0), ...self::named($both, 80.0)],
            'before the light had its name',
            [55.0, 84.0],
        ];
        yield 'one-at-a-time' => [
            'one-at-a-time',
            [
                self::ON,
                ...self::link('c1', 1, 5.0),
                [20.0, 'power-off', 'c1'],
                [21.0, 'power-on', 'c2'],
                ...self::link('c2', 2, 25.0),
            ],
            [self::ON, [1.0, 'power-on', 'c2'], ...self::link('c1', 1, 5.0), ...self::link('c2', 2, 25.0)],
            'had power, and took the link',
            [11.0, 36.0],
        ];
        $power = [self::ON, [0.0, 'power-on', 'p1'], ...Bench::presses('c1', 'SET', 6, 5.0)];
        yield 'beside-it' => [
            'beside-it',
            [...$power, ...self::panel('c1', 1, 9.0)],
            [...$power, ...self::panel('c1', 1, 9.0, 0.4)],
            'too far',
            [14.0, 20.0],
        ];
        yield 'hub-then-link' => [
            'hub-then-link',
            [...self::joined(), ...self::remote(30.0), ...self::link('c1', 1, 45.0)],
            [...self::joined(), ...self::link('c1', 1, 25.0), ...self::remote(40.0)],
            'R1 linked before it was in the hub’s network',
            [32.0, 40.0],
        ];
        yield 'fresh-power' => [
            'fresh-power',
            [self::ON, ...self::zone(1, 1.0), [20.0, 'power-on', 'c2'], ...self::zone(2, 21.0)],
            [self::ON, ...self::zone(1, 8.0), [20.0, 'power-on', 'c2'], ...self::zone(2, 21.0)],
            'the key came too late',
            [8.0, 10.0],
        ];
        $bound = [
            self::ON,
            [8.0, 'tap', 'h1', 'enter'],
            [9.0, 'tap', 'h1', 'kind c1'],
            [12.0, 'press', 'c1', 'TEACH'],
            [14.0, 'tap', 'h1', 'swipe c1'],
        ];
        yield 'whose-phone' => [
            'whose-phone',
            [[0.0, 'mended', 'phone', 'phone-leaves|yes'], ...$bound],
            $bound,
            'that is not the client’s',
            [14.0, 15.0],
        ];
        $mesh = static fn(string ...$order): array => [
            self::ON,
            [0.0, 'power-on', 'c2'],
            [0.0, 'power-on', 'c3'],
            [2.0, 'tap', 'phone', 'search mesh 60'],
            ...array_merge(
                ...array_map(
                    static fn(string $c, int $n): array => Bench::presses($c, 'NODE', 2, 5.0 + 5 * $n),
                    array_values($order),
                    range(0, count($order) - 1),
                ),
            ),
        ];
        yield 'chain' => [
            'chain',
            $mesh('c1', 'c2', 'c3'),
            $mesh('c1', 'c3', 'c2'),
            'join the nearest first',
            [10.0, 12.0],
        ];
        $search = [self::ON, [2.0, 'tap', 'phone', 'search mesh 60'], ...Bench::presses('c1', 'NODE', 2, 5.0)];
        $zone = [
            ...Bench::presses('c1', 'NODE', 2, 15.0),
            [17.0, 'set', 'r1', 'zone 1'],
            [18.0, 'hold', 'r1', 'zone 2'],
        ];
        yield 'not-both' => [
            'not-both',
            [...$search, [10.0, 'tap', 'phone', 'end mesh'], ...$zone],
            [...$search, ...$zone],
            'answered it, and R1 got no link',
            [15.0, 22.0],
        ];
        $linked = [...self::joined(), ...self::remote(30.0), ...self::link('c1', 1, 45.0)];
        yield 'no-answer' => [
            'no-answer',
            [...self::joined(), [25.0, 'mended', 'r1', 'flat|yes'], ...array_slice($linked, count(self::joined()))],
            [...$linked, ...self::remote(60.0), ...self::link('c1', 1, 75.0)],
            'not checked',
            [30.0, 50.0],
        ];
        yield 'wrong-colours' => [
            'wrong-colours',
            [...self::joined(), [40.0, 'mended', 'c1', 'wrong-setting|yes']],
            [...self::joined(), [40.0, 'tap', 'h1', 'search'], ...Bench::presses('c1', 'SET', 7, 45.0)],
            'not checked',
            [0.0, 100.0],
        ];
        $to = static fn(string $remote, string $light, int $zone, float $at): array => [
            ...Bench::presses($light, 'SET', 6, $at),
            [$at + 3, 'near', $remote, "{$light} 0.05"],
            [$at + 3, 'set', $remote, "zone {$zone}"],
            [$at + 4, 'hold', $remote, 'zone 3'],
            [$at + 7, 'press', $remote, 'NEW'],
        ];
        $both = [self::ON, [0.0, 'power-on', 'c2']];
        yield 'two-remotes' => [
            'two-remotes',
            [...$both, ...$to('r1', 'c1', 1, 5.0), ...$to('r1', 'c2', 2, 25.0), ...$to('r2', 'c2', 2, 45.0)],
            [...$both, ...$to('r1', 'c1', 1, 5.0), ...$to('r2', 'c2', 2, 25.0), ...$to('r1', 'c2', 2, 45.0)],
            'a network each',
            [25.0, 55.0],
        ];
        yield 'no-blink' => [
            'no-blink',
            [
                ...self::joined(),
                [25.0, 'mended', 'r1', 'not-joined|yes'],
                ...self::remote(30.0),
                ...self::link('c1', 1, 45.0),
            ],
            [...self::joined(), ...self::remote(30.0), ...self::link('c1', 1, 45.0)],
            'before it had joined',
            [30.0, 45.0],
        ];
        $again = [[40.0, 'tap', 'h1', 'kind c1'], [45.0, 'press', 'c1', 'TEACH'], [47.0, 'tap', 'h1', 'swipe c1']];
        $entered = [[1.0, 'tap', 'h1', 'enter'], ...$bound];
        yield 'late-list' => [
            'late-list',
            self::joined(),
            [...self::joined(), ...Bench::presses('c1', 'SET', 7, 35.0)],
            'had joined, and this reset took it out',
            [30.0, 50.0],
        ];
        yield 'other-network' => [
            'other-network',
            [[0.0, 'mended', 'phone', 'other-network|yes'], ...$entered],
            [...$entered, ...Bench::presses('c1', 'TEACH', 6, 30.0), ...$again],
            'on another network',
            [8.0, 15.0],
        ];
        yield 'wrong-style' => [
            'wrong-style',
            [...$bound, [40.0, 'mended', 'c1', 'wrong-style|yes']],
            [...$bound, ...Bench::presses('c1', 'TEACH', 6, 30.0), ...$again],
            'kind of controller',
            [9.0, 15.0],
        ];
        $board = static fn(float $at): array => [
            [$at, 'power-on', 'b1'],
            [$at + 5, 'tap', 'b1', 'give'],
            [$at + 10, 'power-off', 'b1'],
            [$at + 11, 'power-on', 'b1'],
            [$at + 20, 'tap', 'b1', 'open'],
            [$at + 25, 'tap', 'b1', 'set'],
        ];
        yield 'charge-lead' => [
            'charge-lead',
            [[0.0, 'mended', 'b1', 'charge-lead|yes'], ...$board(1.0)],
            [...$board(1.0), ...$board(40.0)],
            'only charges',
            [6.0, 26.0],
        ];
        yield 'new-address' => [
            'new-address',
            [[0.0, 'mended', 'b1', 'new-address|yes'], ...$board(1.0)],
            [...$board(1.0), ...$board(40.0)],
            'another address',
            [21.0, 27.0],
        ];
        // C1 has the first two lines.
        $pair = [...self::two(), [52.0, 'tap', 'h1', 'toggle Lamp 1'], [54.0, 'tap', 'h1', 'toggle Lamp 2']];
        yield 'two-lines' => [
            'two-lines',
            [...$pair, ...self::named(['Lamp 1' => 'Sill', 'Lamp 3' => 'Bench'], 60.0)],
            [...$pair, ...self::named(['Lamp 1' => 'Sill', 'Lamp 2' => 'Bench'], 60.0)],
            'switch each entry and look before you name it',
            [60.0, 66.0],
        ];
        yield 'dead-lines' => [
            'dead-lines',
            [...self::two(), ...self::named(['Lamp 3' => 'Stage', 'Lamp 4' => 'Wings'], 60.0)],
            [...self::two(), ...self::named(['Lamp 1' => 'Stage', 'Lamp 2' => 'Wings'], 60.0)],
            '“Lamp 1” is a line of a light that is gone',
            [61.0, 62.0],
        ];
        yield 'late-light' => [
            'late-light',
            [
                ...self::two(),
                [60.0, 'tap', 'h1', 'toggle Light 1'],
                [64.0, 'tap', 'h1', 'name Light 1=Porch'],
                [65.0, 'tap', 'h1', 'toggle Light 2'],
                [69.0, 'tap', 'h1', 'name Light 2=Steps'],
            ],
            [
                ...self::two(),
                [60.0, 'tap', 'h1', 'toggle Light 1'],
                [61.0, 'tap', 'h1', 'toggle Light 2'],
                [63.0, 'tap', 'h1', 'name Light 2=Porch'],
                [64.0, 'tap', 'h1', 'name Light 1=Steps'],
            ],
            'switch each entry and look before you name it',
            [63.0, 64.0],
        ];
        $touch = static fn(float $at): array => [
            [$at, 'near', 'r1', 'c1 0.05'],
            [$at, 'set', 'r1', 'zone 1'],
            [$at + 1, 'hold', 'r1', 'zone 3'],
            [$at + 4, 'press', 'r1', 'NEW'],
        ];
        yield 'by-power-up' => [
            'by-power-up',
            [self::ON, ...$touch(14.0)],
            [self::ON, ...$touch(1.0)],
            'took no link at that moment',
            [4.0, 10.0],
        ];
        $into = static fn(string $hub): array => [
            self::ON,
            [20.0, 'tap', $hub, 'search'],
            ...Bench::presses('c1', 'SET', 7, 23.0),
        ];
        yield 'no-white' => ['no-white', $into('h2'), $into('h1'), 'connected C1, easel to H2', [20.0, 40.0]];
        // The window that power-up would open is over when the search begins.
        $moved = [self::ON, [20.0, 'tap', 'h1', 'search'], ...Bench::presses('c1', 'SET', 7, 23.0)];
        $cleared = [[38.0, 'hold', 'r1', 'DAY 2'], ...Bench::presses('r1', 'DAY', 4, 41.0)];
        yield 'moving-hubs' => [
            'moving-hubs',
            [...$moved, ...$cleared, ...self::remote(48.0), ...self::link('c1', 1, 65.0)],
            [...$moved, ...self::remote(48.0), ...self::link('c1', 1, 65.0)],
            'R1 still belongs to the network',
            [48.0, 75.0],
        ];
        $connect = static fn(float $at): array => [[$at, 'tap', 'c1', 'connect'], [$at + 4, 'tap', 'c1', 'type']];
        yield 'pin' => [
            'pin',
            [self::ON, [5.0, 'mended', 'c1', 'pin-set|yes'], ...$connect(15.0)],
            [self::ON, ...$connect(15.0), ...$connect(30.0), ...$connect(45.0)],
            'A PIN was set',
            [15.0, 20.0],
        ];
        $bridge = static fn(float $connect): array => [
            [2.0, 'hold', 'g1', 'PIN 7'],
            [12.0, 'press', 'g1', 'PIN'],
            [$connect, 'tap', 'g1', 'connect'],
            [80.0, 'tap', 'g1', 'style c1'],
            [90.0, 'power-on', 'c1'],
            [92.0, 'tap', 'g1', 'zone c1 1'],
        ];
        yield 'bridge-time' => [
            'bridge-time',
            $bridge(40.0),
            $bridge(70.0),
            'countdown of the app was over',
            [62.0, 75.0],
        ];
        yield 'whole-house' => [
            'whole-house',
            self::house(true),
            self::house(false),
            'with nothing wrong: the same once more',
            [20.0, 30.0],
        ];
    }
}
