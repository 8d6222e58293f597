<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Scene;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;

/** Kit beside the chains of the runs: for each code a job that fires it and its neighbour that does not. */
final readonly class ItemCases
{
    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        $walls = "start\n2 r1\ndry";
        $plug = ['pins' => 2, 'amps' => 6.0, 'seal' => 'none'];
        // 72 W at 24 V: 3 A, less what the way takes.
        $on = static fn(string $kind, array $entry, ?string $on, string $notes = 'dry'): JobState => Circuits::in(
            $notes,
        )
            ->supply('s1', ['sourceOhms' => 0.001])
            ->controller('c1', ['commonOhms' => 0.0001, 'channelOhms' => 0.0001, 'family' => 'zigbee'])
            ->run('r1', 1.0, Circuits::resistor(72.0, 1.0), 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.01)
            ->cable('k2', '3x2.5', 'c1', 'f1', metres: 0.01)
            ->item('i1', $kind, $entry, $on)
            ->state();
        yield 'item-on' => ['item-on', static fn(): array => [$on('plug', $plug, null), $on('plug', $plug, 'k1')]];
        // The instructions say 2.98 A, or 3 A.
        yield 'plug-amps' => [
            'plug-amps',
            static fn(): array => [
                $on('plug', ['amps' => 2.98] + $plug, 'k1'),
                $on('plug', ['amps' => 3.0] + $plug, 'k1'),
            ],
        ];
        yield 'plug-amps of a fork' => [
            'plug-amps',
            static fn(): array => [
                $on('fork', ['amps' => 2.98, 'ways' => 2] + $plug, 'k1'),
                $on('fork', ['amps' => 3.0, 'ways' => 2] + $plug, 'k1'),
            ],
        ];
        // A strip of two returns asks for three cores.
        $three = static fn(int $pins): JobState => Circuits::simple()
            ->run('r1', 2.0, ['channels' => 2], 's1', controller: 'c1')
            ->cable('k2', '3x2.5', 'c1', 'f1')
            ->item('i1', 'plug', ['pins' => $pins] + $plug, 'k2')
            ->state();
        yield 'plug-pins' => ['plug-pins', static fn(): array => [$three(2), $three(3)]];
        yield 'plug-open' => [
            'plug-open',
            static fn(): array => [$on('plug', $plug, 'k1', 'damp'), $on('plug', $plug, 'k1')],
        ];
        $speaks = static fn(string $way): array => ['speaks' => [$way], 'sets' => ['single'], 'zones' => 1];
        yield 'item-speaks' => [
            'item-speaks',
            static fn(): array => [$on('remote', $speaks('rf'), null), $on('remote', $speaks('zigbee'), null)],
        ];
        $panel = ['mains' => true] + $speaks('zigbee');
        yield 'panel-mains' => [
            'panel-mains',
            static fn(): array => [
                $on('panel', $panel, null, $walls),
                $on('panel', $panel, null, "{$walls}\noutlet P1 at 0.5"),
            ],
        ];
        // Instructions of the demo shelf; a remote for two lights wants two zones.
        $leaflet = static fn(string $id): array => (array) ((Demo::shelf()->find($id)->written ?? [])['profile'] ?? []);
        $two = static fn(int $zones, bool $leaflets, array $more = []): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1', ['family' => 'zigbee', 'profile' => $leaflet('controller-zigbee-2')])
            ->controller('c2', ['family' => 'zigbee', 'profile' => $leaflet('controller-zigbee-2')])
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->run('r2', 2.0, [], 's1', controller: 'c2')
            ->item(
                'i1',
                'remote',
                ['zones' => $zones] +
                    $speaks('zigbee') +
                    ($leaflets ? ['profile' => $more + $leaflet('remote-zigbee-4')] : []),
                null,
            )
            ->state();
        // Names that sound alike, and names that do not.
        $called = static fn(string $second): JobState => new JobState(
            $two(2, true)->plan->with(
                lights: ['c1' => new Light('c1', 'Snug left', 'Snug'), 'c2' => new Light('c2', $second, 'Snug')],
            ),
            [],
            Demo::shelf(),
        );
        yield 'name' => ['name', static fn(): array => [$called('Snug lift'), $called('Snug window')]];
        // Two scenes, a remote that keeps one, or two.
        $keeps = static fn(int $presets): JobState => new JobState(
            $two(2, true, ['presets' => $presets])->plan->with(
                scenes: [
                    'talk' => new Scene('talk', 'Talk', levels: ['c1' => [1.0]]),
                    'tidy' => new Scene('tidy', 'Tidy', levels: ['c1' => [0.5], 'c2' => [1.0]]),
                ],
            ),
            [],
            Demo::shelf(),
        );
        yield 'app-room' => ['app-room', static fn(): array => [$keeps(1), $keeps(2)]];
        yield 'unjoinable by its zones' => ['unjoinable', static fn(): array => [$two(1, true), $two(2, true)]];
        yield 'unjoinable by its instructions' => ['unjoinable', static fn(): array => [$two(2, false), $two(2, true)]];
        $set = static fn(float $metres): JobState => Circuits::in()
            ->run('r1', 2.0)
            ->item(
                'i1',
                'set',
                ['metres' => $metres, 'watts' => 20.0, 'volts' => 12.0, 'colours' => 'single'] + $speaks('rf'),
                'r1',
            )
            ->state();
        yield 'set-short' => ['set-short', static fn(): array => [$set(1.99), $set(2.0)]];
        // Existing units, beside 3 A of one channel at 24 V on a zigbee controller and a supply of 10 A.
        $present = static fn(string $line): JobState => $on('remote', $speaks('zigbee'), null, "{$walls}\n{$line}");
        yield 'listed' => [
            'listed',
            static fn(): array => [$present('listed R1 zigbee'), $present('listed Hall zigbee')],
        ];
        yield 'spare amps' => [
            'spare',
            static fn(): array => [
                $present('spare C9 zigbee, 1 channels, 3 A'),
                $present('spare C9 zigbee, 1 channels, 2.99 A'),
            ],
        ];
        // 0.8 of 10 A less 3 A leave 5 A: the job's own headroom.
        yield 'later' => ['later', static fn(): array => [$present('later 5.01 A desk'), $present('later 5 A desk')]];
        // Tiles of 2 W: with a strip of 72 W, 61 of them ask a supply of 240 W for more than 0.8 of it, 60 do not.
        $tiles = static fn(int $count): JobState => Circuits::in()
            ->supply('s1')
            ->run('r1', 1.0, Circuits::resistor(72.0, 1.0), 's1')
            ->item('i1', 'rearranged', ['volts' => 24.0, 'watts' => 2.0], 's1', $count)
            ->state();
        yield 'headroom with modules' => ['headroom', static fn(): array => [$tiles(61), $tiles(60)]];
    }
}
