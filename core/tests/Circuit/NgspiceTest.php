<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;

/** Every node of the exported netlist within 1 mV of ngspice, and the same set of names. */
final class NgspiceTest extends TestCase
{
    /** @param  callable(): Plan  $plan */
    #[DataProviderExternal(NgspicePlans::class, 'plans')]
    public function test_the_reference_simulator_agrees(callable $plan): void
    {
        $networks = (new Engine($plan()))->networks();
        self::assertNotSame([], $networks);
        $nodes = [];
        foreach ($networks as $network) {
            $solution = Newton::solve($network);
            $nodes += $solution->nodes();
            $theirs = ['0' => 0.0] + Ngspice::nodes(Netlist::write('test', [$network]));
            foreach ($network->sources as $source) {
                // Current from the supply's + through its cables in the reference.
                $amps = 0.0;
                foreach ($network->resistors as $r) {
                    $amps +=
                        (($r->from === $source->plus ? 1 : 0) *
                            ($theirs[$network->nodes[$r->from]] - $theirs[$network->nodes[$r->to]])) /
                        $r->ohms;
                }
                self::assertEqualsWithDelta(
                    $amps,
                    $solution->delivered($source),
                    1e-3 * abs($amps),
                    "amps of {$source->name}",
                );
            }
        }
        Ngspice::assertAgrees(Netlist::write('test', $networks), $nodes);
    }

    /** Channels at 30, 30, 80 and 100 % beside a second controller at 55 %: four phases and no dark one. */
    #[DataProvider('phases')]
    public function test_the_reference_simulator_agrees_in_each_phase(int $phase, int $resistors): void
    {
        $plan = Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n8 line\n5 shelf"],
            ...array_map(static fn(array $c): array => ['kind' => 'ChooseKit', 'run' => $c[0], 'kit' => $c[1]], [
                ['line', 'strip-rgbw-24'],
                ['line', 'supply-24-480'],
                ['line', 'controller-zigbee-4'],
                ['line', 'cable-5x075'],
                ['shelf', 'strip-tunable-24'],
                ['shelf', 'supply-24-480'],
                ['shelf', 'controller-zigbee-2'],
                ['shelf', 'cable-3x15'],
            ]),
        );
        $plan = Demo::with(
            $plan,
            ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 's1'],
            [
                'kind' => 'SetScene',
                'name' => 'Dusk',
                'levels' => [['of' => 'c1', 'duties' => [0.3, 0.3, 0.8, 1]], ['of' => 'c2', 'duties' => [0.55, 0]]],
            ],
        );
        $networks = (new Engine($plan))->networks($plan->scenes['e1'], $phase);
        self::assertCount(1, $networks);
        self::assertCount($resistors, $networks[0]->resistors);
        Ngspice::assertAgrees(Netlist::write('test', $networks), Newton::solve($networks[0])->nodes());
    }

    /** @return iterable<string, array{int, int}> phase; cores, common paths and channels of what conducts in it */
    public static function phases(): iterable
    {
        // Two trunks of two cores, two common paths; then for each channel that conducts its path and its core, and a core of + for each strip that is lit.
        yield 'to 30 %' => [1, 6 + 5 * 2 + 2];
        yield 'to 55 %' => [2, 6 + 3 * 2 + 2];
        yield 'to 80 %' => [3, 6 + 2 * 2 + 1];
        yield 'to the end' => [4, 6 + 1 * 2 + 1];
    }

    public function test_node_names_are_spice_names_and_unique(): void
    {
        $network = (new Engine(Demo::plan()))->networks()[0];
        foreach (array_keys(Newton::solve($network)->nodes()) as $name) {
            self::assertMatchesRegularExpression('/^(?!x_)[a-z][a-z0-9_]*$/', $name);
        }
        preg_match_all('/^([RIDB]_\S+)/m', Netlist::write('test', [$network]), $found);
        self::assertSame($found[1], array_values(array_unique($found[1])));
    }
}
