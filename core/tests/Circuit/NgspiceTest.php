<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every node of the exported netlist within 1 mV of ngspice, and the same set of names. */
final class NgspiceTest extends TestCase
{
    /** @return iterable<string, array{callable(): Plan}> */
    public static function plans(): iterable
    {
        $fed = static fn (array ...$feeds): callable => static fn (): Plan => Demo::with(Demo::plan(), ...$feeds);
        yield 'cove fed at its start' => [$fed()];
        yield 'cove fed at both ends' => [$fed(['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'])];
        yield 'cove fed at five points, cables uneven' => [$fed(
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'AddFeed', 'run' => 'cove', 'at' => 4.5],
            ['kind' => 'AddFeed', 'run' => 'cove', 'at' => 4.55],
            ['kind' => 'AddFeed', 'run' => 'cove', 'at' => 11.0],
            ['kind' => 'SetCable', 'cable' => 'k4', 'length' => 14, 'kit' => 'cable-3x075'],
        )];
        yield 'starved 12 V single colour, 9 m from one end' => [static fn (): Plan => Demo::run('9', 'strip-single-12', 'supply-12-240', 'controller-zigbee-1', 'cable-2x18awg')];
        yield 'supply deep in its current limit' => [static fn (): Plan => Demo::with(
            Demo::run('20', 'strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-2x25'), ['kind' => 'FeedPattern', 'run' => 'line', 'pattern' => 'ends'],
        )];
        yield '12 V tunable white in two sections over a gap' => [static fn (): Plan => Demo::with(
            Demo::run('6', 'strip-tunable-12', 'supply-12-240', 'controller-zigbee-2', 'cable-3x14awg'),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => '6 line, gap 0.9 at 2.4 window'],
            ['kind' => 'AddFeed', 'run' => 'line', 'at' => 5.1],
        )];
        yield 'RGB starved at 12 V, 8 m from one end' => [static fn (): Plan => Demo::run('8', 'strip-rgb-12', 'supply-12-360', 'controller-wifi-4', 'cable-4x075')];
        yield 'RGBW ring fed at four points' => [static fn (): Plan => Demo::with(Demo::run('12.8', 'strip-rgbw-24', 'supply-24-480', 'controller-zigbee-4', 'cable-5x075'),
            ['kind' => 'FeedPattern', 'run' => 'line', 'pattern' => 'ends'], ['kind' => 'AddFeed', 'run' => 'line', 'at' => 4.2], ['kind' => 'AddFeed', 'run' => 'line', 'at' => 8.7])];
        yield '24 V on a 12 V strip' => [static fn (): Plan => Demo::run('2', 'strip-single-12', 'supply-24-240', 'controller-zigbee-1', 'cable-2x15')];
    }

    /** @param  callable(): Plan  $plan */
    #[DataProvider('plans')]
    public function test_the_reference_simulator_agrees(callable $plan): void
    {
        $networks = Engine::networks($plan());
        self::assertNotSame([], $networks);
        $nodes = [];
        foreach ($networks as $network) {
            $nodes += Newton::solve($network)->nodes();
        }
        Ngspice::assertAgrees(Netlist::write('test', $networks), $nodes);
    }

    public function test_node_names_are_spice_names_and_unique(): void
    {
        $network = Engine::networks(Demo::plan())[0];
        foreach (array_keys(Newton::solve($network)->nodes()) as $name) {
            self::assertMatchesRegularExpression('/^(?!x_)[a-z][a-z0-9_]*$/', $name);
        }
        preg_match_all('/^([RIDB]_\S+)/m', Netlist::write('test', [$network]), $found);
        self::assertSame($found[1], array_values(array_unique($found[1])));
    }
}
