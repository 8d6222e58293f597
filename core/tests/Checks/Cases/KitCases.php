<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;

/** Kit of a circuit: for each code a job that fires it and a neighbour that does not. */
final readonly class KitCases
{
    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        $simple = Circuits::simple();
        yield 'lacking' => [
            'lacking',
            static fn(): array => [Circuits::in()->run('r1', 2.0)->state(), $simple->state()],
        ];
        yield 'cores' => [
            'cores',
            static fn(): array => [
                Circuits::simple()
                    ->run('r1', 2.0, ['channels' => 2], 's1', controller: 'c1')
                    ->state(),
                Circuits::simple()
                    ->run('r1', 2.0, ['channels' => 2], 's1', controller: 'c1')
                    ->cable('k2', '3x2.5', 'c1', 'f1')
                    ->state(),
            ],
        ];
        $three = static fn(int $channels): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1', ['channels' => $channels])
            ->run('r1', 2.0, ['channels' => 3], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', '4x2.5', 'c1', 'f1')
            ->state();
        yield 'channels' => ['channels', static fn(): array => [$three(2), $three(3)]];
        $pixels = static fn(?string $controller): JobState => Circuits::in()
            ->supply('s1', ['volts' => 5.0])
            ->controller('c1')
            ->run('r1', 1.0, ['kind' => 'pixels'], 's1', controller: $controller)
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'f1')
            ->state();
        yield 'controller-kind' => ['controller-kind', static fn(): array => [$pixels('c1'), $pixels(null)]];
        $channels = static fn(bool $board): JobState => $board
            ? Circuits::in()
                ->supply('s1')
                ->run('r1', 2.0, [], 's1')
                ->board('c1', ['inputLeast' => 5, 'inputMost' => 24, 'outputs' => 1, 'pixelsPerOutput' => 300], 'r1')
                ->state()
            : Circuits::simple()->state();
        yield 'controller-kind, a board' => [
            'controller-kind',
            static fn(): array => [$channels(true), $channels(false)],
        ];
        // The instructions say 12 V to 24 V.
        $input = static fn(float $volts): JobState => Circuits::in()
            ->supply('s1', ['volts' => $volts])
            ->controller('c1', ['inputLeast' => 12.0, 'inputMost' => 24.0])
            ->run('r1', 2.0, ['volts' => $volts], 's1', controller: 'c1')
            ->state();
        yield 'input-range above' => ['input-range', static fn(): array => [$input(24.1), $input(24.0)]];
        yield 'input-range below' => ['input-range', static fn(): array => [$input(11.9), $input(12.0)]];
        // The instructions say 5 A a channel, 8 A and so 192 W in all.
        $carries = static fn(float $amps, int $channels): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1', ['channelAmps' => 5.0, 'totalAmps' => 8.0])
            ->run('r1', 1.0, ['channels' => $channels, 'watts' => $amps * 24.0], 's1', controller: 'c1')
            ->state();
        yield 'controller-amps of a channel' => [
            'controller-amps',
            static fn(): array => [$carries(5.04, 1), $carries(4.99, 1)],
        ];
        yield 'controller-amps in all' => [
            'controller-amps',
            static fn(): array => [$carries(8.04, 2), $carries(7.99, 2)],
        ];
        $mixed = static fn(float $amps): JobState => Circuits::in()
            ->controller('c1', ['channelAmps' => 8.0, 'totalAmps' => 8.0])
            ->run('r1', 1.0, ['watts' => 96.0], null, controller: 'c1')
            ->run('r2', 1.0, ['watts' => 24.0 * $amps - 96.0, 'pitch' => 0.1], null, controller: 'c1')
            ->state();
        yield 'controller-amps of two strips' => ['controller-amps', static fn(): array => [$mixed(8.05), $mixed(8.0)]];
        $set = static fn(?string $setting): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1', ['setBy' => 'switch'], $setting)
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->state();
        yield 'setting' => ['setting', static fn(): array => [$set('rgb'), $set('single')]];
        yield 'setting not said' => ['setting', static fn(): array => [$set(null), $set('single')]];
        $sealed = static fn(string $sealed): JobState => Circuits::in()
            ->run('r1', 2.0, ['sealed' => $sealed], mounting: ['outdoors'])
            ->state();
        yield 'unsealed' => ['unsealed', static fn(): array => [$sealed('none'), $sealed('splash')]];
        // Common practice, no source: 15 W/m without metal behind them.
        $bare = static fn(float $watts): JobState => Circuits::in()
            ->run('r1', 2.0, ['watts' => $watts], mounting: ['bare'])
            ->state();
        yield 'hot-bare' => ['hot-bare', static fn(): array => [$bare(15.1), $bare(15.0)]];
        $hub = static fn(string $family): JobState => Circuits::in()
            ->controller('c1', ['family' => $family])
            ->run('r1', 2.0, [], null, controller: 'c1')
            ->state();
        yield 'no-hub' => ['no-hub', static fn(): array => [$hub('zigbee'), $hub('rf')]];
        $placed = static fn(?string $supply, ?string $controller): JobState => self::placed($supply, $controller);
        yield 'unit-nowhere' => ['unit-nowhere', static fn(): array => [$placed(null, null), $placed('P1', 'P1')]];
        yield 'unit-nowhere of a controller' => [
            'unit-nowhere',
            static fn(): array => [$placed('P1', null), $placed('P1', 'B1')],
        ];
        $lamps = Circuits::in("start\n4\ndry\noutlet P1 at 0.2")
            ->supply('s1', ['volts' => 12.0, 'ratedAmps' => 5.0])
            ->fixture('x1', 4)
            ->cable('k1', '2x1.5', 's1', 'x1', metres: 2.0);
        yield 'unit-nowhere of lamps' => [
            'unit-nowhere',
            static fn(): array => [$lamps->state(), $lamps->standing('s1', 'P1')->state()],
        ];
        yield 'no-control' => [
            'no-control',
            static fn(): array => [
                $hub('rf'),
                Circuits::in()
                    ->controller('c1', ['family' => 'rf'])
                    ->run('r1', 1.0, [], null, controller: 'c1')
                    ->item(
                        'i1',
                        'remote',
                        ['speaks' => ['rf'], 'sets' => ['single'], 'readsHub' => false, 'zones' => 4],
                        null,
                    )
                    ->state(),
            ],
        ];
        yield from self::repeaters();
    }

    /** A supply and a controller at these spots of a room with an outlet and a box. */
    private static function placed(?string $supply, ?string $controller): JobState
    {
        $plan = Circuits::in("start\n4 r1\ndry\noutlet P1 at 0.2\nbox B1 at 0.6, 40x30x12")
            ->supply('s1')
            ->controller('c1')
            ->run('r1', 4.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.5)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.5)
            ->plan();
        foreach (array_filter(['s1' => $supply, 'c1' => $controller]) as $id => $spot) {
            $plan = Demo::with($plan, [
                'kind' => 'PlaceDevice',
                'device' => $id,
                'stands' => ['place' => 'room', 'spot' => $spot],
            ]);
        }

        return new JobState($plan, [], new NoShelf());
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function repeaters(): iterable
    {
        $parts = static fn(bool $led, int $channels, string $supply): JobState => Circuits::in()
            ->supply('s1')
            ->supply('s2')
            ->controller('c1', ['kind' => $led ? 'controller' : 'repeater', 'groundsApart' => false])
            ->controller('c2', ['kind' => 'repeater', 'groundsApart' => false])
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->run('r2', 2.0, ['channels' => $channels], $supply, controller: 'c2')
            ->parts('r1', 'r2')
            ->state();
        yield 'repeats-nothing' => [
            'repeats-nothing',
            static fn(): array => [$parts(false, 1, 's2'), $parts(true, 1, 's2')],
        ];
        yield 'repeats-other' => [
            'repeats-other',
            static fn(): array => [$parts(true, 2, 's2'), $parts(true, 1, 's2')],
        ];
        yield 'repeats-same' => ['repeats-same', static fn(): array => [$parts(true, 1, 's1'), $parts(true, 1, 's2')]];
    }
}
