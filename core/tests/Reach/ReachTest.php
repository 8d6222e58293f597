<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Reach;

use EmberDusk\Control\HelpingNode;
use EmberDusk\Control\RadioReach;
use EmberDusk\Joining\Unit;
use EmberDusk\Reach\Graph;
use EmberDusk\Reach\PathLoss;
use EmberDusk\Tests\Joining\Bench;
use PHPUnit\Framework\TestCase;

/** Path loss against values worked by hand from the recommendation, cut nodes and hops against networkx, and a row of lamps along a path. */
final class ReachTest extends TestCase
{
    /** 20 log10 2440 = 67.748; ITU-R P.1238-7, N = 28, from memory. */
    public function test_path_loss_against_worked_values(): void
    {
        self::assertEqualsWithDelta(39.75, PathLoss::over(1.0), 0.01);
        self::assertEqualsWithDelta(67.75, PathLoss::over(10.0), 0.01);
        // 28 log10 20 = 36.429, and a floor of a house.
        self::assertEqualsWithDelta(81.18, PathLoss::over(20.0, 1), 0.01);
        // An office: 30 log10 20 = 39.031, a floor of 14.
        self::assertEqualsWithDelta(92.78, PathLoss::over(20.0, 1, PathLoss::OFFICE_KEY), 0.01);
        self::assertEqualsWithDelta(39.75, PathLoss::over(0.2), 0.01, 'nearer than a metre the formula does not go');
        // Common practice: a hop every 20 to 30 m.
        self::assertGreaterThan(PathLoss::MARGIN, PathLoss::spare(30.0));
        self::assertLessThan(PathLoss::MARGIN, PathLoss::spare(40.0));
    }

    public function test_cut_nodes_and_hops_are_those_of_networkx(): void
    {
        $graphs = (array) json_decode((string) file_get_contents(__DIR__ . '/graphs.json'), true);
        self::assertCount(200, $graphs);
        $cuts = 0;
        foreach ($graphs as $n => $g) {
            $hears = [];
            for ($i = 0; $i < $g['nodes']; $i++) {
                $hears["n{$i}"] = [];
            }
            foreach ($g['edges'] as [$a, $b]) {
                $hears["n{$a}"][] = "n{$b}";
                $hears["n{$b}"][] = "n{$a}";
            }
            $graph = new Graph($hears);
            self::assertSame(array_map(static fn(int $i): string => "n{$i}", $g['cuts']), $graph->cuts(), "graph {$n}");
            $hops = $graph->hops('n0');
            foreach ($g['hops'] as $i => $away) {
                self::assertSame($away, $hops["n{$i}"] ?? null, "graph {$n}, node {$i}");
            }
            $cuts += count($g['cuts']);
        }
        self::assertGreaterThan(300, $cuts);
    }

    private static function hub(): Unit
    {
        return new Unit(
            id: 'h1',
            name: 'Hub',
            role: Unit::HUB,
            family: 'hub',
            way: 'zigbee',
            place: 'table',
            at: [0.0, 0.0],
            speaks: ['zigbee'],
        );
    }

    /**
     * Lamps along a path, so many metres apart, the hub at its beginning.
     *
     * @param  list<float>  $metres
     */
    private static function path(array $metres): RadioReach
    {
        $units = [self::hub()];
        foreach ($metres as $n => $x) {
            $units[] = Bench::zigbee('c' . ($n + 1), $x);
        }

        return RadioReach::for(
            Bench::roster($units, array_map(static fn(int $n): array => ['h1', 'c' . ($n + 1)], array_keys($metres))),
        )[0];
    }

    public function test_each_lamp_along_a_path_passes_on_to_the_next(): void
    {
        $reach = self::path([25.0, 50.0, 75.0]);
        self::assertSame(['h1' => 0, 'c1' => 1, 'c2' => 2, 'c3' => 3], $reach->hops);
        self::assertSame(['c1', 'c2'], $reach->cuts);
        self::assertSame([[], null], [$reach->lost, $reach->help]);
        // Half way past the second: the third depends on two then, the first still holds all of them.
        self::assertSame(1, $reach->steady?->count);
        self::assertNull(self::path([5.0, 10.0])->steady, 'nothing hangs by one node alone');
    }

    public function test_where_one_more_node_helps_most(): void
    {
        $reach = self::path([25.0, 85.0, 105.0]);
        self::assertSame(['c2', 'c3'], $reach->lost);
        self::assertEquals(new HelpingNode('c1', 'c2', 2), $reach->help);
        self::assertNull(self::path([25.0, 200.0])->help, 'no single node reaches that far');
    }

    /** A battery-powered sleeping device relays nothing. */
    public function test_a_remote_passes_nothing_on(): void
    {
        $remote = new Unit(
            id: 'r1',
            name: 'Remote',
            role: Unit::REMOTE,
            family: 'remote',
            way: 'zigbee',
            place: 'table',
            at: [30.0, 0.0],
            zones: 4,
        );
        $reach = RadioReach::for(Bench::roster([self::hub(), $remote, Bench::zigbee('c1', 60.0)], [['h1', 'c1']]))[0];
        self::assertSame([['h1' => 0, 'r1' => 1], ['c1']], [$reach->hops, $reach->lost]);
    }

    /** A device without relaying is lost with its only neighbour, and cuts off no one itself. */
    public function test_a_remote_depends_on_its_only_neighbour(): void
    {
        $remote = static fn(float $at): Unit => new Unit(
            id: 'r1',
            name: 'Remote',
            role: Unit::REMOTE,
            family: 'remote',
            way: 'zigbee',
            place: 'table',
            at: [$at, 0.0],
            zones: 4,
        );
        $of = static fn(float $at): RadioReach => RadioReach::for(
            Bench::roster([self::hub(), Bench::zigbee('c1', 20.0), $remote($at)], [['h1', 'c1']]),
        )[0];
        self::assertSame(['c1'], $of(45.0)->cuts);
        self::assertSame([], $of(10.0)->cuts);
    }

    /**
     * Floors by the table: 2,440 MHz, 20 m, N 28 and 5 dB a floor lose 67.75 + 36.43 - 28 = 76.18 dB and 5 more on the way up; 93 dB may be lost
     * (8 + 85), 10 of them are kept.
     */
    public function test_counts_a_floor_between_two_devices(): void
    {
        self::assertEqualsWithDelta(16.82, PathLoss::spare(20.0), 0.01);
        self::assertEqualsWithDelta(6.82, PathLoss::spare(20.0, 2), 0.01);
        $of = static fn(?int $floor): RadioReach => RadioReach::for(
            Bench::roster([self::hub()->onFloor(0), Bench::zigbee('c1', 20.0)->onFloor($floor)], [['h1', 'c1']]),
        )[0];
        self::assertSame([['c1'], [], []], [$of(2)->lost, $of(1)->lost, $of(null)->lost]);
        self::assertSame(11.8, $of(1)->links[0]->spare);
    }
}
