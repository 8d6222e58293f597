<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;

/** Circuits for the reference simulator: kits, feeds, starved and overfed, batteries and pixels. */
final class NgspicePlans
{
    /** @return iterable<string, array{callable(): Plan}> */
    public static function plans(): iterable
    {
        $fed = static fn(array ...$feeds): callable => static fn(): Plan => Demo::with(Demo::plan(), ...$feeds);
        yield 'cove fed at its start' => [$fed()];
        yield 'cove fed at both ends' => [$fed(['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'])];
        yield 'cove fed at five points, cables uneven' => [
            $fed(
                ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
                ['kind' => 'AddFeed', 'run' => 'cove', 'at' => 4.5],
                ['kind' => 'AddFeed', 'run' => 'cove', 'at' => 4.55],
                ['kind' => 'AddFeed', 'run' => 'cove', 'at' => 11.0],
                ['kind' => 'SetCable', 'cable' => 'k4', 'length' => 14, 'kit' => 'cable-3x075'],
            ),
        ];
        yield 'starved 12 V single colour, 9 m from one end' => [
            static fn(): Plan => Demo::run(
                metres: '9',
                strip: 'strip-single-12',
                supply: 'supply-12-240',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x18awg',
            ),
        ];
        yield 'supply deep in its current limit' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '20',
                    strip: 'strip-single-24',
                    supply: 'supply-24-100',
                    controller: 'controller-zigbee-1',
                    cable: 'cable-2x25',
                ),
                ['kind' => 'FeedPattern', 'run' => 'line', 'pattern' => 'ends'],
            ),
        ];
        yield '12 V tunable white in two sections over a gap' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '6',
                    strip: 'strip-tunable-12',
                    supply: 'supply-12-240',
                    controller: 'controller-zigbee-2',
                    cable: 'cable-3x14awg',
                ),
                ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => '6 line, gap 0.9 at 2.4 window'],
                ['kind' => 'AddFeed', 'run' => 'line', 'at' => 5.1],
            ),
        ];
        yield 'RGB starved at 12 V, 8 m from one end' => [
            static fn(): Plan => Demo::run(
                metres: '8',
                strip: 'strip-rgb-12',
                supply: 'supply-12-360',
                controller: 'controller-wifi-4',
                cable: 'cable-4x075',
            ),
        ];
        yield 'RGBW ring fed at four points' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '12.8',
                    strip: 'strip-rgbw-24',
                    supply: 'supply-24-480',
                    controller: 'controller-zigbee-4',
                    cable: 'cable-5x075',
                ),
                ['kind' => 'FeedPattern', 'run' => 'line', 'pattern' => 'ends'],
                ['kind' => 'AddFeed', 'run' => 'line', 'at' => 4.2],
                ['kind' => 'AddFeed', 'run' => 'line', 'at' => 8.7],
            ),
        ];
        $two = static fn(string $first, string $second, string $strip = 'strip-tunable-24'): Plan => Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n{$first} line\n{$second} shelf"],
            ...array_merge(
                ...array_map(
                    static fn(string $run): array => [
                        ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $strip],
                        ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'supply-24-480'],
                        ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'controller-zigbee-2'],
                        ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'cable-3x15'],
                    ],
                    ['line', 'shelf'],
                ),
            ),
        );
        yield 'two controllers on one supply' => [
            static fn(): Plan => Demo::with($two('7', '11'), ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 's1']),
        ];
        yield 'parallel halves on one controller' => [
            static fn(): Plan => Demo::with($two('9', '9'), ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 'c1']),
        ];
        $pixels = static fn(string $metres, string $kit, string $supply, string $cable): Plan => Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => $metres],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => $kit],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => $supply],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => $cable],
        );
        yield 'starved 5 V pixels fed at one end' => [
            static fn(): Plan => $pixels('5 band', 'pixels-5-rgb', 'supply-5-300', 'cable-2x25'),
        ];
        yield 'pixels through a board, with a second feed from the supply' => [
            static fn(): Plan => Demo::with(
                $pixels('4 band', 'pixels-12-rgb', 'supply-12-240', 'cable-2x25'),
                ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'board-screw'],
                ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'cable-3x25'],
                ['kind' => 'AddFeed', 'run' => 'band', 'at' => 3.0],
            ),
        ];
        yield '5 V pixels in six sections with a feed in each' => [
            static fn(): Plan => Demo::with(
                $pixels(
                    '10.5 band, gap 0.3 at 1.5 b, gap 0.3 at 3.3 b, gap 0.3 at 5.1 b, gap 0.3 at 6.9 b, gap 0.3 at 8.7 b',
                    'pixels-5-rgb',
                    'supply-5-300',
                    'cable-2x25',
                ),
                ['kind' => 'SetFeeds', 'run' => 'band', 'shares' => [0, 0.2, 0.4, 0.6, 0.8, 1]],
            ),
        ];
        yield 'two supply zones with the + cut and the minus common' => [
            static fn(): Plan => Demo::with(
                $pixels('4 band', 'pixels-5-rgb', 'supply-5-100', 'cable-2x15'),
                ['kind' => 'SetFeeds', 'run' => 'band', 'shares' => [0, 1]],
                ['kind' => 'AddSupply', 'kit' => 'supply-5-300'],
                [
                    'kind' => 'SetZones',
                    'run' => 'band',
                    'pads' => [120],
                    'feeds' => [['feed' => 'f2', 'supply' => 's2']],
                ],
            ),
        ];
        yield 'a heavy leg with drops to both ends of each section' => [
            static fn(): Plan => Demo::with(
                $pixels(
                    '10.5 band, gap 0.3 at 1.5 b, gap 0.3 at 3.3 b, gap 0.3 at 5.1 b, gap 0.3 at 6.9 b, gap 0.3 at 8.7 b',
                    'pixels-5-rgb',
                    'supply-5-300',
                    'cable-2x25',
                ),
                ['kind' => 'TapLeg', 'run' => 'band', 'leg' => 'cable-3x25', 'drop' => 'cable-2x075', 'lead' => 2.5],
            ),
        ];
        yield 'a switched leg with taps behind a tunable run' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '12',
                    strip: 'strip-tunable-24',
                    supply: 'supply-24-240',
                    controller: 'controller-zigbee-2',
                    cable: 'cable-3x15',
                ),
                ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => '12 line, gap 0.5 at 6 beam'],
                ['kind' => 'TapLeg', 'run' => 'line', 'leg' => 'cable-3x25', 'drop' => 'cable-3x075'],
            ),
        ];
        yield '12 V pixels, 60 feeds' => [
            static fn(): Plan => Demo::with($pixels('20 band', 'pixels-12-rgb', 'supply-12-360', 'cable-2x15'), [
                'kind' => 'SetFeeds',
                'run' => 'band',
                'shares' => array_map(static fn(int $n): float => $n / 59, range(0, 59)),
            ]),
        ];
        yield 'rails calculated from copper in a warm job' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '6',
                    strip: 'strip-single-24-copper',
                    supply: 'supply-24-150',
                    controller: 'controller-zigbee-1',
                    cable: 'cable-2x15',
                ),
                [
                    'kind' => 'SetLimits',
                    'drop' => 0.05,
                    'headroom' => 0.2,
                    'evenness' => 0.9,
                    'seam' => 0.05,
                    'cableCelsius' => 70,
                ],
            ),
        ];
        $kit = static fn(string $run, string ...$kits): array => array_map(
            static fn(string $kit): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit],
            $kits,
        );
        $repeated = static fn(string $repeater): Plan => Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n12 line"],
            ['kind' => 'SplitRun', 'run' => 'line', 'parts' => 2],
            ...$kit('line', 'strip-rgbw-24', 'supply-24-240', 'controller-zigbee-4', 'cable-5x075'),
            ...$kit('line-1', 'strip-rgbw-24', 'supply-24-240', $repeater, 'cable-5x075'),
        );
        yield 'a repeater whose grounds are one' => [static fn(): Plan => $repeated('repeater-4')];
        yield 'a repeater whose grounds are apart' => [static fn(): Plan => $repeated('repeater-5-apart')];
        $lamps = static fn(int $count): Plan => Demo::with(
            Demo::run(
                metres: '7',
                strip: 'strip-tunable-24',
                supply: 'supply-24-480',
                controller: 'controller-zigbee-2',
                cable: 'cable-3x15',
            ),
            ['kind' => 'SetFixture', 'kit' => 'fixture-reading-24', 'place' => 'room', 'count' => $count],
            ['kind' => 'HangFixture', 'fixture' => 'x1', 'on' => 's1', 'kit' => 'cable-2x075', 'length' => 30],
        );
        yield 'fixtures beside a strip on one supply' => [static fn(): Plan => $lamps(5)];
        yield 'constant power near its limit' => [static fn(): Plan => $lamps(20)];
        yield 'fixtures held below their least volts' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '5',
                    strip: 'strip-single-12',
                    supply: 'supply-12-60',
                    controller: 'controller-zigbee-1',
                    cable: 'cable-2x15',
                ),
                ['kind' => 'SetFixture', 'kit' => 'fixture-downlight-12', 'place' => 'room', 'count' => 9],
                ['kind' => 'HangFixture', 'fixture' => 'x1', 'on' => 's1', 'kit' => 'cable-2x075', 'length' => 12],
            ),
        ];
        yield 'a battery behind plugs' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '5',
                    strip: 'strip-single-12',
                    supply: 'battery-6',
                    controller: 'controller-zigbee-1',
                    cable: 'cable-2x15',
                ),
                ['kind' => 'SetBlocks', 'supply' => 's1', 'series' => 2, 'parallel' => 3],
                ['kind' => 'SetCable', 'cable' => 'k1', 'joint' => 'connector-plug', 'fuse' => 'fuse-5'],
                ['kind' => 'SetCable', 'cable' => 'k2', 'joint' => 'connector-clip'],
            ),
        ];
        yield '24 V on a 12 V strip' => [
            static fn(): Plan => Demo::run(
                metres: '2',
                strip: 'strip-single-12',
                supply: 'supply-24-240',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x15',
            ),
        ];
    }
}
